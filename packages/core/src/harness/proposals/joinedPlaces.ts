import type { Harness, Placement } from '../../model/index.ts';
import { quantity } from '../../quantities/index.ts';
import { type Vector, distanceBetween, vectorOf } from '../../vehicle/index.ts';
import { freeKey } from '../commands/index.ts';
import type { SegmentEnd, StoredHarness } from '../model.ts';
import { plainSegment } from '../plainSegment.ts';

type Stored = StoredHarness['segments'][string];

/** Loop of a branch onto the engine, mm. */
const LOOP = 80;

/** A straight segment from each place that nothing reaches to the nearest breakout, by its new id. */
export function joinedPlaces(input: {
  readonly ends: readonly { readonly placementId: string; readonly name: string }[];
  readonly harness: Harness;
  readonly placements: readonly Placement[];
}): Readonly<Record<string, Stored>> {
  const { harness, placements } = input;
  const taken: Record<string, unknown> = Object.fromEntries(
    harness.segments.map(({ id }) => [id, true]),
  );
  const nearest = (at: Vector) =>
    [...harness.breakouts].sort(
      (a, b) => distanceBetween(vectorOf(a), at) - distanceBetween(vectorOf(b), at),
    )[0];
  const made: Record<string, Stored> = {};
  for (const { placementId, name } of input.ends) {
    const place = placements.find(({ id }) => id === placementId);
    const breakout = place && nearest(vectorOf(place));
    if (!place || !breakout) continue;
    const id = freeKey('segment', taken);
    taken[id] = true;
    const from: SegmentEnd = { at: 'breakout', breakoutId: breakout.id };
    made[id] = {
      order: 1000 * (Object.keys(taken).length + 1),
      name: `To the ${name.toLowerCase()}`.slice(0, 80),
      from,
      to: { at: 'place', placementId },
      ...plainSegment,
      loop: quantity(place.movesWithEngine !== breakout.movesWithEngine ? LOOP : 0, 'length', 'mm'),
    };
  }
  return made;
}
