import { BadInput } from '../quantities/index.ts';

const forbidden = new Set(['__proto__', 'constructor', 'prototype']);

/** Splits "fuelCircuits.0.elements.2.item" into keys; refuses keys that reach into prototypes. */
export function splitPath(path: string): string[] {
  const keys = path.split('.');
  if (path === '' || keys.some((k) => k === '' || forbidden.has(k))) {
    throw new BadInput(`"${path}" is not a place in a build`, path);
  }
  return keys;
}

const isContainer = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;

/** Value at a path; undefined when there is none. */
export function valueAt(root: unknown, path: string): unknown {
  let value = root;
  for (const key of splitPath(path)) {
    if (!isContainer(value) || !Object.hasOwn(value, key)) return undefined;
    value = value[key];
  }
  return value;
}

/** A copy of `root` with `value` at `path`, sharing all that is untouched. */
export function withValueAt<Root>(root: Root, path: string, value: unknown): Root {
  const put = (node: unknown, keys: string[]): unknown => {
    const [key, ...rest] = keys as [string, ...string[]];
    if (!isContainer(node) || !Object.hasOwn(node, key)) {
      throw new BadInput(`there is nothing at "${path}" in this build`, path);
    }
    const next = rest.length === 0 ? value : put(node[key], rest);
    if (Array.isArray(node)) {
      const copy = node.slice();
      copy[Number(key)] = next;
      return copy;
    }
    return { ...node, [key]: next };
  };
  return put(root, splitPath(path)) as Root;
}
