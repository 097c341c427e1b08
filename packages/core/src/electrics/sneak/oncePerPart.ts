import type { Taker } from './condensed.ts';

/** What of a kind comes first for each part. */
export const oncePerPart = (loads: readonly Taker[]): Taker[] => {
  const seen = new Set<string>();
  return loads.filter(({ part }) => !seen.has(part.id) && seen.add(part.id));
};
