import type { Breakout, Harness, HarnessSegment } from '../../model/index.ts';
import { type Millimetres, q, xyz } from './shorthand.ts';

type End = HarnessSegment['from'];

/** Where a segment ends: at a place of the vehicle, or at a breakout. */
export const atPlace = (placementId: string): End => ({ at: 'place', placementId });
export const atBreakout = (breakoutId: string): End => ({ at: 'breakout', breakoutId });

export const breakout = (
  id: string,
  name: string,
  at: Millimetres,
  zone: Breakout['zone'] = 'body',
): Breakout => ({
  id,
  name,
  ...xyz(at),
  zone,
  movesWithEngine: zone === 'engine-bay',
  locked: false,
});

interface Laid {
  readonly radius?: number;
  readonly loop?: number;
  readonly cover?: HarnessSegment['cover'];
  readonly heatSleeve?: boolean;
}

/** A segment between two ends, over corners in mm that are all bent with one radius. */
export const segment = (
  id: string,
  name: string,
  [from, to]: readonly [from: End, to: End],
  corners: readonly Millimetres[] = [],
  { radius = 40, loop = 0, cover = null, heatSleeve = false }: Laid = {},
): HarnessSegment => ({
  id,
  name,
  from,
  to,
  points: corners.map((at, i) => ({
    id: `c${i + 1}`,
    ...xyz(at),
    radius: q(radius, 'length', 'mm'),
  })),
  cover,
  heatSleeve,
  loop: q(loop, 'length', 'mm'),
  measured: null,
  locked: false,
  closed: false,
});

/** What no harness of these has. */
export const asDrawn = { bought: [], cut: [], repinned: [] } as const;

/** Where a splice sits: in a segment, per cent along it. */
export const spliced = (
  spliceId: string,
  segmentId: string,
  percent: number,
): Harness['splices'][number] => ({ spliceId, segmentId, share: q(percent, 'ratio', '%') });

/** A leg of a loom that is kept: to where, how long, mm from the plug at which it leaves, and how. */
export const leg = (
  id: string,
  name: string,
  placementId: string,
  length: number,
  leavesAt: number,
  leaves: Harness['bought'][number]['legs'][number]['leaves'],
): Harness['bought'][number]['legs'][number] => ({
  id,
  name,
  placementId,
  length: q(length, 'length', 'mm'),
  leavesAt: q(leavesAt, 'length', 'mm'),
  leaves,
  changed: q(0, 'length', 'mm'),
  size: null,
});

/** A plug that is kept: cavity, what was in it, what is in it then. */
export const keptPlug = (
  id: string,
  name: string,
  placementId: string,
  rows: readonly (readonly [cavity: string, before: string, after: string])[],
): Harness['repinned'][number] => ({
  id,
  name,
  placementId,
  cavities: rows.map(([cavity, before, after]) => ({
    id: `c${cavity}`,
    cavity,
    before,
    after,
    cut: false,
  })),
});
