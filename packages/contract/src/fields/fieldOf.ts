import type { ObjectSpec } from '@brookrain/core';
import { ValidateBy } from 'class-validator';
import { fieldProblem, isLeaf } from './fieldProblem.ts';
import { ruleIssues } from './specIssues.ts';

type Owner = Readonly<Record<string, unknown>>;

function problemOf(spec: ObjectSpec, key: string, owner: Owner): string | undefined {
  const soundness = Object.entries(spec.fields).map(([name, field]) => {
    const problem = isLeaf(field) ? fieldProblem(field, owner[name], owner) : undefined;
    return [name, problem] as const;
  });
  const own = soundness.find(([name]) => name === key)?.[1];
  if (own !== undefined || soundness.some(([, problem]) => problem !== undefined)) return own;
  return ruleIssues(spec, owner, '').find((issue) => issue.path === key)?.message;
}

/** A property of a message that is checked as a field of the core declares it. */
export const FieldOf = (spec: ObjectSpec, key: string): PropertyDecorator =>
  ValidateBy({
    name: 'fieldOf',
    constraints: [key],
    validator: {
      validate: (_value, args) => problemOf(spec, key, args?.object as Owner) === undefined,
      defaultMessage: (args) => problemOf(spec, key, args?.object as Owner) ?? '',
    },
  });
