import { type Quantity, quantity } from '../../quantities/index.ts';
import type { CutWire } from '../../model/index.ts';

/** A wire is cut in steps of a centimetre, never shorter. */
export const cutTo = (length: number): number => Math.ceil(length * 100 - 1e-6) / 100;

const ofOnePiece = quantity(0, 'length', 'mm');

/** A wire that was cut, of one piece, as it is stored. */
export const wireCutTo = (length: Quantity) => ({ length, spliced: ofOnePiece });

/** Wires that are cut, as they are stored. */
export const storedCut = (cut: readonly CutWire[]) =>
  Object.fromEntries(cut.map(({ wireId, ...wire }) => [wireId, wire]));
