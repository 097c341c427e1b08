import { type ErrorReply, writeItemsSheet } from '@brookrain/contract';
import { newestOf, sampleCatalogue } from '@brookrain/core';
import { describe, expect, test } from 'vitest';
import { RefusedRequest } from '../errors.ts';
import { itemsOfJson, itemsOfSheet } from './readItems.ts';

const pumps = newestOf(sampleCatalogue, 'pump');

/** What a file is refused for. */
function issuesOf(read: () => unknown): readonly { path: string; message: string }[] {
  try {
    read();
  } catch (error) {
    if (error instanceof RefusedRequest) {
      expect(error.status).toBe(400);
      return (error.reply as ErrorReply).issues ?? [];
    }
    throw error;
  }
  return [];
}

describe('items from a JSON file', () => {
  test('are a list, or a list under "items"', () => {
    expect(itemsOfJson(JSON.stringify(pumps))).toEqual(pumps);
    expect(itemsOfJson(JSON.stringify({ items: pumps }))).toEqual(pumps);
  });

  test.each([
    ['{"items": 3}', 'must be a list of items'],
    ['null', 'must be a list of items'],
    ['[]', 'there are no items here'],
    [JSON.stringify(Array.from({ length: 2001 }, () => ({}))), 'at most 2 000 items'],
  ])('%.20s is refused', (text, message) => {
    expect(issuesOf(() => itemsOfJson(text))).toEqual([{ path: 'items', message }]);
  });

  test('are refused whole, with the place of each mistake and at most 200 of them', () => {
    const [first, ...others] = pumps;
    const wrong = [first, { ...others[0], mass: -1 }];
    expect(issuesOf(() => itemsOfJson(JSON.stringify(wrong)))[0]?.path).toBe('items.1.mass');
    const many = Array.from({ length: 300 }, () => ({ ...first, mass: -1 }));
    expect(issuesOf(() => itemsOfJson(JSON.stringify(many)))).toHaveLength(200);
  });

  test('that are no JSON are refused', () => {
    expect(issuesOf(() => itemsOfJson('{'))).not.toEqual([]);
  });
});

describe('items from a table', () => {
  test('are those that were written', () => {
    const text = writeItemsSheet('pump', pumps);
    expect(itemsOfSheet('pump', text).map(({ id }) => id)).toEqual(pumps.map(({ id }) => id));
  });

  test('are refused with row and column, counted from 1', () => {
    const [header = '', ...rows] = writeItemsSheet('pump', pumps).split(/\r?\n/);
    const at = header.split(/[;,]/).findIndex((name) => name.includes('mass'));
    const separator = header.includes(';') ? ';' : ',';
    const cells = (rows[0] ?? '').split(separator);
    cells[at] = 'heavy';
    const text = [header, cells.join(separator), ...rows.slice(1)].join('\n');
    const [issue] = issuesOf(() => itemsOfSheet('pump', text));
    expect(issue?.path).toMatch(/^row \d+, column \d+$/);
    expect(issue?.path).toContain(`column ${at + 1}`);
  });
});
