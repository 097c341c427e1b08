import { type WireItem, refKey, refOf } from '../../catalogue/index.ts';
import { groupBy, sum } from '../../numerics/index.ts';
import { AT_ONCE, type CuttingPlan, cuttingPlan } from './cutting/index.ts';
import { soldLengths, whereLongEnough } from './soldLengths.ts';

/** A piece of wire to be cut: its length m, and its colour, which is a length of its own. */
export interface PieceOfWire {
  readonly id: string;
  readonly item: WireItem;
  readonly colour: string;
  readonly length: number;
}

/** What is cut of a wire of one colour. */
export interface Reel {
  readonly item: WireItem;
  readonly colour: string;
  readonly pieces: number;
  /** of all pieces, m */
  readonly length: number;
  /** which lengths are bought and cut into what; undefined where none that is sold is long enough */
  readonly plan: CuttingPlan | undefined;
  /** m that are bought */
  readonly bought: number;
}

/** Wire of which nobody says how it is sold comes by the metre, up to 50 m. */
const BY_METRE = { step: 1, upTo: 50 };

/** Pieces by size and colour, in their order, each with the lengths that are bought for it. */
export function reelsOf(pieces: readonly PieceOfWire[]): readonly Reel[] {
  const groups = groupBy(pieces, ({ item, colour }) => `${refKey(refOf(item))} ${colour}`);
  return [...groups.values()].flatMap((own): Reel[] => {
    const [first] = own;
    if (!first) return [];
    const { item, colour } = first;
    const stock = soldLengths(item, BY_METRE);
    const length = sum(own.map((piece) => piece.length));
    // Shears take nothing of a wire.
    const problem = whereLongEnough({ pieces: own, stock, offcuts: [], kerf: 0 });
    const plan = problem && cuttingPlan(problem, AT_ONCE);
    const bought = plan?.bought ?? Math.ceil(length - 1e-6);
    return [{ item, colour, pieces: own.length, length, plan, bought }];
  });
}
