import type {
  BuildStateReply,
  ConflictReply,
  ErrorReply,
  ImportPreview,
} from '@brookrain/contract';
import type { CatalogueCategory, CatalogueItem, ItemRef, UnitSystem } from '@brookrain/core';
import type { CatalogueRow } from '../catalogue/catalogueRow.ts';
import type { DocumentSource } from '../documents/documentAt.ts';
import type { ConflictAsked } from '../documents/conflict.ts';
import type { EditResult, StepAsked } from '../documents/edits.ts';
import type { DocumentText } from '../documents/documentText.ts';
import type { ReadDocument } from '../documents/readFiles.ts';
import type { Paper } from '../exports/paper.ts';
import type { PaperKind } from '../exports/papers.ts';

/** A build as a thread is given it; the key is never used for other words. */
export interface BuildText {
  readonly key: string;
  readonly id: string;
  readonly revision: number;
  readonly text: string;
}

/** Which paper is wanted. */
export interface PaperAsked {
  readonly kind: PaperKind;
  /** of which part, line or sheet it is; '' where it is of none */
  readonly of: string;
  /** as asked for; undefined: as the build says */
  readonly units: UnitSystem | undefined;
  /** where pages of the program are found: for codes on paper */
  readonly base: string;
}

/** Work on documents that an edit waits for: bounded by their size. */
export type DocumentJob =
  | {
      readonly kind: 'edit';
      readonly build: BuildText;
      readonly generation: string;
      readonly body: Uint8Array;
    }
  | { readonly kind: 'step'; readonly build: BuildText; readonly step: StepAsked }
  | {
      readonly kind: 'replace';
      readonly build: BuildText;
      readonly by: DocumentSource;
      readonly words: string;
    }
  | { readonly kind: 'conflict'; readonly asked: ConflictAsked }
  | {
      readonly kind: 'documentAt';
      readonly source: DocumentSource;
      readonly name: string | undefined;
    }
  | { readonly kind: 'buildFile'; readonly build: BuildText }
  | { readonly kind: 'references'; readonly text: string };

/** Work that may take long: evaluations, papers, and files from outside. */
export type LongJob =
  | { readonly kind: 'paper'; readonly build: BuildText; readonly asked: PaperAsked }
  | { readonly kind: 'state'; readonly build: BuildText }
  | { readonly kind: 'readBuild'; readonly file: Uint8Array }
  | { readonly kind: 'preview'; readonly build: BuildText; readonly file: Uint8Array }
  | { readonly kind: 'readItems'; readonly file: Uint8Array }
  | { readonly kind: 'readSheet'; readonly file: Uint8Array; readonly category: CatalogueCategory };

export type Job = DocumentJob | LongJob;

/** What each kind of work comes to. */
export interface JobDone {
  readonly edit: EditResult;
  readonly step: EditResult;
  readonly replace: EditResult;
  /** the reply as it is sent */
  readonly conflict: string;
  readonly documentAt: DocumentText;
  readonly buildFile: string;
  readonly references: readonly ItemRef[];
  readonly paper: Paper;
  readonly state: BuildStateReply;
  readonly readBuild: ReadDocument;
  readonly preview: ImportPreview;
  readonly readItems: readonly CatalogueItem[];
  readonly readSheet: readonly CatalogueItem[];
}
export type AnyJobDone = JobDone[keyof JobDone];

/** What a thread is given: the catalogue whenever it has changed, and one job at a time. */
export type ToThread =
  | {
      readonly type: 'catalogue';
      /** every item in its order: of those that the thread has, its place there; the others */
      readonly items: readonly (number | CatalogueItem)[];
    }
  | { readonly type: 'job'; readonly job: Job };

/** What a thread answers to a job. */
export type FromThread =
  /** the build has been evaluated; what follows is of this job alone */
  | { readonly type: 'evaluated' }
  | { readonly type: 'done'; readonly result: AnyJobDone }
  | {
      readonly type: 'refused';
      readonly status: number;
      readonly reply: ErrorReply | ConflictReply;
    }
  | { readonly type: 'failed'; readonly message: string };

export type { CatalogueRow };
