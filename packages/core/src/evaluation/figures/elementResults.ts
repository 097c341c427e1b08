import { isThrough } from '../../build/index.ts';
import {
  GRAVITY,
  type SolvedCircuit,
  elementDrop,
  lineGeometry,
  lineLoss,
  reynolds,
  velocity,
} from '../../hydraulics/index.ts';
import { type Result, derive, given } from '../../results/index.ts';
import { elementKey } from '../geometryStage.ts';
import { type FigureContext, SOLVED } from './figureContext.ts';

/** Drop, velocity and Reynolds number of every element at peak. */
export function elementResults(context: FigureContext, solution: SolvedCircuit): Result[] {
  const { circuit, design } = context;
  const fluid = circuit.fuel.hot;
  const density = given(fluid.density, 'result:fuel.hot.density');
  const viscosity = given(fluid.viscosity, 'result:fuel.hot.viscosity');
  return circuit.circuit.elements.flatMap((element): Result[] => {
    if (!isThrough(element)) return [];
    const key = elementKey(context.circuitIndex, circuit.circuit, element.id);
    const state = solution.elements[element.id]!;
    const massFlow = given(state.massFlow, SOLVED);
    if (element.kind !== 'line') {
      return [
        derive({
          key: `${key}.pressureDrop`,
          label: `${element.name}, pressure drop`,
          formula: elementDrop,
          inputs: {
            inlet: given(state.inletPressure, SOLVED),
            outlet: given(state.outletPressure, SOLVED),
            staticHead: given(
              fluid.density *
                GRAVITY *
                ((circuit.heights[element.to] ?? 0) - (circuit.heights[element.from] ?? 0)),
              'document:placements',
            ),
          },
        }),
      ];
    }
    const pipe = lineGeometry(element, circuit.lengths[element.id]!, design.catalogue);
    const bore = given(pipe.bore, `catalogue:${element.item.id}`);
    return [
      derive({
        key: `${key}.pressureDrop`,
        label: `${element.name}, pressure drop`,
        formula: lineLoss,
        inputs: {
          massFlow,
          length: given(pipe.length, `result:${key}.length`),
          bore,
          roughness: given(pipe.roughness, `catalogue:${element.item.id}`),
          lossCoefficients: given(
            pipe.losses.map((l) => l.lossCoefficient),
            'catalogue:fittings',
          ),
          fittingBores: given(
            pipe.losses.map((l) => l.bore),
            'catalogue:fittings',
          ),
          fittingCounts: given(
            pipe.losses.map((l) => l.count),
            'document:fittings',
          ),
          density,
          viscosity,
        },
      }),
      derive({
        key: `${key}.reynolds`,
        label: `${element.name}, Reynolds number`,
        formula: reynolds,
        inputs: { massFlow, bore, viscosity },
      }),
      derive({
        key: `${key}.velocity`,
        label: `${element.name}, velocity`,
        formula: velocity,
        inputs: { massFlow, density, bore },
      }),
    ];
  });
}
