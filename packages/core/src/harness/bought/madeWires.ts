import type { ElectricDesign } from '../../electrics/index.ts';
import type { LedHarness } from '../lengths/ledHarness.ts';

/** The wiring without what comes with looms that are bought. */
export function madeWires<Design extends Pick<ElectricDesign, 'wires'>>(
  electrics: Design,
  { wires }: Pick<LedHarness, 'wires'>,
): Design {
  const bought = new Set(wires.flatMap(({ wireId, leg }) => (leg ? [wireId] : [])));
  if (bought.size === 0) return electrics;
  return { ...electrics, wires: electrics.wires.filter(({ wire }) => !bought.has(wire.id)) };
}
