import { describe, expect, test } from 'vitest';
import { sameValue } from './sameValue.ts';

describe('the same by value', () => {
  test.each([
    [{ a: [1, { b: 2 }] }, { a: [1, { b: 2 }] }, true],
    [{ a: 1 }, { a: 1, b: undefined }, false],
    [new Float64Array([1, 2]), new Float64Array([1, 2]), true],
    [new Float64Array([1, 2]), new Float64Array([1, 3]), false],
    [new Map([[1, { a: 2 }]]), new Map([[1, { a: 2 }]]), true],
    [new Map([[1, 2]]), new Map([[1, 3]]), false],
    [new Map([[1, 2]]), new Map([[2, 2]]), false],
    [new Map([[1, 2]]), { 1: 2 }, false],
    [{ 1: 2 }, new Map([[1, 2]]), false],
    [[1], { 0: 1 }, false],
    [0, -0, false],
    [NaN, NaN, true],
    [null, undefined, false],
  ])('%j and %j: %s', (a, b, same) => {
    expect(sameValue(a, b)).toBe(same);
  });
});
