import { type HoseItem, alikeHoses, lookUp, refOf } from '../../catalogue/index.ts';
import type { LineElement } from '../../model/index.ts';
import { withElement } from '../circuits/circuitRun.ts';
import type { FuelChecked } from '../checked.ts';
import { byFindingId, isWorse, quickFluid, quickTroubles } from './quickTroubles.ts';

/** A line with the smallest hose made like it that brings nothing new and makes nothing worse. */
export interface SmallestLine {
  readonly elementId: string;
  readonly name: string;
  readonly present: HoseItem;
  readonly smallest: HoseItem;
}

/** The smallest hose for each line of a circuit, taken one by one; the present one at most. */
export function smallestLines(checked: FuelChecked, circuitIndex: number): SmallestLine[] {
  const design = checked.design.circuits[circuitIndex];
  if (!design) return [];
  const known = byFindingId(quickTroubles(checked, quickFluid(checked, design)));
  const lines = design.circuit.elements.filter((e): e is LineElement => e.kind === 'line');
  return lines.map((line) => {
    const present = lookUp(checked.catalogue, 'hose', line.item, line.id);
    const holds = (hose: HoseItem): boolean => {
      const circuit = withElement(design.circuit, line.id, { item: refOf(hose) });
      const fluid = quickFluid(checked, { ...design, circuit });
      return quickTroubles(checked, fluid).every((f) => !isWorse(f, known.get(f.id)));
    };
    const smaller = alikeHoses(checked.catalogue, present).filter((h) => h.bore < present.bore);
    return {
      elementId: line.id,
      name: line.name,
      present,
      smallest: smaller.find(holds) ?? present,
    };
  });
}
