import type { DeadHeadRegulatorItem } from '../../catalogue/index.ts';
import { type BranchModel, type Gap, complementarity } from './branchModel.ts';
import type { Fluid } from './fluid.ts';

/** Least slope of held pressure over flow, Pa per kg/s. */
const LEAST_SLOPE = 10;

/**
 * Forward (dead-head) regulator, flow forward only: its outlet stays at or below
 * `set − slope · Q`; wide open it is an orifice: m ≥ 0 ⊥ max(droop, hole) ≥ 0.
 */
export function forwardRegulatorBranch(input: {
  item: Pick<DeadHeadRegulatorItem, 'slope' | 'openArea'>;
  setPressure: number;
  fluid: Fluid;
  initialFlow: number;
  smoothing: number;
}): BranchModel {
  const { item, fluid, setPressure } = input;
  const slope = Math.max(LEAST_SLOPE, item.slope / fluid.density);
  const open = 1 / (2 * fluid.density * item.openArea ** 2);
  const gap: Gap = { value: 0, perFlow: 0, perFrom: 0, perTo: 1 };
  return {
    initialFlow: input.initialFlow,
    residual(m, from, to, out) {
      const droop = to - (setPressure - slope * m);
      const hole = to - from + open * m * Math.abs(m);
      const byDroop = droop > hole;
      gap.value = byDroop ? droop : hole;
      gap.perFlow = byDroop ? slope : Math.max(LEAST_SLOPE, 2 * open * Math.abs(m));
      gap.perFrom = byDroop ? 0 : -1;
      complementarity(out, m, gap, input.smoothing);
    },
  };
}
