import { stateOf } from '../hydraulics/solveCircuit.ts';
import { lookUp } from '../../catalogue/index.ts';
import type { LineElement, BuildFinding } from '../../model/index.ts';
import type { FuelChecked, FuelRule } from '../checked.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import type { RunningPoint } from '../running/runningPoint.ts';
import { assumedDifference, rowDifference, solvePoint } from '../running/solvePoint.ts';
import { onSolved, where } from './onCircuits.ts';
import { largerHoseCure } from './swapCure.ts';
import { pumpCures } from './pumpCures.ts';

export const SAG_GOOD = 0.03;
export const SAG_STOP = 0.06;

/** Sag of the worst row of a circuit at a point, as a share; infinite where nothing is solved. */
export function sagAt(checked: FuelChecked, fluid: FluidResult, point: RunningPoint): number {
  const solution = solvePoint(checked.design, fluid.design, point);
  if (solution.state === 'failed') return Infinity;
  const assumed = assumedDifference(checked.design, fluid.design, point);
  return Math.max(
    ...fluid.design.rows.map((row) => 1 - rowDifference(fluid.design, row, solution) / assumed),
  );
}

export const sag: FuelRule = {
  id: 'rail.sag',
  partsDecide: true,
  source: 'sag at peak: 3 % good, 6 % warn',
  check: onSolved('peakPower', (checked, fluid, at, solution) =>
    fluid.design.rows.flatMap((row): BuildFinding[] => {
      const assumed = assumedDifference(checked.design, fluid.design, at.point);
      const difference = rowDifference(fluid.design, row, solution);
      const value = 1 - difference / assumed;
      if (value <= SAG_GOOD) return [];
      const lines = fluid.design.circuit.elements
        .filter((e): e is LineElement => e.kind === 'line' && e.role === 'feed')
        .sort(
          (a, b) => stateOf(solution, b.id).pressureDrop - stateOf(solution, a.id).pressureDrop,
        );
      const larger = () =>
        lines.slice(0, 2).flatMap((line) =>
          largerHoseCure({
            checked,
            fluid,
            lineId: line.id,
            hose: lookUp(checked.catalogue, 'hose', line.item, line.id),
            at,
            cured: (s) => 1 - rowDifference(fluid.design, row, s) / assumed <= SAG_GOOD,
          }),
        );
      return [
        {
          id: `rail.sag:${row.row.id}`,
          rule: 'rail.sag',
          severity: value > SAG_STOP ? 'stop' : 'warn',
          where: where(fluid, lines[0]?.id ?? ''),
          title: 'Injector pressure sags at peak',
          because:
            'Δp is {difference}; the ECU assumes {assumed}: {sag} low, so the mixture is leaner by a factor of {lean}',
          numbers: {
            difference: { value: difference, kind: 'pressure' },
            assumed: { value: assumed, kind: 'pressure' },
            sag: { value, kind: 'ratio' },
            lean: { value: Math.sqrt(assumed / Math.max(difference, 1)), kind: 'count' },
          },
          measured: { value, kind: 'ratio' },
          limit: { value: SAG_STOP, kind: 'ratio' },
          worse: 'higher',
          rung: 'sag',
          cures: () => {
            const cures = larger();
            return cures.length > 0 ? cures : pumpCures(checked, fluid);
          },
        },
      ];
    }),
  ),
};
