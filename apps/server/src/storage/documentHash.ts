import { createHash } from 'node:crypto';
import { stableJson } from '@brookrain/core';

/** The same hash as the core's `hashOf`, by the machine's own digest: every edit takes one. */
export const documentHash = (document: unknown): string =>
  createHash('sha256').update(stableJson(document)).digest('hex');
