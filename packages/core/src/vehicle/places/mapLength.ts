import { entryAt } from '../../numerics/index.ts';
import type { Placement } from '../../model/index.ts';
import { defineFormula } from '../../results/index.ts';

/** Routed lengths follow the axes of the vehicle and are a tenth longer than the bare sum. */
export const mapLength = defineFormula({
  name: 'length estimated from the map',
  notation: 'L = 1.1 · (|Δx| + |Δy| + |Δz|), at least 0.15 m',
  kind: 'length',
  inputKinds: { from: 'length', to: 'length' },
  source: 'estimate along the axes of the vehicle; a typed or measured length replaces it',
  compute: (i: { from: readonly number[]; to: readonly number[] }) =>
    Math.max(
      0.15,
      1.1 * i.from.reduce((sum, at, axis) => sum + Math.abs(at - entryAt(i.to, axis)), 0),
    ),
});

export const positionOf = (placement: Placement): readonly number[] => [
  placement.x.value,
  placement.y.value,
  placement.z.value,
];
