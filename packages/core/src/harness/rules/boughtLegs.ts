import type { BoughtHarness, BoughtLeg, BuildCommand, BuildFinding } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { LedLeg } from '../bought/boughtLegs.ts';
import type { HarnessChecked, HarnessRule } from '../checked.ts';

/** What a splice takes of a wire on both of its sides, m. */
const OVERLAP = 0.06;
/** So much of a leg is folded away without a word, m. */
const FOLDED = 0.15;
const STEP = 0.01;

interface Told {
  readonly leg: LedLeg;
  readonly stored: BoughtLeg;
  readonly loom: BoughtHarness;
}

const inLoom = ({ id }: BoughtHarness): BuildFinding['where'] => ({ stage: 'looms', loom: id });

/** Every leg with what the build says of it. */
const legsOf = ({ led, decidedHarness }: HarnessChecked): readonly Told[] =>
  led.legs.flatMap((leg) => {
    const loom = decidedHarness.bought.find(({ id }) => id === leg.loomId);
    const stored = loom?.legs.find(({ id }) => id === leg.legId);
    return loom && stored ? [{ leg, stored, loom }] : [];
  });

const onLegs =
  (check: (told: Told, checked: HarnessChecked) => BuildFinding[]): HarnessRule['check'] =>
  (checked) =>
    legsOf(checked).flatMap((told) => check(told, checked));

const setLeg = ({ loom, stored }: Told, field: string, value: unknown): BuildCommand => ({
  name: 'set',
  path: ['harness', 'bought', loom.id, 'legs', stored.id, field],
  value,
});

const mm = (metres: number) => quantity(Math.round(metres * 1e3), 'length', 'mm');
const inMm = (metres: number): string => `${Math.round(metres * 1e3)} mm`;

/** A leg that is too short for its way. */
export const legShort: HarnessRule = {
  id: 'leg.short',
  source: 'the legs of a bought loom have fixed lengths',
  check: onLegs((told) => {
    const { leg, loom, stored } = told;
    const slack = leg.slack?.value ?? 0;
    if (slack >= 0 || !leg.needed) return [];
    const by = Math.ceil((-slack + OVERLAP) / STEP) * STEP;
    return [
      {
        id: `leg.short:${loom.id}/${leg.legId}`,
        rule: 'leg.short',
        severity: 'warn',
        where: inLoom(loom),
        title: 'Leg does not reach',
        because: `“${leg.name}” of ${loom.name.toLowerCase()} is {length} long and needs {needed}: {missing} are missing`,
        numbers: {
          length: { value: leg.length.value, kind: 'length' },
          needed: { value: leg.needed.value, kind: 'length' },
          missing: { value: -slack, kind: 'length' },
        },
        measured: { value: leg.length.value, kind: 'length' },
        limit: { value: leg.needed.value, kind: 'length' },
        worse: 'lower',
        cures: () => [
          {
            text: `Extend it by ${inMm(by)}, splice and overlap included`,
            command: setLeg(told, 'changed', mm(stored.changed.value + by)),
          },
          { text: 'Move its connector to where all legs reach' },
        ],
      },
    ];
  }),
};

/** A leg that is much too long for its way. */
export const legLong: HarnessRule = {
  id: 'leg.long',
  source: 'spare length is folded flat, never coiled beside ignition',
  check: onLegs((told) => {
    const { leg, loom, stored } = told;
    const slack = leg.slack?.value ?? 0;
    if (slack <= FOLDED) return [];
    const by = Math.floor((slack - OVERLAP) / STEP) * STEP;
    return [
      {
        id: `leg.long:${loom.id}/${leg.legId}`,
        rule: 'leg.long',
        severity: 'note',
        where: inLoom(loom),
        title: 'Leg is too long',
        because: `“${leg.name}” has {slack} to spare: fold it flat and tie it twice; no coil, and not beside ignition coils`,
        numbers: { slack: { value: slack, kind: 'length' } },
        measured: { value: slack, kind: 'length' },
        limit: { value: FOLDED, kind: 'length' },
        worse: 'higher',
        cures: () => [
          {
            text: `Shorten it by ${inMm(by)}`,
            command: setLeg(told, 'changed', mm(stored.changed.value - by)),
          },
        ],
      },
    ];
  }),
};

const directionWords = { on: 'on along it', square: 'square to it', back: 'back' } as const;

/** A leg that leaves its trunk another way than it was built. */
export const legTurned: HarnessRule = {
  id: 'leg.turned',
  source: 'a turned breakout is tied again on both sides of the branch',
  check: onLegs((told) => {
    const { leg, loom, stored } = told;
    if (leg.turns === undefined || leg.turns === stored.leaves) return [];
    const { turns } = leg;
    return [
      {
        id: `leg.turned:${loom.id}/${leg.legId}`,
        rule: 'leg.turned',
        severity: 'note',
        where: inLoom(loom),
        title: 'Breakout has to be turned',
        because: `“${leg.name}” was built to leave the trunk ${directionWords[stored.leaves]}; on the vehicle it goes ${directionWords[turns]}`,
        numbers: {},
        cures: () => [
          {
            text: 'Turn it, with ties on both sides of the branch and support within 100 mm of its connector',
            command: setLeg(told, 'leaves', turns),
          },
        ],
      },
    ];
  }),
};

/** A leg to where the harness does not lead. */
export const legUnled: HarnessRule = {
  id: 'leg.unled',
  source: 'legs of a bought loom follow the harness on the map',
  check: onLegs(({ leg, loom }, { led, placements }) => {
    if (leg.way || led.segments.length === 0) return [];
    const place = placements.find(({ id }) => id === leg.placementId)?.name ?? leg.placementId;
    return [
      {
        id: `leg.unled:${loom.id}/${leg.legId}`,
        rule: 'leg.unled',
        severity: 'warn',
        where: inLoom(loom),
        title: 'Leg has no route on the map',
        because: `No segment runs from the connector of ${loom.name.toLowerCase()} to ${place.toLowerCase()}: whether “${leg.name}” reaches is not known`,
        numbers: {},
        cures: () => [{ text: 'Connect the place to the harness' }],
      },
    ];
  }),
};

export const boughtLegRules: readonly HarnessRule[] = [legShort, legLong, legTurned, legUnled];
