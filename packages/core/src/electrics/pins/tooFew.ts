import {
  type AllocationProblem,
  type OutputNeed,
  type PinOffer,
  outputsOf,
  suits,
} from './allocationProblem.ts';

/** Signals of which each could go on some pins, and there are fewer of those than signals. */
export interface TooFew {
  readonly signals: readonly string[];
  readonly pins: readonly string[];
}

/**
 * Sets of signals that want more pins than can serve them, each as small as it can be: what an
 * alternating path from a signal without a pin reaches (Hall 1935, König 1931). Looks at what a pin
 * can do by itself; pairs, timers and totals are for the allocation.
 */
export function tooFew(problem: AllocationProblem): TooFew[] {
  const outputs = outputsOf(problem);
  const offers = new Map<OutputNeed, readonly PinOffer[]>(
    outputs.map((output) => [
      output,
      problem.pins.filter(
        (pin) =>
          suits(pin, output) && (output.locked.length === 0 || output.locked.includes(pin.id)),
      ),
    ]),
  );
  const holder = new Map<string, OutputNeed>();
  const found: TooFew[] = [];
  const place = (output: OutputNeed, seen: Set<string>): boolean => {
    for (const { id } of offers.get(output) ?? []) {
      if (seen.has(id)) continue;
      seen.add(id);
      const other = holder.get(id);
      if (!other || place(other, seen)) {
        holder.set(id, output);
        return true;
      }
    }
    return false;
  };
  for (const output of outputs) {
    const reached = new Set<string>();
    if (place(output, reached)) continue;
    const others = [...reached].flatMap((pin) => holder.get(pin) ?? []);
    found.push({
      signals: [output, ...others].flatMap(({ signals }) => signals.map(({ id }) => id)),
      pins: [...reached],
    });
  }
  return found;
}
