import { isRecord } from '../numerics/index.ts';
import type { Path } from './path.ts';
import type { ObjectSpec, Spec } from './spec.ts';

/** The object spec of a value that is one of several kinds; undefined when its kind is unknown. */
export function kindOf(spec: Extract<Spec, { type: 'kinds' }>, value: unknown) {
  const kind = (value as Record<string, unknown> | null | undefined)?.[spec.by];
  return typeof kind === 'string' && Object.hasOwn(spec.kinds, kind) ? spec.kinds[kind] : undefined;
}

/** The spec behind "or null" and kinds, for a value that is there. */
export function settledSpec(spec: Spec, value: unknown): Spec | undefined {
  if (spec.type === 'nullable') {
    return value === null || value === undefined ? spec : settledSpec(spec.of, value);
  }
  return spec.type === 'kinds' ? kindOf(spec, value) : spec;
}

/** Declaration of what stands at a path of a value; undefined when nothing may stand there. */
export function specAt(root: Spec, path: Path, value: unknown): Spec | undefined {
  let spec: Spec | undefined = root;
  let at = value;
  for (const key of path) {
    spec = spec && settledSpec(spec, at);
    if (!spec) return undefined;
    if (spec.type === 'object') {
      spec = Object.hasOwn(spec.fields, key) ? spec.fields[key] : undefined;
    } else if (spec.type === 'record' || spec.type === 'list') spec = spec.of;
    else return undefined;
    at = (at as Record<string, unknown> | null | undefined)?.[key];
  }
  return spec;
}

/** An object on the way to a value, with its declaration. */
export interface Surrounding {
  readonly spec: ObjectSpec;
  readonly value: Readonly<Record<string, unknown>>;
}

/** One value on a walk: its declaration, where it stands, and the objects around it, outermost first. */
export interface Visit {
  readonly spec: Spec;
  readonly value: unknown;
  readonly path: Path;
  readonly around: readonly Surrounding[];
}

/** Visits every value that a spec describes, parents before children. Unknown parts are passed by. */
export function walkSpec(root: Spec, value: unknown, visit: (at: Visit) => void, from: Path = []) {
  const around: Surrounding[] = [];
  const walk = (spec: Spec, at: unknown, path: Path): void => {
    visit({ spec, value: at, path, around });
    const settled = settledSpec(spec, at);
    if (!settled || at === null) return;
    if (settled.type === 'object' && isRecord(at)) {
      around.push({ spec: settled, value: at });
      for (const [key, field] of Object.entries(settled.fields)) {
        if (Object.hasOwn(at, key)) walk(field, at[key], [...path, key]);
      }
      around.pop();
    } else if (settled.type === 'record' && isRecord(at)) {
      for (const [key, entry] of Object.entries(at)) walk(settled.of, entry, [...path, key]);
    } else if (settled.type === 'list' && Array.isArray(at)) {
      at.forEach((entry, i) => walk(settled.of, entry, [...path, String(i)]));
    }
  };
  walk(root, value, from);
}

/** Whether a spec is that of a reference to the catalogue. */
export const isItemRef = (spec: Spec): spec is ObjectSpec & { readonly category: string } =>
  spec.type === 'object' && 'category' in spec;
