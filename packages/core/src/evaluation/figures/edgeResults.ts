import {
  type SolvedCircuit,
  flowAtDensity,
  inletHead,
  reserve,
  wideOpenLoss,
} from '../../hydraulics/index.ts';
import { type Result, derive, given } from '../../results/index.ts';
import type { FluidResult } from '../fluidStage.ts';
import { regulatorOf } from '../solvePoint.ts';
import { type FigureContext, SOLVED } from './figureContext.ts';

/** Least pressure above vapour pressure from tank to pump inlet, and the regulator's reserve. */
export function edgeResults(
  context: FigureContext,
  result: FluidResult,
  solution: SolvedCircuit,
): Result[] {
  const { circuit, design, suffix } = context;
  const ambient = given(design.demand.engine.ambientPressure, 'result:ambient.pressureAbsolute');
  const vapour = given(
    circuit.fuel.hot.vapourPressureAbsolute,
    'result:fuel.vapourPressureAbsolute',
  );
  const results: Result[] = [];
  for (const element of circuit.circuit.elements) {
    if (element.kind !== 'pump') continue;
    results.push(
      derive({
        key: `suction.peak${suffix}.${element.id}.inletHead`,
        label: `${element.name}, inlet above vapour pressure`,
        formula: inletHead,
        inputs: {
          gauge: given(solution.elements[element.id]!.inletPressure, SOLVED),
          ambient,
          vapour,
        },
      }),
    );
  }
  const regulator = regulatorOf(circuit, design.catalogue);
  if (!regulator) return results;
  const from = (name: string): string =>
    regulator.adjustable ? `document:${name}` : `catalogue:${regulator.itemId}`;
  for (const [name, key] of [
    ['hotIdle', 'idle'],
    ['overrun', 'overrun'],
  ] as const) {
    const { point, solution: solved } = result.cases[name];
    if (solved.state === 'failed') continue;
    const state = solved.elements[regulator.branchId]!;
    const density = circuit.fuel.hot.density;
    results.push(
      derive({
        key: `return.${key}${suffix}.reserve`,
        label: `Regulator reserve, ${point.label.toLowerCase()}`,
        formula: reserve,
        inputs: {
          setPressure: given(regulator.setPressure, from('setPressure')),
          manifoldRatio: given(regulator.manifoldRatio, from('manifoldRatio')),
          manifold: given(point.manifoldGauge, `case:${name}`),
          outlet: given(state.outletPressure, `case:${name}`),
          wideOpenLoss: given(
            wideOpenLoss(regulator.item, state.massFlow / density, density),
            `catalogue:${regulator.itemId}`,
          ),
        },
      }),
      derive({
        key: `return.${key}${suffix}.bypass`,
        label: `Regulator bypass, ${point.label.toLowerCase()}`,
        formula: flowAtDensity,
        inputs: {
          massFlow: given(state.massFlow, `case:${name}`),
          density: given(density, 'result:fuel.hot.density'),
        },
      }),
    );
  }
  return results;
}
