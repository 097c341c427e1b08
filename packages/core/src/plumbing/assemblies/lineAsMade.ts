import {
  type Result,
  type Sourced,
  byDefault,
  derive,
  entered,
  fromItem,
  given,
  solvedIn,
  together,
} from '../../results/index.ts';
import { flat, routeFigure, wayInputs } from '../../vehicle/index.ts';
import { USUAL_SLACK } from '../model.ts';
import { plumbingFigure } from '../figures/figureNames.ts';
import * as f from '../figures/formulas.ts';
import type { BareLine } from './bareLine.ts';
import { type MadeLine, jointState } from './madeLine.ts';

/** The slack of a line: what was decided, else what is usual for hose; a tube has none. */
function slackOf({ hose, assembly }: BareLine): Sourced<number> {
  if (assembly?.slack) return entered(assembly.slack, ['assemblies', assembly.id, 'slack']);
  return hose?.wall === 'rigid'
    ? byDefault(0, 'a tube has no slack')
    : byDefault(USUAL_SLACK.value, 'slack of a hose');
}

/** What ends and adapters take of the way between the seats. */
const takenBy = ({ ends }: BareLine) => ({
  adapters: together(
    ends.flatMap(({ adapters }) => adapters.map((each) => fromItem(each.standing, each))),
  ),
  cutOffs: together(ends.flatMap(({ item }) => (item ? [fromItem(item.cutOff, item)] : []))),
});

/** Both ends are settled: chosen, or the hose goes straight over a barb. */
const isSettled = ({ ends, hose }: BareLine): boolean =>
  ends.every((end) => jointState(end, hose) !== 'open');

/** How the two angled ends stand to one another; none where one is straight or nobody says where its seat looks. */
function clockingOf(line: BareLine): Result | undefined {
  const { routed, lineId, name, ends } = line;
  if (!routed?.path || !routed.points.length) return undefined;
  const ports = ends.map(({ item, port }) => (item && item.angle > 0 ? port : undefined));
  const [first, second] = ports;
  if (!first || !second) return undefined;
  const at = ends.map(({ placementId }) => `by:placements.${placementId}`);
  return derive({
    figure: plumbingFigure('line.clocking', { line: lineId }),
    label: `${name}, clocking of its ends`,
    formula: f.clocking,
    inputs: {
      ...wayInputs(routed.routeId, routed.points),
      ports: given(
        flat([first.direction, second.direction]),
        at.flatMap((origin) => [origin, origin, origin]),
      ),
    },
  });
}

/** How far a hose shortens under the highest pressure that it sees. */
function shorteningOf({ hose, lineId, name, pressureIn, pressure }: BareLine): Result | undefined {
  if (!hose || hose.shortening === 0 || pressureIn === undefined) return undefined;
  return derive({
    figure: plumbingFigure('line.shortening', { line: lineId }),
    label: `${name}, shortens under pressure by`,
    formula: f.shortening,
    inputs: {
      shortens: fromItem(hose.shortening, hose),
      pressure: solvedIn(pressure, pressureIn),
      rated: fromItem(hose.pressureRating, hose),
    },
  });
}

/** A line with the figures of how it is made. */
export function lineAsMade(line: BareLine): MadeLine {
  const { routed, lineId, name, assembly, length } = line;
  const slack = slackOf(line);
  const taken = takenBy(line);
  const cut =
    length && assembly && isSettled(line)
      ? derive({
          figure: plumbingFigure('line.cutLength', { line: lineId }),
          label: `${name}, cut length`,
          formula: f.cutLength,
          inputs: { length, ...taken, slack },
        })
      : undefined;
  const reach =
    length && assembly?.asMade
      ? derive({
          figure: plumbingFigure('line.reach', { line: lineId }),
          label: `${name}, left over of the hose that is cut`,
          formula: f.reach,
          inputs: {
            cut: entered(assembly.asMade.cut, ['assemblies', assembly.id, 'asMade', 'cut']),
            length,
            ...taken,
          },
        })
      : undefined;
  const clocking = clockingOf(line);
  const shortening = shorteningOf(line);
  const onMap = (name: 'line.uncertainty' | 'line.clampCount'): number | undefined => {
    const { key } = routeFigure(name, { line: lineId });
    return routed?.results.find((result) => result.key === key)?.value;
  };
  return {
    ...line,
    routeId: routed?.routeId,
    length: length?.value,
    lengthFrom: typeof length?.from === 'string' ? length.from : 'default',
    uncertainty: onMap('line.uncertainty'),
    clamps: onMap('line.clampCount') ?? 0,
    slack: slack.value,
    cut,
    clocking,
    shortening,
    reach,
    results: [cut, clocking, shortening, reach].filter((each) => each !== undefined),
  };
}
