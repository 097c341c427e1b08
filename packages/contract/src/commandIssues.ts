import { type Issue } from './issue.ts';
import { commandModels } from './messages/commandModels.ts';
import { structureIssue } from './safeJson.ts';
import { issuesAgainst } from './validateDocument.ts';

/** Everything wrong with a command as data; empty when it may be applied. */
export function commandIssues(command: unknown): Issue[] {
  const structure = structureIssue(command);
  if (structure) return [{ ...structure, path: `command.${structure.path}` }];
  const name = (command as { name?: unknown } | null)?.name;
  if (typeof name !== 'string' || !Object.hasOwn(commandModels, name)) {
    return [
      { path: 'command.name', message: `must be one of ${Object.keys(commandModels).join(', ')}` },
    ];
  }
  return issuesAgainst(commandModels[name as keyof typeof commandModels], command, 'command');
}
