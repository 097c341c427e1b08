import type { Quantity } from '../../quantities/index.ts';
import type { FittingUse, ItemRef, LengthKnowledge, LineElement } from '../../model/index.ts';

/** A line of a circuit that is being laid out: which hose, how long, with which ends. */
export interface LineChoice {
  readonly item: ItemRef;
  readonly length: LengthKnowledge;
  readonly fittings: readonly FittingUse[];
}

/** A length that is not known yet: the map estimates it. */
export const unknownLength: LengthKnowledge = { typed: null, measured: null };
export const typedLength = (typed: Quantity): LengthKnowledge => ({ typed, measured: null });

/** A line element from a choice. */
export const lineOf = (
  ends: Pick<LineElement, 'id' | 'name' | 'role' | 'from' | 'to'>,
  choice: LineChoice,
): LineElement => ({ kind: 'line', ...ends, ...choice });
