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
  /** the newest edit is still being evaluated */
  readonly settling: boolean;
  readonly ripple: readonly RippleEntry[];
  readonly undo: string | null;
  readonly redo: string | null;
  edit(command: BuildCommand): EditOutcome;
  step(direction: 'undo' | 'redo'): void;
  adopt(reply: BuildReply): void;
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
