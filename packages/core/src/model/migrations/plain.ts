import { isRecord } from '../../numerics/index.ts';

/** A part of a document of an older version, not yet checked. */
export type Plain = Readonly<Record<string, unknown>>;

/** The entries of a list of an older version that are objects at all. */
export const list = (value: unknown): readonly Plain[] =>
  Array.isArray(value)
    ? (value as unknown[]).filter((e): e is Plain => typeof e === 'object' && e !== null)
    : [];

/** What is an object with keys as it is; an empty one of anything else. */
export const plain = (value: unknown): Plain => (isRecord(value) ? value : {});

/** Every entry of a record of an older version, lifted. */
export const eachEntry = (value: unknown, lift: (entry: Plain) => Plain): Plain =>
  Object.fromEntries(Object.entries(plain(value)).map(([id, entry]) => [id, lift(plain(entry))]));
