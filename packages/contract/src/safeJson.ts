import type { Issue } from './issue.ts';
import { jsonFault } from './jsonFault.ts';
import { boundWords, jsonBounds, jsonTooMuch } from './jsonBounds.ts';

export const MOST_BYTES = 10 * 1024 * 1024;
const forbiddenKeys = new Set(['__proto__', 'constructor', 'prototype']);

/** A value that holds nothing hostile: depth, size and keys are within bounds. */
export function structureIssue(value: unknown): Issue | undefined {
  let count = 0;
  const walk = (node: unknown, path: string, depth: number): Issue | undefined => {
    if (++count > jsonBounds.values) return { path, message: boundWords.values };
    if (typeof node !== 'object' || node === null) return undefined;
    if (depth > jsonBounds.depth) return { path, message: boundWords.depth };
    const keys = Object.keys(node);
    const most = Array.isArray(node) ? 'entries' : 'keys';
    if (keys.length > jsonBounds[most]) return { path, message: boundWords[most] };
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
  const tooMuch = jsonTooMuch(text);
  if (tooMuch !== undefined) return { ok: false, issues: [{ path: '', message: tooMuch }] };
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (cause) {
    return { ok: false, issues: [{ path: '', message: `the file is ${jsonFault(cause)}` }] };
  }
  const issue = structureIssue(value);
  return issue ? { ok: false, issues: [issue] } : { ok: true, value };
}
