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
const TOLERANCE = 1e-3;
const MOST_STEPS = 40;

/**
 * Power W up to which something does, when the target rises with everything else fixed: 0 when it
 * fails at a twentieth of the target already, null when it still does at eight times the target.
 * `slack` is what is in hand at a factor on power, negative where it fails, falling as power rises;
 * its root is found by false position (Illinois), to 1 in 1000.
 */
export function supportedPower(targetPower: number, slack: (factor: number) => number) {
  let low = { at: Math.log(LOWEST), slack: slack(LOWEST) };
  if (low.slack < 0) return 0;
  // Where it is likely to lie is asked first: the bracket starts narrow.
  let high = { at: 0, slack: slack(1) };
  if (high.slack >= 0) {
    low = high;
    high = { at: Math.log(HIGHEST), slack: slack(HIGHEST) };
    if (high.slack >= 0) return null;
  }
  for (let step = 0; step < MOST_STEPS && high.at - low.at > TOLERANCE; step++) {
    const finite = Number.isFinite(low.slack) && Number.isFinite(high.slack);
    const share = finite ? low.slack / (low.slack - high.slack) : 0.5;
    // Kept off the ends, so that both sides close in.
    const at = low.at + Math.min(0.97, Math.max(0.03, share)) * (high.at - low.at);
    const next = { at, slack: slack(Math.exp(at)) };
    if (next.slack >= 0) {
      low = next;
      high = { ...high, slack: high.slack / 2 };
    } else {
      high = next;
      low = { ...low, slack: low.slack / 2 };
    }
  }
  return targetPower * Math.exp(low.at);
}
