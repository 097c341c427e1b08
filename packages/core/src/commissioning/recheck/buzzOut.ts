import { type Vector, distanceBetween } from '../../vehicle/index.ts';
import type { MadeWire, MakingSheet } from '../making/makingSheet.ts';
import { type RecordEntry, standingEntries } from '../record/recordEntry.ts';
import { type PlacePair, fewestWalks, leastWalks, walksOf } from './fewestWalks.ts';

/** Wires between the same two places: both probes stay where they are. */
export interface BuzzStop {
  /** where the one probe stays, and where the other is taken */
  readonly at: string;
  readonly other: string;
  readonly wires: readonly MadeWire[];
}

/** What was said of wires that were buzzed from end to end. */
export interface BuzzedWires {
  /** wires that were not buzzed yet, in their order */
  readonly open: readonly MadeWire[];
  readonly good: number;
  /** those that do not beep, with the entry that says so */
  readonly broken: readonly { readonly wire: MadeWire; readonly entryId: string }[];
}

/** All wires between plugs, in an order that is quick to walk. */
export interface BuzzOrder {
  readonly stops: readonly BuzzStop[];
  /** how often somebody goes from one place to another with a probe */
  readonly walks: number;
  /** no order takes fewer than that */
  readonly least: number;
}

/** Continuity of all wires between plugs. */
export interface BuzzOut extends BuzzOrder, BuzzedWires {}

interface Pair extends PlacePair {
  readonly wires: MadeWire[];
}

/** Wires between the same two places, each pair once. */
function pairsOf(wires: readonly MadeWire[], placeAt: ReadonlyMap<string, string>): Pair[] {
  const pairs = new Map<string, Pair>();
  for (const wire of wires) {
    const [a, b] = wire.ends.map(({ node }) => placeAt.get(node));
    if (a === undefined || b === undefined) continue;
    const places = a < b ? ([a, b] as const) : ([b, a] as const);
    const key = JSON.stringify(places);
    const pair = pairs.get(key) ?? { places, wires: [] };
    pairs.set(key, pair);
    pair.wires.push(wire);
  }
  return [...pairs.values()];
}

/**
 * An order to begin with: one probe stays at the place from which most is left to be reached, the
 * other goes to the nearest; then the first moves on, if it can to where the other is.
 */
function inOrder(pairs: readonly Pair[], away: (a: string, b: string) => number): Pair[] {
  const left = new Set(pairs);
  const stops: Pair[] = [];
  let here: readonly string[] = [];
  while (left.size > 0) {
    const reach = new Map<string, number>();
    for (const { places } of left) {
      for (const place of places) reach.set(place, (reach.get(place) ?? 0) + 1);
    }
    const open = [...reach.keys()];
    const beside = open.filter((place) => here.includes(place));
    const [base = ''] = (beside.length > 0 ? beside : open).sort(
      (a, b) => (reach.get(b) ?? 0) - (reach.get(a) ?? 0) || (a < b ? -1 : 1),
    );
    let at = here.find((place) => place !== base) ?? base;
    for (;;) {
      const [next] = [...left]
        .filter(({ places }) => places.includes(base))
        .map((pair) => ({ pair, other: pair.places[0] === base ? pair.places[1] : pair.places[0] }))
        .sort((a, b) => away(at, a.other) - away(at, b.other) || (a.other < b.other ? -1 : 1));
      if (!next) break;
      left.delete(next.pair);
      stops.push(next.pair);
      at = next.other;
    }
    here = [base, at];
  }
  return stops;
}

/** Which of these wires were buzzed, and which of them do not beep. */
export function buzzedWires(
  wires: readonly MadeWire[],
  entries: readonly RecordEntry[],
): BuzzedWires {
  const said = new Map(
    standingEntries(entries).flatMap((entry) =>
      entry.kind === 'buzzed' ? [[entry.subject, entry] as const] : [],
    ),
  );
  return {
    open: wires.filter(({ id }) => !said.has(id)),
    good: wires.filter(({ id }) => said.get(id)?.said['beeps'] === true).length,
    broken: wires.flatMap((wire) => {
      const entry = said.get(wire.id);
      return entry && entry.said['beeps'] !== true ? [{ wire, entryId: entry.id }] : [];
    }),
  };
}

/** Which probe stays from one stop to the next, and which is taken elsewhere. */
function asStops(pairs: readonly Pair[]): BuzzStop[] {
  return pairs.map(({ places: [a, b], wires }, i) => {
    const [before, after] = [pairs[i - 1]?.places, pairs[i + 1]?.places];
    const stays = [a, b].find((place) => after?.includes(place));
    const at = stays ?? [a, b].find((place) => before?.includes(place)) ?? a;
    return { at, other: at === a ? b : a, wires };
  });
}

/** The stops between the plugs of a harness, in an order with few walks. */
export function buzzOrder(
  { wires }: MakingSheet,
  placeAt: ReadonlyMap<string, string>,
  whereIs: (placementId: string) => Vector | undefined,
): BuzzOrder {
  const between = wires.filter(({ ends }) => ends.every(({ work }) => work === 'crimp a contact'));
  const away = (a: string, b: string): number => {
    const [p, q] = [whereIs(a), whereIs(b)];
    return p && q ? distanceBetween(p, q) : 0;
  };
  const pairs = fewestWalks(inOrder(pairsOf(between, placeAt), away), away);
  return { stops: asStops(pairs), walks: walksOf(pairs), least: leastWalks(pairs) };
}

/** Stops in their order, and what was said of their wires. */
export const buzzOut = (order: BuzzOrder, entries: readonly RecordEntry[]): BuzzOut => ({
  ...order,
  ...buzzedWires(
    order.stops.flatMap((stop) => stop.wires),
    entries,
  ),
});
