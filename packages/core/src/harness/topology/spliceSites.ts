import type { RoutePath } from '../../vehicle/index.ts';
import type { HarnessTree, TreePoint } from './harnessTree.ts';

/** A splice keeps so far from a plug or stud, and from where branches part, m. */
export const OFF_PLUG = 0.1;
const OFF_BREAKOUT = 0.03;
/** A splice is so long: all of it lies straight, m. */
const SPLICE_LONG = 0.02;

/** Two splices sit so far apart, so that they do not lie side by side, m. */
export const APART = 0.04;

/** A segment in which splices may sit. */
export interface SpliceRoom {
  readonly id: string;
  readonly length: number;
  /** whether its ends are plugs or studs, or else breakouts */
  readonly plugAtFrom: boolean;
  readonly plugAtTo: boolean;
  readonly path: RoutePath | undefined;
  /** where others sit in it, m from its beginning */
  readonly taken?: readonly number[];
}

/** Stretches m from its beginning at which a splice may sit in a segment: straight, off its ends. */
export function freeStretches(room: SpliceRoom): readonly (readonly [from: number, to: number])[] {
  return (room.taken ?? []).reduce<readonly (readonly [number, number])[]>(
    (free, at) =>
      free.flatMap(([from, to]): (readonly [number, number])[] => {
        if (to < at - APART || from > at + APART) return [[from, to]];
        const parts: (readonly [number, number])[] = [];
        if (from <= at - APART) parts.push([from, at - APART]);
        if (to >= at + APART) parts.push([at + APART, to]);
        return parts;
      }),
    straightStretches(room),
  );
}

function straightStretches(room: SpliceRoom): readonly (readonly [from: number, to: number])[] {
  const least = room.plugAtFrom ? OFF_PLUG : OFF_BREAKOUT;
  const most = room.length - (room.plugAtTo ? OFF_PLUG : OFF_BREAKOUT);
  if (!room.path) return most >= least ? [[least, most]] : [];
  // A measured length stretches its way evenly.
  const scale = room.path.length > 0 ? room.length / room.path.length : 1;
  const free: [number, number][] = [];
  let at = 0;
  for (const piece of room.path.pieces) {
    const begin = at;
    at += piece.length * scale;
    if (piece.kind === 'arc') continue;
    const from = Math.max(least, begin + (begin > 0 ? SPLICE_LONG / 2 : 0));
    const to = Math.min(most, at - (at < room.length - 1e-9 ? SPLICE_LONG / 2 : 0));
    if (to >= from) free.push([from, to]);
  }
  return free;
}

/** An end of a wire at a splice: where it goes, and what a metre of it costs. */
export interface SplicedWire {
  readonly to: TreePoint;
  readonly weight: number;
}

/** A place for a splice, and what its wires come to with it there. */
export interface FoundSite {
  readonly segmentId: string;
  readonly share: number;
  readonly cost: number;
}

/** What the wires of a splice come to with it at a point; infinite where one cannot reach it. */
export const spliceCost = (
  tree: HarnessTree,
  at: TreePoint,
  wires: readonly SplicedWire[],
): number =>
  wires.reduce((sum, { to, weight }) => {
    const way = tree.way(at, to);
    return sum + weight * (way ? way.length : Infinity);
  }, 0);

/**
 * The place of a splice at which its wires are shortest, by their weights. Along a segment what
 * they come to is straight between the ends of its free stretches and the splices in it: one of
 * those is the best.
 */
export function bestSpliceSite(
  tree: HarnessTree,
  rooms: readonly SpliceRoom[],
  wires: readonly SplicedWire[],
): FoundSite | undefined {
  let best: FoundSite | undefined;
  for (const room of rooms) {
    const within = wires.flatMap(({ to }) =>
      'segmentId' in to && to.segmentId === room.id ? [to.share * room.length] : [],
    );
    for (const [from, to] of freeStretches(room)) {
      const places = [from, to, ...within.filter((at) => at > from && at < to)];
      for (const at of places) {
        const share = at / room.length;
        const cost = spliceCost(tree, { segmentId: room.id, share }, wires);
        if (cost < (best?.cost ?? Infinity) - 1e-12) best = { segmentId: room.id, share, cost };
      }
    }
  }
  return best;
}
