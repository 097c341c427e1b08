import { GRAVITY, type SolvedCircuit, pressureSum } from '../../hydraulics/index.ts';
import { type Result, derive, given } from '../../results/index.ts';
import { pathBetween } from '../../build/index.ts';
import type { FigureContext } from './figureContext.ts';

/** Gauge pressure at a node, followed along the run from the tank so that its working adds up. */
export function nodePressure(
  context: FigureContext,
  solution: SolvedCircuit,
  nodeId: string,
  key: string,
  label: string,
): Result | undefined {
  const { circuit } = context.circuit;
  const tank = circuit.elements.find((e) => e.kind === 'tank');
  if (tank?.kind !== 'tank') return undefined;
  const path = pathBetween(circuit, tank.outlet, nodeId);
  if (path.length === 0) return undefined;
  const fluid = context.circuit.fuel.hot;
  const heights = context.circuit.heights;
  const pumps = path.filter((step) => step.element.kind === 'pump');
  const rest = path.filter((step) => step.element.kind !== 'pump');
  return derive({
    key,
    label,
    formula: pressureSum,
    inputs: {
      tank: given(solution.pressures[tank.outlet]!, `document:${tank.id}.fuelLevel`),
      pumpRise: given(
        pumps.reduce((sum, p) => sum - solution.elements[p.id]!.pressureDrop, 0),
        'result:pump curve',
      ),
      losses: given(
        rest.map((e) => solution.elements[e.id]!.pressureDrop),
        'result:circuit pressure drops',
      ),
      staticHead: given(
        fluid.density * GRAVITY * ((heights[nodeId] ?? 0) - (heights[tank.outlet] ?? 0)),
        'document:placements',
      ),
    },
  });
}
