import type { SurgeTankElement } from '../../model/index.ts';
import type { BranchModel } from './branchModel.ts';
import { type Fluid, GRAVITY } from './fluid.ts';

/** Loss inside the vessel, Pa per kg/s: 10 Pa at 100 g/s, next to nothing. */
const INSIDE = 100;

/** A way through a full vessel: level pressure, hardly any loss. */
function inside(rise: number, fluid: Fluid): BranchModel {
  const static_ = fluid.density * GRAVITY * rise;
  return {
    initialFlow: 0.02,
    residual(m, from, to, out) {
      out[0] = from - to - static_ - INSIDE * m;
      out[1] = -INSIDE;
      out[2] = 1;
      out[3] = -1;
    },
  };
}

/** Branches of a surge tank that is full: what comes in leaves to the pump or runs over. */
export function surgeTankBranches(
  tank: SurgeTankElement,
  heights: Readonly<Record<string, number>>,
  fluid: Fluid,
): { id: string; from: string; to: string; model: BranchModel }[] {
  const way = (name: string, from: string, to: string) => ({
    id: `${tank.id}~${name}`,
    from,
    to,
    model: inside((heights[to] ?? 0) - (heights[from] ?? 0), fluid),
  });
  return [
    way('lift', tank.inlet, tank.outlet),
    way('return', tank.returnNode, tank.outlet),
    way('over', tank.outlet, tank.overflow),
  ];
}
