import { carriedAlong } from '../geometry/transport.ts';
import type { RoutePath } from '../geometry/path.ts';
import { type Vector, add, cross, dot, norm, scale, unit } from '../geometry/vector.ts';

/** What of a nose stands across the hose; undefined for an end that is straight. */
function across(nose: Vector, along: Vector): Vector | undefined {
  const beside = add(nose, scale(along, -dot(nose, along)));
  return norm(beside) > 1e-9 ? unit(beside) : undefined;
}

/**
 * The angle rad between two angled ends of a hose, from 0 up to a full turn: seen along the hose from
 * its beginning, clockwise, from the nose of the first end to that of the second. A nose points from
 * the end of the hose out to its seat. 0: both point the same way. Undefined where an end is straight.
 */
export function clockingOf(
  path: RoutePath,
  noses: readonly [beginning: Vector, end: Vector],
): number | undefined {
  const first = across(noses[0], path.startDirection);
  const second = across(noses[1], path.endDirection);
  if (!first || !second) return undefined;
  const carried = carriedAlong(path, first);
  // Clockwise for who looks along the hose is by the right hand about its direction.
  const angle = Math.atan2(dot(cross(carried, second), path.endDirection), dot(carried, second));
  const turn = 2 * Math.PI;
  const whole = ((angle % turn) + turn) % turn;
  // A hair below a full turn is none.
  return turn - whole < 1e-9 ? 0 : whole;
}
