import { type Catalogue, lookUp } from '../../catalogue/index.ts';
import type { FuelCircuit, HotRun, LineElement, LineRoute, Placement } from '../../model/index.ts';
import { NotFound } from '../../quantities/index.ts';
import {
  type Result,
  type Sourced,
  byDefault,
  derive,
  entered,
  following,
  fromItem,
  fromResult,
  together,
} from '../../results/index.ts';
import type { Nearest } from '../geometry/distances.ts';
import { type RoutePath, type RoutePoint, type RouteRefusal, shapeOf } from '../geometry/path.ts';
import type { Vector } from '../geometry/vector.ts';
import { routeFigure } from './figureNames.ts';
import * as f from './formulas.ts';

/** A hot pipe near a line: where they come nearest, what lies between their skins and what should. */
export interface NearHeat {
  readonly hotRunId: string;
  readonly name: string;
  readonly nearest: Nearest;
  readonly clearance: number;
  readonly needed: number;
  /** clearance beyond what is needed, m */
  readonly margin: number;
}

/** A line as it runs over the vehicle. */
export interface RoutedLine {
  readonly routeId: string;
  readonly circuitId: string;
  readonly elementId: string;
  readonly sleeve: boolean;
  readonly outsideDiameter: number;
  /** inside radius m that the line may at least be bent to */
  readonly leastBend: number;
  /** corners with both ends */
  readonly points: readonly RoutePoint[];
  readonly refusals: readonly RouteRefusal[];
  readonly path: RoutePath | undefined;
  /** developed length with its working; undefined where the way cannot be run */
  readonly length: Result | undefined;
  /** of all hot pipes the one that leaves least; undefined without hot pipes */
  readonly heat: NearHeat | undefined;
  readonly results: readonly Result[];
}

export interface MapOutput {
  readonly lines: readonly RoutedLine[];
  /** figures of the hot pipes themselves */
  readonly results: readonly Result[];
}

const at = (p: Pick<Placement, 'x' | 'y' | 'z'>): Vector => [p.x.value, p.y.value, p.z.value];

/** Inside radii of rubber-lined braided hose by dash size, m; other hose is taken as bad. */
const bendByDash: readonly (readonly [dash: number, radius: number])[] = [
  [4, 0.05],
  [6, 0.065],
  [8, 0.09],
  [10, 0.115],
  [12, 0.14],
  [16, 0.19],
];

/** Inside radius m that a line may at least be bent to: hose by its size, hardline thrice its outside. */
export function leastBendOf(hose: { wall: string; dash: number; outsideDiameter: number }): number {
  if (hose.wall === 'rigid') return 2.5 * hose.outsideDiameter;
  const known = bendByDash.find(([dash]) => dash >= hose.dash) ?? bendByDash.at(-1);
  return hose.dash > 0 && known ? known[1] : 6 * hose.outsideDiameter;
}

/** Every hot pipe from a path, worst first asked of {@link f.worstOf}. */
export function heatNear(input: {
  path: RoutePath;
  hotRuns: readonly HotRun[];
  outsideDiameter: number;
  sleeve: boolean;
}): NearHeat[] {
  return input.hotRuns.flatMap((run): NearHeat[] => {
    const nearest = f.nearestTo(input.path, run.points.map(at));
    if (!nearest) return [];
    const clearance = nearest.distance - input.outsideDiameter / 2 - run.diameter.value / 2;
    const needed = f.neededFromHeat({
      temperature: run.temperature.value,
      turbine: run.part === 'turbine',
      sleeve: input.sleeve,
    });
    const { id: hotRunId, name } = run;
    return [{ hotRunId, name, nearest, clearance, needed, margin: clearance - needed }];
  });
}

function routedLine(input: {
  route: LineRoute;
  circuits: readonly FuelCircuit[];
  placements: readonly Placement[];
  hotRuns: readonly HotRun[];
  catalogue: Catalogue;
}): RoutedLine {
  const { route, hotRuns } = input;
  const circuit = input.circuits.find((c) => c.id === route.circuitId);
  const line = circuit?.elements.find(
    (e): e is LineElement => e.kind === 'line' && e.id === route.elementId,
  );
  if (!circuit || !line) {
    throw new NotFound(`there is no line "${route.elementId}" to lead`, `routes.${route.id}`);
  }
  const endOf = (nodeId: string): Placement => {
    const node = circuit.nodes.find((n) => n.id === nodeId);
    const place = input.placements.find((p) => p.id === node?.placementId);
    if (!place) throw new NotFound(`node "${nodeId}" has no place on the vehicle`, nodeId);
    return place;
  };
  const hose = lookUp(input.catalogue, 'hose', line.item, line.id);
  const [from, to] = [endOf(line.from), endOf(line.to)];
  const points: RoutePoint[] = [
    { at: at(from), radius: 0 },
    ...route.points.map((p) => ({ at: at(p), radius: p.radius.value })),
    { at: at(to), radius: 0 },
  ];
  const shape = shapeOf(points);
  const bare = {
    routeId: route.id,
    circuitId: circuit.id,
    elementId: line.id,
    sleeve: route.sleeve,
    outsideDiameter: hose.outsideDiameter,
    leastBend: leastBendOf(hose),
    points,
  };
  if (!shape.ok) {
    const unknown = { path: undefined, length: undefined, heat: undefined, results: [] };
    return { ...bare, ...unknown, refusals: shape.refusals };
  }
  const { path } = shape;
  const corners = ['routes', route.id, 'points'];
  const inputs = {
    points: following(f.flat(points.map((p) => p.at)), corners),
    radii: following(
      points.map((p) => p.radius),
      corners,
    ),
  };
  const of = { line: line.id };
  const told = (
    figure: 'line.length' | 'line.bends' | 'line.bendAngle' | 'line.highPoint' | 'line.lowPoint',
    words: string,
    formula: typeof f.developedLength,
  ): Result =>
    derive({ figure: routeFigure(figure, of), label: `${line.name}, ${words}`, formula, inputs });
  const length = told('line.length', 'length on the map', f.developedLength);
  const heat = f.worstOf(heatNear({ ...bare, path, hotRuns }));
  const results = [
    length,
    told('line.bends', 'bends', f.bendCount),
    told('line.bendAngle', 'bent in all', f.bendAngle),
    told('line.highPoint', 'high point', f.highPoint),
    told('line.lowPoint', 'low point', f.lowPoint),
  ];
  const hardline = hose.wall === 'rigid';
  results.push(
    derive({
      figure: routeFigure('line.clampCount', of),
      label: `${line.name}, clamps`,
      formula: f.clampCount,
      inputs: {
        length,
        pitch: byDefault(f.clampPitch(hardline), hardline ? 'hardline' : 'hose'),
      },
    }),
    derive({
      figure: routeFigure('line.uncertainty', of),
      label: `${line.name}, its length is known to ±`,
      formula: f.lengthUncertainty,
      inputs: { known: byDefault(f.uncertaintyOf(line.length), 'by how the length is known') },
    }),
  );
  const outsideDiameter = fromItem(hose.outsideDiameter, hose);
  if (path.bends.length > 0) {
    results.push(
      derive({
        figure: routeFigure('line.tightestBend', of),
        label: `${line.name}, inside of its tightest bend`,
        formula: f.tightestBend,
        inputs: { ...inputs, outsideDiameter },
      }),
    );
  }
  const run = hotRuns.find((r) => r.id === heat?.hotRunId);
  if (run) {
    const clearance = derive({
      figure: routeFigure('line.minClearance', of),
      label: `${line.name}, clearance to ${run.name.toLowerCase()}`,
      formula: f.heatClearance,
      inputs: {
        ...inputs,
        outsideDiameter,
        hotPipe: following(f.flat(run.points.map(at)), ['hotRuns', run.id, 'points']),
        pipeDiameter: entered(run.diameter, ['hotRuns', run.id, 'diameter']),
      },
    });
    results.push(
      clearance,
      derive({
        figure: routeFigure('line.heatMargin', of),
        label: `${line.name}, clearance beyond what heat asks`,
        formula: f.heatMargin,
        inputs: {
          clearance,
          temperature: entered(run.temperature, ['hotRuns', run.id, 'temperature']),
          turbine: byDefault(run.part === 'turbine' ? 1 : 0, 'as entered: turbine or pipe'),
          sleeve: byDefault(route.sleeve ? 1 : 0, 'as entered: with or without a sleeve'),
        },
      }),
    );
  }
  return { ...bare, refusals: [], path, length, heat, results };
}

/** Every line that has a way on the map, and the hot pipes. Nothing is moved here. */
export function routeStage(input: {
  routes: readonly LineRoute[];
  hotRuns: readonly HotRun[];
  circuits: readonly FuelCircuit[];
  placements: readonly Placement[];
  catalogue: Catalogue;
}): MapOutput {
  const lines = input.routes.map((route) => routedLine({ ...input, route }));
  const lowPoints = lines.flatMap(({ elementId, results }) => {
    const { key } = routeFigure('line.lowPoint', { line: elementId });
    return results.filter((result) => result.key === key);
  });
  return {
    lines,
    results: [
      ...(lowPoints.length > 0
        ? [
            derive({
              figure: routeFigure('map.lowestPoint', {}),
              label: 'Lowest point of all lines on the map',
              formula: f.lowestOf,
              inputs: { lowPoints: together(lowPoints) },
            }),
          ]
        : []),
      ...input.hotRuns.map((run) =>
        derive({
          figure: routeFigure('hotRun.length', { hotRun: run.id }),
          label: `${run.name}, length`,
          formula: f.runLength,
          inputs: {
            points: following(f.flat(run.points.map(at)), ['hotRuns', run.id, 'points']),
          },
        }),
      ),
    ],
  };
}

/** Lengths of lines along their ways on the map, by element, as inputs of other figures. */
export type RoutedLengths = Readonly<Record<string, Sourced<number>>>;

/** The lengths of all lines whose way can be run. */
export const routedLengthsOf = ({ lines }: MapOutput): RoutedLengths =>
  Object.fromEntries(
    lines.flatMap(({ elementId, length }) => (length ? [[elementId, fromResult(length)]] : [])),
  );
