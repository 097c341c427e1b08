import type { DrawnShape, FixingDrawing } from '../../vehicle/index.ts';

/** Papers that a board is printed on: across and down, mm; a roll is as long as it has to be. */
export const boardPapers = {
  a4: { words: 'A4', across: 297, down: 210 },
  a3: { words: 'A3', across: 420, down: 297 },
  letter: { words: 'Letter', across: 279.4, down: 215.9 },
  roll: { words: 'Roll, 914 mm', across: 5000, down: 914 },
} as const;
export type BoardPaper = keyof typeof boardPapers;
export const boardPaperKinds = Object.keys(boardPapers) as readonly BoardPaper[];

/** What no printer prints at the edges, and what is on the next sheet too, mm. */
export const SHEET_EDGE = 10;
export const TILE_OVERLAP = 10;

/** What of a drawing comes onto a sheet, mm; upper left, right and down. */
export interface BoardTile {
  /** rows are letters from above, columns numbers from the left */
  readonly name: string;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** A drawing over sheets of paper. */
export interface BoardTiles {
  readonly across: number;
  readonly down: number;
  /** from one sheet to the next, mm */
  readonly step: readonly [across: number, down: number];
  /** sheets on which something is drawn */
  readonly tiles: readonly BoardTile[];
}

/** Half the height of a text, and how wide a letter is about, mm. */
const TEXT_HALF = 3;
const LETTER = 1.7;

/** Whether anything of a shape lies in a box; a line that only passes its corner may count too. */
function touches(
  shape: DrawnShape,
  [left, low, right, high]: readonly [number, number, number, number],
): boolean {
  const meets = (x0: number, y0: number, x1: number, y1: number): boolean =>
    Math.max(x0, x1) >= left &&
    Math.min(x0, x1) <= right &&
    Math.max(y0, y1) >= low &&
    Math.min(y0, y1) <= high;
  switch (shape.kind) {
    case 'circle': {
      const [x, y] = shape.centre;
      return meets(x - shape.radius, y - shape.radius, x + shape.radius, y + shape.radius);
    }
    case 'text': {
      const wide = (shape.text.length * LETTER) / 2;
      return meets(
        shape.at[0] - wide,
        shape.at[1] - TEXT_HALF,
        shape.at[0] + wide,
        shape.at[1] + TEXT_HALF,
      );
    }
    case 'line': {
      const [[x0, y0], [x1, y1]] = [shape.from, shape.to];
      if (!meets(x0, y0, x1, y1)) return false;
      // All corners of the box on one side of the line: it passes by.
      const sides = [
        [left, low],
        [left, high],
        [right, low],
        [right, high],
      ].map(([x = 0, y = 0]) => Math.sign((x1 - x0) * (y - y0) - (y1 - y0) * (x - x0)));
      return !(sides.every((side) => side > 0) || sides.every((side) => side < 0));
    }
  }
}

/** Lays a drawing over sheets that overlap; sheets on which nothing is drawn are left out. */
export function boardTiles(
  { shapes, low, high }: Pick<FixingDrawing, 'shapes' | 'low' | 'high'>,
  paper: BoardPaper,
): BoardTiles {
  const [width, height] = [high[0] - low[0], high[1] - low[1]];
  const sheet = boardPapers[paper];
  const step = [
    sheet.across - 2 * SHEET_EDGE - TILE_OVERLAP,
    sheet.down - 2 * SHEET_EDGE - TILE_OVERLAP,
  ] as const;
  const count = (size: number, by: number): number =>
    Math.max(1, Math.ceil((size - TILE_OVERLAP) / by));
  const [across, down] = [count(width, step[0]), count(height, step[1])];
  const tiles: BoardTile[] = [];
  for (let row = 0; row < down; row += 1) {
    for (let column = 0; column < across; column += 1) {
      const [left, top] = [column * step[0], row * step[1]];
      const [w, h] = [
        Math.min(step[0] + TILE_OVERLAP, width - left),
        Math.min(step[1] + TILE_OVERLAP, height - top),
      ];
      const box = [low[0] + left, high[1] - top - h, low[0] + left + w, high[1] - top] as const;
      if (!shapes.some((shape) => touches(shape, box))) continue;
      const name = `${String.fromCharCode(65 + row)}${column + 1}`;
      tiles.push({ name, left, top, width: w, height: h });
    }
  }
  return { across, down, step, tiles };
}
