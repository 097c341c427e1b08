import { terminalText } from '../electrics/index.ts';
import type { Evaluation } from '../evaluation/index.ts';
import { type WirePiece, wirePieces } from '../harness/index.ts';
import { reelsOf } from '../plumbing/index.ts';

/** A wire as it is cut: number, m, where it goes and through what. */
export interface CutLine {
  readonly number: number;
  readonly wire: string;
  readonly name: string;
  readonly size: string;
  readonly colour: string;
  readonly length: number;
  /** how well that is known, ± m; 0 where nothing is said */
  readonly knownTo: number;
  readonly lengthIsFrom: 'by hand' | 'harness' | 'map' | 'as cut' | 'its leg';
  /** it is cut already, or is a piece that a bought leg is made longer with */
  readonly is: 'to cut' | 'cut' | 'a piece put in';
  readonly from: string;
  readonly to: string;
  /** segments in the order in which it runs through them */
  readonly via: string;
}

/** A length that is bought of a wire of one colour, and the numbers of the wires that are cut from it. */
export interface CutFromReel {
  readonly length: number;
  readonly wires: readonly number[];
  /** what stays of it, m */
  readonly rest: number;
}

/** So much wire of a size and a colour, m, and the lengths that are bought for it. */
export interface ReelLine {
  readonly size: string;
  readonly colour: string;
  readonly wires: number;
  readonly length: number;
  readonly bought: number;
  readonly lengths: readonly CutFromReel[];
}

/**
 * Every wire as it is cut: by size, then colour, the longest first. The wires of looms that are
 * bought are there already. Of what is made longer the piece is cut that is spliced in.
 */
export function cutList(
  evaluation: Evaluation,
  segmentNames: Readonly<Record<string, string>>,
): CutLine[] {
  const { led } = evaluation;
  const ways = new Map(led.wires.map((wire) => [wire.wireId, wire]));
  return numbered(evaluation)
    .map(({ number, sized: { wire, size }, colour, length, is }) => {
      const way = ways.get(wire.id);
      const known = wire.decision?.length;
      const hand = known?.measured || known?.typed;
      const line: CutLine = {
        number,
        wire: wire.id,
        name: wire.name,
        size: size.size,
        colour,
        length,
        knownTo: Number((way?.uncertainty.value ?? 0).toFixed(3)),
        lengthIsFrom: hand ? 'by hand' : way ? lengthFrom(way) : is === 'to cut' ? 'map' : 'as cut',
        is,
        from: terminalText(wire.from.terminal),
        to: terminalText(wire.to.terminal),
        via: (way?.parts ?? [])
          .map(({ segmentId }) => segmentNames[segmentId] ?? segmentId)
          .join(' > '),
      };
      return { line, area: size.area };
    })
    .sort(
      (a, b) =>
        a.area - b.area ||
        (a.line.colour < b.line.colour ? -1 : a.line.colour > b.line.colour ? 1 : 0) ||
        b.line.length - a.line.length ||
        a.line.number - b.line.number,
    )
    .map(({ line }) => line);
}

const lengthFrom = ({ cut, leg }: Evaluation['led']['wires'][number]): CutLine['lengthIsFrom'] => {
  if (cut) return 'as cut';
  return leg ? 'its leg' : 'harness';
};

/** How much wire of each size and colour is still to be cut, and which lengths are bought for it. */
export function reelList(evaluation: Evaluation): ReelLine[] {
  const open = numbered(evaluation).filter(({ is }) => is !== 'cut');
  const byId = new Map(open.map((piece, i) => [`${i}`, piece]));
  const pieces = open.map(({ item, colour, length }, i) => ({ id: `${i}`, item, colour, length }));
  return reelsOf(pieces)
    .map(({ item, colour, pieces: wires, length, bought, plan }) => ({
      area: item.area,
      line: {
        size: item.size,
        colour,
        wires,
        length: round(length),
        bought,
        lengths: (plan?.lengths ?? []).map((each) => ({
          length: each.length,
          wires: each.pieces.flatMap((id) => byId.get(id)?.number ?? []),
          rest: round(each.rest),
        })),
      },
    }))
    .sort((a, b) => a.area - b.area || (a.line.colour < b.line.colour ? -1 : 1))
    .map(({ line }) => line);
}

/** A length of a reel as a line of a table: which of its size and colour, m, and the wires cut from it. */
export interface ReelCut {
  readonly size: string;
  readonly colour: string;
  /** counted within its size and colour */
  readonly of: string;
  readonly length: number;
  /** numbers of the wires; empty where no length that is sold is long enough for one */
  readonly wires: string;
  readonly rest: number;
}

/** Every length that is bought, a line each; what no sold length is long enough for is one by the metre. */
export const reelCuts = (reels: readonly ReelLine[]): ReelCut[] =>
  reels.flatMap(({ size, colour, length, bought, lengths }): ReelCut[] =>
    lengths.length === 0
      ? [
          {
            size,
            colour,
            of: 'by the metre',
            length: bought,
            wires: '',
            rest: round(bought - length),
          },
        ]
      : lengths.map((each, i) => ({
          size,
          colour,
          of: `${i + 1} of ${lengths.length}`,
          length: each.length,
          wires: each.wires.join(' '),
          rest: each.rest,
        })),
  );

/** Centimetres are enough for what is left of a reel. */
const round = (metres: number): number => Number(metres.toFixed(2));

/** Every piece of wire with the number of its wire. */
function numbered({ electrics, harness, led }: Evaluation): (WirePiece & { number: number })[] {
  const numbers = new Map(electrics.wires.map(({ wire }, i) => [wire.id, i + 1]));
  return wirePieces(electrics.wires, led, harness.colours).map((piece) => ({
    ...piece,
    number: numbers.get(piece.sized.wire.id) ?? 0,
  }));
}
