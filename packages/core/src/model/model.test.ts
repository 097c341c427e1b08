import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { lantern, sampleCatalogue } from '../exchange/index.ts';
import { BadInput, NotFound } from '../quantities/index.ts';
import type { BuildCommand } from './command.ts';
import type { BuildDocument } from './document.ts';
import {
  applyCommand,
  cautionFacts,
  cautionsAt,
  describeCommand,
  referenceProblems,
} from '../evaluation/index.ts';
import { readBuild } from './build.ts';
import { diffDocuments } from './differences.ts';
import { hashOf, stableJson } from './stableJson.ts';
import { lookUp, newestOf } from '../catalogue/index.ts';
import { pathOf, pathText, valueAt, withValueAt } from './path.ts';

describe('paths', () => {
  test.each(['', 'a..b', '__proto__', 'a.__proto__.b', 'a.constructor', 'prototype.x', '.a'])(
    '%j is refused',
    (path) => {
      expect(() => pathOf(path)).toThrow(BadInput);
    },
  );

  test('a value is read and replaced without touching the rest', () => {
    const changed = withValueAt(lantern, 'brief.boost', { value: 1, unit: 'bar' });
    expect(valueAt(changed, 'brief.boost.value')).toBe(1);
    expect(lantern.brief.boost.value).toBe(85e3);
    expect(changed.fuelCircuits).toBe(lantern.fuelCircuits);
    expect(changed.brief.power).toBe(lantern.brief.power);
  });

  test('what is not there is undefined to read and refused to write', () => {
    expect(valueAt(lantern, 'brief.nothing.deeper')).toBeUndefined();
    expect(valueAt(lantern, 'brief.toString')).toBeUndefined();
    expect(() => withValueAt(lantern, 'brief.nothing', 1)).toThrow(BadInput);
    expect(() => withValueAt(lantern, 'fuels.7.ethanol', 1)).toThrow(BadInput);
  });

  test('nothing reaches the prototype', () => {
    expect(() => withValueAt(lantern, 'brief.__proto__', { polluted: true })).toThrow(BadInput);
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  });
});

describe('stable JSON', () => {
  test('does not depend on the order of keys', () => {
    fc.assert(
      fc.property(fc.dictionary(fc.string(), fc.jsonValue()), (record) => {
        const turned = Object.fromEntries(Object.entries(record).reverse());
        expect(stableJson(turned)).toBe(stableJson(record));
        expect(hashOf(turned)).toBe(hashOf(record));
      }),
    );
  });
  test('hash is SHA-256', () => {
    // SHA-256 of the two characters {}.
    expect(hashOf({})).toBe('44136fa355b3678a1146ad16f7e8649e94fb4fc21fe77e8310c060f61caaff8a');
  });
});

describe('difference of documents', () => {
  test('names the places with what stood there and stands there now', () => {
    const after = withValueAt(
      withValueAt(lantern, 'brief.boost', { value: 1e5, unit: 'bar' }),
      'fuels.pump-fuel.ethanol',
      { value: 0.85, unit: '%' },
    );
    expect(diffDocuments(lantern, after)).toEqual([
      {
        path: ['brief', 'boost'],
        before: lantern.brief.boost,
        after: { value: 1e5, unit: 'bar' },
      },
      {
        path: ['fuels', 'pump-fuel', 'ethanol'],
        before: { value: 0.1, unit: '%' },
        after: { value: 0.85, unit: '%' },
      },
    ]);
  });

  test('an entry that is only in one of them is told whole', () => {
    const after: BuildDocument = { ...lantern, options: {} };
    const option = lantern.options['tank-outlet'];
    expect(diffDocuments(lantern, after)).toEqual([
      { path: ['options', 'tank-outlet'], before: option, after: undefined },
    ]);
  });

  test('equal documents have none', () => {
    expect(diffDocuments(lantern, structuredClone(lantern))).toEqual([]);
  });
});

describe('commands', () => {
  test('an edit that changes nothing gives the same document back', () => {
    const same = applyCommand(lantern, { name: 'set', path: ['brief', 'cylinders'], value: 4 });
    expect(same.document).toBe(lantern);
    expect(same.patch).toEqual([]);
  });

  test.each<[string, BuildCommand]>([
    ['row', { name: 'choose-injector', rowId: 'x', item: { id: 'I650', revision: 1 } }],
    [
      'circuit',
      { name: 'choose-part', circuitId: 'x', elementId: 'feed', item: { id: 'a', revision: 1 } },
    ],
    [
      'element',
      { name: 'choose-part', circuitId: 'main', elementId: 'x', item: { id: 'a', revision: 1 } },
    ],
    ['fuse', { name: 'choose-fuse', deviceId: 'x', item: null }],
    ['pump', { name: 'wire-pump-coil', pumpId: 'x', side: 'low-side', cutOff: true }],
    ['decision', { name: 'decide', optionId: 'x', alternativeId: 'new', assemblies: {} }],
    [
      'alternative',
      { name: 'decide', optionId: 'tank-outlet', alternativeId: 'x', assemblies: {} },
    ],
  ])('an unknown %s is not found', (_what, command) => {
    expect(() => applyCommand(lantern, command)).toThrow(NotFound);
  });

  test('a wire is decided anew and changed in place', () => {
    const once = applyCommand(lantern, {
      name: 'choose-wire',
      wireId: 'a~b',
      wireName: 'The wire',
      size: { id: 'W1', revision: 1 },
    });
    const twice = applyCommand(once.document, {
      name: 'set-wire-length',
      wireId: 'a~b',
      wireName: 'The wire',
      length: { typed: { value: 2, unit: 'm' }, measured: null },
    });
    expect(twice.document.power.wireDecisions).toEqual({
      'a~b': {
        size: { id: 'W1', revision: 1 },
        length: { typed: { value: 2, unit: 'm' }, measured: null },
      },
    });
  });

  test('every command has plain words', () => {
    expect(describeCommand({ name: 'set', path: ['brief', 'boost'], value: 1 })).toBe(
      'Change boost',
    );
    const typed = pathOf('fuelCircuits.main.elements.coarse.length.typed');
    expect(describeCommand({ name: 'set', path: typed, value: 1 })).toBe('Change length');
    const fuse = pathOf('power.mainFuse');
    expect(describeCommand({ name: 'set', path: fuse, value: 1 })).toBe('Change main fuse');
    const place = { name: 'remove', path: ['placements', 'pump'] } as const;
    expect(describeCommand(place)).toBe('Remove placements');
    expect(describeCommand({ name: 'choose-fuse', deviceId: 'f', item: null })).toBe(
      'Size the fuse by the rules',
    );
    expect(
      describeCommand({ name: 'choose-wire', wireId: 'a~b', wireName: 'The wire', size: null }),
    ).toBe('The wire: size by the rules');
  });
});

describe('catalogue', () => {
  test('the newest revision is offered, an old one is still found', () => {
    const old = sampleCatalogue.items[0]!;
    const next = { ...old, revision: 2, price: 1 };
    const catalogue = { items: [...sampleCatalogue.items, next] };
    expect(newestOf(catalogue, 'pump').find((p) => p.id === old.id)).toBe(next);
    expect(lookUp(catalogue, 'pump', { id: old.id, revision: 1 }, 'here')).toBe(old);
  });

  test('a missing item or another category is not found, with the place', () => {
    expect(() => lookUp(sampleCatalogue, 'pump', { id: 'I650', revision: 1 }, 'here')).toThrow(
      NotFound,
    );
    expect(() => lookUp(sampleCatalogue, 'pump', { id: 'P255', revision: 9 }, 'here')).toThrow(
      /P255@9/,
    );
  });

  test('ids and revisions are unique, everything has what shopping needs', () => {
    const keys = sampleCatalogue.items.map((i) => `${i.id}@${i.revision}`);
    expect(new Set(keys).size).toBe(keys.length);
    for (const item of sampleCatalogue.items) {
      expect(item.designation.length, item.id).toBeGreaterThan(0);
      expect(item.interchange.length, item.id).toBeGreaterThan(0);
      expect(item.mass, item.id).toBeGreaterThan(0);
      expect(item.price, item.id).toBeGreaterThanOrEqual(0);
    }
  });
});

describe('references', () => {
  const problems = (path: string, value: unknown) =>
    referenceProblems(withValueAt(lantern, path, value), sampleCatalogue);

  test('the demo has none', () => {
    expect(referenceProblems(lantern, sampleCatalogue)).toEqual([]);
  });

  test.each([
    ['fuelCircuits.main.fuelId', 'nothing', 'fuelCircuits.main.fuelId'],
    [
      'fuelCircuits.main.nodes.tank-out.placementId',
      'moon',
      'fuelCircuits.main.nodes.tank-out.placementId',
    ],
    ['fuelCircuits.main.elements.suction.from', 'x', 'fuelCircuits.main.elements.suction.from'],
    ['power.negativeGroundId', 'nowhere', 'power.negativeGroundId'],
    ['grounds.engine-block.strapTo', 'nowhere', 'grounds.engine-block.strapTo'],
    ['fuelCircuits.main.elements.suction.to', 'outlet', 'fuelCircuits.main.elements.suction.to'],
    [
      'fuelCircuits.main.elements.suction.item',
      { id: 'P255', revision: 1 },
      'fuelCircuits.main.elements.suction.item',
    ],
    ['fuelCircuits.main.elements.tank.outlet', 'x', 'fuelCircuits.main.elements.tank.outlet'],
    [
      'fuelCircuits.main.elements.injectors.rowId',
      'x',
      'fuelCircuits.main.elements.injectors.rowId',
    ],
    ['injectorRows.primary.circuitId', 'x', 'injectorRows.primary.circuitId'],
    ['injectorRows.primary.item', { id: 'I650', revision: 7 }, 'injectorRows.primary.item'],
    ['power.battery', { id: 'x', revision: 1 }, 'power.battery'],
    ['power.studPlacementId', 'x', 'power.studPlacementId'],
    ['devices.pump.part.elementId', 'feed', 'devices.pump.part.elementId'],
    ['devices.pump-relay.part.item', { id: 'FB20', revision: 1 }, 'devices.pump-relay.part.item'],
    ['options.tank-outlet.chosen', 'x', 'options.tank-outlet.chosen'],
    ['devices.pump.part.elementId', 'x', 'devices.pump.part.elementId'],
    ['devices.pump.part.circuitId', 'x', 'devices.pump.part.elementId'],
  ])('%s that points nowhere is named', (path, value, where) => {
    expect(problems(path, value).map((p) => pathText(p.path))).toContain(where);
  });

  test.each([[['__proto__', 'x']], [['brief', 'none']], [['name', 'deeper']]])(
    'a decision about %j, where nothing stands, is named',
    (path) => {
      const option = lantern.options['tank-outlet']!;
      const values = { new: { path, value: 1 } };
      const alternatives = {
        ...option.alternatives,
        new: { ...option.alternatives['new']!, values },
      };
      const found = problems('options', { 'tank-outlet': { ...option, alternatives } });
      expect(found.map((p) => p.path)).toEqual([
        ['options', 'tank-outlet', 'alternatives', 'new', 'values', 'new', 'path'],
      ]);
    },
  );

  test('an element of two circuits with one id is named', () => {
    const { main } = lantern.fuelCircuits;
    const other = { ...main!, order: 2000 };
    const found = problems('fuelCircuits', { main: main!, other });
    expect(found.map((p) => p.message)).toContain('"feed" is used twice');
  });

  test('a circuit without a regulator is refused', () => {
    const { regulator: _, ...elements } = lantern.fuelCircuits['main']!.elements;
    expect(problems('fuelCircuits.main.elements', elements)[0]!.message).toBe(
      'a circuit needs a regulator, or a pump that is driven by pressure',
    );
  });
});

describe('cautions', () => {
  test('stand at the steps they belong to', () => {
    const facts = cautionFacts(readBuild(lantern));
    expect(facts).toEqual({ mostlyAlcohol: false, tipOver: false, batteryInCabin: true });
    expect(cautionsAt('circuit', facts).map((c) => c.id)).toEqual(['tank-hot-work', 'hose-rating']);
    expect(cautionsAt('wiring', facts).map((c) => c.id)).toContain('battery-cabin');
    expect(cautionsAt('downloads', facts).map((c) => c.id)).toContain('first-prime');
  });
  test('follow the build: alcohol, tip-over', () => {
    const e85 = withValueAt(lantern, 'fuels.pump-fuel.ethanol', { value: 0.85, unit: '%' });
    expect(cautionsAt('circuit', cautionFacts(readBuild(e85))).map((c) => c.id)).toContain(
      'methanol',
    );
    const trike = withValueAt(lantern, 'brief.use', 'two-or-three-wheeler');
    expect(cautionsAt('wiring', cautionFacts(readBuild(trike))).map((c) => c.id)).toContain(
      'tip-over',
    );
  });
});
