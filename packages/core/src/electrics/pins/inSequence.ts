import { addTo } from '../../numerics/index.ts';
import type { AllocationProblem, Assignment, SignalNeed } from './allocationProblem.ts';

/** Signals of a group that ask the same of a pin, and may so change places. */
const alike = ({ group, capability, current, frequency }: SignalNeed): string =>
  [group, capability, current, frequency].join('/');

const isFree = ({ group, position, locked, pairedWith, output }: SignalNeed): boolean =>
  group !== undefined &&
  position !== undefined &&
  locked === undefined &&
  pairedWith === undefined &&
  output === undefined;

/**
 * An assignment in which what is fired in turn is on its pins in turn: those of a group change
 * places among the pins that they have, which costs no more than before.
 */
export function inSequence({ pins, signals }: AllocationProblem, assigned: Assignment): Assignment {
  const numbers = new Map(pins.map(({ id, number }) => [id, number]));
  const groups = new Map<string, SignalNeed[]>();
  for (const signal of signals) {
    if (!isFree(signal) || !assigned.has(signal.id)) continue;
    const key = alike(signal);
    addTo(groups, key, signal);
  }
  const sorted = new Map(assigned);
  for (const members of groups.values()) {
    const own = members.flatMap(({ id }) => assigned.get(id) ?? []);
    own.sort((a, b) => (numbers.get(a) ?? 0) - (numbers.get(b) ?? 0));
    const inOrder = [...members].sort((a, b) => (a.position ?? 0) - (b.position ?? 0));
    inOrder.forEach(({ id }, i) => {
      const pin = own[i];
      if (pin !== undefined) sorted.set(id, pin);
    });
  }
  return sorted;
}
