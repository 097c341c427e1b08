import {
  type BuzzOut,
  type MakingSheet,
  type RecordEntry,
  buzzOrder,
  buzzOut,
  vectorOf,
} from '@brookrain/core';
import { useMemo } from 'react';
import { useBuild } from '../../build/BuildContext.ts';

/** Continuity of the wires of the open build, in the order with few walks. */
export function useBuzzOut(sheet: MakingSheet, entries: readonly RecordEntry[]): BuzzOut {
  const { document: build } = useBuild();
  const { placements } = build;
  const order = useMemo(() => {
    const placeAt = new Map(
      sheet.plugs.flatMap(({ placementId, cavities }) =>
        cavities.map(({ node }) => [node, placementId] as const),
      ),
    );
    const places = new Map(placements.map((place) => [place.id, vectorOf(place)]));
    return buzzOrder(sheet, placeAt, (id) => places.get(id));
  }, [sheet, placements]);
  return buzzOut(order, entries);
}
