import { entryAt } from '../../numerics/index.ts';
import type { MountingLine } from '../../model/index.ts';
import { pointToSegment } from '../geometry/distances.ts';
import type { RoutePoint } from '../geometry/path.ts';
import { along, distanceBetween, subtract, unit } from '../geometry/vector.ts';
import { vectorOf } from '../places/vectorOf.ts';

/** Within reach of a clip, and how finely a way is looked at, m. */
const REACH = 0.12;
const STEP = 0.05;

/** Share of the legs of a way that run within reach of a clip on a mounting line. */
export function railShare(points: readonly RoutePoint[], lines: readonly MountingLine[]): number {
  const rails = lines.map((line) => ({ from: vectorOf(line.from), to: vectorOf(line.to) }));
  let [beside, steps] = [0, 0];
  points.slice(1).forEach(({ at: to }, i) => {
    const from = entryAt(points, i).at;
    const length = distanceBetween(from, to);
    const direction = unit(subtract(to, from));
    for (let s = STEP / 2; s < length; s += STEP) {
      const place = along(from, direction, s);
      if (rails.some((rail) => pointToSegment(place, rail).distance <= REACH)) beside += 1;
      steps += 1;
    }
  });
  return steps === 0 ? 0 : beside / steps;
}
