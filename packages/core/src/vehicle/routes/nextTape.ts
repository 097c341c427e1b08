import type { HardPoint } from '../../model/index.ts';
import { placeUncertainty } from './lineFigures.ts';
import type { Led } from './led.ts';

/** A tape reading in the workshop is good to so much, m. */
const USUAL_READING = 0.01;

/** The place whose measuring would make lengths surer than that of any other. */
export interface NextTape {
  readonly placementId: string;
  /** by how much the ± of all lengths together would fall, m */
  readonly settles: number;
  /** lines that begin or end there */
  readonly lines: readonly string[];
}

const both = (a: number, b: number): number => Math.sqrt((a * a + b * b) / 2);

/**
 * The tape measurement that settles most: of every place at which a line of unmeasured length
 * begins or ends, how much surer all lengths get once it is known. Undefined when all are known.
 */
export function nextTape(
  lines: readonly Led[],
  hardPoints: readonly HardPoint[],
): NextTape | undefined {
  const found = new Map<string, { settles: number; lines: string[] }>();
  for (const { id, ends, length } of lines) {
    if (length.typed ?? length.measured) continue;
    const known = ends.map((place) => placeUncertainty(place, hardPoints).value);
    const [from = 0, to = 0] = known;
    ends.forEach((place, i) => {
      const own = i === 0 ? from : to;
      const other = i === 0 ? to : from;
      const gain = both(own, other) - both(Math.min(own, USUAL_READING), other);
      if (gain <= 0) return;
      const entry = found.get(place.id) ?? { settles: 0, lines: [] };
      entry.settles += gain;
      entry.lines.push(id);
      found.set(place.id, entry);
    });
  }
  let best: NextTape | undefined;
  for (const [placementId, { settles, lines: ids }] of found) {
    if (!best || settles > best.settles + 1e-12) best = { placementId, settles, lines: ids };
  }
  return best;
}
