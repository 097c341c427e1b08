import { entryAt } from '../numerics/index.ts';
import { BadInput } from '../quantities/index.ts';

/** Keys that lead from a document to one of its values. */
export type Path = readonly string[];

const forbidden = new Set(['__proto__', 'constructor', 'prototype']);

/** Whether a key names an entry, and does not reach into prototypes. */
export const isKey = (key: string): boolean => key !== '' && !forbidden.has(key);

/** A path as people write it: keys with dots between. Some keys have dots of their own. */
export const pathText = (path: Path): string => path.join('.');

/** Reads a path whose keys have no dots: "brief.boost". Throws BadInput for what is no path. */
export function pathOf(text: string): string[] {
  const keys = text.split('.');
  checkPath(keys);
  return keys;
}

/** Throws BadInput for an empty path or keys that reach into prototypes. */
export function checkPath(path: Path): void {
  if (path.length === 0 || !path.every(isKey)) {
    throw new BadInput(`"${pathText(path)}" is not a place in a build`, pathText(path));
  }
}

const keysOf = (path: Path | string): Path => {
  if (typeof path === 'string') return pathOf(path);
  checkPath(path);
  return path;
};

const isContainer = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;

/** Value at a path; undefined when there is none. */
export function valueAt(root: unknown, path: Path | string): unknown {
  let value = root;
  for (const key of keysOf(path)) {
    if (!isContainer(value) || !Object.hasOwn(value, key)) return undefined;
    value = value[key];
  }
  return value;
}

/** A copy of `root` with `value` at `path`, sharing all that is untouched. */
export function withValueAt<Root>(root: Root, path: Path | string, value: unknown): Root {
  const all = keysOf(path);
  const put = (node: unknown, depth: number): unknown => {
    const key = entryAt(all, depth);
    if (!isContainer(node) || !Object.hasOwn(node, key)) {
      throw new BadInput(`there is nothing at "${pathText(all)}" in this build`, pathText(all));
    }
    const next = depth === all.length - 1 ? value : put(node[key], depth + 1);
    if (Array.isArray(node)) {
      const copy = node.slice();
      copy[Number(key)] = next;
      return copy;
    }
    return { ...node, [key]: next };
  };
  return put(root, 0) as Root;
}
