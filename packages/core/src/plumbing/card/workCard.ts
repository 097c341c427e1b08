import type { Catalogue, FittingItem, JointSchool } from '../../catalogue/index.ts';
import { portTypes } from '../../catalogue/index.ts';
import type { Measure } from '../../results/index.ts';
import { type MadeEnd, type MadeLine, jointState } from '../assemblies/madeLine.ts';
import { type LinePart, hasTaper, partsOfLine } from '../buying/partsOfLine.ts';

/** One step of making a line; {placeholders} are filled from `numbers` in the reader’s units. */
export interface CardStep {
  readonly title: string;
  readonly text: string;
  readonly numbers: Readonly<Record<string, Measure>>;
}

/** How one line is made, in the order of the bench. */
export interface WorkCard {
  readonly lineId: string;
  readonly name: string;
  readonly hose: string;
  /** m; undefined while an end is open */
  readonly cut: number | undefined;
  readonly uncertainty: number | undefined;
  /** rad; undefined where an end is straight or nobody says which way its seat looks */
  readonly clocking: number | undefined;
  /** an end is angled, but where its seat looks is not said: it is clocked at the vehicle */
  readonly clockedInPlace: boolean;
  /** Pa; undefined for lines that carry no pressure worth a test */
  readonly testPressure: number | undefined;
  readonly parts: readonly LinePart[];
  readonly steps: readonly CardStep[];
}

const length = (value: number): Measure => ({ value, kind: 'length' });

/** A line is tested at so many times the highest pressure of its circuit, */
const TEST_FACTOR = 1.5;
/** and gas is let in for leak tests up to this only, Pa. */
export const GAS_TEST = 50e3;

/** The pressure at which a loose line is tested: within what its weakest part is rated for. */
export function testPressureOf({ pressure, hose, ends }: MadeLine): number | undefined {
  if (pressure <= GAS_TEST) return undefined;
  const ratings = [
    ...(hose ? [hose] : []),
    ...ends.flatMap(({ item, adapters }) => [...(item ? [item] : []), ...adapters]),
  ].map((each) => each.pressureRating);
  return Math.min(TEST_FACTOR * pressure, ...ratings);
}

const endName = (end: MadeEnd): string => (end.side === 'from' ? 'End A' : 'End B');

const onto = ({ partner }: MadeEnd): string =>
  partner && partner.name !== '' ? `, the one at the ${partner.name.toLowerCase()}` : '';

const clampWords: Readonly<Record<FittingItem['earClamp'], string>> = {
  forbidden: 'No clamp around it: this end forbids one.',
  allowed: 'An ear clamp between the barbs is allowed, not asked.',
  asked: 'Clamp it between the barbs; an ear clamp is never used twice.',
};

/** How an end is put on its hose, by school of joint. */
function puttingOn(school: JointSchool, item: FittingItem): string {
  switch (school) {
    case 'push-on':
      return `Oil the barbs, push the hose on in one go until it meets the collar. ${clampWords[item.earClamp]} A push-on joint that was pulled off is cut off, never used again.`;
    case 'barb':
      return `Slide the clamp over the hose first. Oil the barb, push the hose on over all of it. ${clampWords[item.earClamp]}`;
    case 'reusable':
      return 'Turn the socket onto the hose until the hose meets its shoulder; mark the hose with tape at the socket, so that creep shows. Oil nipple and thread, screw the nipple in to a gap of 1 mm or less. The tape must not have moved.';
    case 'crimped':
      return 'Push the hose in until it seats; mark it with tape at the collar, so that creep shows. Crimp with the die and to the diameter of the end’s own table; measure the crimp. The tape must not have moved.';
    case 'flared':
      return 'Slide nut and sleeve on first. Deburr, flare to 37°, look at the flare under a glass: no crack, no burr, even all round.';
    case 'ferrule':
      return 'Slide nut and ferrule on first. Push the tube in until it stops, tighten by hand, then one and a quarter turns.';
    case 'none':
      return 'Put it on as its data say.';
  }
}

/** How a hose or tube is cut. */
function cutting(line: MadeLine): string {
  const { hose } = line;
  switch (hose?.wall) {
    case 'braided':
      return 'Wrap it tightly with tape at the cut. Cut through the tape, square, with a cut-off wheel or a sharp cutter; no wire stands out.';
    case 'convoluted':
      return 'Wrap it tightly with tape. Cut square in a valley of the convolution.';
    case 'rigid':
      return 'Cut square with a tube cutter, little by little. Deburr inside and out. Bend it before the second end is made.';
    case 'plain':
    case undefined:
      return 'Cut square with a sharp knife, not with a saw.';
  }
}

function endSteps(end: MadeEnd, line: MadeLine): CardStep[] {
  const { item } = end;
  if (!item) {
    return jointState(end, line.hose) === 'straight-on'
      ? [
          {
            title: `${endName(end)}: over the barb`,
            text: `It goes straight onto the barb${onto(end)}, at the vehicle: clamp over the hose first, oil the barb, push it on over all of it, clamp between bead and end of the hose.`,
            numbers: {},
          },
        ]
      : [
          {
            title: `${endName(end)}: not chosen`,
            text: 'Choose its end before you cut.',
            numbers: {},
          },
        ];
  }
  return [
    {
      title: `${endName(end)}: ${item.designation}`,
      text: `${endName(end)}${onto(end)}. ${puttingOn(item.joint, item)}`,
      numbers: {},
    },
  ];
}

/** How a joint is sealed, by its kinds of port. */
function sealing(each: FittingItem): string {
  const kinds = [each.firstPort, each.secondPort].map((port) =>
    port === 'none' ? undefined : portTypes.get(port)?.kind,
  );
  if (kinds.includes('taper')) {
    return 'fuel-proof sealant on all threads but the first, no tape; look where it ends before it sets';
  }
  if (kinds.includes('boss') || kinds.includes('metric')) {
    return 'O-ring lightly oiled, no sealant';
  }
  return 'nut thread lightly oiled, no sealant and no tape on the flare';
}

/** What goes between a part and the end of a line, tightened first. */
function fittingSteps(end: MadeEnd): CardStep[] {
  const { adapters } = end;
  return [
    ...adapters.map((each, i): CardStep => ({
      title: `At ${end.side === 'from' ? 'A' : 'B'}: ${each.designation}`,
      text: each.torque > 0 ? `${sealing(each)}; {torque${i}}.` : `${sealing(each)}.`,
      numbers: each.torque > 0 ? { [`torque${i}`]: { value: each.torque, kind: 'torque' } } : {},
    })),
  ];
}

/** The nuts of a line at the vehicle: one step where both ends are tightened alike. */
function nutSteps(ends: readonly MadeEnd[]): CardStep[] {
  const nuts = ends.flatMap(({ side, item }) =>
    item && item.torque > 0
      ? [{ at: side === 'from' ? 'A' : 'B', words: sealing(item), torque: item.torque }]
      : [],
  );
  const alike = new Map<string, (typeof nuts)[number]>();
  for (const nut of nuts) {
    const key = `${nut.words} ${nut.torque}`;
    const known = alike.get(key);
    alike.set(key, known ? { ...known, at: `${known.at} and ${nut.at}` } : nut);
  }
  return [...alike.values()].map(({ at, words, torque }) => ({
    title: `At ${at}: nut of the line`,
    text: `Start it by hand, ${words}. Hold the body against it: {torque}. A witness mark across nut and body; the hose must not turn.`,
    numbers: { torque: { value: torque, kind: 'torque' as const } },
  }));
}

/** How a line is made: what to lay out, the steps in order, the test. */
export function workCard(line: MadeLine, catalogue: Catalogue): WorkCard {
  const { ends, hose, cut, clocking, uncertainty, length: run } = line;
  const [first, second] = ends;
  const angled = ends.filter(({ item }) => item && item.angle > 0).length === 2;
  const clockedInPlace = angled && !clocking;
  const testPressure = testPressureOf(line);
  const steps: CardStep[] = [
    {
      title: 'Measure in place',
      text:
        uncertainty === undefined
          ? 'Lay a string, or the hose itself, along its way from seat to seat. {run} is what was typed or estimated.'
          : 'Lay a string, or the hose itself, along its way from seat to seat: {run} by the map, known to ± {uncertainty}. Write down what you find; it replaces the map.',
      numbers: {
        run: length(run ?? 0),
        ...(uncertainty === undefined ? {} : { uncertainty: length(uncertainty) }),
      },
    },
    {
      title: 'Cut',
      text: cut
        ? `Mark {cut}. ${cutting(line)}`
        : `It cannot be cut before both ends are chosen. ${cutting(line)}`,
      numbers: cut ? { cut: length(cut.value) } : {},
    },
    {
      title: 'Check the liner',
      text: 'Look into both ends: liner whole and round, no strand, no burr, no chip. Blow it out.',
      numbers: {},
    },
    ...endSteps(first, line),
    ...(clocking
      ? [
          {
            title: 'Clock the second end',
            text: 'Hold the line with end A towards you and look along it: from A’s nose, {clocking} clockwise to B’s nose. Turn B so before it is tightened.',
            numbers: { clocking: { value: clocking.value, kind: 'angle' as const } },
          },
        ]
      : clockedInPlace
        ? [
            {
              title: 'Clock the second end at the vehicle',
              text: 'Both ends are angled and the map does not say which way their seats look: hold the line in place and mark B against the hose.',
              numbers: {},
            },
          ]
        : []),
    ...endSteps(second, line),
    {
      title: 'Flush, cap, label',
      text: `Flush it, blow it out, cap both ends. Label it “${line.name}”, A and B. Then pull it through; caps stay on until it is screwed on.`,
      numbers: {},
    },
    testPressure === undefined
      ? {
          title: 'Leak test',
          text: 'With air, at {gas} or less, under water or with soap. No more than that with gas.',
          numbers: { gas: { value: GAS_TEST, kind: 'pressure' } },
        }
      : {
          title: 'Pressure test, loose on the bench',
          text: 'With liquid, the air bled out, behind a screen: {test}, hold for 5 minutes. No drop, no creep at the tape. Then dry it. Gas only for leaks, at {gas} or less.',
          numbers: {
            test: { value: testPressure, kind: 'pressure' },
            gas: { value: GAS_TEST, kind: 'pressure' },
          },
        },
    ...fittingSteps(first),
    ...fittingSteps(second),
    ...nutSteps(ends),
  ];
  return {
    lineId: line.lineId,
    name: line.name,
    hose: hose?.designation ?? '',
    cut: cut?.value,
    uncertainty,
    clocking: clocking?.value,
    clockedInPlace,
    testPressure,
    parts: [
      ...partsOfLine(line, catalogue),
      ...(hasTaper(line) ? [{ item: undefined, words: 'Thread sealant for fuel', count: 1 }] : []),
    ],
    steps,
  };
}
