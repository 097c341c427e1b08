import type { AllocationConflict } from './allocate.ts';
import type { AllocationProblem } from './allocationProblem.ts';
import { capabilityOf } from '../../catalogue/index.ts';

/** A conflict in sentences: who wants what, and how much of it there is. */
export function conflictInWords(
  { signals, pins, totals, locks, isSmallest }: AllocationConflict,
  problem: AllocationProblem,
): string {
  const byId = new Map(problem.signals.map((signal) => [signal.id, signal]));
  const wanting = signals.flatMap((id) => byId.get(id) ?? []);
  const names = wanting.map(({ name }) => name).join('; ');
  const wanted = [...new Set(wanting.map(({ capability }) => capability))];
  const words = wanted.map((each) => capabilityOf(each).words).join(' or ');
  const asks =
    wanting.length === 1
      ? `${names} needs ${words}`
      : `${wanting.length} signals need ${words} (${names})`;
  const there =
    pins.length === 0
      ? 'this unit has none that can'
      : `this unit has ${pins.length} ${pins.length === 1 ? 'pin' : 'pins'} that can`;
  const limits = problem.totals
    .filter(({ id }) => totals.includes(id))
    .map(({ name, current }) => `${name} carries ${current} A in all`);
  const settled =
    locks.length > 0
      ? [`${locks.map((id) => byId.get(id)?.name ?? id).join('; ')}: settled by hand`]
      : [];
  const unsure = isSmallest ? [] : ['Not all of these may be part of the conflict'];
  return [`${asks}; ${there}`, ...limits, ...settled, ...unsure].join('. ');
}
