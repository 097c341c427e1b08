import { electricsCommands } from '../../electrics/index.ts';
import { engineCommands } from '../../engine/index.ts';
import { fuelCommands } from '../../fuel/index.ts';
import { harnessCommands } from '../../harness/index.ts';
import { type CommandKind, type CommandName, modelCommands } from '../../model/index.ts';
import { vehicleCommands } from '../../vehicle/index.ts';

/** Every kind of edit. */
export const commandKinds: readonly CommandKind<CommandName>[] = [
  ...modelCommands,
  ...engineCommands,
  ...vehicleCommands,
  ...electricsCommands,
  ...fuelCommands,
  ...harnessCommands,
];

const byName: ReadonlyMap<string, CommandKind> = new Map(
  commandKinds.map((kind) => [kind.name, kind]),
);

/** The kind of edit of a name; undefined when there is none. */
export const commandKindOf = (name: string): CommandKind | undefined => byName.get(name);
