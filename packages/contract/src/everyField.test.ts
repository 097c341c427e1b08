import 'reflect-metadata';
import {
  type BuildDocument,
  type CatalogueItem,
  type Path,
  type Spec,
  documentSpec,
  lantern,
  pathText,
  sampleCatalogue,
  settledSpec,
  specAt,
  valueAt,
  withValueAt,
} from '@brookrain/core';
import { describe, expect, test } from 'vitest';
import { documentIssues, itemIssues } from './index.ts';

type Json = Record<string, unknown>;

/** Paths of every object inside plain data, the root first. */
function objects(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [];
  const own = Array.isArray(value) ? [] : [path];
  return [
    ...own,
    ...Object.entries(value).flatMap(([key, entry]) => objects(entry, [...path, key])),
  ];
}

/** Paths of every leaf. */
function leaves(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  return Object.entries(value).flatMap(([key, entry]) => leaves(entry, [...path, key]));
}

const at = (path: Path): unknown => (path.length === 0 ? lantern : valueAt(lantern, path));
const replace = (path: Path, value: unknown): unknown =>
  path.length === 0 ? value : withValueAt(lantern, path, value);

/** Whether an object is a collection: its entries come and go. */
const isCollection = (path: Path): boolean =>
  specAt(documentSpec, path, lantern)?.type === 'record';

/** What an alternative puts in place is any value; it is checked when it is decided. */
const isFree = (path: Path): boolean => path[0] === 'options' && path[6] === 'value';
/** Of entries of a collection, which all are declared alike, the first: one path of each field. */
function oneOfEachField(paths: readonly Path[]): Path[] {
  const seen = new Map<Spec | undefined, Set<string>>();
  return paths.filter((path) => {
    const owner = path.slice(0, -1);
    const spec = specAt(documentSpec, owner, lantern);
    const settled = spec && settledSpec(spec, at(owner));
    const isEntry = settled?.type === 'record' || settled?.type === 'list';
    const key = isEntry ? '*' : (path.at(-1) ?? '');
    const keys = seen.get(settled) ?? new Set();
    seen.set(settled, keys);
    const fresh = !keys.has(key);
    keys.add(key);
    return fresh;
  });
}
const objectPaths = oneOfEachField(objects(lantern).filter((path) => !isFree(path)));
const leafPaths = oneOfEachField(leaves(lantern).filter((path) => !isFree(path)));

describe('every object of the demo', () => {
  test.each(objectPaths.map((path) => [pathText(path), path] as const))(
    '"%s" takes no unknown field',
    (text, path) => {
      const object = at(path) as Json;
      const issues = documentIssues(replace(path, { ...object, stowaway: 1 }), sampleCatalogue);
      expect(issues.some((i) => i.path.startsWith(text))).toBe(true);
    },
  );

  test('lacks nothing without being refused', () => {
    const accepted: string[] = [];
    for (const path of objectPaths.filter((p) => !isCollection(p))) {
      const object = at(path) as Json;
      for (const key of Object.keys(object)) {
        const { [key]: _gone, ...rest } = object;
        const issues = documentIssues(replace(path, rest), sampleCatalogue);
        if (issues.length === 0) accepted.push(pathText([...path, key]));
      }
    }
    expect(accepted).toEqual([]);
  });

  test('is not a list, a text or a number instead', () => {
    const accepted: string[] = [];
    for (const path of objectPaths.filter((p) => p.length > 0)) {
      for (const other of [[], 'text', 7, true]) {
        if (documentIssues(replace(path, other), sampleCatalogue).length === 0) {
          accepted.push(`${pathText(path)} = ${JSON.stringify(other)}`);
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
      if (typeof at(path) === 'string') others.push(17);
      if (typeof at(path) === 'number') others.push('many');
      for (const other of others) {
        if (documentIssues(replace(path, other), sampleCatalogue).length === 0) {
          accepted.push(`${pathText(path)} = ${JSON.stringify(other)}`);
        }
      }
    }
    expect(accepted).toEqual([]);
  });

  test('a number that cannot be is refused', () => {
    const accepted = leafPaths
      .filter((path) => typeof at(path) === 'number')
      .filter((path) => path.at(-1) !== 'order')
      .filter((path) => documentIssues(replace(path, -1e9), sampleCatalogue).length === 0);
    expect(accepted.map(pathText)).toEqual([]);
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
          expect(
            itemIssues(changed, 'item').length,
            `${pathText(path)} = ${absurd}`,
          ).toBeGreaterThan(0);
        }
      }
    });
  },
);

describe('decisions', () => {
  test('what a decision puts in place is checked like any edit', () => {
    const document: BuildDocument = withValueAt(
      lantern,
      'fuelCircuits.main.elements.tank-bung.item',
      'not a reference' as never,
    );
    expect(documentIssues(document, sampleCatalogue)[0]!.path).toContain(
      'fuelCircuits.main.elements.tank-bung.item',
    );
  });
});
