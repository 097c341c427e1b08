import { newestOf, refOf } from '../../catalogue/index.ts';
import { type BuildCommand, type BuildFinding, ORDER_STEP } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import { plainDevice } from '../slices/plainDevice.ts';
import { freeId } from '../proposals/newDevice.ts';

/** Puts a switch into the feed of a relay's coil. */
function interlock({ wired, catalogue }: ElectricsChecked, relayId: string): Cure<BuildCommand>[] {
  const relay = wired.devices.find(({ id }) => id === relayId);
  const before = relay?.connections['86'];
  const item = newestOf(catalogue, 'device').find(
    ({ role, pins }) =>
      role === 'switch' &&
      pins.length === 2 &&
      pins.some(({ behaviour, use }) => behaviour === 'contact' && use === 'supply'),
  );
  const [feed, end] = item?.pins ?? [];
  if (!relay || !before || before.to === 'controller' || !item || !feed || !end) return [];
  const id = freeId(wired, 'start-interlock');
  const text = `Fit a clutch or neutral switch in the coil circuit of ${relay.name}`;
  return [
    {
      text,
      command: {
        name: 'set-several',
        label: text,
        changes: [
          {
            path: ['devices', id],
            value: {
              ...plainDevice,
              order: ORDER_STEP * (wired.devices.length + 1),
              name: 'Start interlock, clutch or neutral',
              part: { kind: 'item', item: refOf(item) },
              placementId: relay.placementId,
              connections: { [feed.id]: before },
            },
          },
          {
            path: ['devices', relay.id, 'connections', '86'],
            value: { to: 'part', partId: id, pin: end.id },
          },
        ],
      },
    },
  ];
}

const starter: ElectricsRule = {
  id: 'starter.interlock',
  source: 'the starter has its own relay, and turns only in neutral or with the clutch down',
  check: (checked) =>
    checked.sneaks.left.startsInGear.map((relayId): BuildFinding => ({
      id: `starter.interlock:${relayId}`,
      rule: 'starter.interlock',
      severity: 'warn',
      where: { stage: 'switching', switch: relayId },
      title: 'Starter can turn in gear',
      because: `${checked.electrics.netlist.parts.find(({ id }) => id === relayId)?.name ?? relayId}: no clutch or neutral switch is in its coil circuit, and no controller drives it`,
      numbers: {},
      cures: () => [
        ...interlock(checked, relayId),
        { text: 'Route the coil through the clutch or neutral switch' },
      ],
    })),
};

/** Checks of how the starter is let turn. */
export const starterRules: readonly ElectricsRule[] = [starter];
