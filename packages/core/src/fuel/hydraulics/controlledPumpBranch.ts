import type { PumpModel, PumpPoint } from '../pumps/pumpModel.ts';
import { type BranchModel, type Gap, SEAT_LEAK, complementarity } from './branchModel.ts';
import { type Fluid, GRAVITY } from './fluid.ts';

/** Droop that keeps the law solvable for its flow, Pa per kg/s: 0.5 Pa at 50 g/s. */
const LEAST_SLOPE = 10;

/**
 * A pump whose speed is chosen so that a sensed pressure stays at `target` Pa gauge, between its
 * least speed and full speed, with its check valve. The gap is the middle one of three: below full
 * speed's rise, above least speed's rise, and the sensed pressure over its target.
 */
export function controlledPumpBranch(input: {
  full: PumpModel;
  least: PumpModel;
  target: number;
  rise: number;
  fluid: Fluid;
  initialFlow: number;
  smoothing: number;
}): BranchModel {
  const { full, least, fluid, target } = input;
  const static_ = fluid.density * GRAVITY * input.rise;
  const point: PumpPoint = full.operate(0);
  const gapOf = (pump: PumpModel, m: number, from: number, to: number): Gap => {
    pump.operate(m / fluid.density, point);
    return {
      value: to - from + static_ - point.pressureRise,
      perFlow: -point.pressureRisePerFlow / fluid.density,
      perFrom: -1,
      perTo: 1,
    };
  };
  return {
    initialFlow: input.initialFlow,
    residual(m, from, to, out, sensed) {
      const atFull = gapOf(full, m, from, to);
      const atLeast = gapOf(least, m, from, to);
      const onTarget: Gap = {
        value: sensed - target + LEAST_SLOPE * m,
        perFlow: LEAST_SLOPE,
        perFrom: 0,
        perTo: 0,
        perSensed: 1,
      };
      const below = onTarget.value < atLeast.value ? onTarget : atLeast;
      const gap = atFull.value > below.value ? atFull : below;
      complementarity(out, m, gap, input.smoothing, SEAT_LEAK);
    },
  };
}
