import { lookUp, newestOf, refOf } from '../../catalogue/index.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import { type ContactJudgement, judgeContact } from '../power/judgeContact.ts';

/** Where a relay is told of: a pump's where its feed is. */
function placeOf({ feeds }: ElectricsChecked, relayId: string) {
  const feed = feeds.find((each) => each.feed.relayId === relayId)?.feed.id;
  return feed === undefined
    ? ({ id: `device.relay:${relayId}`, where: { stage: 'devices', device: relayId } } as const)
    : ({
        id: `relay.contact:${feed}`,
        where: { stage: 'wiring', feed, part: 'relay' },
      } as const);
}

const wordsOf: Readonly<Record<ContactJudgement['of'], { title: string; because: string }>> = {
  contact: {
    title: 'Relay contact is too small',
    because: 'the contact is rated {rating}; 1.25 times the load is {needed}',
  },
  motors: {
    title: 'Relay contact is too small for a motor',
    because: 'for motors the contact is rated {rating}; 1.25 times their current is {needed}',
  },
};

const relayContact: ElectricsRule = {
  id: 'device.relay',
  source: 'relay contact ≥ 1.25 × load; its motor rating where it switches motors',
  check: (checked) =>
    checked.wired.devices.flatMap((device): BuildFinding[] => {
      if (device.state === 'removed' || device.part.kind !== 'relay') return [];
      const load = checked.electrics.contacts[device.id];
      if (!load) return [];
      const relay = lookUp(checked.catalogue, 'relay', device.part.item, device.id);
      const judged = judgeContact(relay, load);
      if (!judged) return [];
      const larger = newestOf(checked.catalogue, 'relay').find((each) => !judgeContact(each, load));
      const { title, because } = wordsOf[judged.of];
      const rating = { value: judged.rating, kind: 'current' } as const;
      const needed = { value: judged.needed, kind: 'current' } as const;
      return [
        {
          ...placeOf(checked, device.id),
          rule: 'device.relay',
          severity: 'stop',
          title,
          because: `${device.name}: ${because}`,
          numbers: { rating, needed },
          measured: rating,
          limit: needed,
          cures: () =>
            larger
              ? [
                  {
                    text: `Fit ${larger.designation}`,
                    command: {
                      name: 'set',
                      path: ['devices', device.id, 'part', 'item'],
                      value: refOf(larger),
                    },
                  },
                ]
              : [{ text: 'Divide the load between two relays' }],
        },
      ];
    }),
};

/** Checks of the relays. */
export const relayRules: readonly ElectricsRule[] = [relayContact];
