import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/** Texts of large (immutable) objects: an edit leaves most of a document the same objects. */
const known = new WeakMap<object, string>();
/** Shorter texts are written sooner than looked up. */
const WORTH_KEEPING = 400;

/**
 * JSON with the keys of every object sorted, so that equal values give equal text; a map reads as an
 * object. Objects must not be changed once they have been written.
 */
export function stableJson(value: unknown): string {
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null';
  const before = known.get(value);
  if (before !== undefined) return before;
  const text = Array.isArray(value)
    ? `[${value.map(stableJson).join()}]`
    : recordJson(
        value instanceof Map
          ? (Object.fromEntries(value) as Readonly<Record<string, unknown>>)
          : (value as Readonly<Record<string, unknown>>),
      );
  if (text.length > WORTH_KEEPING) known.set(value, text);
  return text;
}

function recordJson(record: Readonly<Record<string, unknown>>): string {
  const members = Object.keys(record)
    .sort()
    .filter((key) => record[key] !== undefined)
    .map((key) => `${JSON.stringify(key)}:${stableJson(record[key])}`);
  return `{${members.join()}}`;
}

/** SHA-256 of a value's stable JSON, in hex. */
export function hashOf(value: unknown): string {
  return bytesToHex(sha256(utf8ToBytes(stableJson(value))));
}
