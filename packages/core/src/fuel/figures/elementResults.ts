import { valueUnder, entryAt } from '../../numerics/index.ts';
import { elementPath, isThrough, placePath } from '../circuits/circuitRun.ts';
import { GRAVITY } from '../hydraulics/fluid.ts';
import { type SolvedCircuit, stateOf } from '../hydraulics/solveCircuit.ts';
import { elementDrop, lineLoss, reynolds, velocity } from '../hydraulics/formulas.ts';
import { lineGeometry, lossesOn } from '../elements/index.ts';
import {
  type Result,
  derive,
  entered,
  following,
  fromFigure,
  fromItem,
  given,
  solvedIn,
  together,
} from '../../results/index.ts';
import { fuelFigure } from '../figureNames.ts';
import { type FigureContext, SOLVED } from './figureContext.ts';

/** Drop, velocity and Reynolds number of every element at peak. */
export function elementResults(context: FigureContext, solution: SolvedCircuit): Result[] {
  const { circuit, design } = context;
  const fluid = circuit.fuel.hot;
  const { density, viscosity } = fluid.figures;
  return circuit.circuit.elements.flatMap((element): Result[] => {
    if (!isThrough(element)) return [];
    const of = { ...context.scope, element: element.id };
    const state = stateOf(solution, element.id);
    const massFlow = solvedIn(state.massFlow, SOLVED);
    if (element.kind !== 'line') {
      return [
        derive({
          figure: fuelFigure('element.pressureDrop', of),
          label: `${element.name}, pressure drop`,
          formula: elementDrop,
          inputs: {
            inlet: solvedIn(state.inletPressure, SOLVED),
            outlet: solvedIn(state.outletPressure, SOLVED),
            staticHead: following(
              fluid.density *
                GRAVITY *
                ((circuit.heights[element.to] ?? 0) - (circuit.heights[element.from] ?? 0)),
              placePath(circuit.circuit, element.to),
            ),
          },
        }),
      ];
    }
    const bends = valueUnder(circuit.bendLosses, element.id);
    const pipe = lineGeometry(
      element,
      { length: valueUnder(circuit.lengths, element.id), bendLoss: 0 },
      design.catalogue,
    );
    const bore = fromItem(pipe.bore, element.item);
    const uses = lossesOn(element);
    const fittings = uses.map((use) => use.item);
    const ofFitting = (values: readonly number[]) =>
      together(values.map((value, i) => fromItem(value, entryAt(fittings, i))));
    return [
      derive({
        figure: fuelFigure('element.pressureDrop', of),
        label: `${element.name}, pressure drop`,
        formula: lineLoss,
        inputs: {
          massFlow,
          length: given(pipe.length, fromFigure(fuelFigure('element.length', of))),
          bore,
          roughness: fromItem(pipe.roughness, element.item),
          lossCoefficients: ofFitting(pipe.losses.map((l) => l.lossCoefficient)),
          fittingBores: ofFitting(pipe.losses.map((l) => l.bore)),
          fittingCounts: together(
            uses.map(({ count, item, path }) =>
              path
                ? following(count, path)
                : entered(
                    count,
                    elementPath(circuit.circuit, element, 'fittings', item.id, 'count'),
                  ),
            ),
          ),
          bendLoss: bends,
          density,
          viscosity,
        },
      }),
      derive({
        figure: fuelFigure('element.reynolds', of),
        label: `${element.name}, Reynolds number`,
        formula: reynolds,
        inputs: { massFlow, bore, viscosity },
      }),
      derive({
        figure: fuelFigure('element.velocity', of),
        label: `${element.name}, velocity`,
        formula: velocity,
        inputs: { massFlow, density, bore },
      }),
    ];
  });
}
