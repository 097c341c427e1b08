import type { PumpModel, PumpPoint } from '../pumps/pumpModel.ts';
import { type BranchModel, SEAT_LEAK, complementarity } from './branchModel.ts';
import { type Fluid, GRAVITY } from './fluid.ts';

/**
 * A running pump with its check valve: no reverse flow but what its seat leaks. Its voltage and current belong to the
 * same Newton solve: the pump model eliminates them exactly at every flow.
 */
export function pumpBranch(input: {
  pump: PumpModel;
  rise: number;
  fluid: Fluid;
  initialFlow: number;
  smoothing: number;
}): BranchModel {
  const { pump, fluid } = input;
  const static_ = fluid.density * GRAVITY * input.rise;
  const point: PumpPoint = pump.operate(0);
  const gap = { value: 0, perFlow: 0, perFrom: -1, perTo: 1 };
  return {
    initialFlow: input.initialFlow,
    residual(m, from, to, out) {
      pump.operate(m / fluid.density, point);
      gap.value = to - from + static_ - point.pressureRise;
      gap.perFlow = -point.pressureRisePerFlow / fluid.density;
      complementarity(out, m, gap, input.smoothing, SEAT_LEAK);
    },
  };
}
