import type { BuildCommand, LineElement } from '../../model/index.ts';
import { lookUp } from '../../catalogue/index.ts';
import type { RegulatorUnit } from '../hydraulics/regulatorUnit.ts';
import { type SolvedCircuit, stateOf } from '../hydraulics/solveCircuit.ts';
import { heldPressure, wideOpenLoss } from '../hydraulics/regulatorBranch.ts';
import type { Cure } from '../../results/index.ts';
import type { FuelRule } from '../checked.ts';
import type { CircuitDesign } from '../running/design.ts';
import type { RunningPoint } from '../running/runningPoint.ts';
import { regulatorOf } from '../running/solvePoint.ts';
import { onSolved, where } from './onCircuits.ts';
import { largerHoseCure } from './swapCure.ts';

const RESERVE = 35e3;

/** Larger return hoses where there are any; in words where nothing in the catalogue helps. */
const returnCures = (larger: readonly Cure<BuildCommand>[]): readonly Cure<BuildCommand>[] =>
  larger.length > 0
    ? larger
    : [{ text: 'Use a regulator with a larger opening, or a pump that delivers less' }];

/** Pressure Pa a regulator has in hand before the return pushes its inlet up; negative: creep. */
export function returnReserve(
  circuit: CircuitDesign,
  regulator: RegulatorUnit,
  point: RunningPoint,
  solution: SolvedCircuit,
): number {
  const state = stateOf(solution, regulator.branchId);
  const { density } = circuit.fuel.hot;
  return (
    heldPressure(regulator, point.manifoldGauge) -
    RESERVE -
    (state.outletPressure + wideOpenLoss(regulator.item, state.massFlow / density, density))
  );
}

export const returnRule = (name: 'hotIdle' | 'overrun'): FuelRule => ({
  id: `return.${name}`,
  partsDecide: true,
  source: 'p_out + wide-open loss ≤ set + ratio · p_man − 35 kPa at idle and overrun',
  check: onSolved(name, (checked, fluid, at, solution) => {
    const regulator = regulatorOf(fluid.design, checked.catalogue);
    if (!regulator) return [];
    const held = heldPressure(regulator, at.point.manifoldGauge);
    const reserveIn = (s: SolvedCircuit) => returnReserve(fluid.design, regulator, at.point, s);
    const reserve = reserveIn(solution);
    if (reserve >= 0) return [];
    const railPressure = stateOf(solution, regulator.branchId).inletPressure;
    const lines = fluid.design.circuit.elements.filter(
      (e): e is LineElement => e.kind === 'line' && e.role === 'return',
    );
    return [
      {
        id: `return.${name}:${fluid.design.circuit.id}`,
        rule: `return.${name}`,
        severity: 'stop',
        where: where(fluid, lines[0]?.id ?? regulator.elementId),
        title: `${at.point.label}: return cannot carry the flow`,
        because:
          'the regulator should hold {held} but sees {pressure}, {short} short of its reserve: pressure creeps up and the engine floods',
        numbers: {
          held: { value: held, kind: 'pressure' },
          pressure: { value: railPressure, kind: 'pressure' },
          short: { value: -reserve, kind: 'pressure' },
        },
        measured: { value: reserve, kind: 'pressure' },
        limit: { value: 0, kind: 'pressure' },
        rung: 'return',
        cures: () =>
          returnCures(
            lines.flatMap((line) =>
              largerHoseCure({
                checked,
                fluid,
                lineId: line.id,
                hose: lookUp(checked.catalogue, 'hose', line.item, line.id),
                at,
                cured: (s) => reserveIn(s) >= 0,
              }),
            ),
          ),
      },
    ];
  }),
});
