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
} from '../../results/index.ts';
import { distanceBetween } from '../geometry/vector.ts';
import type { NearObstacle, Obstacle, VehicleAround } from '../obstacles/index.ts';
import { vectorOf } from '../places/vectorOf.ts';
import { routeFigure } from './figureNames.ts';
import * as f from './formulas.ts';
import type { Led } from './led.ts';
import type { RoutedLine } from './routedLine.ts';
import { flat } from './wayNumbers.ts';

/** Where in the document a thing that lines keep away from stands. */
const placeOfThing: Readonly<Record<NearObstacle['kind'], string>> = {
  hot: 'hotRuns',
  moving: 'movingZones',
  edge: 'edges',
  solid: 'solids',
  cable: 'otherLines',
};

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

/** Clearance to what leaves a line least, and what that is beyond the room asked. */
function nearFigures(
  led: Led,
  inputs: Inputs,
  near: NearObstacle,
  thing: Obstacle,
): readonly Result[] {
  const of = { line: led.id };
  const path = [placeOfThing[near.kind], near.id];
  const { shape, travel } = thing;
  const figure = routeFigure('line.minClearance', of);
  const label = `${led.name}, clearance to ${near.name.toLowerCase()}`;
  const beside = {
    ...inputs,
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

/** Every figure of a line on the map; the first is its developed length. None where it cannot run. */
export function lineFigures(input: {
  route: LineRoute;
  led: Led;
  line: Omit<RoutedLine, 'length' | 'bendLoss' | 'results'>;
  around: VehicleAround;
  hardPoints: readonly HardPoint[];
}): {
  readonly length: Result | undefined;
  readonly bendLoss: Result | undefined;
  readonly results: readonly Result[];
} {
  const { route, led, line, around } = input;
  const { path, nearest, points } = line;
  if (!path) return { length: undefined, bendLoss: undefined, results: [] };
  const corners = ['routes', route.id, 'points'];
  const inputs: Inputs = {
    points: following(flat(points.map((p) => p.at)), corners),
    radii: following(
      points.map((p) => p.radius),
      corners,
    ),
  };
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
  const thing = around.obstacles.find((o) => o.kind === nearest?.kind && o.id === nearest.id);
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
      derive({
        figure: routeFigure('line.clampCount', of),
        label: `${led.name}, clamps`,
        formula: f.clampCount,
        inputs: {
          length,
          pitch: byDefault(f.clampPitch(led.rigid), led.rigid ? 'hardline' : 'hose'),
        },
      }),
      derive({
        figure: routeFigure('line.uncertainty', of),
        label: `${led.name}, its length is known to ±`,
        formula: f.lengthUncertainty,
        inputs: { ends: uncertainties(led, input.hardPoints) },
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
      ...(nearest && thing ? nearFigures(led, inputs, nearest, thing) : []),
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
