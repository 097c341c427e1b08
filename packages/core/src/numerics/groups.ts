/** Puts a value under a key that may hold several. */
export function addTo<Key, Value>(groups: Map<Key, Value[]>, key: Key, value: Value): void {
  const present = groups.get(key);
  if (present) present.push(value);
  else groups.set(key, [value]);
}

/** Entries by a key of theirs, in their order. */
export function groupBy<Entry, Key>(
  entries: readonly Entry[],
  keyOf: (entry: Entry) => Key,
): Map<Key, Entry[]> {
  const groups = new Map<Key, Entry[]>();
  for (const entry of entries) addTo(groups, keyOf(entry), entry);
  return groups;
}
