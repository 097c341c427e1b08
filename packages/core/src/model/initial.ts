import { isRecord } from '../numerics/index.ts';
import type { Spec } from './spec.ts';
import { settledSpec } from './specAt.ts';

/** What a field is at first, as its declaration says; undefined where somebody has to say it. */
export const initialOf = (spec: Spec): unknown => ('initial' in spec ? spec.initial : undefined);

/**
 * A value with every field that is missing and says itself what it is at first; the same object where
 * none is missing. `isWanted` leaves fields out.
 */
export function completed<Value>(
  spec: Spec,
  value: Value,
  isWanted: (field: Spec) => boolean = () => true,
): Value {
  const settled = settledSpec(spec, value);
  const fieldOf = (key: string): Spec | undefined =>
    settled?.type === 'object'
      ? settled.fields[key]
      : settled?.type === 'record'
        ? settled.of
        : undefined;
  if (!isRecord(value) || !settled) return value;
  const changed: Record<string, unknown> = {};
  if (settled.type === 'object') {
    for (const [key, field] of Object.entries(settled.fields)) {
      if (Object.hasOwn(value, key) || !isWanted(field)) continue;
      const initial = initialOf(field);
      if (initial !== undefined) changed[key] = initial;
    }
  }
  for (const [key, part] of Object.entries(value)) {
    const field = fieldOf(key);
    const next = field ? completed(field, part, isWanted) : part;
    if (next !== part) changed[key] = next;
  }
  return Object.keys(changed).length === 0 ? value : ({ ...value, ...changed } as Value);
}

/** The fields that stand directly in a declaration. */
function partsOf(spec: Spec): readonly Spec[] {
  switch (spec.type) {
    case 'object':
      return Object.values(spec.fields);
    case 'kinds':
      return Object.values(spec.kinds);
    case 'nullable':
    case 'record':
    case 'list':
      return [spec.of];
    default:
      return [];
  }
}

/** Every field of a declaration, itself among them. */
export function fieldsIn(spec: Spec): readonly Spec[] {
  const found = new Set<Spec>();
  const walk = (each: Spec): void => {
    if (found.has(each)) return;
    found.add(each);
    partsOf(each).forEach(walk);
  };
  walk(spec);
  return [...found];
}

/** The newest document version that a field of a declaration came with; 1 where none says. */
export const newestSince = (spec: Spec): number =>
  Math.max(1, ...fieldsIn(spec).map(({ since }) => since ?? 1));
