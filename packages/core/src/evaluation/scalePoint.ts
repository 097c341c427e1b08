import { bisect } from '../numerics/index.ts';
import type { FluidDesign } from './design.ts';
import type { RunningPoint } from './runningPoint.ts';

/** A running point with the power multiplied: boosted engines raise manifold pressure with it. */
export function scalePoint(
  design: Pick<FluidDesign, 'document' | 'demand'>,
  point: RunningPoint,
  factor: number,
): RunningPoint {
  const ambient = design.demand.engine.ambientPressure;
  const boosted = design.document.brief.aspiration !== 'natural';
  return {
    ...point,
    massFlow: point.massFlow * factor,
    manifoldGauge: boosted
      ? (point.manifoldGauge + ambient) * factor - ambient
      : point.manifoldGauge,
  };
}

const LOWEST = 0.05;
const HIGHEST = 8;
const STEPS = 12;
const TOLERANCE = 1e-3;

/**
 * Power W up to which something does, when the target rises with everything else fixed: 0 when it
 * fails at a twentieth of the target already, null when it still does at eight times the target.
 */
export function supportedPower(targetPower: number, fails: (factor: number) => boolean) {
  if (fails(LOWEST)) return 0;
  let low = LOWEST;
  for (let k = 1; k <= STEPS; k++) {
    const high = LOWEST * (HIGHEST / LOWEST) ** (k / STEPS);
    if (fails(high)) {
      return targetPower * bisect({ low, high, tolerance: TOLERANCE, test: fails });
    }
    low = high;
  }
  return null;
}
