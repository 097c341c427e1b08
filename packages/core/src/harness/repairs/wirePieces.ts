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
  return wires.flatMap((sized): WirePiece[] => {
    const { id } = sized.wire;
    const longer = pieces.get(id) ?? 0;
    const isCut = cut.has(id);
    const alike = { sized, item: sized.size, colour: colours.get(id) ?? '' };
    const whole: WirePiece = {
      ...alike,
      length: cutTo(sized.task.length - longer),
      is: isCut ? 'cut' : 'to cut',
    };
    const put: WirePiece = { ...alike, length: cutTo(pieceFor(longer)), is: 'a piece put in' };
    return [...(inLegs.has(id) && !isCut ? [] : [whole]), ...(longer > 0 ? [put] : [])];
  });
}
