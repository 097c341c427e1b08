import fc from 'fast-check';
import { expect, test } from 'vitest';
import { isLongerJson } from './isLongerJson.ts';

test('is what the length of the JSON says, for any plain value and any limit', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.integer({ min: -3, max: 3 }), (value, off) => {
      const { length } = JSON.stringify(value);
      expect(isLongerJson(value, length + off)).toBe(off < 0);
    }),
  );
});

test('signs that are written as more than one count as they are written', () => {
  const quotes = '"'.repeat(60);
  expect(isLongerJson(quotes, 121)).toBe(true);
  expect(isLongerJson(quotes, 122)).toBe(false);
});

test('does not look at what comes after the limit', () => {
  let looked = false;
  const value = {
    long: 'x'.repeat(1000),
    get after() {
      looked = true;
      return 1;
    },
  };
  expect(isLongerJson(value, 100)).toBe(true);
  expect(looked).toBe(false);
});
