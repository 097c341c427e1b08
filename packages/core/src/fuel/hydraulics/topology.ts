import { entryAt, narrowBand } from '../../numerics/index.ts';
import type { Network, NetworkBranch } from './network.ts';

/** Something in a network that is joined to nothing, or named twice. */
export class BadNetwork extends Error {
  readonly where: string;
  constructor(reason: string, where: string) {
    super(reason);
    this.where = where;
  }
}

/** What is joined to what in a network, by index. */
export interface Topology {
  /** joints whose pressure is asked for: those that are joined stand near each other */
  readonly free: readonly string[];
  /** index of the free node at each end, −1 where fixed or outside */
  readonly from: Int32Array;
  readonly to: Int32Array;
  readonly fromFixed: Float64Array;
  readonly toFixed: Float64Array;
  /** node that a branch watches: index of the free node, else −1 with its fixed pressure */
  readonly sensed: Int32Array;
  readonly sensedFixed: Float64Array;
}

/** Joints in an order in which those that one branch names stand near each other. */
function inNarrowBand(
  named: readonly string[],
  branches: readonly Pick<NetworkBranch, 'from' | 'to' | 'senses'>[],
): readonly string[] {
  const places = new Map<unknown, number>(named.map((id, place) => [id, place]));
  const pairs = branches.flatMap(({ from, to, senses }) => {
    const at = [from, to, senses].flatMap((node) => places.get(node) ?? []);
    return at.flatMap((a) => at.map((b) => [a, b] as const));
  });
  return [...narrowBand(named.length, pairs)].map((place) => entryAt(named, place));
}

/** Reads what is joined to what; throws {@link BadNetwork} where it does not hold together. */
export function readTopology(network: Pick<Network, 'nodes' | 'branches'>): Topology {
  const named: string[] = [];
  const fixed = new Map<string, number>();
  for (const node of network.nodes) {
    if (named.includes(node.id) || fixed.has(node.id)) {
      throw new BadNetwork(`node "${node.id}" is named twice`, node.id);
    }
    if (node.fixedPressure === undefined) named.push(node.id);
    else fixed.set(node.id, node.fixedPressure);
  }
  const free = inNarrowBand(named, network.branches);
  const indexOf = new Map(free.map((id, index) => [id, index]));
  const count = network.branches.length;
  const ends = () => ({
    index: new Int32Array(count).fill(-1),
    pressure: new Float64Array(count),
  });
  const from = ends();
  const to = ends();
  const sensed = ends();
  network.branches.forEach((branch, b) => {
    const join = (end: ReturnType<typeof ends>, node: string | null | undefined): void => {
      if (node === null || node === undefined) return;
      const index = indexOf.get(node);
      const pressure = fixed.get(node);
      if (index === undefined && pressure === undefined) {
        throw new BadNetwork(`"${branch.id}" is joined to nothing at "${node}"`, branch.id);
      }
      end.index[b] = index ?? -1;
      end.pressure[b] = pressure ?? 0;
    };
    join(from, branch.from);
    join(to, branch.to);
    join(sensed, branch.senses);
  });
  return {
    free,
    from: from.index,
    to: to.index,
    fromFixed: from.pressure,
    toFixed: to.pressure,
    sensed: sensed.index,
    sensedFixed: sensed.pressure,
  };
}
