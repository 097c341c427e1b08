import { describe, expect, test } from 'vitest';
import { glossary, wordId } from './glossary.ts';
import { splitWords } from './splitWords.ts';

const linked = (text: string): string[] =>
  splitWords(text).flatMap((piece) => (piece.entry ? [piece.entry.word] : []));

describe('words in a text', () => {
  test.each([
    ['duty 81 % is above the limit', ['duty']],
    ['Duty and dead time', ['duty', 'dead time']],
    ['Δp is low', ['Δp']],
    ['the limit ladder shows duty, then duty again', ['limit ladder', 'duty']],
    ['a dutyful buildup', []],
    ['power-ground-like', []],
    ['', []],
  ])('"%s" links %j', (text, words) => {
    expect(linked(text)).toEqual(words);
  });

  test('the pieces together are the text again', () => {
    for (const { meaning } of glossary) {
      expect(
        splitWords(meaning)
          .map((piece) => piece.text)
          .join(''),
      ).toBe(meaning);
    }
  });

  test('every word can be found by what it is called, and has an address of its own', () => {
    for (const { word, also } of glossary) {
      for (const text of [word, ...(also ?? [])]) expect(linked(text)).toEqual([word]);
    }
    expect(new Set(glossary.map(({ word }) => wordId(word))).size).toBe(glossary.length);
    expect(glossary.map(({ word }) => word.toLowerCase())).toEqual(
      glossary.map(({ word }) => word.toLowerCase()).sort(),
    );
  });
});
