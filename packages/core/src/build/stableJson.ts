import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/** JSON with the keys of every object sorted, so that equal values give equal text. */
export function stableJson(value: unknown): string {
  return JSON.stringify(value, (_key, node: unknown) => {
    if (typeof node !== 'object' || node === null || Array.isArray(node)) return node;
    const record = node as Record<string, unknown>;
    return Object.fromEntries(
      Object.keys(record)
        .sort()
        .map((key) => [key, record[key]]),
    );
  });
}

/** SHA-256 of a value's stable JSON, in hex. */
export function hashOf(value: unknown): string {
  return bytesToHex(sha256(utf8ToBytes(stableJson(value))));
}
