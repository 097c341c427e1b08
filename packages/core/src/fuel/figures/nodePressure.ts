import { valueUnder } from '../../numerics/index.ts';
import { GRAVITY } from '../hydraulics/fluid.ts';
import { type SolvedCircuit, stateOf } from '../hydraulics/solveCircuit.ts';
import { pressureSum } from '../hydraulics/formulas.ts';
import { type FigureRef, type Result, derive, following, solvedIn } from '../../results/index.ts';
import { elementPath, pathBetween, placePath } from '../circuits/circuitRun.ts';
import { fluidAt } from '../running/fluidAt.ts';
import type { RunningPoint } from '../running/runningPoint.ts';
import type { FigureContext } from './figureContext.ts';

/** Gauge pressure at a node, followed along the run from the tank so that its working adds up. */
export function nodePressure(
  context: FigureContext,
  at: { readonly point: RunningPoint; readonly solution: SolvedCircuit },
  nodeId: string,
  figure: FigureRef,
  label: string,
): Result | undefined {
  const { circuit } = context.circuit;
  const { point, solution } = at;
  const tank = circuit.elements.find((e) => e.kind === 'tank');
  if (tank?.kind !== 'tank') return undefined;
  const path = pathBetween(circuit, tank.outlet, nodeId);
  if (path.length === 0) return undefined;
  const fluid = fluidAt(context.circuit, point);
  const heights = context.circuit.heights;
  const pumps = path.filter((step) => step.element.kind === 'pump');
  const rest = path.filter((step) => step.element.kind !== 'pump');
  return derive({
    figure,
    label,
    formula: pressureSum,
    inputs: {
      tank: following(
        valueUnder(solution.pressures, tank.outlet),
        elementPath(circuit, tank, 'fuelLevel'),
      ),
      pumpRise: solvedIn(
        pumps.reduce((sum, p) => sum - stateOf(solution, p.id).pressureDrop, 0),
        point.name,
      ),
      losses: solvedIn(
        rest.map((e) => stateOf(solution, e.id).pressureDrop),
        point.name,
      ),
      staticHead: following(
        fluid.density * GRAVITY * ((heights[nodeId] ?? 0) - (heights[tank.outlet] ?? 0)),
        placePath(circuit, nodeId),
      ),
    },
  });
}
