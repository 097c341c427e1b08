import { lookUp, newestOf, refOf } from '../../catalogue/index.ts';
import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import { nodeOf } from '../netlist/netlist.ts';
import type { SizedFuse } from '../network/fuseChoices.ts';

/** Fuses that are devices; those of pump feeds are told where the feed is. */
function ownFuses({ wired, electrics, feeds }: ElectricsChecked): readonly SizedFuse[] {
  const own = new Set(wired.devices.map(({ id }) => id));
  for (const { feed } of feeds) if (feed.fuseId !== undefined) own.delete(feed.fuseId);
  return electrics.fuses.filter(({ partId }) => own.has(partId));
}

function curesOf({ partId, chosenByHand }: SizedFuse): Cure<BuildCommand>[] {
  return chosenByHand
    ? [
        {
          text: 'Let the rules choose the fuse',
          command: { name: 'set', path: ['devices', partId, 'part', 'item'], value: null },
        },
      ]
    : [{ text: 'No fuse in the catalogue is large enough' }];
}

const deviceFuse: ElectricsRule = {
  id: 'device.fuse',
  source: 'rating when hot ≥ 1.25 × continuous load; the fast edge rides through the inrush',
  check: (checked) =>
    ownFuses(checked).flatMap((fuse) => {
      const { partId, name, judged } = fuse;
      const where = { stage: 'devices', device: partId } as const;
      const findings: BuildFinding[] = [];
      if (!judged.carriesLoad) {
        const hot = { value: judged.whenHot, kind: 'current' } as const;
        const needed = { value: judged.needed, kind: 'current' } as const;
        findings.push({
          id: `device.fuse:${partId}`,
          rule: 'device.fuse',
          severity: 'warn',
          where,
          title: 'Fuse is too small for its load',
          because: `${name}: hot it carries {hot}; 1.25 times the load is {needed}`,
          numbers: { hot, needed },
          measured: hot,
          limit: needed,
          cures: () => curesOf(fuse),
        });
      }
      if (!judged.ridesThrough) {
        const share = { value: judged.inrushDamage, kind: 'ratio' } as const;
        findings.push({
          id: `device.fuse-inrush:${partId}`,
          rule: 'device.fuse',
          severity: 'warn',
          where,
          title: 'Fuse may blow on switching on',
          because: `${name}: the inrush uses {share} of the fuse’s fast edge`,
          numbers: { share },
          measured: share,
          limit: { value: 1, kind: 'ratio' },
          cures: () => curesOf(fuse),
        });
      }
      return findings;
    }),
};

const deviceRelay: ElectricsRule = {
  id: 'device.relay',
  source: 'relay contact ≥ 1.25 × load',
  check: (checked) =>
    checked.wired.devices.flatMap((device) => {
      if (device.state === 'removed' || device.part.kind !== 'relay') return [];
      if (checked.feeds.some(({ feed }) => feed.relayId === device.id)) return [];
      const relay = lookUp(checked.catalogue, 'relay', device.part.item, device.id);
      const carried = checked.electrics.wires
        .filter(({ wire }) => wire.to.node === nodeOf(device.id, '30'))
        .reduce((most, { task }) => Math.max(most, task.load), 0);
      const needed = 1.25 * carried;
      if (relay.contactRating >= needed) return [];
      const larger = newestOf(checked.catalogue, 'relay').find(
        ({ contactRating }) => contactRating >= needed,
      );
      const rating = { value: relay.contactRating, kind: 'current' } as const;
      const limit = { value: needed, kind: 'current' } as const;
      const finding: BuildFinding = {
        id: `device.relay:${device.id}`,
        rule: 'device.relay',
        severity: 'stop',
        where: { stage: 'devices', device: device.id },
        title: 'Relay contact is too small',
        because: `${device.name}: the contact is rated {rating}; 1.25 times the load is {limit}`,
        numbers: { rating, limit },
        measured: rating,
        limit,
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
      };
      return [finding];
    }),
};

/** Checks of the fuses and relays that are no pump's. */
export const fuseRules: readonly ElectricsRule[] = [deviceFuse, deviceRelay];
