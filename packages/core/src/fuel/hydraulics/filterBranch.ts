import type { FilterItem } from '../../catalogue/index.ts';
import { type BranchModel, signedSquare, signedSquareSlope } from './branchModel.ts';
import { type Fluid, GRAVITY } from './fluid.ts';

/** Δp = a·μ·Q + b·ρ·Q², a in 1/m³ and b in 1/m⁴. */
export interface FilterLaw {
  readonly viscous: number;
  readonly inertial: number;
}

/**
 * Fits the law to one or two data-sheet points (one point: inertial part 0). A fit that would
 * make either part negative falls back to the part that is not.
 */
export function filterLaw(
  filter: Pick<FilterItem, 'points' | 'testDensity' | 'testViscosity'>,
): FilterLaw {
  const [first, second] = filter.points;
  const { testDensity: density, testViscosity: viscosity } = filter;
  const viscousOnly = { viscous: first!.pressureDrop / (viscosity * first!.flow), inertial: 0 };
  if (!second) return viscousOnly;
  const ratio1 = first!.pressureDrop / first!.flow;
  const ratio2 = second.pressureDrop / second.flow;
  const inertial = (ratio2 - ratio1) / (second.flow - first!.flow) / density;
  if (inertial < 0) return viscousOnly;
  const viscous = (ratio1 - inertial * density * first!.flow) / viscosity;
  if (viscous >= 0) return { viscous, inertial };
  return { viscous: 0, inertial: second.pressureDrop / (density * second.flow ** 2) };
}

/** A filter, `loadedFactor` 1 when clean. */
export function filterBranch(input: {
  law: FilterLaw;
  loadedFactor: number;
  rise: number;
  fluid: Fluid;
  initialFlow: number;
}): BranchModel {
  const { law, fluid, loadedFactor } = input;
  const linear = (loadedFactor * law.viscous * fluid.viscosity) / fluid.density;
  const square = (loadedFactor * law.inertial) / fluid.density;
  const static_ = fluid.density * GRAVITY * input.rise;
  return {
    initialFlow: input.initialFlow,
    residual(m, from, to, out) {
      out[0] = from - to - static_ - linear * m - square * signedSquare(m);
      out[1] = -linear - square * signedSquareSlope(m);
      out[2] = 1;
      out[3] = -1;
    },
  };
}
