import { lantern, sampleCatalogue, withValueAt } from '@brookrain/core';
import { describe, expect, test } from 'vitest';
import {
  CopyMessage,
  PairMessage,
  RecordMessage,
  documentIssues,
  messageIssues,
} from '../index.ts';
import { HIDDEN_CHARACTERS, hasHiddenCharacters } from './hiddenCharacters.ts';

const hidden = ['\u0000', '\u001b[31m', '\u007f', '\u0085', '\u200f', '\u202e', '\u2066', '\u061c'];
const breaks = ['\n', '\r\n', '\t', '\u2028'];

describe('characters that nobody sees', () => {
  test.each(hidden)('%j is one, on one line and on several', (sign) => {
    expect(hasHiddenCharacters(`Lan${sign}tern`, false)).toBe(true);
    expect(hasHiddenCharacters(`Lan${sign}tern`, true)).toBe(true);
  });

  test.each(breaks)('%j is one in a name, and none in a text of several lines', (sign) => {
    expect(hasHiddenCharacters(`Lan${sign}tern`, false)).toBe(true);
    expect(hasHiddenCharacters(`Lan${sign}tern`, true)).toBe(false);
  });

  test.each(['Lantern', 'Δp über 3 bar', '東京', 'ابجد', 'Ø 6.5 ± 0.1', 'a b'])(
    '%j has none',
    (name) => {
      expect(hasHiddenCharacters(name, false)).toBe(false);
    },
  );
});

describe('names', () => {
  test.each([...hidden, ...breaks])('of a build do not hold %j', (sign) => {
    const named = (path: string, value: string) =>
      documentIssues(withValueAt(lantern, path, value), sampleCatalogue);
    expect(named('name', `Lan${sign}tern`)).toEqual([{ path: 'name', message: HIDDEN_CHARACTERS }]);
    expect(named('placements.ecu.name', `E${sign}CU`)[0]?.path).toBe('placements.ecu.name');
  });

  test('a description holds several lines, and no escape sequence', () => {
    const said = (description: string) =>
      documentIssues({ ...lantern, description }, sampleCatalogue);
    expect(said('First line\nsecond line')).toEqual([]);
    expect(said('First\u001b[2Jsecond')).toHaveLength(1);
  });

  test.each([...hidden, ...breaks])('of copies, devices and authors do not hold %j', (sign) => {
    const name = `Na${sign}me`;
    expect(messageIssues(CopyMessage, { name })).toHaveLength(1);
    expect(messageIssues(CopyMessage, { name: 'Copy', author: name })).toHaveLength(1);
    expect(messageIssues(PairMessage, { code: 'ABCD2345', name })).toHaveLength(1);
    expect(messageIssues(CopyMessage, { name: 'Name', author: 'Mika' })).toEqual([]);
  });
});

describe('a list in a message', () => {
  const entry = (n: number) => ({
    id: `entry-${String(n).padStart(8, '0')}`,
    kind: 'cut',
    subject: 'wire',
    said: {},
    revision: 1,
    time: '2026-01-01T00:00:00Z',
  });
  const sent = (count: number) =>
    messageIssues(RecordMessage, { entries: Array.from({ length: count }, (_, n) => entry(n)) });

  test('is taken up to its limit; beyond it is counted and not read', () => {
    expect(sent(100)).toEqual([]);
    expect(sent(101)).toEqual([{ path: 'entries', message: 'at most 100 at once' }]);
    const unread = Array.from({ length: 101 }, () => ({
      get id(): string {
        throw new Error('it was read');
      },
    }));
    expect(messageIssues(RecordMessage, { entries: unread })).toHaveLength(1);
  });

  test('is checked entry by entry, each with its place, unknown fields too', () => {
    const issues = messageIssues(RecordMessage, {
      entries: [entry(1), { ...entry(2), kind: 'stolen' }, { ...entry(3), more: 1 }, null],
    });
    expect(issues.map(({ path }) => path)).toEqual(
      expect.arrayContaining(['entries.1.kind', 'entries.2.more']),
    );
  });
});
