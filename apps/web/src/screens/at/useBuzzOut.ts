import {
  type BuzzOut,
  type MakingSheet,
  type RecordEntry,
  buzzOut,
  vectorOf,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';

/** Continuity of the wires of the open build, in the order with few walks. */
export function useBuzzOut(sheet: MakingSheet, entries: readonly RecordEntry[]): BuzzOut {
  const { document: build } = useBuild();
  const placeAt = new Map(
    sheet.plugs.flatMap(({ placementId, cavities }) =>
      cavities.map(({ node }) => [node, placementId] as const),
    ),
  );
  const places = new Map(build.placements.map((place) => [place.id, vectorOf(place)]));
  return buzzOut(sheet, placeAt, (id) => places.get(id), entries);
}
