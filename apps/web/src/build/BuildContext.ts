import type { BuildReply, ConflictReply, Issue } from '@brookrain/contract';
import type {
  BuildCommand,
  BuildDocument,
  Catalogue,
  Evaluation,
  Ladder,
  Result,
  RippleEntry,
} from '@brookrain/core';
import { createContext, useContext } from 'react';

export type EditOutcome =
  { readonly ok: true } | { readonly ok: false; readonly issues: readonly Issue[] };

/** The build that is open, its evaluation, and how to change it. */
export interface OpenBuild {
  readonly id: string;
  readonly revision: number;
  readonly document: BuildDocument;
  readonly catalogue: Catalogue;
  readonly evaluation: Evaluation;
  readonly ladder: Ladder;
  readonly results: ReadonlyMap<string, Result>;
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
