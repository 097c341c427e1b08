import type { DrawnPlace } from '../../vehicle/index.ts';
import { type BoardPaper, boardPaperKinds, boardTiles } from './boardTiles.ts';
import type { Formboard } from './formboards.ts';

/** A board as a screen shows it: mm, up as on the board. */
export interface ToldBoard {
  readonly id: string;
  readonly name: string;
  readonly low: DrawnPlace;
  readonly high: DrawnPlace;
  readonly segments: readonly {
    readonly id: string;
    readonly from: DrawnPlace;
    readonly to: DrawnPlace;
    /** m */
    readonly length: number;
  }[];
  readonly nodes: readonly {
    readonly key: string;
    readonly name: string;
    readonly at: DrawnPlace;
    readonly plugs: readonly string[];
  }[];
  /** segments that close a loop and are on no board */
  readonly loops: readonly string[];
  /** sheets that it takes of each paper */
  readonly sheets: Readonly<Record<BoardPaper, number>>;
}

/** What screens show of boards. */
export const toldBoards = (boards: readonly Formboard[]): readonly ToldBoard[] =>
  boards.map(({ piece, drawing }) => ({
    id: piece.id,
    name: piece.name,
    low: drawing.low,
    high: drawing.high,
    segments: piece.edges.flatMap(({ id, from, to, length }) => {
      const [a, b] = [drawing.places.get(from), drawing.places.get(to)];
      return a && b ? [{ id, from: a, to: b, length }] : [];
    }),
    nodes: piece.nodes.flatMap(({ key, name, plugs }) => {
      const at = drawing.places.get(key);
      return at ? [{ key, name, at, plugs: plugs.map((plug) => plug.name) }] : [];
    }),
    loops: piece.loops,
    sheets: Object.fromEntries(
      boardPaperKinds.map((paper) => [paper, boardTiles(drawing, paper).tiles.length]),
    ) as Record<BoardPaper, number>,
  }));
