import type { Catalogue } from '../../catalogue/index.ts';
import type { FuelCircuit, LineRoute, Placement, VehicleThings } from '../../model/index.ts';
import { memoByValue } from '../../numerics/index.ts';
import {
  type Result,
  type Sourced,
  derive,
  entered,
  fromResult,
  together,
} from '../../results/index.ts';
import { type OrientedBox, alignedBox } from '../geometry/orientedBox.ts';
import { type Vector, distanceBetween } from '../geometry/vector.ts';
import {
  type ComponentCheck,
  type PlacedComponent,
  type PlacedComponents,
  checkComponent,
  componentFigures,
} from '../components/index.ts';
import { type HeldComponent, heldComponents } from '../fixing/index.ts';
import {
  type Obstacle,
  type ObstacleShape,
  type VehicleAround,
  obstacle,
  vehicleAround,
} from '../obstacles/index.ts';
import { vectorOf } from '../places/vectorOf.ts';
import { thingFigures } from '../things/index.ts';
import { routeFigure } from './figureNames.ts';
import * as f from './formulas.ts';
import { ledBy } from './led.ts';
import { type NextTape, nextTape } from './nextTape.ts';
import { lineFigures, nearestThing } from './lineFigures.ts';
import { type RoutedLine, cablesOf, runLine, seenBy } from './routedLine.ts';

/** Everything the map is made of. */
export interface MapInput extends VehicleThings {
  readonly placed: PlacedComponents;
  readonly routes: readonly LineRoute[];
  readonly circuits: readonly FuelCircuit[];
  readonly catalogue: Catalogue;
}

/** A place that stands elsewhere than its tape reading says, and how far off, m. */
export interface OffTape {
  readonly hardPointId: string;
  readonly placementId: string;
  readonly off: number;
}

export interface MapOutput {
  readonly lines: readonly RoutedLine[];
  /** parts where they sit, and what they meet there */
  readonly components: readonly ComponentCheck[];
  /** what holds those that something holds */
  readonly held: readonly HeldComponent[];
  readonly around: VehicleAround;
  /** battery cables as things that fuel keeps away from */
  readonly cables: readonly Obstacle[];
  /** places at which a joint of a fuel circuit stands, by id */
  readonly joints: Readonly<Record<string, Vector>>;
  /** the tape measurement that would make lengths surest */
  readonly nextTape: NextTape | undefined;
  /** places that do not stand where a tape found them */
  readonly offTape: readonly OffTape[];
  /** figures of the vehicle and of what is on it */
  readonly results: readonly Result[];
}

/** Every line that has a way on the map, and all that is around them. Nothing is moved here. */
export function routeStage(input: MapInput): MapOutput {
  const placed = namedComponents(input);
  const around = aroundWith(input, placed);
  const lineInput = { ...input, ports: input.placed.ports };
  const led = input.routes.map((route) => ({ route, led: ledBy(route, lineInput) }));
  const components = placed.map((component) => checkComponent(component, around));
  const cables = cablesOf(led);
  const lines = led.map(({ route, led: line }): RoutedLine => {
    const seen = seenBy(around, cables, line);
    const run = runLine(route, line, seen);
    return { ...run, ...figuresOf(route, line, run, nearestThing(run, seen), input.hardPoints) };
  });
  const held = heldComponents({
    components: placed,
    carriers: input,
  });
  const lowPoints = lines.flatMap(({ lineId, results }) => {
    const { key } = routeFigure('line.lowPoint', { line: lineId });
    return results.filter((result) => result.key === key);
  });
  return {
    lines,
    components,
    held,
    around,
    cables,
    joints: jointPlaces(input),
    nextTape: nextTape(
      led.map((each) => each.led),
      input.hardPoints,
    ),
    offTape: offTape(input),
    results: [
      ...lowestFigures(lowPoints, input),
      ...thingFigures(input, input.catalogue),
      ...components.flatMap((check) => componentFigures(check, around)),
      ...held.flatMap((each) => each.results),
    ],
  };
}

/** The figures of a line, as before while its way and what is nearest to it are as they were. */
const figuresOf = memoByValue(lineFigures);

/** Parts by the names of their elements: what sat where was found without them. */
function namedComponents({ placed, circuits }: MapInput): readonly PlacedComponent[] {
  const names = new Map(
    circuits.flatMap(({ elements }) => elements.map(({ id, name }) => [id, name] as const)),
  );
  return placed.components.map((each) => ({ ...each, name: names.get(each.id) ?? each.name }));
}

/** A body as a plain box where it stands along the vehicle: those are the quicker ones. */
function shapeOfBody(body: OrientedBox): ObstacleShape {
  const box = alignedBox(body);
  return box ? { kind: 'box', box } : { kind: 'body', body };
}

/** A part as something that lines go round, made once while it stands where it does. */
const bodyObstacle = memoByValue(
  (
    { id: placementId, movesWithEngine }: Placement,
    part: Pick<PlacedComponent, 'id' | 'name' | 'body'>,
  ) =>
    obstacle({
      kind: 'component',
      id: part.id,
      name: part.name,
      path: ['placements', placementId],
      shape: shapeOfBody(part.body),
      travel: 0,
      onEngine: movesWithEngine,
      asks: 0,
      asksOfSleeved: 0,
    }),
);

/** The surroundings with the bodies of parts among them. */
function aroundWith(input: MapInput, placed: readonly PlacedComponent[]): VehicleAround {
  const around = vehicleAround(input);
  const bodies = placed.map(({ id, name, body, placement }) =>
    bodyObstacle(placement, { id, name, body }),
  );
  return { ...around, obstacles: [...around.obstacles, ...bodies] };
}

function jointPlaces({ circuits, placements }: MapInput): Readonly<Record<string, Vector>> {
  const used = new Set(circuits.flatMap(({ nodes }) => nodes.map((node) => node.placementId)));
  return Object.fromEntries(
    placements.flatMap((place) => (used.has(place.id) ? [[place.id, vectorOf(place)]] : [])),
  );
}

/** A place may differ from its tape reading by this, m. */
const STANDS = 1e-3;

const offTape = ({ hardPoints, placements }: MapInput): OffTape[] =>
  hardPoints.flatMap(({ id, placementId, ...point }): OffTape[] => {
    const place = placements.find((p) => p.id === placementId);
    const off = place ? distanceBetween(vectorOf(place), vectorOf(point)) : 0;
    return off > STANDS ? [{ hardPointId: id, placementId, off }] : [];
  });

/** How low the lines hang, and how far above what protects them. */
function lowestFigures(lowPoints: readonly Result[], { vehicle }: MapInput): Result[] {
  if (lowPoints.length === 0) return [];
  const lowest = derive({
    figure: routeFigure('map.lowestPoint'),
    label: 'Lowest point of all lines on the map',
    formula: f.lowestOf,
    inputs: { lowPoints: together(lowPoints) },
  });
  return [
    lowest,
    derive({
      figure: routeFigure('map.groundMargin'),
      label: 'Lowest line above the lowest protected member',
      formula: f.groundMargin,
      inputs: { lowest, protected: entered(vehicle.clearance, ['vehicle', 'clearance']) },
    }),
  ];
}

/** What a way on the map says of its line to the fuel network. */
export interface RoutedGeometry {
  readonly length: Sourced<number>;
  readonly bendLoss: Sourced<number>;
}
/** Lengths and bends of lines along their ways on the map, by line, as inputs of other figures. */
export type RoutedLengths = Readonly<Record<string, RoutedGeometry>>;

/** The lengths and bends of all lines whose way can be run. */
export const routedLengthsOf = ({ lines }: Pick<MapOutput, 'lines'>): RoutedLengths =>
  Object.fromEntries(
    lines.flatMap(({ lineId, length, bendLoss }) =>
      length && bendLoss
        ? [[lineId, { length: fromResult(length), bendLoss: fromResult(bendLoss) }]]
        : [],
    ),
  );
