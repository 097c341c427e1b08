import { expect, test } from 'vitest';
import { lowerFirst } from './lowerFirst.ts';

test.each([
  ['Fuel pump', 'fuel pump'],
  ['Alternator, 90 A, lamp and sense', 'alternator, 90 A, lamp and sense'],
  ['E85 pump', 'E85 pump'],
  ['ECU', 'ECU'],
  ['Öl', 'öl'],
  ['already small', 'already small'],
  ['', ''],
])('%s within a sentence reads %s', (words, within) => {
  expect(lowerFirst(words)).toBe(within);
});
