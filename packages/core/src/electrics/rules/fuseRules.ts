import { newestOf, refOf } from '../../catalogue/index.ts';
import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import type { SizedFuse } from '../network/fuseChoices.ts';
import { judgeFuse } from '../power/chooseFuse.ts';
import { lowerFirst } from '../../quantities/index.ts';

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
          text: 'Size the fuse by the rules',
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
          because: `${name}: when hot it carries {hot}; 1.25 times the load is {needed}`,
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
          title: 'Fuse may blow at switch-on',
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

const fusePosition: ElectricsRule = {
  id: 'fuse.position',
  source:
    'the rating that the maker of a fuse box or block allows in one position, for instance 20 A',
  check: ({ wired, electrics, catalogue }) =>
    electrics.fuses.flatMap(({ partId, name, judged: { fuse }, load }): BuildFinding[] => {
      const device = wired.devices.find(({ id }) => id === partId);
      const most = device?.positionLimit?.value;
      if (most === undefined || fuse.rating <= most) return [];
      const rating = { value: fuse.rating, kind: 'current' } as const;
      const limit = { value: most, kind: 'current' } as const;
      const cures = (): Cure<BuildCommand>[] => {
        const smaller = newestOf(catalogue, 'fuse')
          .filter((each) => each.style === fuse.style && each.rating <= most)
          .sort((a, b) => a.rating - b.rating)
          .find((each) => {
            const { carriesLoad, ridesThrough } = judgeFuse(each, load);
            return carriesLoad && ridesThrough;
          });
        return [
          ...(smaller
            ? [
                {
                  text: `Fit ${lowerFirst(smaller.designation)}: it carries the load`,
                  command: { name: 'choose-fuse', deviceId: partId, item: refOf(smaller) } as const,
                },
              ]
            : []),
          {
            text: 'Move it out of the box into a holder made for it',
            command: { name: 'set', path: ['devices', partId, 'positionLimit'], value: null },
          },
        ];
      };
      return [
        {
          id: `fuse.position:${partId}`,
          rule: 'fuse.position',
          severity: 'stop',
          where: { stage: 'devices', device: partId },
          title: 'Fuse is larger than its position allows',
          because: `${name} is rated {rating}; its position in the box is rated {limit}`,
          numbers: { rating, limit },
          measured: rating,
          limit,
          cures,
        },
      ];
    }),
};

/** Checks of the fuses that are no pump's, and of the positions that fuses sit in. */
export const fuseRules: readonly ElectricsRule[] = [deviceFuse, fusePosition];
