import type { WireRole } from '../netlist/derivedWire.ts';
import {
  type PlacedBlock,
  type PlacedSheet,
  type PlacedWire,
  type SchematicPoint,
  pinText,
  schematicSizes,
  textWidth,
} from './layoutSheet.ts';
import type { SchematicSymbol } from './schematicSheet.ts';

/** What a line or a word on a sheet belongs to. */
export type InkOf =
  { readonly kind: 'wire'; readonly id: string } | { readonly kind: 'part'; readonly id: string };

/** One stroke or word of a sheet, in its own unit, y down. */
export type Ink = { readonly of: InkOf } & (
  | {
      readonly kind: 'line';
      readonly points: readonly SchematicPoint[];
      readonly weight: number;
      /** dash and gap, in turn; empty: drawn through */
      readonly dash: readonly number[];
    }
  | {
      readonly kind: 'circle';
      readonly at: SchematicPoint;
      readonly radius: number;
      readonly filled: boolean;
    }
  | {
      readonly kind: 'text';
      readonly at: SchematicPoint;
      readonly text: string;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly bold: boolean;
      /** room that it may take */
      readonly width: number;
    }
);

/** How a wire is drawn by what it carries: told apart without colour. */
export const wireStrokes: Readonly<
  Record<WireRole, { readonly weight: number; readonly dash: readonly number[] }>
> = {
  supply: { weight: 1.5, dash: [] },
  ground: { weight: 0.8, dash: [] },
  triggered: { weight: 1, dash: [8, 3] },
  signal: { weight: 1, dash: [4, 2] },
  'sensor ground': { weight: 0.8, dash: [1.5, 2] },
  reference: { weight: 1, dash: [8, 2, 1.5, 2] },
  bus: { weight: 1.5, dash: [3, 1.5] },
  shield: { weight: 0.8, dash: [1, 3] },
};

type Stroke = readonly SchematicPoint[];
/** Strokes of the symbols, in a square of 12 by 12 around its middle. */
const symbolStrokes: Readonly<Record<SchematicSymbol, readonly Stroke[]>> = {
  fuse: [
    [
      [-6, -2.5],
      [6, -2.5],
      [6, 2.5],
      [-6, 2.5],
      [-6, -2.5],
    ],
    [
      [-6, 0],
      [6, 0],
    ],
  ],
  relay: [
    [
      [-6, -4],
      [0, -4],
      [0, 4],
      [-6, 4],
      [-6, -4],
    ],
    [
      [-6, 4],
      [0, -4],
    ],
    [
      [2, 0],
      [6, -4],
    ],
  ],
  switch: [
    [
      [-6, 2],
      [-2, 2],
    ],
    [
      [-2, 2],
      [3, -4],
    ],
    [
      [2, 2],
      [6, 2],
    ],
  ],
  coil: [
    [
      [-6, 0],
      [-4, -4],
      [-2, 4],
      [0, -4],
      [2, 4],
      [4, -4],
      [6, 0],
    ],
  ],
  motor: [
    [
      [-2.5, 3],
      [-2.5, -3],
      [0, 0.5],
      [2.5, -3],
      [2.5, 3],
    ],
  ],
  lamp: [
    [
      [-3.5, -3.5],
      [3.5, 3.5],
    ],
    [
      [3.5, -3.5],
      [-3.5, 3.5],
    ],
  ],
  source: [
    [
      [-5, -1.5],
      [5, -1.5],
    ],
    [
      [-2.5, 2],
      [2.5, 2],
    ],
  ],
  sensor: [
    [
      [-6, 4],
      [-6, -4],
      [6, 0],
      [-6, 4],
    ],
  ],
  controller: [
    [
      [-6, -4],
      [6, -4],
      [6, 4],
      [-6, 4],
      [-6, -4],
    ],
  ],
  ground: [
    [
      [-6, -3],
      [6, -3],
    ],
    [
      [-4, 0],
      [4, 0],
    ],
    [
      [-2, 3],
      [2, 3],
    ],
  ],
  joint: [],
};
const roundSymbols: ReadonlySet<SchematicSymbol> = new Set(['motor', 'lamp']);

function symbolInk(of: InkOf, symbol: SchematicSymbol, [x, y]: SchematicPoint): Ink[] {
  const strokes = symbolStrokes[symbol].map((stroke): Ink => ({
    of,
    kind: 'line',
    points: stroke.map(([dx, dy]) => [x + dx, y + dy] as const),
    weight: 0.9,
    dash: [],
  }));
  if (symbol === 'joint') return [{ of, kind: 'circle', at: [x, y], radius: 3, filled: true }];
  return roundSymbols.has(symbol)
    ? [...strokes, { of, kind: 'circle', at: [x, y], radius: 6, filled: false }]
    : strokes;
}

function blockInk(block: PlacedBlock): Ink[] {
  const of: InkOf = { kind: 'part', id: block.partId };
  const { x, y, width, height, name, symbol, kind, pins } = block;
  const { letter, edge, head } = schematicSizes;
  if (kind === 'flag') {
    const atEast = pins[0]?.side === 'east';
    const middle = y + height / 2;
    const mark = atEast ? x + width - 8 : x + 8;
    return [
      ...symbolInk(of, symbol, [mark, middle]),
      {
        of,
        kind: 'text',
        at: [atEast ? mark - 9 : mark + 9, middle + letter * 0.35],
        text: name,
        anchor: atEast ? 'end' : 'start',
        bold: false,
        width: width - 18,
      },
    ];
  }
  return [
    {
      of,
      kind: 'line',
      points: [
        [x, y],
        [x + width, y],
        [x + width, y + height],
        [x, y + height],
        [x, y],
      ],
      weight: 1.2,
      dash: [],
    },
    ...symbolInk(of, symbol, [x + 11, y + head / 2]),
    {
      of,
      kind: 'text',
      at: [x + 21, y + head / 2 + letter * 0.35],
      text: name,
      anchor: 'start',
      bold: true,
      width: width - 27,
    },
    ...pins.map((pin): Ink => ({
      of,
      kind: 'text',
      at: [pin.side === 'west' ? x + edge : x + width - edge, pin.y + letter * 0.35],
      text: pinText(pin),
      anchor: pin.side === 'west' ? 'start' : 'end',
      bold: false,
      width: textWidth(pinText(pin)) + edge,
    })),
  ];
}

function wireInk({ id, points, label, labelAt, role }: PlacedWire): Ink[] {
  const of: InkOf = { kind: 'wire', id };
  const { letter } = schematicSizes;
  const [x, y] = [labelAt.x + labelAt.width / 2, labelAt.y + labelAt.height / 2];
  const [over, under] = label;
  const word = (text: string, at: number): Ink => ({
    of,
    kind: 'text',
    at: [x, at],
    text,
    anchor: 'middle',
    bold: false,
    width: labelAt.width,
  });
  return [
    { of, kind: 'line', points, ...wireStrokes[role] },
    word(over, y - 2.2),
    word(under, y + letter + 1),
  ];
}

/** Every stroke and word of a sheet, wires first. */
export const schematicInk = ({ blocks, wires }: PlacedSheet): readonly Ink[] => [
  ...wires.flatMap(wireInk),
  ...blocks.flatMap(blockInk),
];

const INK = '#1c272c';
const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
const rounded = (value: number): number => Math.round(value * 100) / 100;

function inkSvg(ink: Ink): string {
  switch (ink.kind) {
    case 'line': {
      const points = ink.points.map(([x, y]) => `${rounded(x)},${rounded(y)}`).join(' ');
      const dash = ink.dash.length > 0 ? ` stroke-dasharray="${ink.dash.join(' ')}"` : '';
      return `<polyline data-${ink.of.kind}="${escaped(ink.of.id)}" points="${points}" fill="none" stroke="${INK}" stroke-width="${ink.weight}"${dash}/>`;
    }
    case 'circle':
      return `<circle cx="${rounded(ink.at[0])}" cy="${rounded(ink.at[1])}" r="${ink.radius}" fill="${ink.filled ? INK : 'none'}" stroke="${INK}" stroke-width="0.9"/>`;
    case 'text':
      return `<text data-${ink.of.kind}="${escaped(ink.of.id)}" x="${rounded(ink.at[0])}" y="${rounded(ink.at[1])}" text-anchor="${ink.anchor}"${ink.bold ? ' font-weight="600"' : ''}>${escaped(ink.text)}</text>`;
  }
}

/** A sheet as an SVG file, black on white, with its title and how often wires cross. */
export function schematicSvg(sheet: PlacedSheet, title: string): string {
  const [width, height] = [Math.ceil(sheet.width), Math.ceil(sheet.height) + 24];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 -24 ${width} ${height}" font-family="'Fira Sans Condensed', 'DejaVu Sans Condensed', 'Arial Narrow', sans-serif" font-size="${schematicSizes.letter}" fill="${INK}">`,
    `<rect x="0" y="-24" width="${width}" height="${height}" fill="#ffffff"/>`,
    `<text x="4" y="-10" font-size="11" font-weight="600">${escaped(title)}</text>`,
    ...schematicInk(sheet).map(inkSvg),
    '</svg>',
    '',
  ].join('\n');
}
