import { type BranchModel, signedSquare, signedSquareSlope } from './branchModel.ts';
import { type Fluid, GRAVITY, boreArea } from './fluid.ts';
import { type FrictionFactor, frictionFactor } from './friction.ts';

/** A loss coefficient on its own bore m; `count` of them in a row. */
export interface LocalLoss {
  readonly lossCoefficient: number;
  readonly bore: number;
  readonly count: number;
}

export interface PipeGeometry {
  readonly length: number;
  readonly bore: number;
  readonly roughness: number;
  readonly losses: readonly LocalLoss[];
}

/** Pa per (kg/s)² of local losses. */
export function localLossFactor(losses: readonly LocalLoss[], density: number): number {
  return losses.reduce((sum, loss) => {
    const area = boreArea(loss.bore);
    return sum + (loss.count * loss.lossCoefficient) / (2 * density * area * area);
  }, 0);
}

/** Reynolds number of a mass flow kg/s in a bore m. */
export function reynoldsNumber(massFlow: number, bore: number, viscosity: number): number {
  return (4 * Math.abs(massFlow)) / (Math.PI * bore * viscosity);
}

/** Friction and local pressure loss Pa of a pipe; sign of the flow. Darcy-Weisbach. */
export function pipeLoss(pipe: PipeGeometry, massFlow: number, fluid: Fluid): number {
  const area = boreArea(pipe.bore);
  const reynolds = reynoldsNumber(massFlow, pipe.bore, fluid.viscosity);
  const friction =
    reynolds === 0
      ? 0
      : (frictionFactor(reynolds, pipe.roughness / pipe.bore).factor *
          (pipe.length / pipe.bore) *
          massFlow *
          Math.abs(massFlow)) /
        (2 * fluid.density * area * area);
  return friction + localLossFactor(pipe.losses, fluid.density) * signedSquare(massFlow);
}

/** A hose or tube with its fittings; `rise` is z_to − z_from in m. */
export function pipeBranch(input: {
  pipe: PipeGeometry;
  rise: number;
  fluid: Fluid;
  initialFlow: number;
}): BranchModel {
  const { pipe, fluid } = input;
  const area = boreArea(pipe.bore);
  const squareFactor = pipe.length / pipe.bore / (2 * fluid.density * area * area);
  const localFactor = localLossFactor(pipe.losses, fluid.density);
  const reynoldsPerFlow = 4 / (Math.PI * pipe.bore * fluid.viscosity);
  const relativeRoughness = pipe.roughness / pipe.bore;
  const static_ = fluid.density * GRAVITY * input.rise;
  const laminarSlope = (64 * squareFactor) / reynoldsPerFlow;
  const friction: FrictionFactor = { factor: 0, perReynolds: 0 };
  return {
    initialFlow: input.initialFlow,
    residual(m, from, to, out) {
      const magnitude = Math.abs(m);
      const reynolds = magnitude * reynoldsPerFlow;
      let loss: number;
      let slope: number;
      if (reynolds <= 2300) {
        loss = laminarSlope * m;
        slope = laminarSlope;
      } else {
        frictionFactor(reynolds, relativeRoughness, friction);
        loss = friction.factor * squareFactor * m * magnitude;
        slope = squareFactor * magnitude * (2 * friction.factor + friction.perReynolds * reynolds);
      }
      out[0] = from - to - static_ - loss - localFactor * signedSquare(m);
      out[1] = -slope - localFactor * signedSquareSlope(m);
      out[2] = 1;
      out[3] = -1;
    },
  };
}
