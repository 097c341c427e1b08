import { commandKindOf, commandKinds, constant, object } from '@brookrain/core';
import { specIssues } from './fields/specIssues.ts';
import type { Issue } from './issue.ts';
import { structureIssue } from './safeJson.ts';

/** Everything wrong with a command as data; empty when it may be applied. */
export function commandIssues(command: unknown): Issue[] {
  const structure = structureIssue(command);
  if (structure) return [{ ...structure, path: `command.${structure.path}` }];
  const name = (command as { name?: unknown } | null)?.name;
  const kind = typeof name === 'string' ? commandKindOf(name) : undefined;
  if (!kind) {
    const names = commandKinds.map((k) => k.name).join(', ');
    return [{ path: 'command.name', message: `must be one of ${names}` }];
  }
  const spec = object({ name: constant(kind.name), ...kind.fields });
  return specIssues(spec, command, 'command');
}
