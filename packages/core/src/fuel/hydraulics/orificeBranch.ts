import { type BranchModel, signedSquare, signedSquareSlope } from './branchModel.ts';
import { type Fluid, GRAVITY, boreArea } from './fluid.ts';

/** Discharge coefficient of a sharp-edged hole at high Reynolds number (ISO 5167, small ratio). */
export const SHARP_EDGE = 0.61;

/** A plain sharp-edged hole: Δp = ṁ² / (2 ρ (C_d A)²), either way. */
export function orificeBranch(input: {
  diameter: number;
  rise: number;
  fluid: Fluid;
  initialFlow: number;
}): BranchModel {
  const { fluid } = input;
  const area = SHARP_EDGE * boreArea(input.diameter);
  const resistance = 1 / (2 * fluid.density * area * area);
  const static_ = fluid.density * GRAVITY * input.rise;
  return {
    initialFlow: input.initialFlow,
    residual(m, from, to, out) {
      out[0] = resistance * signedSquare(m) - (from - to - static_);
      out[1] = resistance * signedSquareSlope(m);
      out[2] = -1;
      out[3] = 1;
    },
  };
}
