import type { BareFinding, Severity } from '@brookrain/core';

/** How bad the worst open finding of each thing is, by the thing that a finding is about. */
export function worstBy(
  findings: readonly BareFinding[],
  thingOf: (where: BareFinding['where']) => string | undefined,
): ReadonlyMap<string, Severity> {
  const worst = new Map<string, Severity>();
  for (const { where, severity, accepted } of findings) {
    const thing = thingOf(where);
    // Findings come worst first: what follows about the same thing is no worse.
    if (thing !== undefined && !accepted && !worst.has(thing)) worst.set(thing, severity);
  }
  return worst;
}
