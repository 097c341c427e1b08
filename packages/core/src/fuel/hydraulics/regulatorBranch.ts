import type { RegulatorItem } from '../../catalogue/index.ts';
import { FLOW_SCALE, type BranchModel, complementarity } from './branchModel.ts';
import type { Fluid } from './fluid.ts';

/** Least slope of held pressure over flow, Pa per kg/s: 0.5 Pa at 50 g/s. */
const LEAST_SLOPE = 10;

/** What the law of a regulator needs of its item. */
export type RegulatorLaw = Pick<RegulatorItem, 'slope' | 'openArea'>;

export interface RegulatorSetting {
  readonly item: RegulatorLaw;
  readonly setPressure: number;
  readonly manifoldRatio: number;
}

/** Pressure Pa gauge that is held at no bypass. */
export function heldPressure(
  setting: Pick<RegulatorSetting, 'setPressure' | 'manifoldRatio'>,
  manifoldGauge: number,
): number {
  return setting.setPressure + setting.manifoldRatio * manifoldGauge;
}

/** Pressure loss Pa of a regulator wide open at a volume flow m³/s. */
export function wideOpenLoss(item: RegulatorLaw, flow: number, density: number): number {
  return (density * flow * flow) / (2 * item.openArea * item.openArea);
}

/**
 * Back-pressure regulator: m ≥ 0 ⊥ p_in ≤ max(set + ratio·p_man + slope·Q, p_out + wide-open loss).
 * In mode `holding` the inlet is kept at the held pressure whatever flow that takes, in either
 * direction: this asks what the supply can deliver there.
 */
export function regulatorBranch(input: {
  setting: RegulatorSetting;
  manifoldGauge: number;
  mode: 'regulating' | 'holding';
  /** gauge pressure Pa at which `holding` keeps the inlet, in the place of the set one */
  heldAt?: number | undefined;
  fluid: Fluid;
  initialFlow: number;
  smoothing: number;
}): BranchModel {
  const { setting, fluid } = input;
  const held = input.heldAt ?? heldPressure(setting, input.manifoldGauge);
  const slope = Math.max(LEAST_SLOPE, setting.item.slope / fluid.density);
  const open = 1 / (2 * fluid.density * setting.item.openArea ** 2);
  const gap = { value: 0, perFlow: 0, perFrom: -1, perTo: 0 };
  if (input.mode === 'holding') {
    return {
      initialFlow: input.initialFlow,
      residual(m, from, _to, out) {
        const regulating = m > 0 ? slope : LEAST_SLOPE;
        out[0] = held + regulating * m - from;
        out[1] = regulating;
        out[2] = -1;
        out[3] = 0;
      },
    };
  }
  return {
    initialFlow: input.initialFlow,
    residual(m, from, to, out) {
      const through = Math.max(0, m);
      const holding = held + slope * m;
      const wideOpen = to + open * through * through;
      if (wideOpen > holding) {
        gap.value = wideOpen - from;
        gap.perFlow = Math.max(LEAST_SLOPE, 2 * open * through);
        gap.perTo = 1;
      } else {
        gap.value = holding - from;
        gap.perFlow = slope;
        gap.perTo = 0;
      }
      complementarity(out, m, gap, input.smoothing);
    },
  };
}

/** Takes from a node whatever keeps it at a pressure Pa gauge, or gives it: what is to spare. */
export function spareBranch(held: number): BranchModel {
  return {
    initialFlow: 0,
    residual(m, from, _to, out) {
      out[0] = held + LEAST_SLOPE * m - from;
      out[1] = LEAST_SLOPE;
      out[2] = -1;
      out[3] = 0;
    },
  };
}

/** A branch that is shut: no flow. */
export const closedBranch: BranchModel = {
  initialFlow: 0,
  residual(m, _from, _to, out) {
    out[0] = m * FLOW_SCALE;
    out[1] = FLOW_SCALE;
    out[2] = 0;
    out[3] = 0;
  },
};
