import { addTo, entryAt } from '../../numerics/index.ts';
import {
  type DrawnPlace,
  type DrawnShape,
  type FixingDrawing,
  drawnBox as box,
  drawnLine as line,
  drawnPolygon as polygon,
  drawnWords as words,
} from '../../vehicle/index.ts';
import { cavityFace } from '../connectors/cavityFace.ts';
import type { HarnessConnector } from '../connectors/connectorsOf.ts';
import { plugDiameter } from '../connectors/plugSize.ts';
import { Along } from './along.ts';
import type { BoardPiece } from './boardPieces.ts';
import { type FlatTree, flatTree } from './flatTree.ts';
import { type Laid, textPlace } from './textPlace.ts';

/** What is written at a segment of a board. */
export interface BoardSegment {
  readonly id: string;
  readonly name: string;
  /** m over all, what is drawn at its sides */
  readonly diameter: number;
  readonly wires: number;
  readonly cover: string;
  /** m that lie in it as a loop */
  readonly loop: number;
  /** splices in it: name, and their share of its length from its beginning */
  readonly splices: readonly { readonly name: string; readonly share: number }[];
}

/** What a board is drawn from. */
export interface BoardRead {
  readonly title: string;
  readonly piece: BoardPiece;
  readonly segments: ReadonlyMap<string, BoardSegment>;
  /** numbers of wires by the node of a cavity */
  readonly wireAt: ReadonlyMap<string, number>;
}

/** Nails stand so close along a bundle, and so far beside it, mm. */
const NAIL_EVERY = 200;
const NAIL_BESIDE = 2.5;
const NAIL = 1;
/** Texts of several lines, and about how wide a letter is, mm. */
const LINE = 4.2;
const LETTER = 1.7;
/** A cavity in the drawing of a face, and what stands round it, mm. */
const CAVITY = 5.5;
const FACE_EDGE = 3;
const FACES_APART = 8;
/** Room round what is drawn, and the line by which a print is checked, mm. */
const MARGIN = 25;
export const BOARD_CHECK_LINE = 100;
/** So many plugs of one end are drawn at it; the rest are in the list of faces. */
const PLUGS_AT_END = 4;

const mm = (metres: number): number => metres * 1e3;

function segmentShapes(way: Along, board: Laid, segment: BoardSegment | undefined): DrawnShape[] {
  const half = mm(segment?.diameter ?? 0) / 2;
  const nails = Math.max(1, Math.ceil(way.length / NAIL_EVERY) - 1);
  const name = segment?.name ?? '';
  const said = [
    `${Math.round(way.length * 10) / 10} mm`,
    segment ? `${segment.wires} ${segment.wires === 1 ? 'wire' : 'wires'}` : '',
    segment?.cover ?? '',
    segment && segment.loop > 0 ? `loop of ${Math.round(mm(segment.loop))} mm` : '',
  ]
    .filter((text) => text !== '')
    .join(' · ');
  const wide = Math.max(name.length, said.length) * LETTER;
  const text = textPlace(way, board, {
    wide,
    high: 2 * LINE,
    off: half + NAIL_BESIDE + 2 * NAIL,
  });
  board.texts.push(text);
  const [x, y] = text.at;
  return [
    line('loom', way.from, way.to),
    ...(half > 0
      ? [half, -half].map((side) => line('side', way.at(0, side), way.at(way.length, side)))
      : []),
    ...Array.from({ length: nails }, (_, k) => ((k + 1) * way.length) / (nails + 1)).flatMap((at) =>
      [1, -1].map((side): DrawnShape => ({
        kind: 'circle',
        layer: 'nail',
        centre: way.at(at, side * (half + NAIL_BESIDE)),
        radius: NAIL,
      })),
    ),
    words([x, y + 0.2 * LINE], name),
    words([x, y - 0.8 * LINE], said),
    ...(segment?.splices ?? []).flatMap(({ name, share }): DrawnShape[] => {
      const [x, y] = way.at(share * way.length);
      const corners: readonly DrawnPlace[] = [
        [x - 4, y],
        [x, y + 4],
        [x + 4, y],
        [x, y - 4],
      ];
      return [...polygon('plug', corners), words([x, y - 8.5], name)];
    }),
  ];
}

/** The plugs of an end, one behind the other, as wide as they are. */
function endShapes(
  way: Along,
  plugs: readonly HarnessConnector[],
  keyOf: (plug: HarnessConnector) => string,
): DrawnShape[] {
  let at = way.length;
  return plugs.slice(0, PLUGS_AT_END).flatMap((plug): DrawnShape[] => {
    const wide = mm(plugDiameter(plug));
    const long = Math.max(12, wide * 0.8);
    const [near, far] = [at, at + long];
    at = far + 3;
    const corners = [
      way.at(near, wide / 2),
      way.at(far, wide / 2),
      way.at(far, -wide / 2),
      way.at(near, -wide / 2),
    ];
    const [x, y] = way.at((near + far) / 2);
    return [...polygon('plug', corners), words([x, y - 1], keyOf(plug))];
  });
}

/** The face of a plug from the side of its wires, with the number of the wire in each cavity. */
function faceShapes(
  plug: HarnessConnector,
  key: string,
  wireAt: ReadonlyMap<string, number>,
): { readonly shapes: (at: DrawnPlace) => DrawnShape[]; readonly size: DrawnPlace } {
  const face = cavityFace(plug, 'wire');
  const [across, down] = [
    Math.max(0, ...face.map(({ x }) => Math.abs(x))),
    Math.max(0, ...face.map(({ y }) => Math.abs(y))),
  ];
  const size: DrawnPlace = [
    Math.max(60, (2 * across + 1) * CAVITY + 2 * FACE_EDGE),
    (2 * down + 1) * CAVITY + 2 * FACE_EDGE + 3 * LINE,
  ];
  const nodeOf = new Map(plug.cavities.map(({ pin, node }) => [pin, node]));
  const shapes = ([left, top]: DrawnPlace): DrawnShape[] => {
    const [w, h] = [
      (2 * across + 1) * CAVITY + 2 * FACE_EDGE,
      (2 * down + 1) * CAVITY + 2 * FACE_EDGE,
    ];
    const [x0, y0] = [left + size[0] / 2, top - 2 * LINE - 1.5 - h / 2];
    return [
      words([x0, top - LINE], `${key} ${plug.name}`),
      words([x0, top - 2 * LINE], `wire side, ${plug.cavities.length} ways`),
      ...box('plug', [x0 - w / 2, y0 - h / 2], [w, h]),
      // The latch, or the key, is above.
      line('plug', [x0 - 4, y0 + h / 2 + 1], [x0 + 4, y0 + h / 2 + 1]),
      ...face.flatMap(({ pin, x, y }): DrawnShape[] => {
        const centre: DrawnPlace = [x0 + x * CAVITY, y0 - y * CAVITY];
        const wire = wireAt.get(nodeOf.get(pin) ?? '');
        return [
          { kind: 'circle', layer: 'plug', centre, radius: 2.4 },
          words([centre[0], centre[1] - 1], wire === undefined ? '×' : `${wire}`),
        ];
      }),
    ];
  };
  return { shapes, size };
}

/** Names stand so far from their node, mm. */
const NAME_AWAY = 14;

/** A text beside a node, in the widest room between what leaves it. */
function beside(
  [x, y]: DrawnPlace,
  leaving: readonly number[],
  text: string,
  plugs: readonly HarnessConnector[],
): DrawnShape {
  const turn = 2 * Math.PI;
  const sorted = leaving.map((angle) => ((angle % turn) + turn) % turn).sort((a, b) => a - b);
  let [middle, widest] = [-Math.PI / 2, 0];
  sorted.forEach((from, i) => {
    const room =
      i + 1 < sorted.length ? entryAt(sorted, i + 1) - from : entryAt(sorted, 0) + turn - from;
    if (room > widest + 1e-6) [middle, widest] = [from + room / 2, room];
  });
  const [u, v] = [Math.cos(middle), Math.sin(middle)];
  const half = (text.length * LETTER) / 2;
  // Beyond the corners of what is drawn at it.
  const away = Math.max(NAME_AWAY, ...plugs.map((plug) => mm(plugDiameter(plug)) / 2 + 5));
  return words([x + u * (away + half * Math.abs(u)), y + v * away - 1], text);
}

/** A loom as it is laid on its board, 1:1 in mm. */
export interface BoardDrawing extends FixingDrawing {
  /** where its nodes lie, mm */
  readonly places: ReadonlyMap<string, DrawnPlace>;
  /** pairs of segments that cross */
  readonly crossings: number;
}

/**
 * The board of a loom, 1:1 in mm: every segment straight and as long as it is, with its sides, nails,
 * splices and plugs; below it the faces of the plugs and a line to check the print by.
 */
export function boardDrawing({ title, piece, segments, wireAt }: BoardRead): BoardDrawing {
  const flat: FlatTree = flatTree(piece.edges);
  const places = new Map<string, DrawnPlace>(
    [...flat.places].map(([node, [x, y]]) => [node, [mm(x), mm(y)]]),
  );
  const plugs = piece.nodes.flatMap((node) => node.plugs);
  const keys = new Map(plugs.map((plug, i) => [plug.id, `P${i + 1}`]));
  const keyOf = (plug: HarnessConnector): string => keys.get(plug.id) ?? '';
  const shapes: DrawnShape[] = [];
  const ends = new Map<string, Along>();
  const leaving = new Map<string, number[]>();
  const ways = new Map<string, Along>();
  for (const { id, from, to } of piece.edges) {
    const [a, b] = [places.get(from), places.get(to)];
    if (a && b) ways.set(id, new Along(a, b));
  }
  const board: Laid = { ways: [...ways.values()], texts: [] };
  for (const { id, from, to } of piece.edges) {
    const way = ways.get(id);
    if (!way) continue;
    const { from: a, to: b } = way;
    shapes.push(...segmentShapes(way, board, segments.get(id)));
    ends.set(to, way);
    ends.set(from, new Along(b, a));
    const direction = Math.atan2(b[1] - a[1], b[0] - a[0]);
    addTo(leaving, from, direction);
    addTo(leaving, to, direction + Math.PI);
  }
  for (const node of piece.nodes) {
    const [at, way] = [places.get(node.key), ends.get(node.key)];
    if (!at || !way) continue;
    shapes.push({ kind: 'circle', layer: 'nail', centre: at, radius: 2 });
    const out = leaving.get(node.key) ?? [];
    const isEnd = out.length === 1;
    if (isEnd) shapes.push(...endShapes(way, node.plugs, keyOf));
    const more = node.plugs.length > 0 ? `: ${node.plugs.map(keyOf).join(' ')}` : '';
    shapes.push(
      beside(
        at,
        isEnd ? [...out, entryAt(out, 0) + Math.PI] : out,
        `${node.name}${more}`,
        node.plugs,
      ),
    );
  }
  const [low, high] = boundsOf(shapes);
  const width = Math.max(high[0] - low[0], 600);
  let [x, y, row] = [low[0], low[1] - FACES_APART, 0];
  for (const plug of plugs) {
    const face = faceShapes(plug, keyOf(plug), wireAt);
    if (x > low[0] && x + face.size[0] > low[0] + width)
      [x, y, row] = [low[0], y - row - FACES_APART, 0];
    shapes.push(...face.shapes([x, y]));
    x += face.size[0] + FACES_APART;
    row = Math.max(row, face.size[1]);
  }
  const foot = y - row - FACES_APART;
  shapes.push(
    line('measure', [low[0], foot], [low[0] + BOARD_CHECK_LINE, foot]),
    line('measure', [low[0], foot - 2], [low[0], foot + 2]),
    line('measure', [low[0] + BOARD_CHECK_LINE, foot - 2], [low[0] + BOARD_CHECK_LINE, foot + 2]),
    words([low[0] + BOARD_CHECK_LINE / 2, foot + 1.5], `${BOARD_CHECK_LINE} mm`),
    words([low[0] + BOARD_CHECK_LINE + 90, foot - 1], title),
  );
  const [bottom, top] = boundsOf(shapes);
  return {
    shapes,
    low: [bottom[0] - MARGIN, bottom[1] - MARGIN],
    high: [top[0] + MARGIN, top[1] + MARGIN],
    notes: piece.loops.length > 0 ? ['Segments that close a loop are not on this board.'] : [],
    places,
    crossings: flat.crossings,
  };
}

/** What shapes take up, mm. */
function boundsOf(shapes: readonly DrawnShape[]): readonly [DrawnPlace, DrawnPlace] {
  let [left, low, right, high] = [Infinity, Infinity, -Infinity, -Infinity];
  const take = (x: number, y: number, aside = 0): void => {
    left = Math.min(left, x - aside);
    right = Math.max(right, x + aside);
    low = Math.min(low, y);
    high = Math.max(high, y);
  };
  for (const shape of shapes) {
    switch (shape.kind) {
      case 'line':
        take(...shape.from);
        take(...shape.to);
        break;
      case 'circle':
        take(shape.centre[0], shape.centre[1] - shape.radius, shape.radius);
        take(shape.centre[0], shape.centre[1] + shape.radius, shape.radius);
        break;
      case 'text':
        take(...shape.at, (shape.text.length * LETTER) / 2);
        break;
    }
  }
  return Number.isFinite(left)
    ? [
        [left, low],
        [right, high],
      ]
    : [
        [0, 0],
        [0, 0],
      ];
}
