import type { Netlist } from '../../electrics/index.ts';
import type { Placement } from '../../model/index.ts';
import { type SheetAround, type Vector, distanceBetween, vectorOf } from '../../vehicle/index.ts';
import type { LedSegment } from '../lengths/ledSegment.ts';
import { type NodeKey, placeNode } from '../topology/harnessNode.ts';
import { sheetBetween } from './sheetBetween.ts';
import { HarnessTree } from '../topology/harnessTree.ts';

/** Where a part could be joined to the harness, and how much wire runs on from there, m. */
export interface Attachment {
  readonly node: NodeKey;
  readonly at: Vector;
  readonly onward: number;
}

/** How the wires of a part leave it: how many, where they may join the harness, and where they end. */
export interface Leaving {
  readonly wires: number;
  readonly attachments: readonly Attachment[];
  readonly ends: readonly { readonly at: Vector; readonly wires: number }[];
  readonly tree: HarnessTree;
}

/** What wire that nobody has led is longer than the straight, and what a new branch is. */
const UNLED = 1.5;
const BRANCH = 1.2;

/** What leaves a place of the vehicle, its own branches of the harness taken off. */
export function leavingOf(input: {
  readonly placementId: string;
  readonly netlist: Pick<Netlist, 'wires'>;
  readonly segments: readonly LedSegment[];
  readonly placements: readonly Placement[];
}): Leaving {
  const { placementId, netlist, segments, placements } = input;
  const places = new Map(placements.map((place) => [place.id, place]));
  const counts = new Map<string, number>();
  for (const { from, to } of netlist.wires) {
    const [a, b] = [from.placementId, to.placementId];
    const other = a === placementId ? b : b === placementId ? a : undefined;
    if (other === undefined || other === placementId || !places.has(other)) continue;
    counts.set(other, (counts.get(other) ?? 0) + 1);
  }
  const own = placeNode(placementId);
  const others = segments.filter(({ from, to }) => from !== own && to !== own);
  const tree = new HarnessTree(
    others.map(({ id, from, to, length }) => ({ id, from, to, length: length.value })),
  );
  const standing = new Map<NodeKey, Vector>(
    others.flatMap(({ from, to, points }) => {
      const [first, last] = [points[0], points.at(-1)];
      return first && last ? [[from, first.at] as const, [to, last.at] as const] : [];
    }),
  );
  const ends = [...counts].flatMap(([id, wires]) => {
    const place = places.get(id);
    return place ? [{ id, at: vectorOf(place), wires }] : [];
  });
  const attachments = [...standing].map(([node, at]): Attachment => ({
    node,
    at,
    onward: ends.reduce((sum, end) => {
      const way = tree.way({ node }, { node: placeNode(end.id) });
      const far = way?.length ?? UNLED * distanceBetween(at, end.at);
      return sum + end.wires * far;
    }, 0),
  }));
  return { wires: ends.reduce((sum, { wires }) => sum + wires, 0), attachments, ends, tree };
}

/**
 * Wire m that a part takes at a place, and where it would be joined; by itself where nothing is led.
 * A branch goes through no sheet: undefined where one lies before every node.
 */
export function copperAt(
  at: Vector,
  { wires, attachments, ends }: Pick<Leaving, 'wires' | 'attachments' | 'ends'>,
  sheets: readonly SheetAround[],
): { readonly copper: number; readonly joined: Attachment | undefined } | undefined {
  let joined: Attachment | undefined;
  let copper = Infinity;
  for (const attachment of attachments) {
    const taken = wires * BRANCH * distanceBetween(at, attachment.at) + attachment.onward;
    if (taken >= copper || sheetBetween(at, attachment.at, sheets)) continue;
    copper = taken;
    joined = attachment;
  }
  if (joined) return { copper, joined };
  if (attachments.length > 0) return undefined;
  const straight = ends.reduce(
    (sum, end) => sum + end.wires * UNLED * distanceBetween(at, end.at),
    0,
  );
  return { copper: straight, joined: undefined };
}

/** Length m that a leg needs from a place to a node of the harness, joined where its plug is. */
export function legAt(
  at: Vector,
  joined: Attachment,
  to: NodeKey,
  tree: HarnessTree,
): number | undefined {
  const way = tree.way({ node: joined.node }, { node: to });
  return way && BRANCH * distanceBetween(at, joined.at) + way.length;
}
