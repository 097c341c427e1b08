import type { AllocationProblem, Assignment } from './allocationProblem.ts';
import type { PinCapability } from '../../catalogue/index.ts';

/** Pins that nothing is on, by what they could do: one of several capabilities counts for each. */
export function sparePins(
  { pins }: Pick<AllocationProblem, 'pins'>,
  assigned: Assignment,
): ReadonlyMap<PinCapability, readonly string[]> {
  const taken = new Set(assigned.values());
  const spare = new Map<PinCapability, string[]>();
  for (const { id, capabilities } of pins) {
    for (const capability of capabilities) {
      const free = spare.get(capability) ?? [];
      spare.set(capability, taken.has(id) ? free : [...free, id]);
    }
  }
  return spare;
}
