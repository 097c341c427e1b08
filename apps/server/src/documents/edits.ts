import { commandIssues, documentIssues, editIssues } from '@brookrain/contract';
import {
  type BuildCommand,
  type BuildDocument,
  type Catalogue,
  type Patch,
  applyCommand,
  applyPatch,
  editInWords,
} from '@brookrain/core';
import { badInput } from '../errors.ts';
import type { BuildText } from '../work/workMessages.ts';
import { type DocumentSource, documentAt, isCheckedSource } from './documentAt.ts';
import { type DocumentText, documentText, refuseTooLarge } from './documentText.ts';
import { readEditMessage } from './editMessage.ts';
import { documentOf, rememberDocument } from './knownDocuments.ts';

/** What an edit says of itself beside its command. */
export interface EditHead {
  readonly baseRevision: number;
  readonly generation: string | undefined;
  readonly editId: string | undefined;
  readonly author: string | undefined;
}

/** A document after an edit, as it is stored. */
export interface MadeEdit {
  readonly kind: 'made';
  readonly head: EditHead;
  readonly document: DocumentText;
  readonly words: string;
  /** the command, and what it changed and takes back, each as JSON */
  readonly command: string | null;
  readonly patch: string;
  readonly inverse: string;
}

/** What came of an edit. */
export type EditResult =
  | MadeEdit
  /** the build is as the edit would have made it */
  | { readonly kind: 'unchanged'; readonly head: EditHead }
  /** the edit started from another revision, or from another generation of the data */
  | { readonly kind: 'stale'; readonly head: EditHead; readonly command: string };

/** An edit to be taken back or put back. */
export interface StepAsked {
  readonly patch: string;
  readonly inverse: string;
  readonly words: string;
}

const NO_HEAD: EditHead = {
  baseRevision: 0,
  generation: undefined,
  editId: undefined,
  author: undefined,
};

/** Longest command that is kept with its edit; of a longer one the patch says what it did. */
const LONGEST_COMMAND = 100_000;

const keptCommand = (command: BuildCommand): string | null => {
  const text = JSON.stringify(command);
  return text.length <= LONGEST_COMMAND ? text : null;
};

/** The key of the build's next revision: only one edit can make it. */
const nextKey = ({ key, revision }: BuildText): string =>
  `${key.slice(0, -String(revision).length)}${revision + 1}`;

function made(
  build: BuildText,
  document: BuildDocument,
  parts: Omit<MadeEdit, 'kind' | 'document'>,
): MadeEdit {
  const written = documentText(document);
  refuseTooLarge(written, build.text.length);
  rememberDocument(nextKey(build), written.text, document);
  return { kind: 'made', document: written, ...parts };
}

/** Runs the command of an edit on the revision it started from. Throws 400 for what is refused. */
export function makeEdit(
  build: BuildText,
  body: Uint8Array,
  generation: string,
  catalogue: Catalogue,
): EditResult {
  const message = readEditMessage(body);
  const head: EditHead = {
    baseRevision: message.baseRevision,
    generation: message.generation,
    editId: message.editId,
    author: message.author,
  };
  const issues = commandIssues(message.command);
  if (issues.length > 0) throw badInput(issues);
  const command = message.command as BuildCommand;
  const isStale =
    head.baseRevision !== build.revision ||
    (head.generation !== undefined && head.generation !== generation);
  if (isStale) return { kind: 'stale', head, command: JSON.stringify(command) };
  return runCommand(build, command, head, catalogue);
}

function runCommand(
  build: BuildText,
  command: BuildCommand,
  head: EditHead,
  catalogue: Catalogue,
): EditResult {
  const current = documentOf(build);
  const { document, patch, inverse } = applyCommand(current, command);
  if (patch.length === 0) return { kind: 'unchanged', head };
  const found = editIssues(document, patch, catalogue);
  if (found.length > 0) throw badInput(found);
  return made(build, document, {
    head,
    words: editInWords(current, command),
    command: keptCommand(command),
    patch: JSON.stringify(patch),
    inverse: JSON.stringify(inverse),
  });
}

/** Takes an edit back, or puts it back. Throws 400 where the build would not hold together. */
export function makeStep(build: BuildText, step: StepAsked, catalogue: Catalogue): MadeEdit {
  const patch = JSON.parse(step.patch) as Patch;
  const document = applyPatch(documentOf(build), patch);
  const found = editIssues(document, patch, catalogue);
  if (found.length > 0) throw badInput(found);
  return made(build, document, { head: NO_HEAD, command: null, ...step });
}

/** Puts a whole document in the place of a build's; it is checked unless it was when it was stored. */
export function makeReplacement(
  build: BuildText,
  by: DocumentSource,
  words: string,
  catalogue: Catalogue,
): EditResult {
  const wanted = documentAt(by);
  if (!isCheckedSource(by)) {
    const issues = documentIssues(wanted, catalogue);
    if (issues.length > 0) throw badInput(issues);
  }
  const { document, patch, inverse } = applyCommand(documentOf(build), {
    name: 'replace-document',
    document: wanted,
  });
  if (patch.length === 0) return { kind: 'unchanged', head: NO_HEAD };
  return made(build, document, {
    head: NO_HEAD,
    words,
    command: null,
    patch: JSON.stringify(patch),
    inverse: JSON.stringify(inverse),
  });
}
