import type { Issue } from './issue.ts';

export const MOST_BYTES = 10 * 1024 * 1024;
const DEEPEST = 24;
const MOST_VALUES = 400_000;
/** of one object, and of one list */
const MOST_KEYS = 3000;
const MOST_ENTRIES = 20_000;
const forbiddenKeys = new Set(['__proto__', 'constructor', 'prototype']);

/** A value that holds nothing hostile: depth, size and keys are within bounds. */
export function structureIssue(value: unknown): Issue | undefined {
  let count = 0;
  const walk = (node: unknown, path: string, depth: number): Issue | undefined => {
    if (++count > MOST_VALUES) return { path, message: 'the file holds too many values' };
    if (typeof node !== 'object' || node === null) return undefined;
    if (depth > DEEPEST) return { path, message: `nested deeper than ${DEEPEST} levels` };
    const keys = Object.keys(node);
    const most = Array.isArray(node) ? MOST_ENTRIES : MOST_KEYS;
    if (keys.length > most) return { path, message: `at most ${most} entries in one place` };
    for (const key of keys) {
      const at = path === '' ? key : `${path}.${key}`;
      if (forbiddenKeys.has(key)) return { path: at, message: `the key "${key}" is not allowed` };
      const issue = walk((node as Record<string, unknown>)[key], at, depth + 1);
      if (issue) return issue;
    }
    return undefined;
  };
  return walk(value, '', 0);
}

export type ParsedJson =
  | { readonly ok: true; readonly value: unknown }
  | { readonly ok: false; readonly issues: readonly Issue[] };

/** Reads JSON text from outside: size, syntax and structure are checked, the place is told. */
export function parseSafeJson(text: string): ParsedJson {
  if (text.length > MOST_BYTES) {
    return { ok: false, issues: [{ path: '', message: 'the file is larger than 10 MB' }] };
  }
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (cause) {
    const reason = cause instanceof Error ? cause.message : String(cause);
    return {
      ok: false,
      issues: [{ path: '', message: `the file is not valid JSON: ${reason.slice(0, 200)}` }],
    };
  }
  const issue = structureIssue(value);
  return issue ? { ok: false, issues: [issue] } : { ok: true, value };
}
