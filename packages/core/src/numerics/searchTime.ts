/** Time that a search may take; what is left of it, s. */
export interface SearchTime {
  readonly left: () => number;
}

/** A search that begins now and may take so long, s. */
export function searchTime(seconds: number, now: () => number = Date.now): SearchTime {
  const end = now() + seconds * 1e3;
  return { left: () => Math.max(0, (end - now()) / 1e3) };
}
