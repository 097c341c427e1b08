import type { BareFinding } from '@brookrain/core';
import { describe, expect, test } from 'vitest';
import { worstBy } from './worstBy.ts';

const finding = (wire: string, severity: BareFinding['severity'], more = {}): BareFinding => ({
  id: `${wire}-${severity}`,
  rule: 'wire.size',
  severity,
  where: { stage: 'wires', wire },
  title: '',
  because: '',
  numbers: {},
  ...more,
});
const wireOf = (where: BareFinding['where']) => ('wire' in where ? where.wire : undefined);
const accepted = {
  accepted: { reason: 'short run', author: 'A. Person', time: '', measured: null },
};

describe('the worst of each thing', () => {
  test('is what a thing is told with, not the mildest that comes after', () => {
    const found = [
      finding('a', 'stop'),
      finding('b', 'warn'),
      finding('a', 'warn'),
      finding('a', 'note'),
    ];
    expect([...worstBy(found, wireOf)]).toEqual([
      ['a', 'stop'],
      ['b', 'warn'],
    ]);
  });

  test('leaves out what was accepted, and goes on to what was not', () => {
    const found = [
      finding('a', 'warn', accepted),
      finding('a', 'note'),
      finding('b', 'warn', accepted),
    ];
    expect([...worstBy(found, wireOf)]).toEqual([['a', 'note']]);
  });

  test('leaves out what is about no such thing', () => {
    const pump: BareFinding = {
      ...finding('a', 'stop'),
      where: { stage: 'pump', circuit: 'main' } as BareFinding['where'],
    };
    expect(worstBy([pump], wireOf).size).toBe(0);
  });
});
