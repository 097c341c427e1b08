import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { entryAt, firstOf, lastOf, valueUnder } from './entries.ts';

describe('an entry that is known to be there', () => {
  test('is given from lists of any kind', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ noNaN: true }), { minLength: 1 }), (values) => {
        expect(firstOf(values)).toBe(values[0]);
        expect(lastOf(values)).toBe(values.at(-1));
        expect(entryAt(Float64Array.from(values), values.length - 1)).toBe(values.at(-1));
      }),
    );
  });

  test.each([-1, 2, 0.5, Number.NaN])('at %s of two it is an error, not a NaN', (index) => {
    expect(() => entryAt([1, 2], index)).toThrow(RangeError);
  });

  test('of nothing there is no first and no last', () => {
    expect(() => firstOf([])).toThrow(RangeError);
    expect(() => lastOf([])).toThrow(RangeError);
  });

  test('null and zero are entries too', () => {
    expect(entryAt([null], 0)).toBeNull();
    expect(entryAt([0], 0)).toBe(0);
    expect(valueUnder({ a: 0 }, 'a')).toBe(0);
  });

  test('of a record is named when it is missing', () => {
    expect(() => valueUnder<number>({ a: 1 }, 'b')).toThrow('"b"');
  });
});
