import type { CommandOf } from '../command.ts';
import { decide } from './decide.ts';
import { acceptFinding, withdrawAcceptance } from './findings.ts';
import { remove, set, setSeveral } from './set.ts';
import { replaceDocument, useRevision } from './whole.ts';

export type { Change } from './set.ts';

/** Edits that know nothing of any one domain. */
export const modelCommands = [
  set,
  setSeveral,
  remove,
  decide,
  acceptFinding,
  withdrawAcceptance,
  useRevision,
  replaceDocument,
] as const;
export type ModelCommand = CommandOf<(typeof modelCommands)[number]>;
