import type {
  BuildReply,
  BuildStateReply,
  ConflictReply,
  ErrorReply,
  ReadBuildFile,
} from '@brookrain/contract';
import type { CatalogueCategory, CatalogueItem, UnitSystem } from '@brookrain/core';
import type { Paper } from '../exports/paper.ts';
import type { PaperKind } from '../exports/papers.ts';

/** Which paper is wanted. */
export interface PaperAsked {
  readonly kind: PaperKind;
  /** of which part, line or sheet it is; '' where it is of none */
  readonly of: string;
  readonly units: UnitSystem;
  /** where pages of the program are found: for codes on paper */
  readonly base: string;
}

/** Long work: on a build, or on a file from outside. */
export type Work =
  | { readonly kind: 'paper'; readonly build: BuildReply; readonly asked: PaperAsked }
  | { readonly kind: 'state'; readonly build: BuildReply }
  | { readonly kind: 'readBuild'; readonly text: string }
  | { readonly kind: 'readItems'; readonly text: string }
  | { readonly kind: 'readSheet'; readonly text: string; readonly category: CatalogueCategory };

/** What each kind of work comes to. */
export interface WorkDone {
  readonly paper: Paper;
  readonly state: BuildStateReply;
  readonly readBuild: ReadBuildFile;
  readonly readItems: readonly CatalogueItem[];
  readonly readSheet: readonly CatalogueItem[];
}
export type AnyWorkDone = WorkDone[keyof WorkDone];

/** What the thread is told: the catalogue whenever it has changed, and one piece of work at a time. */
export type ToThread =
  | {
      readonly type: 'catalogue';
      /** every item in its order: of those that the thread has, its place there; the others */
      readonly items: readonly (number | CatalogueItem)[];
    }
  | { readonly type: 'work'; readonly work: Work };

/** What the thread answers to a piece of work. */
export type FromThread =
  | { readonly type: 'done'; readonly result: AnyWorkDone }
  | {
      readonly type: 'refused';
      readonly status: number;
      readonly reply: ErrorReply | ConflictReply;
    }
  | { readonly type: 'failed'; readonly message: string };
