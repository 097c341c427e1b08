import { describe, expect, test } from 'vitest';
import { lantern, sampleCatalogue } from '../exchange/index.ts';
import { hashOf, migrateDocument, referenceProblems } from './index.ts';
import { CURRENT_VERSION, storedDocument } from './migrateDocument.ts';
import { placeInWords } from './placeInWords.ts';

/** Lantern as version 1 wrote it. */
const versionOne = () => {
  const { acceptances: _a, displayUnits: _d, ...rest } = lantern;
  return { ...rest, version: 1 };
};

describe('documents of older versions', () => {
  test('version 1 becomes the current version and means the same', () => {
    const lifted = storedDocument(versionOne());
    expect(lifted.version).toBe(CURRENT_VERSION);
    expect(hashOf(lifted)).toBe(hashOf(lantern));
    expect(referenceProblems(lifted, sampleCatalogue)).toEqual([]);
  });

  test('the current version is left as it is, the same object', () => {
    expect(migrateDocument(lantern)).toBe(lantern);
  });

  test.each([
    [null],
    [7],
    ['x'],
    [[1]],
    [{ version: 0 }],
    [{ version: 'one' }],
    [{ version: 1.5 }],
  ])('%j is not touched, for the checks to refuse', (value) => {
    expect(migrateDocument(value)).toBe(value);
  });

  test('a version of the future is not touched', () => {
    const later = { ...lantern, version: 99 };
    expect(migrateDocument(later)).toBe(later);
  });
});

describe('places in words', () => {
  test.each([
    ['brief.boost.value', 'boost'],
    ['brief.power.value', 'power'],
    ['power.mainFuse', 'main fuse'],
    ['fuelCircuits.0.elements.1.item', 'Tank outlet, part'],
    ['options.0.chosen', 'Tank outlet, chosen'],
    ['injectorRows.0.count', 'Primary injectors, count'],
    ['limits.pumpMargin', 'pump margin'],
    ['name', 'name'],
  ])('%s reads %s', (path, words) => {
    expect(placeInWords(lantern, path)).toBe(words);
  });

  test('a place that is not there is named by its fields', () => {
    expect(placeInWords(lantern, 'brief.notThere.deeper')).toBe('not there, deeper');
  });
});
