import { entryAt } from '../../numerics/index.ts';
import { lookUp } from '../../catalogue/index.ts';
import { type SolvedCircuit, stateOf } from '../hydraulics/solveCircuit.ts';
import type { LineElement, BuildFinding } from '../../model/index.ts';
import type { FuelRule } from '../checked.ts';
import type { CircuitDesign } from '../running/design.ts';
import { injectorsOf, rowDifference } from '../running/solvePoint.ts';
import { onSolved, where } from './onCircuits.ts';
import { largerHoseCure } from './swapCure.ts';

/** Share of Δp by which rails may differ, end to end and bank to bank. */
export const RAIL_BALANCE = 0.01;

/** Greatest difference among the rails of a circuit as a share of Δp, and where it is. */
export function railImbalance(
  circuit: CircuitDesign,
  solution: SolvedCircuit,
): { value: number; elementId: string; between: 'ends' | 'banks' } | undefined {
  const found = circuit.rows.flatMap((row) => {
    const difference = rowDifference(circuit, row, solution);
    const rails = injectorsOf(circuit, row);
    if (rails.length === 0 || difference <= 0) return [];
    const pressures = rails.map((rail) => stateOf(solution, rail.id).inletPressure);
    const low = entryAt(rails, pressures.indexOf(Math.min(...pressures)));
    const banks = (Math.max(...pressures) - Math.min(...pressures)) / difference;
    const ends = circuit.circuit.elements
      .filter((e): e is LineElement => e.kind === 'line' && e.role === 'other')
      .map((line) => ({
        value: Math.abs(stateOf(solution, line.id).pressureDrop) / difference,
        elementId: line.id,
        between: 'ends' as const,
      }));
    return [{ value: banks, elementId: low.id, between: 'banks' as const }, ...ends];
  });
  return found.sort((a, b) => b.value - a.value)[0];
}

export const railBalance: FuelRule = {
  id: 'rail.balance',
  source: 'rails within 1 % of Δp, end to end and bank to bank',
  check: onSolved('peakPower', (checked, fluid, at, solution): BuildFinding[] => {
    const worst = railImbalance(fluid.design, solution);
    if (!worst || worst.value <= RAIL_BALANCE) return [];
    const lines = fluid.design.circuit.elements.filter(
      (e): e is LineElement =>
        e.kind === 'line' &&
        (worst.between === 'ends' ? e.id === worst.elementId : e.role !== 'return'),
    );
    const larger = () =>
      lines.flatMap((line) =>
        largerHoseCure({
          checked,
          fluid,
          lineId: line.id,
          hose: lookUp(checked.catalogue, 'hose', line.item, line.id),
          at,
          cured: (s) => (railImbalance(fluid.design, s)?.value ?? 1) <= RAIL_BALANCE,
        }),
      );
    return [
      {
        id: `rail.balance:${fluid.design.circuit.id}`,
        rule: 'rail.balance',
        severity: 'warn',
        where: where(fluid, worst.elementId),
        title:
          worst.between === 'ends'
            ? 'Rail pressure differs from end to end'
            : 'Rail pressures differ',
        because: 'they differ by {value} of the injectors’ Δp at peak; up to {limit} is good',
        numbers: {
          value: { value: worst.value, kind: 'ratio' },
          limit: { value: RAIL_BALANCE, kind: 'ratio' },
        },
        measured: { value: worst.value, kind: 'ratio' },
        limit: { value: RAIL_BALANCE, kind: 'ratio' },
        worse: 'higher',
        cures: () => {
          const cures = larger().slice(0, 2);
          return cures.length > 0
            ? cures
            : [{ text: 'Feed both rails through equal lines from one Y, or join their far ends' }];
        },
      },
    ];
  }),
};
