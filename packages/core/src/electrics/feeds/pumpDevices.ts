import type { Device, Ground } from '../../model/index.ts';
import type { TriggerSide } from './coilConnections.ts';
import { type FeedPlan, feedGround, planCutOff, planFeed } from './planFeed.ts';

/** What feeds the pumps of a build that is planned anew. */
export interface PumpsPlan {
  readonly pumps: readonly (FeedPlan['pump'] & { readonly triggerPin?: string })[];
  readonly fuse: FeedPlan['fuse'];
  readonly relay: FeedPlan['relay'];
  readonly panelPlacementId: string;
  readonly groundPlacementId: string;
  readonly trigger: TriggerSide;
  /** the switch that opens all coils in a crash */
  readonly cutOff: { readonly part: Device['part']; readonly placementId: string };
  readonly loadedTogether: number;
}

const CUT_OFF = 'inertia-switch';

/** The devices of the pumps' feeds, with the switch that their coils share and their ground. */
export function pumpDevices(plan: PumpsPlan): {
  readonly devices: Device[];
  readonly grounds: Ground[];
} {
  const { pumps, cutOff, trigger, loadedTogether } = plan;
  const [first] = pumps;
  if (!first) return { devices: [], grounds: [] };
  const ground = feedGround(first.id, first.name, plan.groundPlacementId);
  const feeds = pumps.flatMap(({ triggerPin = '', ...pump }) =>
    planFeed({ ...plan, pump, groundId: ground.id, triggerPin, cutOffId: CUT_OFF }),
  );
  return {
    devices: [
      planCutOff({
        id: CUT_OFF,
        ...cutOff,
        side: trigger,
        groundId: ground.id,
        loadedTogether,
      }),
      ...feeds,
    ],
    grounds: [ground],
  };
}
