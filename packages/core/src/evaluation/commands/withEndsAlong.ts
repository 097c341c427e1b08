import type { Catalogue } from '../../catalogue/index.ts';
import {
  type BuildCommand,
  type BuildDocument,
  type Change,
  readBuild,
} from '../../model/index.ts';
import { refitted } from '../../plumbing/index.ts';
import { BadInput, NotFound } from '../../quantities/index.ts';
import { applyCommand, describeCommand } from './applyCommand.ts';

const longest = 120;

/** The changes that a command makes, where that is all it does. */
function changesOf(command: BuildCommand): readonly Change[] | undefined {
  switch (command.name) {
    case 'set':
      return [{ path: command.path, value: command.value }];
    case 'set-several':
      return command.changes;
    case 'choose-part':
      return [
        {
          path: ['fuelCircuits', command.circuitId, 'elements', command.elementId, 'item'],
          value: command.item,
        },
      ];
    default:
      return undefined;
  }
}

/** The build after a command; undefined where it is refused. */
function after(document: BuildDocument, command: BuildCommand): BuildDocument | undefined {
  try {
    return applyCommand(document, command).document;
  } catch (error) {
    if (error instanceof BadInput || error instanceof NotFound) return undefined;
    throw error;
  }
}

/**
 * A command that takes the ends of hoses along: whoever exchanges a hose, or a part with other
 * ports, gets the ends and adapters that fit it in the same step. The same command comes back where
 * all of them still fit, or where it is none that exchanges parts.
 */
export function withEndsAlong(
  document: BuildDocument,
  command: BuildCommand,
  catalogue: Catalogue,
): BuildCommand {
  const changes = changesOf(command);
  if (!changes && !('assemblies' in command)) return command;
  const next = after(document, command);
  if (!next) return command;
  const ends = refitted(readBuild(document), readBuild(next), catalogue);
  if (ends.length === 0) return command;
  if ('assemblies' in command) {
    const assemblies = { ...command.assemblies };
    for (const { assemblyId, side, end } of ends) {
      const present = assemblies[assemblyId] ?? next.assemblies[assemblyId];
      if (present) assemblies[assemblyId] = { ...present, [side]: end };
    }
    return { ...command, assemblies };
  }
  return {
    name: 'set-several',
    label: describeCommand(command).slice(0, longest),
    changes: [
      ...(changes ?? []),
      ...ends.map(({ assemblyId, side, end }) => ({
        path: ['assemblies', assemblyId, side],
        value: end,
      })),
    ],
  };
}
