import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { BadInput } from './errors.ts';
import { type UnitKind, unitKinds } from './unitKinds.ts';
import { displayUnits } from './displayUnits.ts';
import { echoQuantity, formatFigure, formatQuantity } from './formatQuantity.ts';
import { findUnit, fromSI, quantity, toSI } from './convert.ts';
import type { NumberFormat } from './displayUnits.ts';
import { parseNumber } from './parseNumber.ts';
import { parseQuantity } from './parseQuantity.ts';

const kinds = Object.keys(unitKinds) as UnitKind[];

describe('numbers as people type them', () => {
  test.each([
    ['2.4', 2.4],
    ['2,4', 2.4],
    ['0,85', 0.85],
    [' 5 400 ', 5400],
    ['5\u202f400', 5400],
    ['12’500', 12500],
    ['1.234,5', 1234.5],
    ['1,234.5', 1234.5],
    ['-3', -3],
    ['\u22123.5', -3.5],
    ['+7', 7],
    ['.5', 0.5],
    ['1e3', 1000],
    ['1,234,567', 1234567],
    ['1.234.567', 1234567],
  ])('%j is %d', (text, value) => {
    expect(parseNumber(text)).toBe(value);
  });

  test.each(['', 'about 2', '2 4', '1.2.3', '--3', 'NaN', 'Infinity', '0x10', '1e999', '5 40'])(
    '%j is refused',
    (text) => {
      expect(parseNumber(text)).toBeUndefined();
    },
  );
});

describe('numbers that can be read in two ways', () => {
  const power = (text: string, numbers?: NumberFormat) =>
    parseQuantity({ text, kind: 'power', defaultUnit: 'kW', ...(numbers ? { numbers } : {}) });

  test.each(['1,000 kW', '12,500 W', '1,000'])('%j is refused with both readings', (text) => {
    const parsed = power(text);
    if (parsed.ok) throw new Error('taken');
    expect(parsed.message).toMatch(/two ways: type 12?[05]+ k?W or 12?\.[05]00 k?W/);
  });

  test('the reader’s own number format settles it', () => {
    expect(power('1,250 kW', 'space-comma')).toMatchObject({ quantity: { value: 1250 } });
    expect(power('1.250 kW', 'space-comma')).toMatchObject({ quantity: { value: 1250 } });
    expect(power('1.250 kW', 'point-comma').ok).toBe(false);
    expect(power('1,250 kW', 'point-comma')).toMatchObject({ quantity: { value: 1250 } });
    expect(power('1,250 kW', 'comma-point').ok).toBe(false);
  });

  test.each([
    ['0,850 kW', 850],
    ['12,5 kW', 12_500],
    ['1,2345 kW', 1234.5],
    ['1 000 kW', 1e6],
    ['1,000.5 kW', 1000.5e3],
    ['1,000,000 W', 1e6],
  ])('%j is in no doubt', (text, value) => {
    const parsed = power(text);
    if (!parsed.ok) throw new Error(parsed.message);
    expect(parsed.quantity.value).toBeCloseTo(value, 6);
  });

  const share = (text: string, defaultUnit = '%') =>
    parseQuantity({ text, kind: 'ratio', defaultUnit });

  test.each([
    ['0.85', 0.85],
    ['0,85', 0.85],
    ['.1', 0.1],
    ['0', 0],
    ['85', 0.85],
    ['110', 1.1],
    ['0.85 %', 0.0085],
    ['1 %', 0.01],
    ['1.1 %', 0.011],
  ])('%j in a field of percent is the share %d, kept in percent', (text, value) => {
    const parsed = share(text);
    if (!parsed.ok) throw new Error(parsed.message);
    expect(parsed.quantity.value).toBeCloseTo(value, 12);
    expect(parsed.quantity.unit).toBe('%');
  });

  test.each([
    ['1', 'type 1 % or 100 %'],
    ['1.1', 'type 1.1 % or 110 %'],
    ['2', 'type 2 % or 200 %'],
  ])('a bare %j in a field of percent is asked again', (text, words) => {
    const parsed = share(text);
    if (parsed.ok) throw new Error('taken');
    expect(parsed.message).toContain(words);
  });

  test('a field of plain ratios takes bare numbers as they are', () => {
    for (const [text, value] of [
      ['0.8', 0.8],
      ['1', 1],
      ['1.15', 1.15],
    ] as const) {
      expect(share(text, '')).toMatchObject({ ok: true, quantity: { value, unit: '' } });
    }
    expect(share('eighty', '')).toMatchObject({ message: expect.stringContaining('0.85') });
    expect(share('eighty', '%')).toMatchObject({
      message: expect.stringContaining('85 % or 0.85'),
    });
  });
});

describe('quantities as people type them', () => {
  test.each([
    ['2.4 L', 'volume', 2.4e-3, 'L'],
    ['2,3 L', 'volume', 2.3e-3, 'L'],
    ['146 ci', 'volume', 146 * 0.0254 ** 3, 'ci'],
    ['2400cc', 'volume', 2.4e-3, 'cc'],
    ['0,85 bar', 'pressure', 85e3, 'bar'],
    ['12 psi', 'pressure', 12 * 6894.757293168361, 'psi'],
    ['300', 'pressure', 300e3, 'kPa'],
    ['168 kW', 'power', 168e3, 'kW'],
    ['225 hp', 'power', 225 * 745.6998715822702, 'hp'],
    ['100 PS', 'power', 73549.875, 'PS'],
    ['38 °C', 'temperature', 311.15, '°C'],
    ['100 F', 'temperature', (100 + 459.67) / 1.8, '°F'],
    ['-40 °F', 'temperature', 233.15, '°F'],
    ['5400 rpm', 'rotation', 90, 'rpm'],
    ['5 400 RPM', 'rotation', 90, 'rpm'],
    ['255 L/h', 'volumeFlow', 255e-3 / 3600, 'L/h'],
    ['650 cc/min', 'volumeFlow', 650e-6 / 60, 'cc/min'],
    ['10 %', 'ratio', 0.1, '%'],
    ['350 g/kWh', 'specificConsumption', 0.35 / 3.6e6, 'g/kWh'],
    ['3.2 m', 'length', 3.2, 'm'],
    ['11 in', 'length', 0.2794, 'in'],
  ] as const)('%s', (text, kind, value, unit) => {
    const parsed = parseQuantity({ text, kind, defaultUnit: 'kPa' });
    expect(parsed.ok).toBe(true);
    if (!parsed.ok) return;
    expect(parsed.quantity.value).toBeCloseTo(value, 9);
    expect(parsed.quantity.unit).toBe(unit);
  });

  test('a vague amount is refused with an example', () => {
    const parsed = parseQuantity({ text: 'about 2 litres', kind: 'volume', defaultUnit: 'L' });
    expect(parsed).toEqual({
      ok: false,
      message: 'Enter a number with a unit, for example 2.4 L or 146 ci.',
    });
  });

  test('a unit of another kind is refused with the units that are known', () => {
    const parsed = parseQuantity({ text: '2 bar', kind: 'volume', defaultUnit: 'L' });
    expect(parsed.ok).toBe(false);
    if (parsed.ok) return;
    expect(parsed.message).toContain('"bar" is not a unit used here');
    expect(parsed.message).toContain('ci');
  });

  test('what was typed is echoed in the unit typed', () => {
    const entries = [
      ['146 ci', 'volume'],
      ['2.4 L', 'volume'],
      ['12 psi', 'pressure'],
      ['0.85 bar', 'pressure'],
      ['225 hp', 'power'],
      ['6200 rpm', 'rotation'],
      ['37.8 °C', 'temperature'],
    ] as const;
    for (const [text, kind] of entries) {
      const parsed = parseQuantity({ text, kind, defaultUnit: '' });
      if (!parsed.ok) throw new Error(parsed.message);
      expect(echoQuantity(parsed.quantity, kind)).toBe(text);
    }
  });

  test('what is echoed reads back as the same quantity', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.nat(9),
        fc.double({ min: 0.01, max: 9e5, noNaN: true }),
        (kind, pick, number) => {
          const units = unitKinds[kind];
          const { symbol } = units[pick % units.length]!;
          const entered = quantity(Number(number.toPrecision(6)), kind, symbol);
          const parsed = parseQuantity({
            text: echoQuantity(entered, kind),
            kind,
            defaultUnit: symbol,
          });
          expect(parsed.ok).toBe(true);
          if (!parsed.ok) return;
          const size = Math.max(1e-12, Math.abs(entered.value));
          expect(Math.abs(parsed.quantity.value - entered.value) / size).toBeLessThan(2e-6);
          expect(parsed.quantity.unit).toBe(symbol);
        },
      ),
    );
  });
});

describe('units', () => {
  test('every unit of every kind goes to SI and back', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), (number) => {
        for (const kind of kinds) {
          for (const { symbol } of unitKinds[kind]) {
            const back = fromSI(toSI(number, kind, symbol), kind, symbol);
            expect(Math.abs(back - number)).toBeLessThan(
              1e-9 * Math.max(1, Math.abs(number)) + 1e-9,
            );
          }
        }
      }),
      { numRuns: 40 },
    );
  });

  test('the first unit of every kind is SI itself', () => {
    for (const kind of kinds) expect(toSI(1, kind, unitKinds[kind][0].symbol)).toBe(1);
  });

  test('every display unit exists', () => {
    for (const system of Object.values(displayUnits)) {
      for (const kind of kinds) expect(findUnit(kind, system[kind])).toBeDefined();
    }
  });

  test('an unknown unit is an error that says so', () => {
    expect(() => toSI(1, 'pressure', 'parsec')).toThrow(BadInput);
  });

  test('symbols and aliases are not shared within a kind', () => {
    for (const kind of kinds) {
      const names = unitKinds[kind].flatMap((u) => [u.symbol, ...(u.aliases ?? [])]);
      expect(new Set(names).size, kind).toBe(names.length);
    }
  });
});

describe('figures', () => {
  test.each([
    [0, 3, '0'],
    [386507.6, 4, '386\u202f508'],
    [16.9399, 3, '16.9'],
    [0.0120049, 3, '0.012'],
    [-56.02, 3, '−56'],
    [2.0, 4, '2'],
    [Infinity, 3, '–'],
    [5400, 3, '5400'],
  ])('%d with %d digits is %s', (value, digits, shown) => {
    expect(formatFigure(value, digits)).toBe(shown);
  });

  test('a quantity comes split into figure and unit', () => {
    expect(formatQuantity({ value: 316.15, kind: 'temperature', unit: '°C', digits: 3 })).toEqual({
      figure: '43',
      unit: '°C',
    });
  });

  test('decimals can be capped', () => {
    const shown = formatQuantity({
      value: 12.8,
      kind: 'pressure',
      unit: 'kPa',
      digits: 3,
      decimals: 2,
    });
    expect(shown.figure).toBe('0.01');
  });
});
