import { NotFound } from '../../quantities/index.ts';

/** Finds places by id; throws NotFound for one that is not on the vehicle. */
export function placeFinder<Place extends { readonly id: string }>(
  placements: readonly Place[],
): (id: string) => Place {
  const byId = new Map(placements.map((place) => [place.id, place]));
  return (id) => {
    const place = byId.get(id);
    if (!place) throw new NotFound(`there is no place "${id}" on the vehicle`, id);
    return place;
  };
}
