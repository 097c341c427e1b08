import type { ConflictReply } from '@brookrain/contract';
import {
  type BuildCommand,
  type BuildDocument,
  type DocumentDifference,
  type Patch,
  applyPatch,
  diffDocuments,
} from '@brookrain/core';
import { type DocumentSource, documentAt } from './documentAt.ts';

/** So many later edits are named, of each so many places. */
export const MOST_NAMED = 10;
const MOST_CHANGES = 20;
/** Longest text, and largest value as JSON, that is sent whole. */
const LONGEST_SENT = 400;

/** A later edit as it is stored. */
export interface LaterEdit {
  readonly words: string;
  readonly author: string;
  readonly patch: string;
}

/** What a stale edit is answered from. */
export interface ConflictAsked extends Omit<ConflictReply, 'code' | 'since' | 'command'> {
  /** the edit that was not made, as JSON; null where it was undo, redo or a file */
  readonly command: string | null;
  /** the document before the first of the edits that are named; null: none of them can be compared */
  readonly before: DocumentSource | null;
  readonly later: readonly LaterEdit[];
}

/** A value as far as it takes to say in few words what it is. */
function shortened(value: unknown): unknown {
  if (typeof value === 'string') return value.slice(0, LONGEST_SENT);
  if (typeof value !== 'object' || value === null) return value;
  if (JSON.stringify(value).length <= LONGEST_SENT) return value;
  return Array.isArray(value) ? Array<null>(Math.min(value.length, LONGEST_SENT)).fill(null) : {};
}

const inShort = ({ path, before, after }: DocumentDifference): DocumentDifference => ({
  path,
  before: shortened(before),
  after: shortened(after),
});

/** The reply to a stale edit as it is sent: what others changed since, by place. */
export function conflictReply({ command, before, later, ...asked }: ConflictAsked): string {
  let document: BuildDocument | null = before && documentAt(before);
  const since = later.map(({ words, author, patch }) => {
    const after: BuildDocument | null =
      document && applyPatch(document, JSON.parse(patch) as Patch);
    const changes = document && after ? diffDocuments(document, after) : [];
    document = after;
    return { words, author, changes: changes.slice(0, MOST_CHANGES).map(inShort) };
  });
  const reply: ConflictReply = {
    code: 'conflict',
    ...asked,
    command: command === null ? null : (JSON.parse(command) as BuildCommand),
    since,
  };
  return JSON.stringify(reply);
}
