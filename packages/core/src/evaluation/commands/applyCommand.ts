import {
  type BuildCommand,
  type BuildDocument,
  type Edited,
  editDocument,
} from '../../model/index.ts';
import { BadInput } from '../../quantities/index.ts';
import { commandKindOf } from './commandKinds.ts';

const kindOf = (command: BuildCommand) => {
  const kind = commandKindOf(command.name);
  if (!kind) throw new BadInput(`unknown command "${String(command.name)}"`, 'command.name');
  return kind;
};

/**
 * Runs a command on a document: the new one, what changed and what takes it back. The same
 * document comes back when nothing changed. Throws BadInput or NotFound.
 */
export function applyCommand(document: BuildDocument, command: BuildCommand): Edited {
  const kind = kindOf(command);
  return editDocument(document, (draft) => kind.recipe(draft, command as never));
}

/** A command in plain words, for the history and for undo. */
export const describeCommand = (command: BuildCommand): string =>
  kindOf(command).words(command as never);
