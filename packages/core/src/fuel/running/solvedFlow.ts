import type { WarmStart } from '../hydraulics/network.ts';

/** Where a circuit came to rest at a flow, kg/s. */
export interface SolvedFlow {
  readonly massFlow: number;
  readonly at: WarmStart;
}

/** A step so many times the last one is too far to see ahead. */
const FARTHEST = 3;

const along = (from: Float64Array, to: Float64Array, share: number): Float64Array =>
  to.map((value, i) => value + share * (value - from[i]!));

/**
 * Where a circuit is likely to come to rest at a flow, kg/s: straight on from the two flows at which
 * it was solved last; where that is no way to look ahead, where it was last.
 */
export function startAhead(
  solved: readonly [SolvedFlow | undefined, SolvedFlow | undefined],
  massFlow: number,
): WarmStart | undefined {
  const [before, last] = solved;
  if (!last) return undefined;
  const share = before ? (massFlow - last.massFlow) / (last.massFlow - before.massFlow) : NaN;
  if (!before || !(share > 0 && share <= FARTHEST)) return last.at;
  return {
    pressures: along(before.at.pressures, last.at.pressures, share),
    flows: along(before.at.flows, last.at.flows, share),
  };
}
