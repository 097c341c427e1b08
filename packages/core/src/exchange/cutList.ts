import { terminalText } from '../electrics/index.ts';
import type { Evaluation } from '../evaluation/index.ts';
import { colourText, cutTo, pieceFor, splicedPieces } from '../harness/index.ts';

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

/** So much wire of a size and a colour, m. */
export interface ReelLine {
  readonly size: string;
  readonly colour: string;
  readonly wires: number;
  readonly length: number;
}

/**
 * Every wire as it is cut: by size, then colour, the longest first. The wires of looms that are
 * bought are there already. Of what is made longer the piece is cut that is spliced in.
 */
export function cutList(
  evaluation: Evaluation,
  segmentNames: Readonly<Record<string, string>>,
): CutLine[] {
  const { electrics, harness, led } = evaluation;
  const colours = new Map(harness.colours.map((each) => [each.wireId, colourText(each)]));
  const cut = new Set(led.cut.map(({ wireId }) => wireId));
  const ways = new Map(led.wires.map((wire) => [wire.wireId, wire]));
  const pieces = new Map(splicedPieces(led).map(({ wireId, longer }) => [wireId, longer]));
  const numbers = new Map(electrics.wires.map(({ wire }, i) => [wire.id, i + 1]));
  return electrics.wires
    .flatMap((sized) => {
      const { wire, size, task } = sized;
      const way = ways.get(wire.id);
      const longer = pieces.get(wire.id) ?? 0;
      const isBought = way?.leg !== undefined && !cut.has(wire.id);
      const known = wire.decision?.length;
      const hand = known?.measured || known?.typed;
      const line: CutLine = {
        number: numbers.get(wire.id) ?? 0,
        wire: wire.id,
        name: wire.name,
        size: size.size,
        colour: colours.get(wire.id) ?? '',
        length: cutTo(task.length - longer),
        knownTo: Number((way?.uncertainty.value ?? 0).toFixed(3)),
        lengthIsFrom: hand
          ? 'by hand'
          : way
            ? lengthFrom(way)
            : cut.has(wire.id)
              ? 'as cut'
              : 'map',
        is: cut.has(wire.id) ? 'cut' : 'to cut',
        from: terminalText(wire.from.terminal),
        to: terminalText(wire.to.terminal),
        via: (way?.parts ?? [])
          .map(({ segmentId }) => segmentNames[segmentId] ?? segmentId)
          .join(' > '),
      };
      const put: CutLine = { ...line, length: cutTo(pieceFor(longer)), is: 'a piece put in' };
      return [...(isBought ? [] : [line]), ...(longer > 0 ? [put] : [])].map((each) => ({
        line: each,
        area: size.area,
      }));
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

/** How much wire of each size and colour is still to be cut, in the order of the list. */
export function reelList(lines: readonly CutLine[]): ReelLine[] {
  const reels = new Map<string, ReelLine>();
  for (const { size, colour, length, is } of lines) {
    if (is === 'cut') continue;
    const key = `${size} ${colour}`;
    const known = reels.get(key) ?? { size, colour, wires: 0, length: 0 };
    reels.set(key, { ...known, wires: known.wires + 1, length: known.length + length });
  }
  return [...reels.values()].map((reel) => ({ ...reel, length: Number(reel.length.toFixed(2)) }));
}
