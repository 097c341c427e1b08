import type { Quantity } from '../../quantities/index.ts';
import type { Vector } from '../geometry/vector.ts';

/** A stored place as a vector, m. */
export const vectorOf = (p: {
  readonly x: Quantity;
  readonly y: Quantity;
  readonly z: Quantity;
}): Vector => [p.x.value, p.y.value, p.z.value];
