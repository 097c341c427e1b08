import type { EarClampRule, FittingItem, HoseMake, JointSchool } from '../../catalogue/index.ts';
import { entryAt } from '../../numerics/index.ts';
import { dashBores, dashTorque, fitting, mm } from './fittingShorthand.ts';

/** Loss and price above the straight end, by angle. */
const angles: readonly (readonly [angle: number, loss: number, price: number])[] = [
  [0, 0.5, 0],
  [30, 0.55, 3],
  [45, 0.6, 3],
  [60, 0.7, 4],
  [90, 0.9, 4],
  [120, 1.1, 6],
  [150, 1.3, 7],
  [180, 1.5, 8],
];

/** A family of ends that hold one make of hose, nut by dash size. */
interface EndFamily {
  readonly code: string;
  readonly words: string;
  readonly joint: JointSchool;
  readonly holds: HoseMake;
  /** price of the straight −0 */
  readonly base: number;
  readonly angles: readonly number[];
  readonly dashes: readonly number[];
  readonly rating: number;
  readonly earClamp?: EarClampRule;
  /** bore mm of the hose by dash size, where the size alone does not tell it */
  readonly hoseBores?: Readonly<Record<number, number>>;
}

/** From the seat of an end to where its hose ends, along its bend, mm. */
const cutOffOf = (dash: number, angle: number): number =>
  8 + 1.6 * dash + (angle > 0 ? (8 + 0.22 * angle) * (0.6 + dash / 16) : 0);

const family = (of: EndFamily): FittingItem[] =>
  dashBores
    .filter(([dash]) => of.dashes.includes(dash))
    .flatMap(([dash, bore]) =>
      angles
        .filter(([angle]) => of.angles.includes(angle))
        .map(([angle, loss, more]) =>
          fitting(
            `${of.code}${dash}-${angle}`,
            `${of.words} −${dash} ${angle === 0 ? 'straight' : `${angle}°`}`,
            'hose end',
            [bore, loss, of.base + dash + more],
            {
              firstPort: `flare-${dash}-female`,
              joint: of.joint,
              holds: of.holds,
              dash,
              hoseBore: mm(of.hoseBores?.[dash] ?? 0),
              angle: (angle * Math.PI) / 180,
              cutOff: mm(cutOffOf(dash, angle)),
              torque: dashTorque[dash] ?? 0,
              earClamp: of.earClamp ?? 'forbidden',
              pressureRating: of.rating,
            },
          ),
        ),
    );

const everyDash = dashBores.map(([dash]) => dash);
const everyAngle = angles.map(([angle]) => angle);

/** Barbs mm with the taper thread they screw in by. */
const barbs: readonly (readonly [hose: number, taper: number])[] = [
  [6, 2],
  [8, 4],
  [10, 6],
  [12, 8],
];

export const sampleEnds: readonly FittingItem[] = [
  ...family({
    code: 'E',
    words: 'Hose end',
    joint: 'reusable',
    holds: 'braided rubber',
    base: 6,
    angles: everyAngle,
    dashes: everyDash,
    rating: 3e6,
  }),
  ...family({
    code: 'EP',
    words: 'Hose end for PTFE',
    joint: 'reusable',
    holds: 'braided PTFE',
    base: 8,
    angles: everyAngle,
    dashes: everyDash,
    rating: 3e6,
  }),
  ...family({
    code: 'EN',
    words: 'Push-on end',
    joint: 'push-on',
    holds: 'plain rubber',
    base: 3,
    angles: [0, 45, 90],
    hoseBores: { 4: 5.6, 6: 8.7, 8: 11.1, 10: 14.2, 12: 17.5 },
    dashes: [4, 6, 8, 10, 12],
    rating: 1.7e6,
  }),
  ...family({
    code: 'EK',
    words: 'Crimped end for PTFE',
    joint: 'crimped',
    holds: 'braided PTFE',
    base: 5,
    angles: [0, 45, 90],
    dashes: everyDash,
    rating: 6e6,
  }),
  ...family({
    code: 'EV',
    words: 'Crimped end, convoluted',
    joint: 'crimped',
    holds: 'convoluted PTFE',
    base: 9,
    angles: [0, 45, 90],
    dashes: [6, 8, 10, 12, 16],
    rating: 5e6,
  }),
  ...family({
    code: 'EH',
    words: 'Crimped end, hydraulic',
    joint: 'crimped',
    holds: 'braided rubber',
    base: 4,
    angles: [0, 45, 90],
    dashes: [6, 8],
    rating: 20e6,
  }),
  ...barbs.map(([hose, taper]) =>
    fitting(`BB${hose}`, `Barb for ${hose} mm hose`, 'barb', [hose - 2.2, 0.6, 2 + hose / 4], {
      firstPort: `taper-${taper}-male`,
      joint: 'barb',
      holds: 'plain rubber',
      hoseBore: mm(hose),
      cutOff: mm(12),
      torque: 10 + 2 * taper,
      earClamp: 'asked',
      swivels: false,
    }),
  ),
  ...barbs.map(([hose, taper]) =>
    fitting(
      `BE${hose}`,
      `Barb elbow for ${hose} mm hose`,
      'barb',
      [hose - 2.4, 1.1, 3 + hose / 4],
      {
        firstPort: `taper-${taper}-male`,
        joint: 'barb',
        holds: 'plain rubber',
        hoseBore: mm(hose),
        angle: Math.PI / 2,
        cutOff: mm(20),
        torque: 10 + 2 * taper,
        earClamp: 'asked',
        swivels: false,
      },
    ),
  ),
  ...[5, 6, 8].map((dash) =>
    fitting(
      `FL${dash}`,
      `Flare nut and sleeve, ${dash}/16 in tube`,
      'flare',
      [dash * 1.25, 0.3, 4 + dash / 2],
      {
        firstPort: dash === 5 ? 'flare-45-5-female' : `flare-${dash}-female`,
        joint: 'flared',
        holds: 'metal tube',
        dash,
        torque: dashTorque[dash] ?? 0,
      },
    ),
  ),
  ...[8, 10, 12].map((outside, i) =>
    fitting(
      `FR${outside}`,
      `Ferrule fitting, ${outside} mm tube`,
      'ferrule',
      [outside - 2, 0.3, 6 + outside / 2],
      {
        firstPort: `flare-${entryAt([6, 6, 8], i)}-female`,
        joint: 'ferrule',
        holds: 'nylon tube',
        hoseBore: mm(outside - 2),
        cutOff: mm(10),
        torque: 20,
      },
    ),
  ),
];
