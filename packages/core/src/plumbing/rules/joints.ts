import {
  type FittingItem,
  endAt,
  endsFor,
  holds,
  portInWords,
  portTypes,
} from '../../catalogue/index.ts';
import type { BuildCommand } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import { type MadeEnd, type MadeLine, jointState, offeredTo } from '../assemblies/madeLine.ts';
import type { PlumbingChecked, PlumbingRule } from '../checked.ts';
import { adapterChain } from '../joints/adapterChain.ts';
import { adaptersFor, endWith } from '../proposals/proposedEnds.ts';
import { endInWords, onEnds, withEnd } from './onMade.ts';

/** Ends of the same school, else any, that hold the hose of a line and stand its pressure. */
export function endsLike({ hose, pressure }: MadeLine, end: MadeEnd, checked: PlumbingChecked) {
  const all = hose
    ? endsFor(checked.catalogue, hose).filter((each) => each.pressureRating >= pressure)
    : [];
  const alike = all.filter(({ joint }) => joint === end.item?.joint);
  return alike.length > 0 ? alike : all;
}

/** The end exchanged for another one, with the adapters that it needs. */
export const exchanged = (
  line: MadeLine,
  end: MadeEnd,
  item: FittingItem | undefined,
  checked: PlumbingChecked,
): Cure<BuildCommand>[] =>
  item
    ? [
        withEnd(
          line,
          end.side,
          endWith(end, item, adaptersFor(checked.catalogue, line.pressure)),
          checked,
          `Take ${item.designation}`,
        ),
      ]
    : [];

/** An end that does not go onto what stands there. */
const unlike: PlumbingRule = onEnds(
  'joint.unlike',
  'a joint has two sides of one kind and size:  37° and 45° flares, straight and taper threads never go together; unlike ones need an adapter',
  (end, line, checked) => {
    const { item, partner } = end;
    if (jointState(end, line.hose) !== 'unlike' || !item || !partner) return undefined;
    const { firstPort } = item;
    if (firstPort === 'none') return undefined;
    const offered = offeredTo(end);
    const adapters = adaptersFor(checked.catalogue, line.pressure);
    const chain = adapterChain(partner.port, firstPort, adapters);
    const missing = `the catalogue has no adapter from ${portInWords(partner.port)} to ${portInWords(firstPort)}`;
    const flares =
      [partner.port, firstPort]
        .map((code) => portTypes.get(code)?.kind)
        .sort()
        .join() === 'flare,flare-45';
    return {
      severity: 'stop',
      title: 'End does not fit its port',
      because: [
        `${endInWords(line, end)}: ${item.designation} has ${portInWords(firstPort)}; it meets ${
          offered === undefined ? 'adapters that do not fit one another' : portInWords(offered)
        }`,
        ...(flares ? ['37° and 45° are never mixed'] : []),
        ...(chain ? [] : [missing]),
      ].join('; '),
      numbers: {},
      cures: () => {
        if (!chain) return [{ text: `Add an adapter to the catalogue: ${missing}` }];
        const words = chain.map(({ designation }) => designation).join(', ');
        return [
          withEnd(
            line,
            end.side,
            endWith(end, item, adapters),
            checked,
            words === '' ? 'Remove its adapters' : `Fit ${words} between them`,
          ),
        ];
      },
    };
  },
);

/** An end that is not made for the hose it is on. */
const wrongHose: PlumbingRule = onEnds(
  'joint.hose',
  'an end fits the hose that it is made for, in its size, and nothing else',
  (end, line, checked) => {
    const { item } = end;
    const { hose } = line;
    if (!item || !hose || holds(item, hose)) return undefined;
    return {
      severity: 'stop',
      title: 'End is not made for its hose',
      because: `${endInWords(line, end)}: ${item.designation} is made for ${item.holds} hose of its own size; this is ${hose.designation}`,
      numbers: {},
      cures: () => exchanged(line, end, endAt(endsLike(line, end, checked), item.angle), checked),
    };
  },
);

/** A hose gives so much at an end before it kinks there, rad. */
export const GIVES = (20 * Math.PI) / 180;

/** An end that points elsewhere than its line runs. */
const wrongAngle: PlumbingRule = onEnds(
  'joint.angle',
  'an end turns the hose towards its route; what the end does not turn, the hose has to',
  (end, line, checked) => {
    const { item, turn } = end;
    if (!item || turn === undefined) return undefined;
    const off = Math.abs(item.angle - turn);
    if (off <= GIVES) return undefined;
    return {
      severity: 'warn',
      title: 'End has the wrong angle',
      because: `${endInWords(line, end)}: the line turns by {turn} there, ${item.designation} by {angle}`,
      numbers: {
        turn: { value: turn, kind: 'angle' },
        angle: { value: item.angle, kind: 'angle' },
      },
      measured: { value: off, kind: 'angle' },
      limit: { value: GIVES, kind: 'angle' },
      worse: 'higher',
      cures: () => {
        const better = endAt(endsLike(line, end, checked), turn);
        const helps = better && Math.abs(better.angle - turn) <= GIVES;
        return [
          ...(helps ? exchanged(line, end, better, checked) : []),
          { text: 'Re-route the line so that it leaves its port straight' },
        ];
      },
    };
  },
);

/** An angled end on a taper thread: tight where it happens to be tight. */
const swing: PlumbingRule = onEnds(
  'joint.swing',
  'a taper thread tightens at a random angle: an elbow on it needs a swivel',
  (end, line, checked) => {
    const { item } = end;
    const taper =
      item !== undefined &&
      item.firstPort !== 'none' &&
      portTypes.get(item.firstPort)?.kind === 'taper';
    if (!item || !taper || item.swivels || item.angle === 0) return undefined;
    return {
      severity: 'warn',
      title: 'Elbow may end at any angle',
      because: `${endInWords(line, end)}: ${item.designation} tightens at a random angle; check its swing and its final direction`,
      numbers: {},
      cures: () => {
        const swivels = endsLike(line, end, checked).filter((each) => each.swivels);
        const straight = endsLike(line, end, checked).filter((each) => each.angle === 0);
        const other = endAt(swivels, item.angle) ?? endAt(straight, 0);
        return exchanged(line, end, other, checked);
      },
    };
  },
);

/** An end or an adapter that is not rated for what its line sees. */
const rating: PlumbingRule = onEnds(
  'joint.rating',
  'every part of a line is rated for the highest pressure of its circuit',
  (end, line, checked) => {
    const { item, adapters } = end;
    const weakest = [...(item ? [item] : []), ...adapters].sort(
      (a, b) => a.pressureRating - b.pressureRating,
    )[0];
    if (!weakest || weakest.pressureRating >= line.pressure) return undefined;
    return {
      severity: 'stop',
      title: 'End is not rated for the pressure',
      because: `${endInWords(line, end)}: the circuit reaches {pressure}; ${weakest.designation} is rated {rating}`,
      numbers: {
        pressure: { value: line.pressure, kind: 'pressure' },
        rating: { value: weakest.pressureRating, kind: 'pressure' },
      },
      measured: { value: line.pressure, kind: 'pressure' },
      limit: { value: weakest.pressureRating, kind: 'pressure' },
      worse: 'higher',
      cures: () =>
        item ? exchanged(line, end, endAt(endsLike(line, end, checked), item.angle), checked) : [],
    };
  },
);

/** More hoses than a port takes. */
const shared: PlumbingRule = onEnds(
  'joint.shared',
  'one port takes one hose; a second one needs a Y-block or T',
  (end, line) => {
    const { partner } = end;
    if (!partner || partner.elementId === undefined || partner.hoses <= partner.takes) {
      return undefined;
    }
    return {
      severity: 'warn',
      title: 'Several hoses on one port',
      because: `${endInWords(line, end)}: {hoses} hoses meet it; it takes {takes}`,
      numbers: {
        hoses: { value: partner.hoses, kind: 'count' },
        takes: { value: partner.takes, kind: 'count' },
      },
      measured: { value: partner.hoses, kind: 'count' },
      limit: { value: partner.takes, kind: 'count' },
      worse: 'higher',
      cures: () => [{ text: 'Fit a Y-block or T before it' }],
    };
  },
);

/** Checks of what holds a hose and what it screws onto. */
export const jointRules: readonly PlumbingRule[] = [
  unlike,
  wrongHose,
  wrongAngle,
  swing,
  rating,
  shared,
];
