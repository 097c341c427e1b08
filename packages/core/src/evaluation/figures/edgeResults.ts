import { lookUp } from '../../build/index.ts';
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
  const regulator = regulatorOf(circuit);
  if (!regulator) return results;
  const item = lookUp(design.catalogue, 'regulator', regulator.item, regulator.id);
  for (const [name, key] of [
    ['hotIdle', 'idle'],
    ['overrun', 'overrun'],
  ] as const) {
    const { point, solution: solved } = result.cases[name];
    if (solved.state === 'failed') continue;
    const state = solved.elements[regulator.id]!;
    const density = circuit.fuel.hot.density;
    results.push(
      derive({
        key: `return.${key}${suffix}.reserve`,
        label: `Regulator reserve, ${point.label.toLowerCase()}`,
        formula: reserve,
        inputs: {
          setPressure: given(regulator.setPressure.value, 'document:setPressure'),
          manifoldRatio: given(regulator.manifoldRatio.value, 'document:manifoldRatio'),
          manifold: given(point.manifoldGauge, `case:${name}`),
          outlet: given(state.outletPressure, `case:${name}`),
          wideOpenLoss: given(
            wideOpenLoss(item, state.massFlow / density, density),
            `catalogue:${item.id}`,
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
