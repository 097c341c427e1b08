import { type NodeKey, placeNode } from '../topology/harnessNode.ts';
import { sidesIn } from '../topology/sidesOf.ts';

/** Something that a part of the harness has to be put through: a sleeve that is no split one, a hole, or a boot. */
export interface Opening {
  readonly id: string;
  readonly kind: 'sleeve' | 'hole' | 'boot';
  readonly name: string;
  /** the hole, or the item that the sleeve is */
  readonly thingId: string;
  readonly segmentId: string;
  /** what passes it at most, m across */
  readonly size: number;
}

/** A plug as far as threading goes. */
export interface ThreadedPlug {
  readonly id: string;
  readonly name: string;
  readonly placementId: string;
  /** m across */
  readonly diameter: number;
  /** it is on already, as those of a loom that is bought are */
  readonly fixed: boolean;
}

/** How an opening is passed. */
export interface Threaded {
  readonly opening: Opening;
  /** put on before the plug at the root, or from the far end */
  readonly from: 'root' | 'far end';
  /** plugs on the side that is put through that are fitted only after */
  readonly after: readonly ThreadedPlug[];
  /** a plug on each side that is on already and does not pass: no order does it */
  readonly blockedBy: readonly ThreadedPlug[];
}

/** The order in which sleeves and holes are passed and ends are fitted. */
export interface ThreadingOrder {
  /** in the order in which they are done */
  readonly passes: readonly Threaded[];
  /** plugs that may be fitted at any time, and those that come last */
  readonly anyTime: readonly ThreadedPlug[];
  readonly last: readonly ThreadedPlug[];
}

interface Way {
  readonly id: string;
  readonly from: NodeKey;
  readonly to: NodeKey;
  readonly length: number;
}

const tooWide = (plugs: readonly ThreadedPlug[], { size }: Opening): readonly ThreadedPlug[] =>
  plugs.filter(({ diameter }) => diameter > size + 1e-9);

/**
 * In which order openings are passed and plugs are fitted. Each is passed from its far end, the one
 * next to the root first, unless plugs that are on already stand in the way there.
 */
export function threadingOrder(input: {
  readonly segments: readonly Way[];
  readonly openings: readonly Opening[];
  readonly plugs: readonly ThreadedPlug[];
  readonly rootPlacementId: string;
}): ThreadingOrder {
  const { segments, openings, plugs, rootPlacementId } = input;
  const root = placeNode(rootPlacementId);
  const far = distancesFrom(root, segments);
  const sidesOf = sidesIn(segments);
  const byId = new Map(segments.map((segment) => [segment.id, segment]));
  const nodeOf = new Map(plugs.map(({ id, placementId }) => [id, placeNode(placementId)]));
  const threaded = openings.map((opening): Threaded & { readonly away: number } => {
    const sides = sidesOf(opening.segmentId);
    const [near, other] = sides[0].has(root) ? sides : ([sides[1], sides[0]] as const);
    const at = (nodes: ReadonlySet<NodeKey>): readonly ThreadedPlug[] =>
      plugs.filter(({ id }) => nodes.has(nodeOf.get(id) ?? ''));
    const beyond = tooWide(at(other), opening);
    const before = tooWide(at(near), opening);
    const isFixed = ({ fixed }: ThreadedPlug): boolean => fixed;
    const fromFarEnd = !beyond.some(isFixed);
    const blocked = !fromFarEnd && before.some(isFixed);
    const segment = byId.get(opening.segmentId);
    const away = Math.min(
      far.get(segment?.from ?? '') ?? Infinity,
      far.get(segment?.to ?? '') ?? Infinity,
    );
    return {
      opening,
      away,
      from: fromFarEnd ? 'far end' : 'root',
      after: blocked ? [] : fromFarEnd ? beyond : before,
      blockedBy: blocked
        ? [beyond.find(isFixed), before.find(isFixed)].flatMap((plug) => plug ?? [])
        : [],
    };
  });
  // From the root's side the outermost goes on first; from the far ends the innermost.
  const passes = [
    ...threaded.filter(({ from }) => from === 'root').sort((a, b) => b.away - a.away),
    ...threaded.filter(({ from }) => from === 'far end').sort((a, b) => a.away - b.away),
  ];
  const last = new Set(passes.flatMap(({ after }) => after.map(({ id }) => id)));
  const free = plugs.filter(({ fixed }) => !fixed);
  return {
    passes,
    anyTime: free.filter(({ id }) => !last.has(id)),
    last: free.filter(({ id }) => last.has(id)),
  };
}

/** How far each node is from the root along the segments, m. */
function distancesFrom(root: NodeKey, segments: readonly Way[]): ReadonlyMap<NodeKey, number> {
  const far = new Map([[root, 0]]);
  const open = [root];
  for (let node = open.shift(); node !== undefined; node = open.shift()) {
    for (const { from, to, length } of segments) {
      const next = from === node ? to : to === node ? from : undefined;
      if (next === undefined || far.has(next)) continue;
      far.set(next, (far.get(node) ?? 0) + length);
      open.push(next);
    }
  }
  return far;
}
