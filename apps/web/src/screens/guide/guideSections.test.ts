import { describe, expect, test } from 'vitest';
import guide from '../../../../../docs/guide.md?raw';
import { stageList } from '../../frame/stages.ts';
import { guideSections } from './guideSections.ts';

describe('the guide', () => {
  test('is split at its headings, with addresses that are there once', () => {
    expect(guideSections('# T\nx\n## One thing\na\n\nb\n## Two\nc')).toEqual([
      { id: 'one-thing', title: 'One thing', text: 'a\n\nb' },
      { id: 'two', title: 'Two', text: 'c' },
    ]);
    const ids = guideSections(guide).map((s) => s.id);
    expect(new Set(ids).size).toBe(ids.length);
  });

  test('has something on every stage and on what every page is for', () => {
    const titles = guideSections(guide).map((s) => s.title);
    for (const { name } of stageList) {
      expect(
        titles.some((title) => title.endsWith(name)),
        name,
      ).toBe(true);
    }
    for (const word of ['Catalogue', 'History', 'Compare', 'Findings', 'snapshot']) {
      expect(guide, word).toContain(word);
    }
  });
});
