import { type JointSchool, itemAt, refOf } from '../../catalogue/index.ts';
import { quantity } from '../../quantities/index.ts';
import type { BuildCommand, ItemRef } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import { shapeOf, slideAlongRail } from '../../vehicle/index.ts';
import type { PlumbingChecked, PlumbingRule } from '../checked.ts';
import type { MadeLine } from '../assemblies/madeLine.ts';
import { GIVES, endsLike, exchanged } from './joints.ts';
import { onMade } from './onMade.ts';

/** Ends take so much of a hose that nothing shorter than this many diameters can be made up. */
const SHORTEST = 4;

/** A hose that would have to be cut shorter than one can make it. */
const tooShort: PlumbingRule = onMade(
  'hose.too-short',
  'between its ends a hose needs four times its diameter to be assembled and to flex',
  ({ cut, hose, name }) => {
    if (!cut || !hose || hose.wall === 'rigid') return undefined;
    const limit = SHORTEST * hose.outsideDiameter;
    if (cut.value >= limit) return undefined;
    return {
      severity: 'warn',
      title: 'Hose is too short to assemble',
      because: `${name}: its cut length is {cut}; under {limit} ${hose.designation} cannot be assembled`,
      numbers: {
        cut: { value: cut.value, kind: 'length' },
        limit: { value: limit, kind: 'length' },
      },
      measured: { value: cut.value, kind: 'length' },
      limit: { value: limit, kind: 'length' },
      worse: 'lower',
      cures: () => [
        { text: 'Move its two parts apart, or screw one into the other without a hose' },
      ],
    };
  },
);

/** Slack that a hose uses up by shortening under pressure. */
const shortens: PlumbingRule = onMade(
  'hose.shortens',
  'slack covers the shortening of a hose under pressure, and the movement of the engine',
  ({ shortening, slack, name, assembly }) => {
    if (!shortening || !assembly || shortening.value <= slack) return undefined;
    const percent = Math.min(20, Math.ceil(shortening.value * 100));
    return {
      severity: 'warn',
      title: 'Hose pulls at its ends under pressure',
      because: `${name}: it shortens by {shortening} at the highest pressure; its slack is {slack}`,
      numbers: {
        shortening: { value: shortening.value, kind: 'ratio' },
        slack: { value: slack, kind: 'ratio' },
      },
      measured: { value: slack, kind: 'ratio' },
      limit: { value: shortening.value, kind: 'ratio' },
      worse: 'lower',
      cures: () => [
        {
          text: `Add slack: ${percent} %`,
          command: {
            name: 'set',
            path: ['assemblies', assembly.id, 'slack'],
            value: quantity(percent, 'ratio', '%'),
          },
        },
      ],
    };
  },
);

/** What a hose that is cut must have over the bare way: what it shortens. */
const spare = ({ shortening, length }: MadeLine): number =>
  (shortening?.value ?? 0) * (length ?? 0);

/** A way to make a hose reach again, and what it costs. */
interface Repair {
  readonly cure: Cure<BuildCommand>;
  readonly price: number;
}

/** One of its parts slid along its mounting line towards the other. */
const slides = (line: MadeLine, lacking: number, checked: PlumbingChecked): Repair[] => {
  const routed = checked.map.lines.find(({ routeId }) => routeId === line.routeId);
  if (!routed?.path) return [];
  const reachable = routed.path.length - lacking;
  return line.ends.flatMap(({ placementId }): Repair[] => {
    const cure = slideAlongRail(checked, placementId, routed, (points) => {
      const shape = shapeOf(points);
      return shape.ok && shape.path.length <= reachable;
    });
    return cure ? [{ cure, price: 0 }] : [];
  });
};

/** Another end that takes more of the way. */
const longerEnds = (line: MadeLine, lacking: number, checked: PlumbingChecked): Repair[] =>
  line.ends.flatMap((end): Repair[] => {
    const { item, turn } = end;
    if (!item) return [];
    const longer = endsLike(line, end, checked)
      .filter(
        (other) =>
          other.cutOff - item.cutOff >= lacking &&
          (turn === undefined || Math.abs(other.angle - turn) <= GIVES),
      )
      .sort((a, b) => a.price - b.price)[0];
    return longer
      ? exchanged(line, end, longer, checked).map((cure) => ({ cure, price: longer.price }))
      : [];
  });

/** A hose that was cut and no longer reaches. */
const reaches: PlumbingRule = onMade(
  'hose.reach',
  'a cut hose keeps its length and has to reach where parts have moved',
  (line, checked) => {
    const { reach, assembly, name, cut, hose } = line;
    if (!reach || !assembly) return undefined;
    const lacking = spare(line) - reach.value;
    // Half a millimetre: lengths are kept in whole ones.
    if (lacking <= 5e-4) return undefined;
    return {
      severity: 'stop',
      title: 'Hose no longer reaches',
      because: `${name}: cut to {cut}, it is {lacking} too short for its present route`,
      numbers: {
        cut: { value: assembly.asMade?.cut.value ?? 0, kind: 'length' },
        lacking: { value: lacking, kind: 'length' },
      },
      measured: { value: lacking, kind: 'length' },
      limit: { value: 0, kind: 'length' },
      worse: 'higher',
      // The cheapest repair first.
      cures: () =>
        [
          ...slides(line, lacking, checked),
          ...longerEnds(line, lacking, checked),
          {
            price: (hose?.price ?? 0) * (cut?.value ?? 0),
            cure: {
              text: cut
                ? `Make a new hose, cut to ${Math.round(cut.value * 1e3)} mm`
                : 'Make a new hose',
              command: {
                name: 'set' as const,
                path: ['assemblies', assembly.id, 'asMade'],
                value: null,
              },
            },
          },
        ]
          .sort((a, b) => a.price - b.price)
          .map(({ cure }) => cure),
    };
  },
);

/** A hose may be so much longer than it would be cut today, m and of its length. */
const LOOSE = 0.03;
const LOOSE_SHARE = 0.05;

/** A hose that was cut and now hangs. */
const hangs: PlumbingRule = onMade(
  'hose.hangs',
  'a hose that is much longer than its route sags and chafes',
  (line) => {
    const { reach, assembly, name, length, slack } = line;
    if (!reach || !assembly || length === undefined) return undefined;
    const over = reach.value - slack * length;
    const limit = Math.max(LOOSE, LOOSE_SHARE * length);
    if (over <= limit) return undefined;
    return {
      severity: 'warn',
      title: 'Hose is longer than its route',
      because: `${name}: it is {over} longer than its present cut length`,
      numbers: { over: { value: over, kind: 'length' } },
      measured: { value: over, kind: 'length' },
      limit: { value: limit, kind: 'length' },
      worse: 'higher',
      cures: () => [
        {
          text: 'Cut it again, or make a new one',
          command: { name: 'set', path: ['assemblies', assembly.id, 'asMade'], value: null },
        },
      ],
    };
  },
);

/** A hose that is clocked otherwise may be twisted by so much, rad. */
const TWIST = (15 * Math.PI) / 180;

/** A hose whose ends no longer stand to one another as they were tightened. */
const twisted: PlumbingRule = onMade(
  'hose.twisted',
  'ends clocked differently from their seats twist the hose',
  ({ assembly, clocking, name }) => {
    const made = assembly?.asMade?.clocking;
    if (!assembly?.asMade || !made || !clocking) return undefined;
    const turn = 2 * Math.PI;
    const apart = (((clocking.value - made.value) % turn) + turn) % turn;
    const twist = Math.min(apart, turn - apart);
    if (twist <= TWIST) return undefined;
    return {
      severity: 'warn',
      title: 'Ends no longer match their seats',
      because: `${name}: made at {made}; its seats are now at {now} to one another: the hose is twisted by {twist}`,
      numbers: {
        made: { value: made.value, kind: 'angle' },
        now: { value: clocking.value, kind: 'angle' },
        twist: { value: twist, kind: 'angle' },
      },
      measured: { value: twist, kind: 'angle' },
      limit: { value: TWIST, kind: 'angle' },
      worse: 'higher',
      cures: () => [
        {
          text: 'Loosen one end and turn it; record it as clocked like this',
          command: {
            name: 'set',
            path: ['assemblies', assembly.id, 'asMade', 'clocking'],
            value: quantity(Math.round((clocking.value * 180) / Math.PI), 'angle', '°'),
          },
        },
      ],
    };
  },
);

/** Whether an end comes off its hose again without cutting it. */
const comesOff = (joint: JointSchool): boolean => joint === 'reusable' || joint === 'barb';

/** A hose that is cut, whose hose or ends were decided otherwise afterwards. */
const remade: PlumbingRule = onMade(
  'hose.remade',
  'a made hose stays the hose that it was cut from, with the ends that were fitted',
  ({ assembly, ends, hose, name }, { catalogue }) => {
    const designationOf = (ref: ItemRef | null): string =>
      (ref && itemAt(catalogue, ref)?.designation) ?? 'none';
    const made = assembly?.asMade;
    if (!assembly || !made) return undefined;
    const path = ['assemblies', assembly.id, 'asMade'];
    const newOne: Cure<BuildCommand> = {
      text: 'Make a new one; record it as not cut',
      command: { name: 'set', path, value: null },
    };
    if (made.hose && made.hose.id !== hose?.id) {
      return {
        severity: 'stop',
        title: 'Made hose is not the planned one',
        because: `${name}: cut from ${designationOf(made.hose)}; planned now: ${hose?.designation ?? 'no hose'}`,
        numbers: {},
        cures: () => [newOne],
      };
    }
    const others = ends.filter(({ side, item }) => (made[side]?.id ?? null) !== (item?.id ?? null));
    if (others.length === 0) return undefined;
    const fixed = others.some(({ side }) => {
      const old = made[side] && itemAt(catalogue, made[side]);
      return old?.category === 'fitting' && !comesOff(old.joint);
    });
    return {
      severity: 'warn',
      title: 'Made hose has other ends than planned',
      because: `${name}: ${others
        .map(
          ({ side, item }) =>
            `made with ${designationOf(made[side])}, planned now: ${item?.designation ?? 'none'}`,
        )
        .join('; ')}${fixed ? '. Such an end cannot be removed: make a new hose' : ''}`,
      numbers: {},
      cures: () => [
        ...(fixed
          ? []
          : [
              {
                text: 'Record the ends as exchanged',
                command: {
                  name: 'set-several' as const,
                  label: `${name}: ends exchanged`,
                  changes: others.map(({ side, item }) => ({
                    path: [...path, side],
                    value: item ? refOf(item) : null,
                  })),
                },
              },
            ]),
        newOne,
      ],
    };
  },
);

/** Checks of how long lines are made. */
export const lengthRules: readonly PlumbingRule[] = [
  tooShort,
  shortens,
  reaches,
  hangs,
  twisted,
  remade,
];
