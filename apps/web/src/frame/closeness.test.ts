import { describe, expect, test } from 'vitest';
import { closeness } from './closeness.ts';

describe('how near an entry is to what was typed', () => {
  test('every word has to stand in it, in any order', () => {
    expect(closeness('Undo: Change displacement Do', 'undo')).toBe(1);
    expect(closeness('Build file (JSON) This build', 'undo')).toBe(0);
    expect(closeness('Units: US Do', 'us units')).toBeGreaterThan(0);
    expect(closeness('Units: US Do', 'us metric')).toBe(0);
  });

  test('a beginning is nearer than a word, a word nearer than letters within one', () => {
    const beginning = closeness('Pump wiring', 'pump');
    const word = closeness('Fuel pump', 'pump');
    const within = closeness('Twinpump', 'pump');
    expect(beginning).toBeGreaterThan(word);
    expect(word).toBeGreaterThan(within);
    expect(within).toBeGreaterThan(0);
  });
});
