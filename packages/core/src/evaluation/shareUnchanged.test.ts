import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shareUnchanged } from './shareUnchanged.ts';

describe('sharing what is unchanged', () => {
  test('keeps the identity of equal parts and only of those', () => {
    const before = { brief: { boost: 1 }, circuits: [{ id: 'a' }, { id: 'b' }] };
    const after = shareUnchanged(before, {
      brief: { boost: 2 },
      circuits: [{ id: 'a' }, { id: 'c' }],
    });
    expect(after.circuits[0]).toBe(before.circuits[0]);
    expect(after.circuits[1]).not.toBe(before.circuits[1]);
    expect(after.brief).not.toBe(before.brief);
    expect(shareUnchanged(before, structuredClone(before))).toBe(before);
  });

  test('a removed field is a change', () => {
    const before: Record<string, number> = { a: 1, b: 2 };
    expect(shareUnchanged(before, { a: 1 })).toEqual({ a: 1 });
  });

  test('always equals what it was given', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (previous, next) => {
        expect(shareUnchanged(previous, next)).toEqual(next);
      }),
    );
  });
});
