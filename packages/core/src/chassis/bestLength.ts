import type { LengthKnowledge, Placement } from '../build/index.ts';
import { defineFormula, derive, given, type Result } from '../results/index.ts';
import { mapLength, positionOf } from './mapLength.ts';

export const bestKnownLength = defineFormula({
  name: 'best known length',
  notation: 'L = measured, else typed, else estimated from the map',
  kind: 'length',
  inputKinds: { known: 'length' },
  source: 'first of what is known, best first',
  compute: (i: { known: readonly number[] }) => i.known[0]!,
});

export interface BestLength {
  readonly value: number;
  readonly source: 'measured' | 'typed' | 'map';
  readonly results: readonly [best: Result, estimate: Result];
}

/** The best known length between two places, m, and the estimate from the map beside it. */
export function bestLength(input: {
  key: string;
  label: string;
  length: LengthKnowledge;
  from: Placement;
  to: Placement;
  path: string;
}): BestLength {
  const { key, label, length } = input;
  const estimate = derive({
    key: `${key}.mapLength`,
    label: `${label}, length by the map`,
    formula: mapLength,
    inputs: {
      from: given(positionOf(input.from), `document:placements.${input.from.id}`),
      to: given(positionOf(input.to), `document:placements.${input.to.id}`),
    },
  });
  const known = [length.measured?.value, length.typed?.value, estimate.value].filter(
    (value) => value !== undefined,
  );
  const source = length.measured ? 'measured' : length.typed ? 'typed' : 'map';
  const best = derive({
    key: `${key}.length`,
    label: `${label}, length`,
    formula: bestKnownLength,
    inputs: {
      known: given(known, source === 'map' ? `result:${estimate.key}` : `document:${input.path}`),
    },
  });
  return { value: best.value, source, results: [best, estimate] };
}

export const chassisFormulas = [mapLength, bestKnownLength];
