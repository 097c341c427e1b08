import { engineFigure } from '../../engine/index.ts';
import { type SolvedCircuit, stateOf } from '../hydraulics/solveCircuit.ts';
import { flowAtDensity, inletHead, reserve } from '../hydraulics/formulas.ts';
import { wideOpenLoss } from '../hydraulics/regulatorBranch.ts';
import { elementPath } from '../circuits/circuitRun.ts';
import {
  type Result,
  derive,
  entered,
  fromFigure,
  fromItem,
  given,
  solvedIn,
} from '../../results/index.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import { regulatorOf } from '../running/solvePoint.ts';
import { fuelFigure } from '../figureNames.ts';
import { type FigureContext, SOLVED } from './figureContext.ts';

/** Least pressure above vapour pressure from tank to pump inlet, and the regulator's reserve. */
export function edgeResults(
  context: FigureContext,
  result: FluidResult,
  solution: SolvedCircuit,
): Result[] {
  const { circuit, design, scope } = context;
  const ambient = given(
    design.demand.engine.ambientPressure,
    fromFigure(engineFigure('ambient.pressureAbsolute')),
  );
  const { vapour } = result.boiling;
  const results: Result[] = [];
  for (const element of circuit.circuit.elements) {
    if (element.kind !== 'pump') continue;
    results.push(
      derive({
        figure: fuelFigure('suction.inletHead', { ...scope, pump: element.id }),
        label: `${element.name}, inlet above vapour pressure`,
        formula: inletHead,
        inputs: {
          gauge: solvedIn(stateOf(solution, element.id).inletPressure, SOLVED),
          ambient,
          vapour,
        },
      }),
    );
  }
  const regulator = regulatorOf(circuit, design.catalogue);
  if (!regulator) return results;
  const setAs = (value: number, field: string) =>
    regulator.adjustable
      ? entered(value, elementPath(circuit.circuit, { id: regulator.elementId }, field))
      : fromItem(value, regulator.itemRef);
  for (const [name, at] of [
    ['hotIdle', 'idle'],
    ['overrun', 'overrun'],
  ] as const) {
    const { point, solution: solved } = result.cases[name];
    if (solved.state === 'failed') continue;
    const state = stateOf(solved, regulator.branchId);
    const density = circuit.fuel.hot.density;
    results.push(
      derive({
        figure: fuelFigure('return.reserve', { at, ...scope }),
        label: `Regulator reserve, ${point.label.toLowerCase()}`,
        formula: reserve,
        inputs: {
          setPressure: setAs(regulator.setPressure, 'setPressure'),
          manifoldRatio: setAs(regulator.manifoldRatio, 'manifoldRatio'),
          manifold: solvedIn(point.manifoldGauge, name),
          outlet: solvedIn(state.outletPressure, name),
          wideOpenLoss: solvedIn(
            wideOpenLoss(regulator.item, state.massFlow / density, density),
            name,
          ),
        },
      }),
      derive({
        figure: fuelFigure('return.bypass', { at, ...scope }),
        label: `Regulator bypass, ${point.label.toLowerCase()}`,
        formula: flowAtDensity,
        inputs: {
          massFlow: solvedIn(state.massFlow, name),
          density: circuit.fuel.hot.figures.density,
        },
      }),
    );
  }
  return results;
}
