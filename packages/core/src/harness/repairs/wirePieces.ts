import type { WireItem } from '../../catalogue/index.ts';
import type { SizedWire } from '../../electrics/index.ts';
import { type ColouredWire, colourText } from '../colours/colouredWires.ts';
import type { LedHarness } from '../lengths/ledHarness.ts';
import { cutTo } from './cutWires.ts';
import { pieceFor, splicedPieces } from './splicedPieces.ts';

/** A piece of wire that a harness takes: a wire, or what is spliced into one. */
export interface WirePiece {
  readonly sized: SizedWire;
  readonly item: WireItem;
  /** base and stripe in words */
  readonly colour: string;
  /** as it is cut, m */
  readonly length: number;
  /** it is cut already, or is a piece that something is made longer with */
  readonly is: 'to cut' | 'cut' | 'a piece put in';
}

/**
 * Every piece of wire in the order of the netlist. The wires of looms that are bought are there
 * already; of what is made longer the piece is told that is spliced in.
 */
export function wirePieces(
  wires: readonly SizedWire[],
  led: Pick<LedHarness, 'wires' | 'cut'>,
  coloured: readonly ColouredWire[],
): readonly WirePiece[] {
  const colours = new Map(coloured.map((each) => [each.wireId, colourText(each)]));
  const cut = new Set(led.cut.map(({ wireId }) => wireId));
  const inLegs = new Set(led.wires.flatMap(({ wireId, leg }) => (leg ? [wireId] : [])));
  const pieces = new Map(splicedPieces(led).map(({ wireId, longer }) => [wireId, longer]));
  const made: WirePiece[] = [];
  for (const sized of wires) {
    const { id } = sized.wire;
    const longer = pieces.get(id) ?? 0;
    const isCut = cut.has(id);
    const { size: item } = sized;
    const colour = colours.get(id) ?? '';
    if (isCut || !inLegs.has(id)) {
      const length = cutTo(sized.task.length - longer);
      made.push({ sized, item, colour, length, is: isCut ? 'cut' : 'to cut' });
    }
    if (longer > 0) {
      made.push({ sized, item, colour, length: cutTo(pieceFor(longer)), is: 'a piece put in' });
    }
  }
  return made;
}
