import { expect, test } from 'vitest';
import { jsonFault } from './jsonFault.ts';

const faultOf = (text: string): string => {
  try {
    JSON.parse(text);
  } catch (cause) {
    return jsonFault(cause);
  }
  throw new Error('it is JSON');
};

test.each([
  ['{"format": ', 'not valid JSON: it ends too soon'],
  ['["abc', 'not valid JSON: it ends too soon'],
  ['{"a": 1 "b": 2}', 'not valid JSON from sign 9 on'],
])('%s is told in plain words', (text, words) => {
  expect(faultOf(text)).toBe(words);
});

test('never repeats what was sent, nor the words of the reader', () => {
  for (const text of ['<script>', 'name=Lantern', '{a}', '[1,]', '']) {
    expect(faultOf(text)).toMatch(/^not valid JSON(: it ends too soon| from sign \d+ on)?$/);
  }
});

test('a cause that is no error is told all the same', () => {
  expect(jsonFault('broken')).toBe('not valid JSON');
});
