import type { HardPoint, LineRoute, Placement } from '../../model/index.ts';
import {
  type Result,
  type Sourced,
  byDefault,
  derive,
  entered,
  following,
  fromItem,
  given,
  together,
} from '../../results/index.ts';
import type { RoutePoint } from '../geometry/path.ts';
import { distanceBetween } from '../geometry/vector.ts';
import { bodyNumbers } from '../components/bodyNumbers.ts';
import type { NearObstacle, Obstacle, VehicleAround } from '../obstacles/index.ts';
import { vectorOf } from '../places/vectorOf.ts';
import { clampCount, clampGap, clampPitch, clampsPlaced } from './clamps.ts';
import { routeFigure } from './figureNames.ts';
import * as f from './formulas.ts';
import type { Led } from './led.ts';
import type { RoutedLine } from './routedLine.ts';
import { flat } from './wayNumbers.ts';

/** A length typed or measured is good to so much, m. */
const BY_TAPE = 0.005;
/** A place on a map that nobody measured is good to so much, m. */
export const UNMEASURED = 0.08;
/** A place stands where the tape says when it is no further away, m. */
const STANDS = 1e-3;

/** How well a place on the map is known, m: as well as its tape reading once it stands there. */
export function placeUncertainty(
  place: Placement,
  hardPoints: readonly HardPoint[],
): Sourced<number> {
  const point = hardPoints.find((p) => p.placementId === place.id);
  return point && distanceBetween(vectorOf(point), vectorOf(place)) <= STANDS
    ? entered(point.uncertainty, ['hardPoints', point.id, 'uncertainty'])
    : byDefault(UNMEASURED, 'a place that was not measured with a tape');
}

function uncertainties(led: Led, hardPoints: readonly HardPoint[]): Sourced<readonly number[]> {
  const { typed, measured } = led.length;
  if (typed ?? measured) return byDefault([BY_TAPE], 'typed or measured');
  const ends = led.ends.map((place) => placeUncertainty(place, hardPoints));
  return given(
    ends.map((end) => end.value),
    ends.flatMap((end) => end.from),
  );
}

type Inputs = {
  readonly points: Sourced<readonly number[]>;
  readonly radii: Sourced<readonly number[]>;
};

/** The way of a line as inputs of its figures: corners with both ends, and their radii. */
export function wayInputs(routeId: string, points: readonly RoutePoint[]): Inputs {
  const corners = ['routes', routeId, 'points'];
  return {
    points: following(flat(points.map((p) => p.at)), corners),
    radii: following(
      points.map((p) => p.radius),
      corners,
    ),
  };
}

/** Clearance to what leaves a line least, and what that is beyond the room asked. */
function nearFigures(
  led: Led,
  inputs: Inputs,
  near: NearObstacle,
  thing: Obstacle,
  routeId: string,
): readonly Result[] {
  const of = { line: led.id };
  const { shape, travel, path } = thing;
  const figure = routeFigure('line.minClearance', of);
  const label = `${led.name}, clearance to ${near.name.toLowerCase()}`;
  const beside = {
    ...inputs,
    stretch: following([near.from, near.to], ['routes', routeId]),
    outsideDiameter: led.outsideDiameter,
    travel:
      near.kind === 'moving'
        ? entered(travel, [...path, 'travel'])
        : byDefault(travel, 'it stays where it is'),
  };
  const clearance =
    shape.kind === 'box'
      ? derive({
          figure,
          label,
          formula: f.clearanceToBox,
          inputs: { ...beside, box: following(flat([shape.box.low, shape.box.high]), path) },
        })
      : shape.kind === 'body'
        ? derive({
            figure,
            label,
            formula: f.clearanceToBody,
            inputs: { ...beside, body: following(bodyNumbers(shape.body), path) },
          })
        : derive({
            figure,
            label,
            formula: f.clearanceToRod,
            inputs: {
              ...beside,
              rod: following(flat(shape.points), path),
              rodDiameter: following(2 * shape.radius, path),
            },
          });
  return [
    clearance,
    derive({
      figure: routeFigure('line.clearanceMargin', of),
      label: `${led.name}, clearance beyond what is asked`,
      formula: f.clearanceMargin,
      inputs: { clearance, needed: following(near.needed, path) },
    }),
  ];
}

/** How many clamps hold a line: those that are placed, else as many as the rule asks. */
function clampFigures(route: LineRoute, led: Led, length: Result): readonly Result[] {
  const told = {
    figure: routeFigure('line.clampCount', { line: led.id }),
    label: `${led.name}, clamps`,
  };
  if (route.clamps.length === 0) {
    const pitch = byDefault(clampPitch(led.rigid), led.rigid ? 'hardline' : 'hose');
    return [derive({ ...told, formula: clampCount, inputs: { length, pitch } })];
  }
  const places = together(
    route.clamps.map(({ id, at }) => entered(at, ['routes', route.id, 'clamps', id, 'at'])),
  );
  return [
    derive({ ...told, formula: clampsPlaced, inputs: { places } }),
    derive({
      figure: routeFigure('line.clampGap', { line: led.id }),
      label: `${led.name}, longest stretch without a clamp`,
      formula: clampGap,
      inputs: { length, places },
    }),
  ];
}

/** How far a line turns away from the ports it begins and ends at. */
const turnFigures = (led: Led, inputs: Inputs): readonly Result[] =>
  (['line.startTurn', 'line.endTurn'] as const).flatMap((name, end) => {
    const port = led.ports[end];
    const place = led.ends[end];
    if (!port || !place) return [];
    return [
      derive({
        figure: routeFigure(name, { line: led.id }),
        label: `${led.name}, turn at its ${end === 0 ? 'beginning' : 'end'}`,
        formula: f.portTurn,
        inputs: {
          ...inputs,
          port: following(flat([port.direction]), ['placements', place.id]),
          atEnd: byDefault(end, end === 0 ? 'where it begins' : 'where it ends'),
        },
      }),
    ];
  });

type RunLine = Omit<RoutedLine, 'length' | 'bendLoss' | 'results'>;

/** The thing that leaves a line least. */
export const nearestThing = (
  { nearest }: Pick<RunLine, 'nearest'>,
  { obstacles }: Pick<VehicleAround, 'obstacles'>,
): Obstacle | undefined =>
  nearest && obstacles.find(({ kind, id }) => kind === nearest.kind && id === nearest.id);

/** Every figure of a line on the map; the first is its developed length. None where it cannot run. */
export function lineFigures(
  route: LineRoute,
  led: Led,
  line: RunLine,
  thing: Obstacle | undefined,
  hardPoints: readonly HardPoint[],
): Pick<RoutedLine, 'length' | 'bendLoss' | 'results'> {
  const { path, nearest, points } = line;
  if (!path) return { length: undefined, bendLoss: undefined, results: [] };
  const inputs = wayInputs(route.id, points);
  const of = { line: led.id };
  const told = (
    figure: 'line.length' | 'line.bends' | 'line.bendAngle' | 'line.highPoint' | 'line.lowPoint',
    words: string,
    formula: typeof f.developedLength,
  ): Result =>
    derive({ figure: routeFigure(figure, of), label: `${led.name}, ${words}`, formula, inputs });
  const length = told('line.length', 'length on the map', f.developedLength);
  const bendLoss =
    led.hose &&
    derive({
      figure: routeFigure('line.bendLoss', of),
      label: `${led.name}, loss coefficient of its bends`,
      formula: f.bendLosses,
      inputs: { ...inputs, bore: fromItem(led.hose.bore, led.hose) },
    });
  const hot = line.check?.near.hot;
  return {
    length,
    bendLoss,
    results: [
      length,
      ...(bendLoss ? [bendLoss] : []),
      told('line.bends', 'bends', f.bendCount),
      told('line.bendAngle', 'bent in all', f.bendAngle),
      told('line.highPoint', 'high point', f.highPoint),
      told('line.lowPoint', 'low point', f.lowPoint),
      ...clampFigures(route, led, length),
      ...turnFigures(led, inputs),
      derive({
        figure: routeFigure('line.uncertainty', of),
        label: `${led.name}, its length is known to ±`,
        formula: f.lengthUncertainty,
        inputs: { ends: uncertainties(led, hardPoints) },
      }),
      ...(path.bends.length > 0
        ? [
            derive({
              figure: routeFigure('line.tightestBend', of),
              label: `${led.name}, inside of its tightest bend`,
              formula: f.tightestBend,
              inputs: { ...inputs, outsideDiameter: led.outsideDiameter },
            }),
          ]
        : []),
      ...(nearest && thing ? nearFigures(led, inputs, nearest, thing, route.id) : []),
      ...(hot
        ? [
            derive({
              figure: routeFigure('line.heatMargin', of),
              label: `${led.name}, clearance beyond what heat asks`,
              formula: f.clearanceMargin,
              inputs: {
                clearance: following(hot.clearance, ['hotRuns', hot.id]),
                needed: following(hot.needed, ['hotRuns', hot.id]),
              },
            }),
          ]
        : []),
    ],
  };
}
