import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { jsonTooMuch } from './jsonBounds.ts';
import { StartMessage } from './messages/buildMessages.ts';
import { messageIssues } from './messageIssues.ts';
import { parseSafeJson, structureIssue } from './safeJson.ts';
import { FORMULA, plainCell, quotedCell, readGrid, writeGrid } from './sheets/index.ts';

const keys = (count: number): object =>
  Object.fromEntries(Array.from({ length: count }, (_, i) => [`k${i}`, 1]));

describe('what is too much is refused before anything looks into it', () => {
  test('keys of an object, entries of a list, depth', () => {
    expect(structureIssue(keys(80_000))?.message).toContain('at most 3000 entries');
    expect(structureIssue({ deep: keys(3001) })).toMatchObject({ path: 'deep' });
    expect(structureIssue({ list: new Array(20_001).fill(1) })).toMatchObject({ path: 'list' });
    expect(structureIssue(keys(3000))).toBeUndefined();
    const nested = JSON.parse(`${'['.repeat(8000)}${']'.repeat(8000)}`) as unknown;
    expect(structureIssue(nested)?.message).toContain('nested deeper');
  });

  test('in messages as in files', () => {
    expect(messageIssues(StartMessage, keys(80_000))).toEqual([
      { path: '', message: 'at most 3000 entries in one place' },
    ]);
    expect(messageIssues(StartMessage, JSON.parse('{ "constructor": 1 }'))).toMatchObject([
      { path: 'constructor' },
    ]);
    expect(parseSafeJson(JSON.stringify(keys(40_000)))).toMatchObject({ ok: false });
  });

  test('in JSON before it is read: what is looked at as text, and as bytes, and as values', () => {
    const text = fc.oneof(
      fc.json({ maxDepth: 6 }),
      fc.jsonValue().map((value) => JSON.stringify({ value, words: '[{,}]"\\' })),
    );
    fc.assert(
      fc.property(text, (json) => {
        expect(jsonTooMuch(json)).toBeUndefined();
        expect(jsonTooMuch(Buffer.from(json))).toBeUndefined();
      }),
    );
    const list = (count: number) => JSON.stringify(new Array(count).fill('a,b'));
    const deep = (depth: number) => `${'['.repeat(depth)}${']'.repeat(depth)}`;
    for (const json of [keys(3000), keys(3001), keys(80_000)].map((each) => JSON.stringify(each))) {
      const refused = structureIssue(JSON.parse(json))?.message;
      expect(jsonTooMuch(json)).toBe(refused);
      expect(jsonTooMuch(Buffer.from(json))).toBe(refused);
    }
    for (const json of [list(20_000), list(20_001), deep(25), deep(26), deep(8000)]) {
      expect(jsonTooMuch(json), json.slice(0, 20)).toBe(structureIssue(JSON.parse(json))?.message);
    }
  });

  test.each([
    ['a header of brackets', '['.repeat(100_000)],
    ['spaces', `a${' '.repeat(80_000)}b`],
    ['a quote that is never closed', `a,b\n"${'x'.repeat(200_000)}`],
  ])('in tables: %s', (_what, text) => {
    const read = readGrid(text);
    expect(read.ok).toBe(false);
    expect(!read.ok && read.message).toContain('letters in a cell');
  });

  test('columns and rows', () => {
    expect(readGrid(','.repeat(121))).toMatchObject({ ok: false, message: 'at most 120 columns' });
    expect(readGrid('a\n'.repeat(10_002))).toMatchObject({
      ok: false,
      message: 'at most 5000 rows',
    });
    expect(readGrid(`${'a,'.repeat(119)}a\n`).ok).toBe(true);
  });
});

describe('cells that a spreadsheet would run', () => {
  const signs = [
    '=1+1',
    '+1',
    '-1',
    '@x',
    '\t=1',
    '\r=1',
    ' =1',
    '\n=1',
    '\u00a0=1',
    ' \u00a0\n@x',
    '\uff1d1+1',
    '\uff20x',
    ' \uff0b1',
    '\uff0d1',
    '\u200b=1',
    '\u200d\u2060=1',
    '\u202e=1',
    '\u0007=1',
    '\u00ad=1',
  ];
  test.each(signs)('%j is written as text, and reads back', (cell) => {
    expect(FORMULA.test(cell)).toBe(true);
    const written = writeGrid([[cell, 'x']]);
    expect(written.replace(/^"/, '').startsWith("'")).toBe(true);
    expect(plainCell(`'${cell}`)).toBe(cell);
    expect(plainCell(quotedCell(`'${cell}`))).toBe(`'${cell}`);
  });
  test.each(['a=1', '1-2', 'x', '', "'x", 'Ø 6.5'])('%j stays as it is', (cell) => {
    expect(FORMULA.test(cell)).toBe(false);
    expect(plainCell(cell)).toBe(cell);
  });
});
