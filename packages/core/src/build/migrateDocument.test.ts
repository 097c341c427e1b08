import { describe, expect, test } from 'vitest';
import { lantern, sampleCatalogue } from '../exchange/index.ts';
import { hashOf, migrateDocument, referenceProblems } from './index.ts';
import { CURRENT_VERSION, storedDocument } from './migrateDocument.ts';
import { placeInWords } from './placeInWords.ts';

/** Lantern as version 2 wrote it. */
const versionTwo = () => {
  const { shelf: _s, ...rest } = lantern;
  const { cruisePower: _p, cruiseRoadSpeed: _v, ...brief } = lantern.brief;
  return {
    ...rest,
    version: 2,
    brief,
    fuels: lantern.fuels.map((fuel) => {
      const { ethanolLowest: _e, ...old } = fuel as typeof fuel & { ethanolLowest: unknown };
      return old;
    }),
    fuelCircuits: lantern.fuelCircuits.map((circuit) => ({
      ...circuit,
      elements: circuit.elements.map((element) => {
        const {
          usableVolume: _u,
          control: _c,
          ...old
        } = element as typeof element & {
          usableVolume: unknown;
          control: unknown;
        };
        return old;
      }),
    })),
    injectorRows: lantern.injectorRows.map((row) => {
      const { staging: _s2, ballast: _b, measuredFlows: _m, ...old } = row;
      return old;
    }),
  };
};

/** Lantern as version 1 wrote it. */
const versionOne = () => {
  const { acceptances: _a, displayUnits: _d, ...rest } = versionTwo();
  return { ...rest, version: 1 };
};

/** What no older version knew: the name of Lantern's tank tells 85 L, its cruise is not known. */
const asLifted = {
  ...lantern,
  brief: { ...lantern.brief, cruisePower: null },
  fuelCircuits: lantern.fuelCircuits.map((circuit) => ({
    ...circuit,
    elements: circuit.elements.map((element) =>
      element.kind === 'tank' ? { ...element, usableVolume: { value: 0.085, unit: 'L' } } : element,
    ),
  })),
};

describe('documents of older versions', () => {
  test.each([
    [1, versionOne()],
    [2, versionTwo()],
  ])('version %i becomes the current version and means the same', (_version, old) => {
    const lifted = storedDocument(old);
    expect(lifted.version).toBe(CURRENT_VERSION);
    expect(hashOf(lifted)).toBe(hashOf(asLifted));
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
