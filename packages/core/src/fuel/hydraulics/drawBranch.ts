import { type BranchModel, FLOW_SCALE } from './branchModel.ts';

/**
 * A row of injectors: draws the demanded mean mass flow kg/s, at most what it passes held open,
 * coefficient·√(p_rail − p_man). `staticCoefficient` in kg/s per √Pa.
 */
export function drawBranch(input: {
  demand: number;
  staticCoefficient: number;
  manifoldGauge: number;
}): BranchModel {
  return {
    initialFlow: input.demand,
    residual(m, from, _to, out) {
      const difference = Math.max(0, from - input.manifoldGauge);
      const greatest = input.staticCoefficient * Math.sqrt(difference);
      const limited = greatest < input.demand;
      out[0] = (m - (limited ? greatest : input.demand)) * FLOW_SCALE;
      out[1] = FLOW_SCALE;
      out[2] =
        limited && difference > 1
          ? (-input.staticCoefficient / (2 * Math.sqrt(difference))) * FLOW_SCALE
          : 0;
      out[3] = 0;
    },
  };
}
