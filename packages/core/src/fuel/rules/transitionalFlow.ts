import type { LineElement } from '../../model/index.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { FuelChecked, FuelRule } from '../checked.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import { where } from './onCircuits.ts';

/** Reynolds numbers between which a pipe has no unique friction factor. */
const LAMINAR_END = 2300;
const TURBULENT_START = 4000;

/** Cases on whose solution figures rest that a person reads. */
const told = ['peakPower', 'hotIdle', 'overrun'] as const;

/** Losses below this Pa tell nothing, whichever law holds. */
const OF_NOTE = 50;

function findingOn(fluid: FluidResult, line: LineElement): BuildFinding[] {
  for (const name of told) {
    const { point, solution } = fluid.cases[name];
    if (solution.state === 'failed') continue;
    const state = solution.elements[line.id];
    const reynolds = state?.reynolds ?? 0;
    if (reynolds <= LAMINAR_END || reynolds >= TURBULENT_START) continue;
    if (Math.abs(state!.pressureDrop) < OF_NOTE) continue;
    return [
      {
        id: `flow.transitional:${line.id}`,
        rule: 'flow.transitional',
        severity: 'note',
        where: where(fluid, line.id),
        title: 'Flow between laminar and turbulent',
        because: `${point.label.toLowerCase()}: at Re {reynolds} this line has no unique friction factor; its pressure drop of {drop} is a blend of the two laws`,
        numbers: {
          reynolds: { value: reynolds, kind: 'count' },
          drop: { value: state!.pressureDrop, kind: 'pressure' },
        },
        measured: { value: reynolds, kind: 'count' },
        limit: { value: TURBULENT_START, kind: 'count' },
        worse: 'lower',
        cures: () => [{ text: 'Nothing to do; measure it with a gauge where the drop matters' }],
      },
    ];
  }
  return [];
}

/** Lines whose loss rests on the blend between the laminar and the turbulent law. */
export const transitionalFlow: FuelRule = {
  id: 'flow.transitional',
  source: 'between Re 2300 and 4000 there is no unique friction factor',
  check: (checked: FuelChecked) =>
    checked.fluids.flatMap((fluid) =>
      fluid.design.circuit.elements.flatMap((e) => (e.kind === 'line' ? findingOn(fluid, e) : [])),
    ),
};
