import 'reflect-metadata';
import {
  type Spec,
  anything,
  choice,
  choiceOrLeftOut,
  choiceOrNone,
  constant,
  documentSpec,
  figure,
  figures,
  grid,
  idOf,
  itemSpec,
  kinds,
  lantern,
  list,
  measuredValue,
  moment,
  nullable,
  object,
  orderField,
  pathField,
  quantityField,
  record,
  rule,
  sampleCatalogue,
  startSpec,
  text,
  whole,
  yesNo,
} from '@brookrain/core';
import { describe, expect, test } from 'vitest';
import { StartMessage, messageIssues } from '../index.ts';
import { schemaOf } from './schemaOf.ts';
import { specIssues } from './specIssues.ts';

const length = quantityField('length', 'm', { min: 0, max: 2, message: 'from 0 to 2 m' });
const metres = (value: number) => ({ value, unit: 'm' });
const point = object({ flow: figure('volumeFlow', 'L/h', [0, 1], 'Flow') });

/** A declaration, values that hold and values that do not. */
const fields: readonly (readonly [string, Spec, readonly unknown[], readonly unknown[]])[] = [
  ['quantity', length, [metres(0), metres(2)], [metres(3), metres(NaN), null, 1, { value: 1 }]],
  ['figure', figure('length', 'mm', [1e-3, 0.1], 'Bore'), [0.01], [0, 1, NaN, '0.01', null]],
  ['figures', figures([0, 10]), [[1, 2, 3], [5]], [[], [2, 1], [1, 1], [1, 11], 'x', [1, null]]],
  ['whole number', whole({ min: 1, max: 4 }), [1, 4], [0, 5, 1.5, '2', null]],
  ['order', orderField, [0, -3.5, 1000], [NaN, '1', null, 1e12]],
  ['measured', measuredValue(), [null, 0, -1.5], [undefined, 'x', Infinity]],
  ['text', text({ min: 1, max: 3 }), ['a', 'abc'], ['', 'abcd', 7, null]],
  ['moment', moment(), ['2026-11-23T10:00:00.000Z'], ['yesterday', '2026-11-23', 5, null]],
  ['yes or no', yesNo(), [true, false], ['yes', 1, null]],
  ['choice', choice(['a', 'b']), ['a'], ['c', null, undefined, 1]],
  ['choice or nothing', choiceOrNone(['a']), ['a', null], ['b', undefined]],
  ['constant', constant(4), [4], [3, '4', null]],
  ['id', idOf('places', 'place'), ['pump', 'a-b'], ['', '__proto__', 'x'.repeat(41), 3, null]],
  [
    'path',
    pathField(),
    [['a'], ['a', 'b']],
    [[], 'a.b', [1], Array.from({ length: 17 }, () => 'a')],
  ],
  ['anything', anything(), [null, 0, {}, []], [undefined]],
  ['object or nothing', nullable(object({ a: yesNo() })), [null, { a: true }], [[], 'x', { a: 1 }]],
  [
    'record',
    record(yesNo(), { min: 1, max: 2, key: 3 }),
    [{ a: true }, { a: true, b: false }],
    [{}, { a: 1 }, { long1: true }, { a: true, b: true, c: true }, [], null],
  ],
  [
    'rising list',
    list(point, { min: 1, max: 3, rising: 'flow' }),
    [[{ flow: 0 }, { flow: 1 }]],
    [[], [{ flow: 1 }, { flow: 0 }], [{ flow: 0 }, { flow: 0 }], {}, [{ flow: 0, more: 1 }]],
  ],
  [
    'kinds',
    kinds('kind', {
      a: object({ kind: constant('a') }),
      b: object({ kind: constant('b'), n: yesNo() }),
    }),
    [{ kind: 'a' }, { kind: 'b', n: true }],
    [{ kind: 'c' }, { kind: 'b' }, { kind: 'a', n: true }, {}, null, 'a'],
  ],
];

describe.each(fields)('a field of kind %s', (_kind, spec, sound, wrong) => {
  test.each(sound.map((value) => [value]))('takes %j', (value) => {
    expect(specIssues(spec, value, 'at')).toEqual([]);
  });
  test.each(wrong.map((value) => [value]))('refuses %j with its place and a reason', (value) => {
    const [issue] = specIssues(spec, value, 'at');
    expect(issue!.path.startsWith('at')).toBe(true);
    expect(issue!.message.length).toBeGreaterThan(5);
  });
});

describe('an object', () => {
  const spec = object(
    {
      least: whole({ min: 0, max: 9 }),
      most: whole({ min: 0, max: 9 }),
      also: choiceOrLeftOut(['x']),
    },
    {
      rules: [
        rule<{ least: number; most: number }>(
          'most',
          'not below the least',
          (o) => o.most >= o.least,
        ),
      ],
    },
  );

  test('may lack only what may be left out', () => {
    expect(specIssues(spec, { least: 1, most: 2 })).toEqual([]);
    expect(specIssues(spec, { least: 1, most: 2, also: 'x' })).toEqual([]);
    expect(specIssues(spec, { least: 1 }).map((i) => i.path)).toEqual(['most']);
  });

  test('takes no unknown field', () => {
    expect(specIssues(spec, { least: 1, most: 2, more: 3 })).toEqual([
      { path: 'more', message: 'there is no field "more" here' },
    ]);
  });

  test('keeps its rules, told at their field, once each field is sound', () => {
    expect(specIssues(spec, { least: 3, most: 2 })).toEqual([
      { path: 'most', message: 'not below the least' },
    ]);
    expect(specIssues(spec, { least: 'x', most: 2 }).map((i) => i.path)).toEqual(['least']);
  });

  test('a table of numbers is judged by the axes beside it', () => {
    const table = object({
      rows: figures([0, 9]),
      columns: figures([0, 9]),
      at: grid('rows', 'columns', 5),
    });
    const axes = { rows: [1, 2], columns: [1, 2, 3] };
    const row = [1, 2, 3];
    expect(specIssues(table, { ...axes, at: [row, row] })).toEqual([]);
    for (const at of [[row], [row, [1, 2]], [row, [1, 2, 9]], [row, [1, 2, NaN]], 'x']) {
      expect(specIssues(table, { ...axes, at }).map((i) => i.path)).toEqual(['at']);
    }
  });
});

describe('schemas', () => {
  interface Schema {
    readonly type?: string;
    readonly properties?: Readonly<Record<string, Schema>>;
    readonly required?: readonly string[];
    readonly anyOf?: readonly Schema[];
    readonly additionalProperties?: boolean | Schema;
    readonly $ref?: string;
  }

  test('name every field of a document, and demand those that are there', () => {
    const schema = schemaOf(documentSpec) as Schema;
    expect(Object.keys(schema.properties!).sort()).toEqual(Object.keys(lantern).sort());
    expect([...schema.required!].sort()).toEqual(Object.keys(lantern).sort());
    const { brief } = schema.properties!;
    expect(Object.keys(brief!.properties!).sort()).toEqual(Object.keys(lantern.brief).sort());
  });

  test('name every field of every shipped item', () => {
    const schema = schemaOf(itemSpec) as Schema;
    const kindsOf = new Map(
      schema.anyOf!.map((kind) => [
        (kind.properties!['category'] as { enum?: string[] }).enum![0],
        kind,
      ]),
    );
    for (const item of sampleCatalogue.items) {
      const { properties, required } = kindsOf.get(item.category)!;
      for (const key of Object.keys(item)) expect(properties, item.id).toHaveProperty(key);
      for (const key of required!) expect(item, item.id).toHaveProperty(key);
    }
  });

  test('refer to declarations that have a name', () => {
    const names = new Map<Spec, string>([[point, 'Point']]);
    const schema = schemaOf(object({ points: list(point, { max: 3 }) }), names) as Schema;
    expect(JSON.stringify(schema)).toContain('"$ref":"#/definitions/Point"');
  });
});

describe('the answers of a guided start', () => {
  const q = (value: number, unit: string) => ({ value, unit });
  const answers = {
    name: 'Own',
    vehicle: '',
    engine: '',
    use: 'road',
    displacement: q(2e-3, 'L'),
    cylinders: 4,
    aspiration: 'turbo',
    boost: q(7e4, 'bar'),
    power: q(150e3, 'kW'),
    powerSpeed: q(95, 'rpm'),
    limiterSpeed: q(105, 'rpm'),
    fuelKind: 'petrol-ethanol',
    ethanol: q(0.1, '%'),
    pumpMounting: 'external',
    runLength: q(3.5, 'm'),
  };

  test('hold, each of them a declared field', () => {
    expect(messageIssues(StartMessage, answers)).toEqual([]);
    expect(Object.keys(answers).sort()).toEqual(Object.keys(startSpec.fields).sort());
  });

  test.each(Object.keys(answers))('without %s are refused there', (key) => {
    const { [key]: _, ...rest } = answers as Record<string, unknown>;
    expect(messageIssues(StartMessage, rest).map((i) => i.path)).toEqual([key]);
  });

  test('a limiter below the power speed is refused in the words of the field', () => {
    expect(messageIssues(StartMessage, { ...answers, limiterSpeed: q(90, 'rpm') })).toEqual([
      { path: 'limiterSpeed', message: 'the limiter must not be below the power speed' },
    ]);
  });
});
