import {
  type CatalogueItem,
  type Reading,
  allItemFields,
  itemTableOf,
  sampleCatalogue,
  tableFields,
  tableRowsOf,
} from '@brookrain/core';
import { readDataTable } from '@brookrain/contract';
import { describe, expect, test } from 'vitest';
import { EMPTY, readField, textValue, typedField } from './fieldText.ts';
import { headlinesOf } from './headlines.ts';
import { tableText } from './tableText.ts';

const metric: Reading = { system: 'metric', numbers: 'space-point' };
const comma: Reading = { system: 'us', numbers: 'point-comma' };
const oneOfEach = [...new Map(sampleCatalogue.items.map((item) => [item.category, item])).values()];
const value = (item: CatalogueItem, key: string): unknown =>
  (item as unknown as Record<string, unknown>)[key];

describe('the form of an item', () => {
  test.each(oneOfEach.map((item) => [item.category, item] as const))(
    '%s: what it shows is read back as the same data, in any number format',
    (category, item) => {
      for (const reading of [metric, comma]) {
        for (const field of allItemFields(category)) {
          const read = textValue(field, typedField(item, field, reading), reading.numbers);
          expect(read.ok, field.key).toBe(true);
          const known = value(item, field.key);
          const back = read.ok ? read.value : undefined;
          if (typeof known === 'number') {
            expect(Math.abs((back as number) - known)).toBeLessThanOrEqual(1e-6 * Math.abs(known));
          } else expect(back).toBe(known);
        }
      }
    },
  );

  test.each(oneOfEach.filter((i) => itemTableOf(i.category)).map((i) => [i.category, i] as const))(
    '%s: its table as text is read back as the same table',
    (category, item) => {
      const read = readDataTable(category, tableText(category, tableRowsOf(item)));
      expect(read.problems).toEqual([]);
      const fields = tableFields(category, read.rows)!;
      const again = tableRowsOf({ ...item, ...fields } as CatalogueItem);
      tableRowsOf(item).forEach((row, i) => {
        for (const [key, known] of Object.entries(row)) {
          expect(Math.abs(again[i]![key]! - known)).toBeLessThanOrEqual(1e-6 * Math.abs(known));
        }
      });
    },
  );

  test('empty, wrong and optional fields are told apart', () => {
    const [bore] = allItemFields('hose').filter((f) => f.key === 'bore');
    const [service] = allItemFields('hose').filter((f) => f.key === 'service');
    const [dash] = allItemFields('hose').filter((f) => f.key === 'dash');
    expect(textValue(bore!, '')).toEqual({ ok: false, message: EMPTY });
    expect(textValue(bore!, '8 V')).toMatchObject({ ok: false });
    expect(textValue(bore!, '1/4')).toMatchObject({ ok: false });
    expect(textValue(bore!, '0,25 in')).toMatchObject({ ok: true, value: 0.25 * 0.0254 });
    expect(textValue(dash!, '6.5')).toMatchObject({ ok: false });
    expect(textValue(service!, '')).toEqual({ ok: true, value: undefined });
  });

  test('reads in the units of the reader', () => {
    const pump = sampleCatalogue.items.find((i) => i.id === 'P255')!;
    const [rating] = allItemFields('pump').filter((f) => f.key === 'pressureRating');
    expect(readField(pump, rating!, metric)).toBe('1200 kPa');
    expect(readField(pump, rating!, comma)).toBe('174 psi');
  });

  test('headlines of a pump are those of its curve near 13.5 V', () => {
    const pump = sampleCatalogue.items.find((i) => i.id === 'P255')!;
    const [flow, head] = headlinesOf('pump');
    expect(flow!.measure(pump)!.value * 3.6e6).toBeCloseTo(255, 0);
    expect(head!.measure(pump)!.value).toBeCloseTo(680e3, -3);
    expect(flow!.measure(sampleCatalogue.items.find((i) => i.category === 'hose')!)).toBe(
      undefined,
    );
  });
});
