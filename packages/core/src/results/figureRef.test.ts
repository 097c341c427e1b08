import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { NotFound } from '../quantities/index.ts';
import { figureNames, single } from './figureRef.ts';
import { defineFormula } from './formula.ts';
import { given } from './origin.ts';
import { derive } from './resultBook.ts';
import { resultIndex } from './resultIndex.ts';

const figure = figureNames({
  ...single('engine.power'),
  'pump.flow': 'pump{.circuit}.{pump}.flow',
  'rail.pressure': 'rail.{at}.pressure',
});

describe('the name of a figure', () => {
  test('is its pattern where it is a figure of nothing', () => {
    expect(figure('engine.power')).toEqual({ figure: 'engine.power', of: {}, key: 'engine.power' });
  });

  test('holds what it is a figure of; what is left out leaves no dot', () => {
    expect(figure('pump.flow', { pump: 'p1', circuit: 'second' }).key).toBe('pump.second.p1.flow');
    expect(figure('pump.flow', { pump: 'p1' }).key).toBe('pump.p1.flow');
    expect(figure('pump.flow', { pump: 'p1', circuit: undefined })).toEqual({
      figure: 'pump.flow',
      of: { pump: 'p1' },
      key: 'pump.p1.flow',
    });
  });

  test('keeps two things apart whenever they differ', () => {
    const id = fc.stringMatching(/^[a-z][a-z0-9-]{0,8}$/);
    fc.assert(
      fc.property(id, id, (a, b) => {
        const same =
          figure('rail.pressure', { at: a }).key === figure('rail.pressure', { at: b }).key;
        expect(same).toBe(a === b);
      }),
    );
  });

  test('takes an id as it is, whatever stands in it', () => {
    expect(figure('rail.pressure', { at: '$& {at}' }).key).toBe('rail.$& {at}.pressure');
  });

  test('is refused without what it must be of, by the compiler too', () => {
    // @ts-expect-error a pump's flow is the flow of a pump
    expect(() => figure('pump.flow')).toThrow('needs its pump');
    // @ts-expect-error a rail's pressure is not that of a pump
    expect(() => figure('rail.pressure', { pump: 'p1' })).toThrow('needs its at');
  });
});

describe('the figures of a build', () => {
  const power = derive({
    figure: figure('engine.power'),
    label: 'Power',
    formula: defineFormula({
      name: 'as it is',
      notation: 'P',
      kind: 'power',
      inputKinds: { power: 'power' },
      source: 'test',
      compute: (i) => i.power,
    }),
    inputs: { power: given(1e5, 'default') },
  });

  test('are found by reference', () => {
    const index = resultIndex([power]);
    expect(index.at(figure('engine.power'))).toBe(power);
    expect(index.find(figure('rail.pressure', { at: 'peak' }))).toBeUndefined();
    expect(index.all).toEqual([power]);
  });

  test('one that every build must have says which it is when it is missing', () => {
    const index = resultIndex([]);
    expect(() => index.at(figure('engine.power'))).toThrow(NotFound);
    expect(() => index.at(figure('engine.power'))).toThrow('engine.power');
  });
});
