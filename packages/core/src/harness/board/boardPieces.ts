import type { ElectricDesign } from '../../electrics/index.ts';
import type { Harness, Placement } from '../../model/index.ts';
import { addTo } from '../../numerics/index.ts';
import type { HarnessDesign } from '../bundles/bundleStage.ts';
import type { HarnessConnector } from '../connectors/connectorsOf.ts';
import type { LedHarness } from '../lengths/ledHarness.ts';
import { type NodeKey, breakoutNode, placeNode } from '../topology/harnessNode.ts';
import type { TreeEdge } from './rootedTree.ts';

/** An end or a breakout of a loom, with the plugs that are there. */
export interface BoardNode {
  readonly key: string;
  readonly name: string;
  readonly isPlace: boolean;
  readonly plugs: readonly HarnessConnector[];
}

/** A loom that is made on a board of its own. */
export interface BoardPiece {
  readonly id: string;
  readonly name: string;
  readonly edges: readonly TreeEdge[];
  readonly nodes: readonly BoardNode[];
  /** segments that close a loop: they are on no board */
  readonly loops: readonly string[];
}

/** What boards are made of. */
export interface BoardInput {
  readonly led: LedHarness;
  readonly harness: HarnessDesign;
  readonly decided: Pick<Harness, 'breakouts' | 'segments'>;
  readonly placements: readonly Placement[];
  readonly electrics: Pick<ElectricDesign, 'netlist'>;
}

/** The node of a side of a connector that parts a harness: each segment there has one of its own. */
const sideNode = (node: NodeKey, segmentId: string): string => `${node} of ${segmentId}`;

/** In which segment each plug lies, by the wires that end in it. */
function segmentsOfPlugs({ led, harness, electrics }: BoardInput): ReadonlyMap<string, string> {
  const outermost = new Map<string, string>();
  const ways = new Map(led.wires.map(({ wireId, parts }) => [wireId, parts]));
  for (const { id, from, to } of electrics.netlist.wires) {
    const parts = ways.get(id);
    const [first, last] = [parts?.[0], parts?.at(-1)];
    if (first) outermost.set(from.node, first.segmentId);
    if (last) outermost.set(to.node, last.segmentId);
  }
  return new Map(
    harness.connectors.flatMap(({ id, cavities }) => {
      const segment = cavities.flatMap(({ node }) => outermost.get(node) ?? [])[0];
      return segment === undefined ? [] : [[id, segment] as const];
    }),
  );
}

/** Edges that hang together, in groups; those of the first edge come first. */
function together(edges: readonly TreeEdge[]): readonly (readonly TreeEdge[])[] {
  const groups: { readonly nodes: Set<string>; readonly edges: TreeEdge[] }[] = [];
  for (const edge of edges) {
    const touching = groups.filter(({ nodes }) => nodes.has(edge.from) || nodes.has(edge.to));
    const [home = { nodes: new Set<string>(), edges: [] }, ...rest] = touching;
    if (touching.length === 0) groups.push(home);
    for (const other of rest) {
      for (const node of other.nodes) home.nodes.add(node);
      home.edges.push(...other.edges);
      groups.splice(groups.indexOf(other), 1);
    }
    home.nodes.add(edge.from).add(edge.to);
    home.edges.push(edge);
  }
  return groups.map((group) => group.edges);
}

/** The looms of a harness: parted where connectors part it, each with its ends and the plugs on them. */
export function boardPieces(input: BoardInput): readonly BoardPiece[] {
  const { led, harness, decided, placements } = input;
  const parting = new Set(harness.inline.map(({ part }) => placeNode(part.placementId)));
  const partingParts = new Set(harness.inline.map(({ part }) => part.id));
  const loops = new Set(led.loops);
  const nodeAt = new Map<string, NodeKey>();
  const keyAt = (node: NodeKey, segmentId: string): string => {
    const key = parting.has(node) ? sideNode(node, segmentId) : node;
    nodeAt.set(key, node);
    return key;
  };
  const edges = led.segments
    .filter(({ id, length }) => !loops.has(id) && length.value > 0)
    .map(({ id, from, to, length }) => ({
      id,
      from: keyAt(from, id),
      to: keyAt(to, id),
      length: length.value,
    }));
  const names = new Map<NodeKey, string>([
    ...placements.map(({ id, name }) => [placeNode(id), name] as const),
    ...decided.breakouts.map(({ id, name }) => [breakoutNode(id), name] as const),
  ]);
  const places = new Set(placements.map(({ id }) => placeNode(id)));
  const segmentOf = segmentsOfPlugs(input);
  const plugsAt = new Map<string, HarnessConnector[]>();
  for (const plug of harness.connectors) {
    const key = keyAt(placeNode(plug.placementId), segmentOf.get(plug.id) ?? '');
    addTo(plugsAt, key, plug);
  }
  return together(edges)
    .map((own) => [...own].sort((a, b) => b.length - a.length))
    .sort((a, b) => b.length - a.length)
    .map((own, i): BoardPiece => {
      const keys = [...new Set(own.flatMap(({ from, to }) => [from, to]))];
      const nodes = keys.map((key): BoardNode => {
        const node = nodeAt.get(key) ?? key;
        return {
          key,
          name: names.get(node) ?? '',
          isPlace: places.has(node),
          plugs: plugsAt.get(key) ?? [],
        };
      });
      const most = [...nodes].sort((a, b) => waysAt(b, partingParts) - waysAt(a, partingParts))[0];
      return {
        id: `${i + 1}`,
        name: most ? `Loom with “${most.name}”` : `Loom ${i + 1}`,
        edges: own,
        nodes,
        loops: led.loops,
      };
    });
}

/** Wires in the plugs of a node; what parts the harness is at the ends of two looms and names neither. */
const waysAt = ({ plugs }: BoardNode, parting: ReadonlySet<string>): number =>
  plugs.reduce((all, { used, partId }) => all + (parting.has(partId) ? 0 : used.length), 0);
