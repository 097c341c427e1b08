import type { BuildDocument, BuildCommand, Catalogue, CatalogueItem, Patch } from '@brookrain/core';
import type { Issue } from '../issue.ts';

export interface BuildSummary {
  readonly id: string;
  readonly name: string;
  readonly description: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly demo: boolean;
}

export interface BuildReply {
  readonly id: string;
  readonly revision: number;
  readonly document: BuildDocument;
  /** words of what undo and redo would do; null when there is nothing */
  readonly undo: string | null;
  readonly redo: string | null;
  readonly updatedAt: string;
}

export interface RevisionReply {
  readonly number: number;
  readonly kind: 'create' | 'edit' | 'undo' | 'redo';
  readonly author: string;
  readonly time: string;
  readonly words: string;
  readonly hash: string;
}

/** What a stale edit is answered with, 409. */
export interface ConflictReply {
  readonly code: 'conflict';
  readonly message: string;
  /** the build as it stands now */
  readonly current: BuildReply;
  /** what the edit started from */
  readonly base: { readonly revision: number; readonly document: BuildDocument | null };
  readonly command: BuildCommand | null;
  /** what others changed since */
  readonly since: readonly {
    readonly words: string;
    readonly author: string;
    readonly patch: Patch;
  }[];
}

export interface ErrorReply {
  readonly code: 'bad-input' | 'not-found' | 'not-solvable' | 'too-large' | 'internal';
  readonly message: string;
  readonly issues?: readonly Issue[];
}

export interface ImportPreview {
  readonly name: string;
  /** new catalogue items the file brings */
  readonly newItems: readonly string[];
  readonly changes: readonly {
    readonly path: string;
    readonly before: unknown;
    readonly after: unknown;
  }[];
}

export interface CatalogueReply extends Catalogue {
  readonly items: readonly CatalogueItem[];
}

export interface HealthReply {
  readonly status: 'ok';
  readonly version: string;
  readonly builds: number;
}
