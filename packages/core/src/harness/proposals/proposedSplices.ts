import type { ElectricDesign } from '../../electrics/index.ts';
import type { Harness } from '../../model/index.ts';
import { type LedHarness, treeOf } from '../lengths/ledHarness.ts';
import { placeNode } from '../topology/harnessNode.ts';
import type { TreePoint } from '../topology/harnessTree.ts';
import { type SpliceRoom, type SplicedWire, bestSpliceSite } from '../topology/spliceSites.ts';

/** Splices are moved one after the other until none moves, at most so often. */
const MOST_ROUNDS = 8;

/** Where every splice of the netlist sits with the least copper, by its id. */
export function proposedSplices(input: {
  readonly led: LedHarness;
  readonly harness: Harness;
  readonly electrics: Pick<ElectricDesign, 'netlist' | 'wires'>;
  /** only these; all where nothing is said */
  readonly only?: ReadonlySet<string>;
}): Readonly<Record<string, { readonly segmentId: string; readonly share: number }>> {
  const { led, harness, electrics, only } = input;
  const tree = treeOf(led.segments);
  const rooms = spliceRooms(led);
  const areas = new Map(electrics.wires.map(({ wire, size }) => [wire.id, size.area]));
  const owner = new Map(
    electrics.netlist.parts.flatMap((part) => part.pins.map(({ node }) => [node, part] as const)),
  );
  const sites = new Map<string, TreePoint>(
    harness.splices.map(({ spliceId, segmentId, share }) => [
      spliceId,
      { segmentId, share: share.value },
    ]),
  );
  const onBus = busNodes(electrics.netlist);
  const splices = electrics.netlist.parts.filter(
    ({ sort, id, pins }) =>
      sort === 'splice' &&
      (only === undefined ? !pins.every(({ node }) => onBus.has(node)) : only.has(id)),
  );
  const wiresOf = (spliceId: string): SplicedWire[] =>
    electrics.netlist.wires.flatMap(({ id, from, to }): SplicedWire[] => {
      const ends = [from, to].map((end) => ({ end, part: owner.get(end.node) }));
      if (!ends.some(({ part }) => part?.id === spliceId)) return [];
      const other = ends.find(({ part }) => part?.id !== spliceId);
      if (!other) return [];
      const point = sites.get(other.part?.id ?? '') ?? { node: placeNode(other.end.placementId) };
      const reached = 'segmentId' in point || tree.has(point.node);
      return reached ? [{ to: point, weight: (areas.get(id) ?? 1e-6) * 1e6 }] : [];
    });
  for (let round = 0; round < MOST_ROUNDS; round++) {
    let moved = false;
    for (const { id } of splices) {
      const wires = wiresOf(id);
      if (wires.length < 2) continue;
      const others = [...sites].flatMap(([other, at]) =>
        other !== id && 'segmentId' in at ? [at] : [],
      );
      const found = bestSpliceSite(
        tree,
        rooms.map((room) => ({
          ...room,
          taken: others.flatMap(({ segmentId, share }) =>
            segmentId === room.id ? [share * room.length] : [],
          ),
        })),
        wires,
      );
      const present = sites.get(id);
      if (!found) continue;
      const stays =
        present !== undefined &&
        'segmentId' in present &&
        present.segmentId === found.segmentId &&
        Math.abs(present.share - found.share) < 1e-6;
      if (stays) continue;
      sites.set(id, { segmentId: found.segmentId, share: found.share });
      moved = true;
    }
    if (!moved) break;
  }
  return Object.fromEntries(
    splices.flatMap(({ id }) => {
      const site = sites.get(id);
      return site && 'segmentId' in site ? [[id, site]] : [];
    }),
  );
}

/** Nodes at which a bus ends or goes on. */
export const busNodes = ({
  wires,
}: Pick<ElectricDesign['netlist'], 'wires'>): ReadonlySet<string> =>
  new Set(wires.flatMap(({ role, from, to }) => (role === 'bus' ? [from.node, to.node] : [])));

/** The segments of a harness as room for splices. */
export const spliceRooms = ({ segments }: Pick<LedHarness, 'segments'>): SpliceRoom[] =>
  segments.map(({ id, endsAtPlace, length, path }) => ({
    id,
    length: length.value,
    plugAtFrom: endsAtPlace[0],
    plugAtTo: endsAtPlace[1],
    path,
  }));
