import {
  type MadeCavity,
  type MadePlug,
  type MadeWire,
  type MakingSheet,
  type RecordEntry,
  standingEntries,
} from '@brookrain/core';

/** What was done at the vehicle, as the record stands. */
export interface WorkDone {
  /** entries of wires that were cut, by wire */
  readonly cut: ReadonlyMap<string, RecordEntry>;
  /** entries of cavities that are pinned, by the node of the cavity */
  readonly pinned: ReadonlyMap<string, RecordEntry>;
}

export function workDone(entries: readonly RecordEntry[]): WorkDone {
  const standing = standingEntries(entries);
  const of = (kind: RecordEntry['kind']): ReadonlyMap<string, RecordEntry> =>
    new Map(standing.flatMap((entry) => (entry.kind === kind ? [[entry.subject, entry]] : [])));
  return { cut: of('cut'), pinned: of('pinned') };
}

/** Wires that are still to be cut, in the order of the reels. */
export const wiresToCut = ({ wires }: MakingSheet, { cut }: WorkDone): readonly MadeWire[] =>
  wires.filter(({ id, isCut, isBought }) => !isCut && !isBought && !cut.has(id));

/** Entries of a plug’s cavities in which the wire sits that belongs there as the design stands now, the newest last. */
export const pinnedIn = ({ cavities }: MadePlug, { pinned }: WorkDone): readonly RecordEntry[] => {
  const wanted = new Map(cavities.map(({ node, wireId }) => [node, wireId]));
  return [...pinned.values()].filter(
    ({ subject, said }) => wanted.has(subject) && said['wire'] === wanted.get(subject),
  );
};

/** Cavities of a plug that get a wire and have none yet, or another one. */
export function cavitiesToPin(
  plug: MadePlug,
  done: WorkDone,
): readonly (MadeCavity & { readonly wire: number })[] {
  const sitting = new Set(pinnedIn(plug, done).map(({ subject }) => subject));
  return plug.cavities.flatMap(({ wire, ...cavity }) =>
    wire === undefined || sitting.has(cavity.node) ? [] : [{ ...cavity, wire }],
  );
}
