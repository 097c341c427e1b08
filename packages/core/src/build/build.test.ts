import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { lantern, sampleCatalogue } from '../exchange/index.ts';
import { BadInput, NotFound } from '../quantities/index.ts';
import {
  type BuildCommand,
  type BuildDocument,
  applyCommand,
  cautionFacts,
  cautionsAt,
  describeCommand,
  diffDocuments,
  applyPatch,
  hashOf,
  lookUp,
  newestOf,
  referenceProblems,
  splitPath,
  stableJson,
  valueAt,
  withValueAt,
} from './index.ts';

describe('paths', () => {
  test.each(['', 'a..b', '__proto__', 'a.__proto__.b', 'a.constructor', 'prototype.x', '.a'])(
    '%j is refused',
    (path) => {
      expect(() => splitPath(path)).toThrow(BadInput);
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
  test('leads from one to the other, in the fewest places', () => {
    const after = withValueAt(
      withValueAt(lantern, 'brief.boost', { value: 1e5, unit: 'bar' }),
      'fuels.0.ethanol',
      { value: 0.85, unit: '%' },
    );
    const patch = diffDocuments(lantern, after);
    expect(patch.map((s) => s.path)).toEqual(['brief.boost.value', 'fuels.0.ethanol.value']);
    expect(applyPatch(lantern, patch)).toEqual(after);
  });

  test('lists of another length are replaced whole', () => {
    const after = { ...lantern, options: [] } as BuildDocument;
    const patch = diffDocuments(lantern, after);
    expect(patch).toHaveLength(1);
    expect(applyPatch(lantern, patch)).toEqual(after);
  });

  test('equal documents have none', () => {
    expect(diffDocuments(lantern, structuredClone(lantern))).toEqual([]);
  });
});

describe('commands', () => {
  test('an edit that changes nothing gives the same document back', () => {
    const same = applyCommand(lantern, { name: 'set', path: 'brief.cylinders', value: 4 });
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
    ['feed', { name: 'choose-fuse', feedId: 'x', item: null }],
    ['decision', { name: 'decide', optionId: 'x', alternativeId: 'new' }],
    ['alternative', { name: 'decide', optionId: 'tank-outlet', alternativeId: 'x' }],
  ])('an unknown %s is not found', (_what, command) => {
    expect(() => applyCommand(lantern, command)).toThrow(NotFound);
  });

  test('a wire is decided anew and changed in place', () => {
    const once = applyCommand(lantern, {
      name: 'choose-wire',
      wireId: 'a~b',
      size: { id: 'W1', revision: 1 },
    });
    const twice = applyCommand(once.document, {
      name: 'set-wire-length',
      wireId: 'a~b',
      length: { typed: { value: 2, unit: 'm' }, measured: null },
    });
    expect(twice.document.power.wireDecisions).toEqual([
      {
        wireId: 'a~b',
        size: { id: 'W1', revision: 1 },
        length: { typed: { value: 2, unit: 'm' }, measured: null },
      },
    ]);
  });

  test('every command has plain words', () => {
    expect(describeCommand({ name: 'set', path: 'brief.boost', value: 1 })).toBe('Change boost');
    expect(
      describeCommand({ name: 'set', path: 'fuelCircuits.0.elements.3.length.typed', value: 1 }),
    ).toBe('Change elements length');
    expect(describeCommand({ name: 'choose-fuse', feedId: 'f', item: null })).toBe(
      'Let the rules choose the fuse',
    );
    expect(describeCommand({ name: 'choose-wire', wireId: 'a~b', size: null })).toBe(
      'Let the rules size a~b',
    );
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
    ['fuelCircuits.0.fuelId', 'nothing', 'fuelCircuits.0.fuelId'],
    ['fuelCircuits.0.nodes.0.placementId', 'moon', 'fuelCircuits.0.nodes.0.placementId'],
    ['fuelCircuits.0.elements.2.from', 'x', 'fuelCircuits.0.elements.2.from'],
    ['fuelCircuits.0.elements.2.to', 'outlet', 'fuelCircuits.0.elements.2.to'],
    [
      'fuelCircuits.0.elements.2.item',
      { id: 'P255', revision: 1 },
      'fuelCircuits.0.elements.2.item',
    ],
    ['fuelCircuits.0.elements.2.id', 'feed', 'fuelCircuits.0.elements.8.id'],
    ['fuelCircuits.0.elements.0.outlet', 'x', 'fuelCircuits.0.elements.0.outlet'],
    ['fuelCircuits.0.elements.10.rowId', 'x', 'fuelCircuits.0.elements.10.rowId'],
    ['injectorRows.0.circuitId', 'x', 'injectorRows.0.circuitId'],
    ['injectorRows.0.item', { id: 'I650', revision: 7 }, 'injectorRows.0.item'],
    ['power.battery', { id: 'x', revision: 1 }, 'power.battery'],
    ['power.studPlacementId', 'x', 'power.studPlacementId'],
    ['power.pumpFeeds.0.elementId', 'feed', 'power.pumpFeeds.0.elementId'],
    ['power.pumpFeeds.0.relay', { id: 'FB20', revision: 1 }, 'power.pumpFeeds.0.relay'],
    ['options.0.chosen', 'x', 'options.0.chosen'],
    [
      'options.0.alternatives.0.values.0.path',
      '__proto__.x',
      'options.0.alternatives.0.values.0.path',
    ],
    [
      'options.0.alternatives.0.values.0.path',
      'brief.none',
      'options.0.alternatives.0.values.0.path',
    ],
  ])('%s that points nowhere is named', (path, value, where) => {
    expect(problems(path, value).map((p) => p.path)).toContain(where);
  });

  test('a circuit without a regulator is refused', () => {
    const elements = lantern.fuelCircuits[0]!.elements.filter((e) => e.kind !== 'regulator');
    expect(problems('fuelCircuits.0.elements', elements)[0]!.message).toBe(
      'a circuit needs a regulator, or a pump that is driven by pressure',
    );
  });
});

describe('cautions', () => {
  test('stand at the steps they belong to', () => {
    const facts = cautionFacts(lantern);
    expect(facts).toEqual({ mostlyAlcohol: false, tipOver: false, batteryInCabin: true });
    expect(cautionsAt('circuit', facts).map((c) => c.id)).toEqual(['tank-hot-work', 'hose-rating']);
    expect(cautionsAt('wiring', facts).map((c) => c.id)).toContain('battery-cabin');
    expect(cautionsAt('take-away', facts).map((c) => c.id)).toContain('first-prime');
  });
  test('follow the build: alcohol, tip-over', () => {
    const e85 = withValueAt(lantern, 'fuels.0.ethanol', { value: 0.85, unit: '%' });
    expect(cautionsAt('circuit', cautionFacts(e85)).map((c) => c.id)).toContain('methanol');
    const trike = withValueAt(lantern, 'brief.use', 'two-or-three-wheeler');
    expect(cautionsAt('wiring', cautionFacts(trike)).map((c) => c.id)).toContain('tip-over');
  });
});
