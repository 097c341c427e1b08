import { BadInput } from '../../quantities/index.ts';
import type {
  SchematicBlock,
  SchematicPin,
  SchematicSheet,
  SchematicWire,
} from './schematicSheet.ts';

/** Sizes on a sheet, in its own unit: at 1 : 1 a letter of a label is 8 high. */
export const schematicSizes = {
  letter: 8,
  /** how wide a letter of a condensed type is, of its height */
  width: 0.43,
  row: 21,
  head: 18,
  edge: 6,
  flag: 14,
} as const;

/** A graph as a layered layout takes it. */
export interface LayoutNode {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly layoutOptions: Readonly<Record<string, string>>;
  readonly ports: readonly {
    readonly id: string;
    readonly width: number;
    readonly height: number;
    readonly layoutOptions: Readonly<Record<string, string>>;
  }[];
}
export interface LayoutGraph {
  readonly id: string;
  readonly layoutOptions: Readonly<Record<string, string>>;
  readonly children: readonly LayoutNode[];
  readonly edges: readonly {
    readonly id: string;
    readonly sources: readonly string[];
    readonly targets: readonly string[];
    readonly labels: readonly {
      readonly text: string;
      readonly width: number;
      readonly height: number;
    }[];
  }[];
}

interface At {
  readonly x?: number;
  readonly y?: number;
}
/** The same graph with its places. */
export interface LaidOutGraph {
  readonly width?: number;
  readonly height?: number;
  readonly children?: readonly (At & {
    readonly id: string;
    readonly width?: number;
    readonly height?: number;
    readonly ports?: readonly (At & { readonly id: string })[];
  })[];
  readonly edges?: readonly {
    readonly id: string;
    readonly labels?: readonly At[];
    readonly sections?: readonly {
      readonly startPoint: Required<At>;
      readonly endPoint: Required<At>;
      readonly bendPoints?: readonly Required<At>[];
    }[];
  }[];
}
/** What lays a graph out in layers from left to right. */
export type LayoutEngine = (graph: LayoutGraph) => Promise<LaidOutGraph>;

export type SchematicPoint = readonly [x: number, y: number];
interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}
export type PlacedBlock = Omit<SchematicBlock, 'pins'> &
  Box & { readonly pins: readonly (SchematicPin & { readonly x: number; readonly y: number })[] };
export type PlacedWire = SchematicWire & {
  readonly points: readonly SchematicPoint[];
  readonly labelAt: Box;
};

/** A sheet with everything in its place, and how often wires cross on it. */
export interface PlacedSheet {
  readonly id: string;
  readonly title: string;
  readonly width: number;
  readonly height: number;
  readonly blocks: readonly PlacedBlock[];
  readonly wires: readonly PlacedWire[];
  readonly crossings: number;
}

/** How wide a word is taken to be. */
export const textWidth = (text: string): number =>
  text.length * schematicSizes.letter * schematicSizes.width;

/** Room for a name over a line and a size under it. */
const labelSize = ([over, under]: SchematicWire['label']) => ({
  width: Math.max(textWidth(over), textWidth(under)) + 4,
  height: 2 * schematicSizes.letter + 4,
});

/** How large a block has to be for its words. */
function sizeOf({ kind, name, pins }: SchematicBlock): { width: number; height: number } {
  const { row, head, edge, flag } = schematicSizes;
  if (kind === 'flag') return { width: textWidth(name) + 2 * edge + 12, height: flag };
  const on = (side: SchematicPin['side']): SchematicPin[] =>
    pins.filter((pin) => pin.side === side);
  const widest = (some: readonly SchematicPin[]): number =>
    Math.max(0, ...some.map((pin) => textWidth(pinText(pin))));
  const [west, east] = [on('west'), on('east')];
  return {
    width: Math.max(textWidth(name) * 1.06 + 24, widest(west) + widest(east) + 3 * edge + 8),
    height: head + Math.max(west.length, east.length, 1) * row + edge,
  };
}

/** What stands at a pin: its number, and its name where it has another. */
export const pinText = ({ pin, name }: Pick<SchematicPin, 'pin' | 'name'>): string =>
  name.toLowerCase() === pin.toLowerCase() || name === '' ? pin : `${pin} ${name}`;

const options = {
  'elk.algorithm': 'layered',
  'elk.direction': 'RIGHT',
  'elk.edgeRouting': 'ORTHOGONAL',
  'elk.partitioning.activate': 'true',
  'elk.edgeLabels.inline': 'true',
  'elk.spacing.nodeNode': '12',
  'elk.spacing.edgeNode': '9',
  'elk.spacing.edgeEdge': '9',
  'elk.spacing.labelNode': '4',
  'elk.spacing.edgeLabel': '3',
  'elk.layered.spacing.nodeNodeBetweenLayers': '8',
  'elk.layered.spacing.edgeNodeBetweenLayers': '6',
  'elk.layered.spacing.edgeEdgeBetweenLayers': '7',
  'elk.layered.nodePlacement.strategy': 'NETWORK_SIMPLEX',
  'elk.layered.thoroughness': '12',
} as const;

/** A sheet as a graph: every pin a port on its side, the order of pins left to the layout. */
export function layoutGraph(sheet: SchematicSheet, seed = 1): LayoutGraph {
  const columns = new Map(
    sheet.blocks.flatMap(({ pins, column }) => pins.map(({ id }) => [id, column] as const)),
  );
  // Where wires join blocks of one column, the column says nothing of who comes first.
  const inColumn = sheet.wires.some(({ from, to }) => columns.get(from) === columns.get(to));
  return {
    id: sheet.id,
    layoutOptions: {
      ...options,
      'elk.partitioning.activate': String(!inColumn),
      'elk.randomSeed': String(seed),
    },
    children: sheet.blocks.map((block) => ({
      id: block.id,
      ...sizeOf(block),
      layoutOptions: {
        'elk.portConstraints': 'FIXED_SIDE',
        'elk.partitioning.partition': String(block.column),
        'elk.spacing.portPort': String(schematicSizes.row),
        'elk.spacing.portsSurrounding':
          block.kind === 'box' ? `[top=${String(schematicSizes.head)},bottom=0]` : '[top=0]',
      },
      ports: block.pins.map(({ id, side }) => ({
        id,
        width: 0,
        height: 0,
        layoutOptions: { 'elk.port.side': side === 'west' ? 'WEST' : 'EAST' },
      })),
    })),
    edges: sheet.wires.map(({ id, from, to, label }) => ({
      id,
      sources: [from],
      targets: [to],
      labels: [{ text: label.join(' '), ...labelSize(label) }],
    })),
  };
}

type Segment = readonly [SchematicPoint, SchematicPoint];

const segmentsOf = ({ points }: Pick<PlacedWire, 'points'>): Segment[] =>
  points.slice(1).map((point, i) => [points[i] ?? point, point]);

/** Whether two straight pieces, each along an axis, cross inside both. */
function cross([a, b]: Segment, [c, d]: Segment): boolean {
  const isUpright = ([p, q]: Segment): boolean => Math.abs(p[0] - q[0]) < 1e-6;
  if (isUpright([a, b]) === isUpright([c, d])) return false;
  const [up, flat] = isUpright([a, b])
    ? [
        [a, b],
        [c, d],
      ]
    : [
        [c, d],
        [a, b],
      ];
  const [[x, y1], [, y2]] = up as [SchematicPoint, SchematicPoint];
  const [[x1, y], [x2]] = flat as [SchematicPoint, SchematicPoint];
  const inside = (value: number, p: number, q: number): boolean =>
    value > Math.min(p, q) + 1e-6 && value < Math.max(p, q) - 1e-6;
  return inside(x, x1, x2) && inside(y, y1, y2);
}

/** How often wires of a sheet cross. */
export function countCrossings(wires: readonly Pick<PlacedWire, 'points'>[]): number {
  const all = wires.map(segmentsOf);
  let count = 0;
  all.forEach((one, i) => {
    for (const other of all.slice(i + 1)) {
      for (const a of one) for (const b of other) if (cross(a, b)) count += 1;
    }
  });
  return count;
}

/** Where wires cross, so many other beginnings are tried for one in which they cross less often. */
const BEGINNINGS = 6;

/** Lays a sheet out. Throws BadInput where the engine leaves something without a place. */
export async function layoutSheet(
  sheet: SchematicSheet,
  engine: LayoutEngine,
): Promise<PlacedSheet> {
  let best = placedOn(sheet, await engine(layoutGraph(sheet)));
  for (let seed = 2; best.crossings > 0 && seed <= BEGINNINGS; seed++) {
    const other = placedOn(sheet, await engine(layoutGraph(sheet, seed)));
    if (other.crossings < best.crossings) best = other;
  }
  return best;
}

/** A sheet in the places that were found for it. */
function placedOn(sheet: SchematicSheet, laid: LaidOutGraph): PlacedSheet {
  const nodes = new Map((laid.children ?? []).map((node) => [node.id, node]));
  const edges = new Map((laid.edges ?? []).map((edge) => [edge.id, edge]));
  const blocks = sheet.blocks.map((block): PlacedBlock => {
    const node = nodes.get(block.id);
    if (!node) throw new BadInput(`${block.name} has no place on its sheet`, block.id);
    const { x = 0, y = 0, width = 0, height = 0 } = node;
    const ports = new Map((node.ports ?? []).map((port) => [port.id, port]));
    return {
      ...block,
      x,
      y,
      width,
      height,
      pins: block.pins.map((pin) => {
        const port = ports.get(pin.id);
        return { ...pin, x: x + (port?.x ?? 0), y: y + (port?.y ?? 0) };
      }),
    };
  });
  const wires = sheet.wires.map((wire): PlacedWire => {
    const edge = edges.get(wire.id);
    const [section] = edge?.sections ?? [];
    if (!section) throw new BadInput(`${wire.id} has no way on its sheet`, wire.id);
    const label = edge?.labels?.[0];
    return {
      ...wire,
      points: [section.startPoint, ...(section.bendPoints ?? []), section.endPoint].map(
        ({ x, y }) => [x, y] as const,
      ),
      labelAt: {
        x: label?.x ?? 0,
        y: label?.y ?? 0,
        ...labelSize(wire.label),
      },
    };
  });
  const { id, title } = sheet;
  return {
    id,
    title,
    width: laid.width ?? 0,
    height: laid.height ?? 0,
    blocks,
    wires,
    crossings: countCrossings(wires),
  };
}
