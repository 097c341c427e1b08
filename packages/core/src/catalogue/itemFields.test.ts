import { describe, expect, test } from 'vitest';
import { sampleCatalogue } from '../exchange/index.ts';
import { findUnit } from '../quantities/index.ts';
import { allItemFields, categories, itemTableOf } from './itemFields.ts';
import { tableFields, tableRowsOf } from './itemTableRows.ts';

describe('fields of catalogue items', () => {
  test.each(categories)('%s: every field of the shipped items is described, and none else', (c) => {
    const items = sampleCatalogue.items.filter((item) => item.category === c);
    expect(items.length).toBeGreaterThan(0);
    const tabled = [
      'curves',
      'deadTimes',
      'deadTimeVoltages',
      'deadTimePressures',
      'points',
      'band',
      // lists of things, each with fields of its own
      'pins',
    ];
    const described = new Set(allItemFields(c).map((f) => f.key));
    const used = new Set(items.flatMap((item) => Object.keys(item)));
    for (const key of ['id', 'revision', 'category', ...tabled]) used.delete(key);
    expect([...used].filter((key) => !described.has(key))).toEqual([]);
    for (const field of allItemFields(c)) {
      if (field.type === 'choice' && field.optional) continue;
      expect(used, field.key).toContain(field.key);
    }
  });

  test('every unit belongs to its kind, every key is there once', () => {
    for (const category of categories) {
      const fields = allItemFields(category);
      expect(new Set(fields.map((f) => f.key)).size).toBe(fields.length);
      for (const field of fields) {
        if (field.type === 'figure') expect(findUnit(field.kind, field.unit)).toBeDefined();
      }
      for (const column of itemTableOf(category)?.columns ?? []) {
        expect(findUnit(column.kind, column.unit)).toBeDefined();
      }
    }
  });

  test.each(sampleCatalogue.items.filter((i) => itemTableOf(i.category)).map((i) => [i.id, i]))(
    'the table of %s as rows, in any order, is the table again',
    (_id, item) => {
      const rows = tableRowsOf(item);
      const again = tableFields(item.category, [...rows].reverse());
      expect(item).toMatchObject(again!);
    },
  );

  test('a dead-time table with a hole is none', () => {
    const item = sampleCatalogue.items.find((i) => i.category === 'injector')!;
    expect(tableFields('injector', tableRowsOf(item).slice(1))).toBeUndefined();
  });

  test('ids of the shipped catalogue are there once', () => {
    const ids = sampleCatalogue.items.map((i) => `${i.id}@${i.revision}`);
    expect(new Set(ids).size).toBe(ids.length);
  });

  test('fittings are narrower than the hose of their dash size', () => {
    const bore = (id: string): number => {
      const item = sampleCatalogue.items.find((i) => i.id === id)!;
      if (!('bore' in item)) throw new Error(id);
      return item.bore;
    };
    for (const dash of [4, 6, 8, 10, 12, 16]) {
      for (const angle of [0, 30, 45, 60, 90, 120, 150, 180]) {
        expect(bore(`E${dash}-${angle}`)).toBeLessThan(bore(`HBP-${dash}`));
      }
    }
  });
});
