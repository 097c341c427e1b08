import fc from 'fast-check';
import { expect, test } from 'vitest';
import { disposition } from './asAttachment.ts';

test.each([
  ['Lantern', 'attachment; filename="lantern-parts.csv"'],
  ['My van / 2', 'attachment; filename="my-van-2-parts.csv"'],
  ['"; rm', 'attachment; filename="rm-parts.csv"'],
  ['…', 'attachment; filename="build-parts.csv"'],
])('%s', (name, header) => {
  expect(disposition(name, '-parts.csv')).toBe(header);
});

test('letters of any script stay, beside a name in Latin letters', () => {
  expect(disposition('提灯', '.json')).toBe(
    `attachment; filename="TiDeng.json"; filename*=UTF-8''%E6%8F%90%E7%81%AF.json`,
  );
  expect(disposition('Škoda', '.json')).toContain(`filename*=UTF-8''%C5%A1koda.json`);
});

test('no name breaks out of the header', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), (name) => {
      const header = disposition(name, '.csv');
      expect(header).toMatch(/^attachment; filename="[\w.-]+"(; filename\*=UTF-8''[\w.%~!-]+)?$/);
    }),
    { numRuns: 500 },
  );
});
