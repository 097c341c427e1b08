import { describe, expect, test } from 'vitest';
import { figureNames, single } from './figureRef.ts';
import { given } from './origin.ts';
import { computeFormula, derive, fromResult } from './resultBook.ts';
import { defineFormula } from './formula.ts';
import { fillSentence, formatMeasure, shownKind } from './sentence.ts';

const product = defineFormula({
  name: 'product',
  notation: 'c = a · b',
  kind: 'power',
  inputKinds: { a: 'voltage', b: 'current' },
  source: 'test',
  compute: (i) => i.a * i.b,
});

const figure = figureNames(single('first', 'second'));

describe('results', () => {
  const first = derive({
    figure: figure('first'),
    label: 'First',
    formula: product,
    inputs: { a: given(12, 'document:limits'), b: given(3, 'default') },
  });

  test('carry value, kind and the working that gave it', () => {
    expect(first).toMatchObject({ key: 'first', value: 36, kind: 'power' });
    expect(first.working).toEqual({
      formula: 'product',
      notation: 'c = a · b',
      source: 'test',
      inputs: [
        { name: 'a', value: 12, kind: 'voltage', from: 'document:limits' },
        { name: 'b', value: 3, kind: 'current', from: 'default' },
      ],
    });
  });

  test('a result as an input is named by its key', () => {
    const second = derive({
      figure: figure('second'),
      label: 'Second',
      formula: product,
      inputs: { a: first, b: given(2, 'default') },
    });
    expect(second.value).toBe(72);
    expect(second.working.inputs[0]).toMatchObject({ value: 36, from: 'result:first' });
    expect(fromResult(first)).toEqual({ value: 36, from: 'result:first' });
  });

  test('a formula over lists gets lists', () => {
    const sum = defineFormula({
      name: 'sum',
      notation: 'Σ x',
      kind: 'count',
      inputKinds: { values: 'count' },
      source: 'test',
      compute: (i: { values: readonly number[] }) => i.values.reduce((a, b) => a + b, 0),
    });
    expect(computeFormula(sum, { values: [1, 2, 3] })).toBe(6);
  });
});

describe('measures as people read them', () => {
  test.each([
    [0.6558, 'ratio', '65.6 %', '65.6 %'],
    [386507, 'pressure', '387 kPa', '56.1 psi'],
    [12.3, 'pressure', '0.01 kPa', '0 psi'],
    [4.4, 'length', '4.4 m', '14.4 ft'],
    [0.42, 'length', '420 mm', '16.5 in'],
    [1e-5, 'length', '10 µm', '0.0004 in'],
    [0.0662, 'resistance', '66.2 mΩ', '66.2 mΩ'],
    [12, 'resistance', '12 Ω', '12 Ω'],
    [2.05e-3, 'time', '2.05 ms', '2.05 ms'],
    [90, 'rotation', '5400 rpm', '5400 rpm'],
    [316.15, 'temperature', '43 °C', '109 °F'],
    [6e-6, 'area', '6 mm²', '6 mm²'],
    [168e3, 'power', '168 kW', '225 hp'],
    [1.01e6, 'letThrough', '1010 kA²s', '1010 kA²s'],
  ] as const)('%d %s', (value, kind, metric, us) => {
    expect(formatMeasure({ value, kind }, 'metric')).toBe(metric);
    expect(formatMeasure({ value, kind }, 'us')).toBe(us);
  });

  test('sentences are filled, unknown names stay visible', () => {
    const text = fillSentence(
      'duty {duty} over {limit} at {nothing}',
      { duty: { value: 0.87, kind: 'ratio' }, limit: { value: 0.8, kind: 'ratio' } },
      'metric',
    );
    expect(text).toBe('duty 87 % over 80 % at {nothing}');
  });

  test('an air-fuel ratio is a number, a duty is a share', () => {
    expect(shownKind('fuel.stoichAirFuelRatio', 'ratio')).toBe('count');
    expect(shownKind('injector.turnDown', 'ratio')).toBe('count');
    expect(shownKind('injector.peak.duty', 'ratio')).toBe('ratio');
  });
});
