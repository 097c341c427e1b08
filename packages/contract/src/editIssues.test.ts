import 'reflect-metadata';
import {
  type BuildCommand,
  applyCommand,
  kittiwake,
  lantern,
  sampleCatalogue,
} from '@brookrain/core';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { documentIssues, editIssues } from './index.ts';

const setting = (path: readonly string[], value: unknown): BuildCommand => ({
  name: 'set',
  path,
  value,
});
const q = (value: number, unit: string) => ({ value, unit });
const element = (id: string, ...rest: readonly string[]) => [
  'fuelCircuits',
  'main',
  'elements',
  id,
  ...rest,
];

/** What an edit of Lantern is told, by the touched places alone and by the whole document. */
const judged = (command: BuildCommand) => {
  const { document, patch } = applyCommand(lantern, command);
  return {
    touched: editIssues(document, patch, sampleCatalogue),
    whole: documentIssues(document, sampleCatalogue),
  };
};

describe('what an edit touched', () => {
  test.each([
    [['brief', 'boost'], q(6e5, 'bar')],
    [['brief', 'boost'], 7],
    [['brief', 'boost', 'unit'], 'parsec'],
    [['brief', 'cylinders'], 4.5],
    [['brief', 'powerSpeed'], q(5, 'rpm')],
    [['brief', 'boostCurve', 'p2', 'speed'], lantern.brief.boostCurve['p3']!.speed],
    [['demand'], { school: 'air', reason: '' }],
    [['demand', 'school'], 'air'],
    [['fuels', 'pump-fuel', 'kind'], 'methanol'],
    [element('feed', 'kind'), 'pump'],
    [element('feed', 'item'), null],
    [element('feed', 'item'), { id: 'P255', revision: 1 }],
    [element('feed', 'from'), 'nowhere'],
    [element('feed', 'fittings'), { CK6: { item: { id: 'CK6', revision: 1 }, count: 0 } }],
    [['assemblies', 'feed', 'slack'], q(0.5, '%')],
    [['assemblies', 'feed', 'to', 'onto'], 'flare-7-male'],
    [['assemblies', 'feed', 'asMade'], { cut: q(-1, 'mm'), clocking: null }],
    [['assemblies', 'feed', 'from', 'item'], { id: 'HBR-6', revision: 1 }],
    [['offcuts', 'o1'], { item: { id: 'HBR-6', revision: 1 }, length: q(0, 'mm') }],
    [['shelf', 'AB6'], { item: { id: 'AB6', revision: 1 }, count: 0 }],
    [element('pump', 'control'), { kind: 'stepped' }],
    [['placements', 'moon'], { name: 'Moon' }],
    [['placements', 'constructor-shop'], 7],
    [['injectorRows', 'primary', 'staging'], { aboveDuty: q(0.5, '%'), blend: q(0.1, '%') }],
    [['options', 'tank-outlet', 'chosen'], 'neither'],
    [['displayUnits'], 'furlongs'],
  ])('%j = %j is refused as by the whole document', (path, value) => {
    const { touched, whole } = judged(setting(path, value));
    expect(whole).not.toEqual([]);
    expect(touched).toEqual(whole);
  });

  test('a collection that would be left empty is refused', () => {
    const { touched, whole } = judged({ name: 'remove', path: ['fuels', 'pump-fuel'] });
    expect(touched).toEqual(whole);
    expect(touched[0]).toEqual({ path: 'fuels', message: 'must have 1 to 6 entries' });
  });

  test('agrees with the whole document on any value at any field of the brief', () => {
    const keys = Object.keys(kittiwake.brief);
    fc.assert(
      fc.property(
        fc.constantFrom(...keys),
        fc.oneof(
          // A body with a key of this name is refused before it is read: see safeJson.
          fc.jsonValue({ maxDepth: 2 }).filter((v) => !JSON.stringify(v).includes('"__proto__"')),
          fc.constantFrom(...Object.values(kittiwake.brief)),
        ),
        (key, value) => {
          const path = ['brief', key];
          const { document, patch } = applyCommand(kittiwake, setting(path, value));
          const touched = editIssues(document, patch, sampleCatalogue);
          expect(touched).toEqual(documentIssues(document, sampleCatalogue));
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('the work of checking an edit', () => {
  /** A collection that counts how often its keys are listed and its entries are read. */
  function counted(entries: Readonly<Record<string, unknown>>) {
    const work = { listed: 0, read: 0 };
    const collection = new Proxy(entries, {
      ownKeys: (target) => {
        work.listed += 1;
        return Reflect.ownKeys(target);
      },
      get: (target, key, receiver): unknown => {
        work.read += 1;
        return Reflect.get(target, key, receiver);
      },
    });
    return { work, collection };
  }
  const removing = (count: number) => {
    const gone = Array.from({ length: count }, (_, i) => ({
      op: 'remove' as const,
      path: ['placements', `gone-${i}`],
    }));
    const { work, collection } = counted(lantern.placements);
    const document = { ...lantern, placements: collection as typeof lantern.placements };
    expect(editIssues(document, gone, sampleCatalogue)).toEqual([]);
    return work;
  };

  test('does not grow with the number of entries that were removed', () => {
    expect(removing(1000).listed).toBe(removing(1).listed);
  });

  test('reads each entry of a collection that was replaced a few times, however many there are', () => {
    const perEntry = (count: number): number => {
      const { work, collection } = counted(
        Object.fromEntries(Array.from({ length: count }, (_, i) => [`e${i}`, {}])),
      );
      const patch = Object.keys(collection).map((key) => ({
        op: 'add' as const,
        path: ['placements', key],
        value: {},
      }));
      const document = { ...lantern, placements: collection as typeof lantern.placements };
      expect(editIssues(document, patch, sampleCatalogue).length).toBeGreaterThan(0);
      return work.read / count;
    };
    expect(perEntry(2000)).toBeLessThanOrEqual(perEntry(20));
  });

  test('a collection with too many entries is counted and not read', () => {
    const many = Object.fromEntries(Array.from({ length: 2998 }, (_, i) => [`e${i}`, {}]));
    const { document, patch } = applyCommand(lantern, setting(['placements'], many));
    expect(editIssues(document, patch, sampleCatalogue)).toEqual([
      { path: 'placements', message: 'must have 1 to 2000 entries' },
    ]);
  });

  test('names a hundred places that are wrong, not all of them', () => {
    const many = Object.fromEntries(Array.from({ length: 1900 }, (_, i) => [`e${i}`, {}]));
    const { document, patch } = applyCommand(lantern, setting(['placements'], many));
    expect(editIssues(document, patch, sampleCatalogue)).toHaveLength(100);
    expect(documentIssues(document, sampleCatalogue).length).toBeLessThan(120);
  });
});
