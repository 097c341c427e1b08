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
