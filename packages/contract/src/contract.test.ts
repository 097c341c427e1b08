import 'reflect-metadata';
import {
  CURRENT_VERSION,
  lantern,
  quantityField,
  quantityOrNone,
  sampleCatalogue,
  toBuildFile,
  withValueAt,
} from '@brookrain/core';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
  commandIssues,
  documentIssues,
  itemIssues,
  parseSafeJson,
  quantityProblem,
  readBuildFile,
  structureIssue,
} from './index.ts';

const issues = (path: string, value: unknown) =>
  documentIssues(withValueAt(lantern, path, value), sampleCatalogue);
const q = (value: number, unit: string) => ({ value, unit });

describe('a document', () => {
  test('the demo is accepted', () => {
    expect(documentIssues(lantern, sampleCatalogue)).toEqual([]);
  });

  test.each([
    ['brief.displacement', q(-2.4e-3, 'L'), 'displacement must be above zero'],
    ['brief.displacement', q(0, 'L'), 'displacement must be above zero'],
    ['brief.powerSpeed', q(10, 'rpm'), 'the power speed must be above idle'],
    ['brief.limiterSpeed', q(60, 'rpm'), 'the limiter must not be below the power speed'],
    ['brief.lambdaFullLoad', q(0.4, ''), 'λ must be between 0.5 and 1.5'],
    ['brief.lambdaFullLoad', q(1.6, ''), 'λ must be between 0.5 and 1.5'],
    ['brief.volumetricEfficiencyCurve.p3.value', q(0.1, '%'), 'volumetric efficiency must be'],
    ['brief.volumetricEfficiencyCurve.p3.value', q(1.5, '%'), 'volumetric efficiency must be'],
    ['brief.boost', q(5.1e5, 'bar'), 'boost must be between 0 and 5 bar'],
    ['brief.boost', q(-1e4, 'bar'), 'boost must be between 0 and 5 bar'],
    ['fuels.pump-fuel.ethanol', q(1.2, '%'), 'ethanol must be between 0 and 100 %'],
    ['fuels.pump-fuel.ethanol', q(-0.1, '%'), 'ethanol must be between 0 and 100 %'],
    ['brief.ambientHot', q(220, '°C'), 'temperature must be from −40 to 120 °C'],
    ['brief.ambientHot', q(400, '°C'), 'temperature must be from −40 to 120 °C'],
    ['brief.fuelTemperatureHot', q(400, '°C'), 'temperature must be from −40 to 120 °C'],
    ['brief.cylinders', 0, 'whole number'],
    ['brief.cylinders', 4.5, 'whole number'],
    ['brief.power', q(0, 'kW'), 'power must be above zero'],
    ['injectorRows.primary.count', 2.5, 'whole number'],
    ['name', '', '1 to 80 letters'],
    ['limits.injectorDuty', q(0.99, '%'), 'duty limit must be from 50 to 95 %'],
    ['fuelCircuits.main.elements.feed.length.typed', q(0, 'm'), 'length must be above zero'],
    ['fuelCircuits.main.elements.pump.wear', q(0.9, '%'), 'wear must be'],
  ])('%s = %j is refused with what is accepted', (path, value, message) => {
    const found = issues(path, value);
    expect(found.map((i) => i.path)).toContain(path);
    expect(found.find((i) => i.path === path)!.message).toContain(message);
  });

  test('the message says what was given, in the unit typed', () => {
    expect(issues('brief.boost', q(6e5, 'psi'))[0]!.message).toContain('87.02264 psi was given');
  });

  test('no two points of a curve stand at one speed', () => {
    expect(issues('brief.boostCurve.p2.speed', lantern.brief.boostCurve['p3']!.speed)).toEqual([
      { path: 'brief.boostCurve', message: 'two points of the curve are at one speed' },
    ]);
  });

  test('a school that is picked needs a reason, the larger does not', () => {
    expect(issues('demand', { school: 'air', reason: '' })[0]).toEqual({
      path: 'demand.reason',
      message: 'say why this school is picked (at least 3 letters)',
    });
    expect(issues('demand', { school: 'air', reason: 'flow bench' })).toEqual([]);
    expect(issues('demand', { school: 'larger', reason: '' })).toEqual([]);
  });

  test.each([
    ['brief', { ...lantern.brief, turbo: true }, 'brief.turbo', 'there is no field "turbo" here'],
    ['brief.use', 'spaceship', 'brief.use', ''],
    ['brief.boost', 85000, 'brief.boost', 'must be a quantity'],
    ['brief.boost', q(NaN, 'bar'), 'brief.boost', 'finite number'],
    ['brief.boost', q(1e4, 'parsec'), 'brief.boost', 'must be in a unit of pressure'],
    ['brief.boost', { value: 1, unit: 'bar', extra: 1 }, 'brief.boost', 'must be a quantity'],
    ['fuels.pump-fuel.kind', 'plutonium', 'fuels.pump-fuel.kind', ''],
    [
      'fuelCircuits.main.elements.coarse.kind',
      'teleporter',
      'fuelCircuits.main.elements.coarse.kind',
      '',
    ],
    ['devices.pump.state', 'yes', 'devices.pump.state', ''],
    ['placements', 'everywhere', 'placements', 'must be an object'],
    [
      'fuelCircuits.main.elements.suction.item',
      null,
      'fuelCircuits.main.elements.suction.item',
      'must be an object',
    ],
  ])('%s of the wrong shape is refused at its place', (path, value, where, message) => {
    const found = issues(path, value);
    expect(found.some((i) => i.path.startsWith(where) && i.message.includes(message))).toBe(true);
  });

  test('a missing part is refused', () => {
    const { power: _power, ...without } = lantern;
    expect(documentIssues(without, sampleCatalogue).map((i) => i.path)).toContain('power');
    const { placementId: _place, ...pump } = lantern.devices['pump']!;
    expect(issues('devices.pump', pump).map((i) => i.path)).toContain('devices.pump.placementId');
  });

  test('another format or version is refused by name', () => {
    expect(documentIssues({ ...lantern, format: 'x' }, sampleCatalogue)[0]!.path).toBe('format');
    expect(
      documentIssues({ ...lantern, version: CURRENT_VERSION + 1 }, sampleCatalogue)[0]!.message,
    ).toContain(`version ${CURRENT_VERSION + 1} is not known`);
    for (const value of [null, 4, 'build', [], [lantern]]) {
      expect(documentIssues(value, sampleCatalogue).length).toBeGreaterThan(0);
    }
  });

  test('a reference to nothing is refused after the shape is right', () => {
    const found = issues('injectorRows.primary.item', { id: 'I9999', revision: 1 });
    expect(found).toEqual([
      { path: 'injectorRows.primary.item', message: 'no injector "I9999@1" in the catalogue' },
    ]);
  });

  test('whatever replaces any part, checking it never throws', () => {
    const paths = [
      'brief',
      'brief.boost',
      'fuels',
      'fuels.pump-fuel',
      'fuelCircuits.main.elements.suction',
      'power',
      'limits',
      'options',
      'placements.pump.x',
      'demand',
    ];
    fc.assert(
      fc.property(fc.constantFrom(...paths), fc.jsonValue({ maxDepth: 4 }), (path, value) => {
        expect(Array.isArray(issues(path, value))).toBe(true);
      }),
      { numRuns: 150 },
    );
  });
});

describe('quantities', () => {
  test('optional ones may be null, others not', () => {
    const range = { min: 0, max: 1, message: 'x' };
    expect(quantityProblem(quantityOrNone('ratio', '%', range), null)).toBeUndefined();
    expect(quantityProblem(quantityField('ratio', '%', range), null)).toContain(
      'must be a quantity',
    );
  });
  test('limits are inclusive unless said otherwise', () => {
    const length = quantityField('length', 'm', { min: 0, max: 2, message: 'x' });
    expect(quantityProblem(length, q(0, 'm'))).toBeUndefined();
    expect(quantityProblem({ ...length, above: true }, q(0, 'm'))).toContain('x');
    expect(quantityProblem(length, q(2, 'm'))).toBeUndefined();
    expect(quantityProblem(length, q(2.01, 'm'))).toContain('x');
  });
});

describe('commands', () => {
  test.each([
    [{ name: 'set', path: ['brief', 'boost'], value: q(1, 'bar') }],
    [{ name: 'set', path: ['brief', 'chargeTemperature'], value: null }],
    [{ name: 'choose-fuse', deviceId: 'pump-fuse', item: null }],
    [{ name: 'decide', optionId: 'a', alternativeId: 'b', assemblies: {} }],
    [{ name: 'replace-document', document: lantern }],
  ])('%j is well formed', (command) => {
    expect(commandIssues(command)).toEqual([]);
  });

  test.each([
    [null, 'command.name'],
    [{}, 'command.name'],
    [{ name: 'explode' }, 'command.name'],
    [{ name: 'toString' }, 'command.name'],
    [{ name: 'set' }, 'command.path'],
    [{ name: 'set', path: ['a'], value: 1, more: 2 }, 'command.more'],
    [{ name: 'choose-injector', rowId: 'primary' }, 'command.item'],
    [
      { name: 'choose-injector', rowId: 'primary', item: { id: 'x', revision: 0 } },
      'command.item.revision',
    ],
    [{ name: 'set-several', label: 'x', changes: [] }, 'command.changes'],
  ])('%j is refused', (command, where) => {
    expect(commandIssues(command).map((i) => i.path)).toContain(where);
  });

  test('a hostile value inside is refused', () => {
    const command: unknown = JSON.parse(
      '{"name":"set","path":["brief"],"value":{"__proto__":{"a":1}}}',
    );
    expect(commandIssues(command)[0]!.message).toContain('"__proto__" is not allowed');
  });
});

describe('JSON from outside', () => {
  test('broken text is refused with the reason', () => {
    const parsed = parseSafeJson('{"a": ');
    expect(parsed).toMatchObject({ ok: false });
    if (!parsed.ok) expect(parsed.issues[0]!.message).toContain('not valid JSON');
  });
  test('more than 10 MB is refused before it is read', () => {
    const parsed = parseSafeJson(' '.repeat(10 * 1024 * 1024 + 1));
    expect(parsed).toEqual({
      ok: false,
      issues: [{ path: '', message: 'the file is larger than 10 MB' }],
    });
  });
  test('deep nesting is refused with its place', () => {
    const issue = structureIssue(JSON.parse('['.repeat(200) + ']'.repeat(200)));
    expect(issue!.message).toContain('nested deeper than 24 levels');
    expect(issue!.path.startsWith('0.0.0')).toBe(true);
  });
  test('prototype keys are refused wherever they stand', () => {
    for (const key of ['__proto__', 'constructor', 'prototype']) {
      const issue = structureIssue(JSON.parse(`{"a":[{"${key}":1}]}`));
      expect(issue!.path).toBe(`a.0.${key}`);
    }
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  });
  test('anything ordinary is let through as it is', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 5 }), (value) => {
        const text = JSON.stringify(value);
        fc.pre(!/__proto__|constructor|prototype/.test(text));
        const parsed = parseSafeJson(text);
        expect(parsed).toEqual({ ok: true, value: JSON.parse(text) });
      }),
    );
  });
});

describe('build files', () => {
  const file = toBuildFile(lantern, sampleCatalogue);
  const read = (change: (f: Record<string, unknown>) => unknown) =>
    readBuildFile(JSON.stringify(change(structuredClone(file) as never)), sampleCatalogue);

  test('the demo comes back whole', () => {
    const result = read((f) => f);
    expect(result).toMatchObject({ ok: true, document: lantern });
  });

  test('is read without any catalogue but its own', () => {
    expect(readBuildFile(JSON.stringify(file), { items: [] }).ok).toBe(true);
  });

  test.each<[string, (f: Record<string, unknown>) => unknown, string]>([
    ['a list', (f) => [f], ''],
    ['a catalogue that is no list', (f) => ({ ...f, catalogue: 'x' }), 'catalogue'],
    [
      'an unknown category',
      (f) => ({ ...f, catalogue: [{ category: 'wand', id: 'x' }] }),
      'catalogue.0.category',
    ],
    ['an unknown field at the top', (f) => ({ ...f, extra: 1 }), 'extra'],
    ['an older format', (f) => ({ ...f, version: 0 }), 'version'],
  ])('%s is refused', (_what, change, where) => {
    const result = read(change);
    expect(result.ok).toBe(false);
    if (!result.ok) expect(result.issues[0]!.path).toBe(where);
  });

  test('an item with impossible data is refused at its place', () => {
    const pump = file.catalogue.findIndex((i) => i.category === 'pump');
    const result = read(
      (f) => withValueAt(f, `catalogue.${pump}.curves.0.points.1.flow`, -1) as never,
    );
    expect(result.ok).toBe(false);
    if (result.ok) return;
    expect(result.issues.map((i) => i.path)).toContain(`catalogue.${pump}.curves.0.points.1.flow`);
  });
});

describe('catalogue items', () => {
  test('every shipped item is accepted', () => {
    for (const item of sampleCatalogue.items) expect(itemIssues(item, 'item'), item.id).toEqual([]);
  });
  test('a dead-time table must fit its axes, curves must rise', () => {
    const injector = sampleCatalogue.items.find((i) => i.category === 'injector')!;
    expect(itemIssues({ ...injector, deadTimes: [[1e-3]] }, 'item')[0]!.path).toBe(
      'item.deadTimes',
    );
    expect(
      itemIssues({ ...injector, deadTimeVoltages: [9, 8, 10, 12, 14, 16] }, 'item')[0]!.message,
    ).toContain('must rise');
    const pump = sampleCatalogue.items.find((i) => i.category === 'pump')!;
    const reversed = pump.category === 'pump' ? [...pump.curves[0]!.points].reverse() : [];
    expect(
      itemIssues(withValueAt(pump, 'curves.0.points', reversed), 'item')[0]!.message,
    ).toContain('must rise by flow');
  });
});
