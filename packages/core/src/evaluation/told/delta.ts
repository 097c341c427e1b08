import { entryAt } from '../../numerics/index.ts';
import { sameValue } from '../../numerics/index.ts';

/** What changed from one value of plain data to the next, in few bytes. */
export type Delta =
  | { readonly type: 'same' }
  /** nothing but numbers changed: all of them, in the order of a walk */
  | { readonly type: 'numbers'; readonly values: Float64Array }
  /** few numbers changed, nothing else: where they stand in that order, and what they are now */
  | { readonly type: 'few'; readonly at: Uint32Array; readonly values: Float64Array }
  /** the keys it has now, and what changed of those it had */
  | {
      readonly type: 'parts';
      readonly list: boolean;
      /** left out where they are the same */
      readonly keys?: readonly string[];
      readonly changed: Readonly<Record<string, Delta>>;
    }
  | { readonly type: 'whole'; readonly value: unknown };

const SAME: Delta = { type: 'same' };

type Parts = Readonly<Record<string, unknown>>;
const isParts = (value: unknown): value is Parts => typeof value === 'object' && value !== null;

const sameKeys = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((key, i) => key === b[i]);

/** The numbers of a value in the order of a walk, and which of them are others than before. */
class Numbers {
  readonly all: number[] = [];
  readonly changed: number[] = [];

  add(before: unknown, after: number): void {
    if (!Object.is(before, after)) this.changed.push(this.all.length);
    this.all.push(after);
  }

  /** All of them, or the changed ones with their places, whichever is less. */
  toDelta(): Delta {
    const { all, changed } = this;
    if (12 * changed.length >= 8 * all.length) {
      return { type: 'numbers', values: Float64Array.from(all) };
    }
    const values = Float64Array.from(changed, (at) => entryAt(all, at));
    return { type: 'few', at: Uint32Array.from(changed), values };
  }
}

/** Collects the numbers of a value while it has the shape of another; false where it has not. */
function numbersLike(before: unknown, after: unknown, into: Numbers): boolean {
  if (typeof after === 'number') {
    into.add(before, after);
    return typeof before === 'number';
  }
  if (!isParts(before) || !isParts(after)) return Object.is(before, after);
  if (Array.isArray(before) !== Array.isArray(after)) return false;
  const keys = Object.keys(after);
  return (
    sameKeys(Object.keys(before), keys) &&
    keys.every((key) => numbersLike(before[key], after[key], into))
  );
}

/** A value with the shape of another and other numbers. */
function withNumbers(shape: unknown, next: (present: number) => number): unknown {
  if (typeof shape === 'number') return next(shape);
  if (Array.isArray(shape)) return shape.map((part) => withNumbers(part, next));
  if (!isParts(shape)) return shape;
  return Object.fromEntries(
    Object.entries(shape).map(([key, part]) => [key, withNumbers(part, next)]),
  );
}

/** What leads from one value of plain data to another. */
export function deltaOf(before: unknown, after: unknown): Delta {
  if (sameValue(before, after)) return SAME;
  if (!isParts(before) || !isParts(after)) return { type: 'whole', value: after };
  if (Array.isArray(before) !== Array.isArray(after)) return { type: 'whole', value: after };
  const numbers = new Numbers();
  if (numbersLike(before, after, numbers)) return numbers.toDelta();
  const keys = Object.keys(after);
  const changed: Record<string, Delta> = {};
  for (const key of keys) {
    const delta: Delta = Object.hasOwn(before, key)
      ? deltaOf(before[key], after[key])
      : { type: 'whole', value: after[key] };
    if (delta.type !== 'same') changed[key] = delta;
  }
  const list = Array.isArray(after);
  return sameKeys(Object.keys(before), keys)
    ? { type: 'parts', list, changed }
    : { type: 'parts', list, keys, changed };
}

/** The value that a delta leads to. Parts that did not change are the same objects. */
export function withDelta(before: unknown, delta: Delta): unknown {
  switch (delta.type) {
    case 'same':
      return before;
    case 'whole':
      return delta.value;
    case 'numbers': {
      let at = 0;
      return withNumbers(before, () => entryAt(delta.values, at++));
    }
    case 'few': {
      let at = 0;
      let known = 0;
      return withNumbers(before, (present) =>
        delta.at[known] === at++ ? entryAt(delta.values, known++) : present,
      );
    }
    case 'parts': {
      const parts = before as Parts;
      const entries = (delta.keys ?? Object.keys(parts)).map((key) => {
        const change = Object.hasOwn(delta.changed, key) ? delta.changed[key] : undefined;
        return [key, change ? withDelta(parts[key], change) : parts[key]] as const;
      });
      return delta.list ? entries.map(([, part]) => part) : Object.fromEntries(entries);
    }
  }
}
