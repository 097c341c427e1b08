import type { Result } from '../../results/index.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import { fuelFigure } from '../figureNames.ts';
import type { FigureContext } from './figureContext.ts';
import { nodePressure } from './nodePressure.ts';

/** Gauge pressure that a gauge on the rail should show in each named case. */
export function gaugeResults(context: FigureContext, result: FluidResult): Result[] {
  const rail = context.circuit.circuit.elements.find((e) => e.kind === 'injectors');
  if (!rail || rail.kind !== 'injectors') return [];
  return Object.values(result.cases).flatMap(({ point, solution }) => {
    if (solution.state === 'failed') return [];
    const reading = nodePressure(
      context,
      { point, solution },
      rail.node,
      fuelFigure('gauge.pressure', { at: point.name, ...context.scope }),
      `Rail gauge, ${point.label.toLowerCase()}`,
    );
    return reading ? [reading] : [];
  });
}
