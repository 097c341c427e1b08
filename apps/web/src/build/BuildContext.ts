import type { BuildReply, ConflictReply, Issue } from '@brookrain/contract';
import {
  type Build,
  type BuildCommand,
  type BuildDocument,
  type Catalogue,
  type Ladder,
  type RippleEntry,
  type ToldEvaluation,
  type ToldFigure,
  type FigureRef,
} from '@brookrain/core';
import { createContext, useContext } from 'react';

export type EditOutcome =
  { readonly ok: true } | { readonly ok: false; readonly issues: readonly Issue[] };

/** A figure as it is shown; its working is asked for. */
export type ShownFigure = ToldFigure & { readonly key: string };

/** The figures of the open build, by reference or by documented key. */
export interface ShownFigures {
  /** a figure that the build may not have */
  find(ref: FigureRef): ShownFigure | undefined;
  /** a figure that every build has */
  at(ref: FigureRef): ShownFigure;
  keyed(key: string): ShownFigure | undefined;
}

/** The build that is open, its evaluation, and how to change it. */
export interface OpenBuild {
  readonly id: string;
  readonly revision: number;
  /** generation of the data that it belongs to */
  readonly generation: string;
  /** the build as screens read it */
  readonly document: Build;
  /** the document as it is stored: where edits go, and what the worker is asked about */
  readonly stored: BuildDocument;
  readonly catalogue: Catalogue;
  readonly evaluation: ToldEvaluation;
  readonly ladder: Ladder;
  readonly results: ShownFigures;
  /** where the limit of each rule comes from, by rule id */
  readonly sources: Readonly<Record<string, string>>;
  /** the newest edit is still being evaluated */
  readonly settling: boolean;
  readonly ripple: readonly RippleEntry[];
  readonly undo: string | null;
  readonly redo: string | null;
  /** edits of this device that the server has not taken yet */
  readonly waiting: number;
  /** the last try to send did not reach the server */
  readonly unreachable: boolean;
  edit(command: BuildCommand): EditOutcome;
  step(direction: 'undo' | 'redo'): void;
  goBack(revision: number): void;
  adopt(reply: BuildReply): void;
  sendNow(): void;
  readonly conflict: ConflictReply | undefined;
  reapply(): void;
  dropConflict(): void;
  dismissRipple(): void;
}

export const BuildContext = createContext<OpenBuild | undefined>(undefined);

/** The open build; only inside a build's frame. */
export function useBuild(): OpenBuild {
  const build = useContext(BuildContext);
  if (!build) throw new Error('no build is open here');
  return build;
}
