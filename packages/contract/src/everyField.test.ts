import 'reflect-metadata';
import {
  type BuildDocument,
  type CatalogueItem,
  lantern,
  sampleCatalogue,
  valueAt,
  withValueAt,
} from '@brookrain/core';
import { describe, expect, test } from 'vitest';
import { documentIssues, itemIssues } from './index.ts';

type Json = Record<string, unknown>;

/** Paths of every object inside plain data, the root first. */
function objects(value: unknown, path = ''): string[] {
  if (typeof value !== 'object' || value === null) return [];
  const own = Array.isArray(value) ? [] : [path];
  return [
    ...own,
    ...Object.entries(value).flatMap(([key, entry]) =>
      objects(entry, path === '' ? key : `${path}.${key}`),
    ),
  ];
}

/** Paths of every leaf. */
function leaves(value: unknown, path = ''): string[] {
  if (typeof value !== 'object' || value === null) return [path];
  return Object.entries(value).flatMap(([key, entry]) =>
    leaves(entry, path === '' ? key : `${path}.${key}`),
  );
}

const replace = (path: string, value: unknown): unknown =>
  path === '' ? value : withValueAt(lantern, path, value);

/** What an alternative puts in place is any value; it is checked when it is decided. */
const free = /^options\.\d+\.alternatives\.\d+\.values\.\d+\.value(\.|$)/;
const objectPaths = objects(lantern).filter((path) => !free.test(path));
const leafPaths = leaves(lantern).filter((path) => !free.test(path));

describe('every object of the demo', () => {
  test.each(objectPaths)('"%s" takes no unknown field', (path) => {
    const object = (path === '' ? lantern : valueAt(lantern, path)) as Json;
    const issues = documentIssues(replace(path, { ...object, stowaway: 1 }), sampleCatalogue);
    expect(issues.some((i) => i.path.startsWith(path))).toBe(true);
  });

  test('lacks nothing without being refused', () => {
    const accepted: string[] = [];
    for (const path of objectPaths) {
      const object = (path === '' ? lantern : valueAt(lantern, path)) as Json;
      for (const key of Object.keys(object)) {
        const { [key]: _gone, ...rest } = object;
        const issues = documentIssues(replace(path, rest), sampleCatalogue);
        if (issues.length === 0) accepted.push(`${path}.${key}`);
      }
    }
    expect(accepted).toEqual([]);
  });

  test('is not a list, a text or a number instead', () => {
    const accepted: string[] = [];
    for (const path of objectPaths.filter((p) => p !== '')) {
      for (const other of [[], 'text', 7, true]) {
        if (documentIssues(replace(path, other), sampleCatalogue).length === 0) {
          accepted.push(`${path} = ${JSON.stringify(other)}`);
        }
      }
    }
    expect(accepted).toEqual([]);
  });
});

describe('every leaf of the demo', () => {
  test('is refused as an object, and as a number where it is text', () => {
    const accepted: string[] = [];
    for (const path of leafPaths) {
      const others: unknown[] = [{ a: 1 }];
      if (typeof valueAt(lantern, path) === 'string') others.push(17);
      if (typeof valueAt(lantern, path) === 'number') others.push('many');
      for (const other of others) {
        if (documentIssues(replace(path, other), sampleCatalogue).length === 0) {
          accepted.push(`${path} = ${JSON.stringify(other)}`);
        }
      }
    }
    expect(accepted).toEqual([]);
  });

  test('a number that cannot be is refused', () => {
    const accepted = leafPaths
      .filter((path) => typeof valueAt(lantern, path) === 'number')
      .filter((path) => documentIssues(replace(path, -1e9), sampleCatalogue).length === 0);
    expect(accepted).toEqual([]);
  });
});

const oneOfEach = [...new Map(sampleCatalogue.items.map((i) => [i.category, i])).values()];

describe.each(oneOfEach.map((item) => [item.category, item] as const))(
  'a %s of the catalogue',
  (_category, item) => {
    test('lacks nothing and takes nothing unknown without being refused', () => {
      const plain = item as unknown as Json;
      for (const key of Object.keys(plain)) {
        const { [key]: _gone, ...rest } = plain;
        expect(itemIssues(rest, 'item').length, key).toBeGreaterThan(0);
      }
      expect(itemIssues({ ...plain, stowaway: 1 }, 'item')[0]!.path).toBe('item.stowaway');
    });

    test('has no number that can be absurd', () => {
      const numbers = leaves(item).filter((path) => typeof valueAt(item, path) === 'number');
      for (const path of numbers) {
        for (const absurd of [-1e12, 1e300, Number.NaN]) {
          const changed = withValueAt<CatalogueItem>(item, path, absurd);
          expect(itemIssues(changed, 'item').length, `${path} = ${absurd}`).toBeGreaterThan(0);
        }
      }
    });
  },
);

describe('decisions', () => {
  test('what a decision puts in place is checked like any edit', () => {
    const document: BuildDocument = withValueAt(
      lantern,
      'fuelCircuits.0.elements.1.item',
      'not a reference' as never,
    );
    expect(documentIssues(document, sampleCatalogue)[0]!.path).toContain(
      'fuelCircuits.0.elements.1.item',
    );
  });
});
