import { BadInput } from '../../quantities/index.ts';
import type { OrientedBox } from '../geometry/orientedBox.ts';
import { cross, scale } from '../geometry/vector.ts';
import { flat, unflat } from '../routes/wayNumbers.ts';

/** A box that looks somewhere as plain numbers: middle, forward, left, its three sides. */
export const bodyNumbers = ({ middle, axes, half }: OrientedBox): number[] =>
  flat([middle, axes[0], axes[1], scale(half, 2)]);

/** The box that such numbers stand for; throws BadInput where they are none. */
export function bodyOfNumbers(numbers: readonly number[]): OrientedBox {
  const [middle, forward, left, sides] = unflat(numbers);
  if (!middle || !forward || !left || !sides) {
    throw new BadInput('a body is twelve numbers', 'body');
  }
  return { middle, axes: [forward, left, cross(forward, left)], half: scale(sides, 0.5) };
}
