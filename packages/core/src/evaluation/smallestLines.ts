import {
  type HoseItem,
  type LineElement,
  lookUp,
  newestOf,
  refOf,
  withValueAt,
} from '../build/index.ts';
import type { Checked } from './checked.ts';
import { byFindingId, isWorse, quickFluid, quickTroubles } from './quickTroubles.ts';

/** A line with the smallest hose of its family that brings nothing new and makes nothing worse. */
export interface SmallestLine {
  readonly elementId: string;
  readonly name: string;
  readonly present: HoseItem;
  readonly smallest: HoseItem;
}

/** The smallest hose for each line of a circuit, taken one by one; the present one at most. */
export function smallestLines(checked: Checked, circuitIndex: number): SmallestLine[] {
  const design = checked.design.circuits[circuitIndex];
  if (!design) return [];
  const known = byFindingId(quickTroubles(checked, quickFluid(checked, design)));
  const lines = design.circuit.elements.filter((e): e is LineElement => e.kind === 'line');
  return lines.map((line) => {
    const present = lookUp(checked.catalogue, 'hose', line.item, line.id);
    const at = design.circuit.elements.indexOf(line);
    const holds = (hose: HoseItem): boolean => {
      const circuit = withValueAt(design.circuit, `elements.${at}.item`, refOf(hose));
      const fluid = quickFluid(checked, { ...design, circuit });
      return quickTroubles(checked, fluid).every((f) => !isWorse(f, known.get(f.id)));
    };
    const smaller = newestOf(checked.catalogue, 'hose')
      .filter((h) => h.family === present.family && h.bore < present.bore)
      .sort((a, b) => a.bore - b.bore);
    return {
      elementId: line.id,
      name: line.name,
      present,
      smallest: smaller.find(holds) ?? present,
    };
  });
}
