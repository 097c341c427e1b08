import { type BranchModel, signedSquare, signedSquareSlope } from './branchModel.ts';
import { type Fluid, GRAVITY } from './fluid.ts';
import { type LocalLoss, localLossFactor } from './pipeBranch.ts';

/** A fitting, adapter or outlet on its own: K on a stated bore. */
export function fittingBranch(input: {
  loss: LocalLoss;
  rise: number;
  fluid: Fluid;
  initialFlow: number;
}): BranchModel {
  const factor = localLossFactor([input.loss], input.fluid.density);
  const static_ = input.fluid.density * GRAVITY * input.rise;
  return {
    initialFlow: input.initialFlow,
    residual(m, from, to, out) {
      out[0] = from - to - static_ - factor * signedSquare(m);
      out[1] = -factor * signedSquareSlope(m);
      out[2] = 1;
      out[3] = -1;
    },
  };
}
