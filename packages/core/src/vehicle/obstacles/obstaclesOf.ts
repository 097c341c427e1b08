import type { Edge, HotRun, MovingZone, Solid } from '../../model/index.ts';
import { memo } from '../../numerics/index.ts';
import { vectorOf } from '../places/vectorOf.ts';
import { askedByEdge, askedByHeat, askedByMovement } from './asked.ts';
import { type Obstacle, type ObstacleShape, obstacle } from './obstacle.ts';

/** Everything of a vehicle that lines keep away from, but for other lines. */
export interface Things {
  readonly hotRuns: readonly HotRun[];
  readonly movingZones: readonly MovingZone[];
  readonly edges: readonly Edge[];
  readonly solids: readonly Solid[];
}

const shapeOfZone = ({ room }: MovingZone): ObstacleShape =>
  room.shape === 'box'
    ? { kind: 'box', box: { low: vectorOf(room.low), high: vectorOf(room.high) } }
    : {
        kind: 'rod',
        points: [vectorOf(room.from), vectorOf(room.to)],
        radius: room.diameter.value / 2,
      };

/** Room m that a hot run asks. */
export const heatAsks = (run: HotRun, sleeve: boolean): number =>
  askedByHeat({
    temperature: run.temperature.value,
    turbine: run.part === 'turbine',
    sleeve,
  });

/** Room m that a moving thing asks beyond its movement: belts whip however tight they are. */
export const movementAsks = ({ travel, part }: MovingZone): number =>
  askedByMovement({ travel: travel.value, whips: part === 'belt' });

const plain = (asks: number) => ({ asks, asksOfSleeved: asks });

// Each thing is made once: ways that were checked against it need not be checked again.
const hotObstacle = memo((run: HotRun) =>
  obstacle({
    kind: 'hot',
    id: run.id,
    name: run.name,
    path: ['hotRuns', run.id],
    shape: { kind: 'rod', points: run.points.map(vectorOf), radius: run.diameter.value / 2 },
    travel: 0,
    asks: heatAsks(run, false),
    asksOfSleeved: heatAsks(run, true),
  }),
);
const movingObstacle = memo((zone: MovingZone) =>
  obstacle({
    kind: 'moving',
    id: zone.id,
    name: zone.name,
    path: ['movingZones', zone.id],
    shape: shapeOfZone(zone),
    travel: zone.travel.value,
    ...plain(movementAsks(zone)),
  }),
);
const edgeObstacle = memo((edge: Edge) =>
  obstacle({
    kind: 'edge',
    id: edge.id,
    name: edge.name,
    path: ['edges', edge.id],
    shape: { kind: 'rod', points: [vectorOf(edge.from), vectorOf(edge.to)], radius: 0 },
    travel: 0,
    ...plain(askedByEdge(edge)),
  }),
);
const solidObstacle = memo((solid: Solid) =>
  obstacle({
    kind: 'solid',
    id: solid.id,
    name: solid.name,
    path: ['solids', solid.id],
    shape: { kind: 'box', box: { low: vectorOf(solid.low), high: vectorOf(solid.high) } },
    travel: 0,
    ...plain(0),
    onEngine: solid.movesWithEngine,
  }),
);

/** Everything that lines keep away from, each with what it asks. */
export const obstaclesOf = ({ hotRuns, movingZones, edges, solids }: Things): Obstacle[] => [
  ...hotRuns.map((run) => hotObstacle(run)),
  ...movingZones.map((zone) => movingObstacle(zone)),
  ...edges.map((edge) => edgeObstacle(edge)),
  ...solids.map((solid) => solidObstacle(solid)),
];
