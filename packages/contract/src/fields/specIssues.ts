import {
  type ObjectSpec,
  type Spec,
  entryAt,
  valueUnder,
  isKey,
  kindOf,
  isRecord,
} from '@brookrain/core';
import type { Issue } from '../issue.ts';
import { fieldProblem, isLeaf } from './fieldProblem.ts';

/** So many places that are wrong are named; with more of them nobody reads the rest. */
export const MOST_ISSUES = 100;

const under = (path: string, key: string): string => (path === '' ? key : `${path}.${key}`);

/** Whether a field may be missing. */
const mayBeLeftOut = (spec: Spec): boolean => spec.type === 'choice' && spec.optional;

/** What must hold between the fields of an object that are each sound. */
export function ruleIssues(spec: ObjectSpec, value: object, path: string): Issue[] {
  return spec.rules
    .filter((rule) => !rule.holds(value as never))
    .map(({ field, message }) => ({ path: under(path, field), message }));
}

function objectIssues(spec: ObjectSpec, value: unknown, path: string): Issue[] {
  if (!isRecord(value)) return [{ path, message: 'must be an object' }];
  const issues: Issue[] = [];
  for (const key of Object.keys(value)) {
    if (issues.length >= MOST_ISSUES) return issues;
    if (!Object.hasOwn(spec.fields, key)) {
      issues.push({ path: under(path, key), message: `there is no field "${key}" here` });
    }
  }
  for (const [key, field] of Object.entries(spec.fields)) {
    const at = under(path, key);
    if (isLeaf(field)) {
      if (!Object.hasOwn(value, key) && mayBeLeftOut(field)) continue;
      const message = fieldProblem(field, value[key], value);
      if (message !== undefined) issues.push({ path: at, message });
    } else if (!Object.hasOwn(value, key)) issues.push({ path: at, message: 'must be given' });
    else issues.push(...specIssues(field, value[key], at));
  }
  return issues.length > 0 ? issues : ruleIssues(spec, value, path);
}

/** Why a collection may not hold so many entries; undefined when it may. */
export const countProblem = (count: number, { min, max }: { min: number; max: number }) =>
  count < min || count > max ? `must have ${min} to ${max} entries` : undefined;

/**
 * What is wrong with a value against its declaration, unknown fields too, in work that grows with its
 * size: about {@link MOST_ISSUES} places at the most. Empty when it holds.
 * References to other parts of a document are not followed here.
 */
export function specIssues(spec: Spec, value: unknown, path = ''): Issue[] {
  if (isLeaf(spec)) {
    const message = fieldProblem(spec, value);
    return message === undefined ? [] : [{ path, message }];
  }
  switch (spec.type) {
    case 'object':
      return objectIssues(spec, value, path);
    case 'nullable': {
      if (value === null) return [];
      const holdsFields = spec.of.type === 'object' || spec.of.type === 'kinds';
      if (holdsFields && !isRecord(value)) return [{ path, message: 'must be an object or null' }];
      return specIssues(spec.of, value, path);
    }
    case 'kinds': {
      if (!isRecord(value)) return [{ path, message: 'must be an object' }];
      const kind = kindOf(spec, value);
      if (kind) return objectIssues(kind, value, path);
      const message = `must be one of ${Object.keys(spec.kinds).join(', ')}`;
      return [{ path: under(path, spec.by), message }];
    }
    case 'record': {
      if (!isRecord(value)) return [{ path, message: 'must be an object of entries by id' }];
      const count = countProblem(Object.keys(value).length, spec);
      if (count) return [{ path, message: count }];
      const issues: Issue[] = [];
      for (const [key, entry] of Object.entries(value)) {
        if (issues.length >= MOST_ISSUES) break;
        const at = under(path, key);
        if (!isKey(key) || key.length > spec.key) {
          issues.push({ path: at, message: `an id has 1 to ${spec.key} letters` });
        } else issues.push(...specIssues(spec.of, entry, at));
      }
      return issues;
    }
    case 'list': {
      if (!Array.isArray(value)) return [{ path, message: 'must be a list' }];
      const count = countProblem(value.length, spec);
      if (count) return [{ path, message: count }];
      const issues: Issue[] = [];
      for (const [i, entry] of value.entries()) {
        if (issues.length >= MOST_ISSUES) break;
        issues.push(...specIssues(spec.of, entry, `${path}.${i}`));
      }
      const { rising } = spec;
      if (issues.length > 0 || rising === undefined) return issues;
      const rises = (value as Record<string, number>[]).every(
        (entry, i, all) =>
          i === 0 || valueUnder(entry, rising) > valueUnder(entryAt(all, i - 1), rising),
      );
      return rises ? [] : [{ path, message: `must rise by ${rising}` }];
    }
  }
}
