import type { Edge, HotRun, MovingZone, Solid } from '../../model/index.ts';
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

/** Everything that lines keep away from, each with what it asks. */
export function obstaclesOf({ hotRuns, movingZones, edges, solids }: Things): Obstacle[] {
  const plain = (asks: number) => ({ asks, asksOfSleeved: asks });
  return [
    ...hotRuns.map((run) =>
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
    ),
    ...movingZones.map((zone) =>
      obstacle({
        kind: 'moving',
        id: zone.id,
        name: zone.name,
        path: ['movingZones', zone.id],
        shape: shapeOfZone(zone),
        travel: zone.travel.value,
        ...plain(movementAsks(zone)),
      }),
    ),
    ...edges.map((edge) =>
      obstacle({
        kind: 'edge',
        id: edge.id,
        name: edge.name,
        path: ['edges', edge.id],
        shape: { kind: 'rod', points: [vectorOf(edge.from), vectorOf(edge.to)], radius: 0 },
        travel: 0,
        ...plain(askedByEdge(edge)),
      }),
    ),
    ...solids.map((solid) =>
      obstacle({
        kind: 'solid',
        id: solid.id,
        name: solid.name,
        path: ['solids', solid.id],
        shape: {
          kind: 'box',
          box: { low: vectorOf(solid.low), high: vectorOf(solid.high) },
        },
        travel: 0,
        ...plain(0),
        onEngine: solid.movesWithEngine,
      }),
    ),
  ];
}
