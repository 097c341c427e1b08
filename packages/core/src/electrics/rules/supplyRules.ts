import { type DeviceItem, lookUp, newestOf, refOf } from '../../catalogue/index.ts';
import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import { lowerFirst } from '../../quantities/index.ts';
import type { Cure, Severity } from '../../results/index.ts';
import type { ElectricsChecked, ElectricsRule } from '../checked.ts';
import { electricCaseWords } from '../network/electricCases.ts';
import type { SupplyCase } from '../supply/supplyStage.ts';

/** For so long the battery may make up for everything at once at idle, s. */
const ALL_AT_ONCE = 600;
/** So long is longer than any run of a competition, s. */
const A_RUN = 1800;
/** A vehicle is left alone for so long without a thought, days. */
const LEFT_ALONE = 14;

const givenBy = ({ pins }: DeviceItem): number =>
  pins.reduce((sum, { use, current }) => (use === 'supply-out' ? sum + current : sum), 0);

/** A larger one with the same pins, where the catalogue has one that gives enough. */
function larger(
  { wired, catalogue, supply }: ElectricsChecked,
  short: SupplyCase,
): Cure<BuildCommand>[] {
  const [generator, ...others] = supply.generators;
  const device = wired.devices.find(({ id }) => id === generator?.id);
  if (others.length > 0 || device?.part.kind !== 'item' || !short.available) return [];
  const present = lookUp(catalogue, 'device', device.part.item, `devices.${device.id}`);
  const wanted = (givenBy(present) * short.load) / short.available;
  const pinsOf = (item: DeviceItem): string => item.pins.map(({ id, use }) => id + use).join();
  const [fit] = newestOf(catalogue, 'device')
    .filter(
      (item) =>
        item.role === present.role &&
        pinsOf(item) === pinsOf(present) &&
        givenBy(item) >= wanted * (1 + 1e-9),
    )
    .sort((a, b) => givenBy(a) - givenBy(b));
  return fit
    ? [
        {
          text: `Fit ${lowerFirst(fit.designation)}: check that its fuse and cable carry it`,
          command: {
            name: 'set',
            path: ['devices', device.id, 'part'],
            value: { kind: 'item', item: refOf(fit) },
          },
        },
      ]
    : [];
}

/** How grave it is that a case takes more than is given. */
function severityOf({ inCase, covers }: SupplyCase, use: string): Severity {
  const atLeast = (seconds: number): boolean => covers !== undefined && covers >= seconds;
  if (inCase === 'worst') return atLeast(ALL_AT_ONCE) ? 'note' : 'warn';
  return use === 'competition' && atLeast(A_RUN) ? 'note' : 'warn';
}

const budget: ElectricsRule = {
  id: 'alternator.budget',
  source: 'load against alternator output: × 0.45 at idle, × 0.85 when hot',
  check: (checked) =>
    checked.supply.cases.flatMap((each): BuildFinding[] => {
      const { inCase, load, available, margin, covers } = each;
      if (available === undefined || margin === undefined || margin >= 0) return [];
      const words = electricCaseWords[inCase];
      const lasts = covers === undefined ? '' : '; the battery makes up the rest for {covers}';
      return [
        {
          id: `alternator.budget:${inCase}`,
          rule: 'alternator.budget',
          severity: severityOf(each, checked.document.brief.use),
          where: { stage: 'supply' },
          title: `Alternator cannot carry the load: ${words}`,
          because: `${words} the loads draw {load}; the alternator delivers {available}${lasts}`,
          numbers: {
            load: { value: load, kind: 'current' },
            available: { value: available, kind: 'current' },
            ...(covers === undefined
              ? {}
              : { covers: { value: covers, kind: 'endurance' as const } }),
          },
          measured: { value: load, kind: 'current' },
          limit: { value: available, kind: 'current' },
          cures: () => [
            ...larger(checked, each),
            { text: 'Switch loads off in this state, or raise the idle speed' },
          ],
        },
      ];
    }),
};

const standing: ElectricsRule = {
  id: 'battery.drain',
  source: 'time from full charge until the battery no longer cranks the engine',
  check: ({ supply }) =>
    supply.daysUntilFlat === undefined || supply.daysUntilFlat >= LEFT_ALONE
      ? []
      : [
          {
            id: 'battery.drain',
            rule: 'battery.drain',
            severity: 'warn',
            where: { stage: 'supply' },
            title: 'Battery goes flat while the vehicle is parked',
            because:
              'with the key off the vehicle draws {drain}: the engine cranks for {days} at most',
            numbers: {
              drain: { value: supply.drain, kind: 'drain' },
              days: { value: supply.daysUntilFlat, kind: 'days' },
            },
            measured: { value: supply.daysUntilFlat, kind: 'days' },
            limit: { value: LEFT_ALONE, kind: 'days' },
            cures: () => [
              { text: 'Move loads that can do without to a keyed feed, or fit an isolator' },
              { text: 'Keep it on a charger' },
            ],
          },
        ],
};

/** Checks of alternator and battery. */
export const supplyRules = [budget, standing];
