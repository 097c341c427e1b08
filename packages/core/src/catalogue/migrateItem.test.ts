import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { sampleCatalogue } from '../exchange/index.ts';
import type { CatalogueItem } from './catalogueItem.ts';
import { alikeHoses, serviceOf } from './alikeHoses.ts';
import { newestOf } from './catalogue.ts';
import { migrateItem } from './migrateItem.ts';
import { agree, tellsMore } from './toldOfItem.ts';

/** Items as build files of version 3 embedded them. */
const older = JSON.parse(
  readFileSync(new URL('../../src/tests/versionThree/items.json', import.meta.url), 'utf8'),
) as readonly CatalogueItem[];

describe('items of older files', () => {
  test.each(older.map((item) => [item.id, item] as const))(
    '%s says nothing else than the shipped one',
    (id, item) => {
      const shipped = sampleCatalogue.items.find((i) => i.id === id)!;
      expect(agree(migrateItem(item) as CatalogueItem, shipped)).toBe(true);
    },
  );

  test('what is told more of is the same item; what is told otherwise is not', () => {
    const shipped = sampleCatalogue.items.find((i) => i.id === 'E6-90')!;
    const known = { ...shipped, angle: 0, torque: 0 } as CatalogueItem;
    expect(tellsMore(shipped, known)).toBe(true);
    expect(tellsMore(known, shipped)).toBe(false);
    expect(tellsMore(shipped, shipped)).toBe(false);
    const other = { ...shipped, bore: 0.001 } as CatalogueItem;
    expect(agree(other, shipped)).toBe(false);
    expect(tellsMore(shipped, { ...other, angle: 0 } as CatalogueItem)).toBe(false);
    expect(agree({ ...shipped, angle: 1 } as CatalogueItem, shipped)).toBe(false);
  });

  test('what was described in words only gets its fields', () => {
    const hose = (family: string) => migrateItem({ category: 'hose', family });
    expect(hose('hardline nylon')).toMatchObject({ material: 'nylon', wall: 'rigid' });
    expect(hose('hardline stainless')).toMatchObject({ material: 'stainless', wall: 'rigid' });
    expect(hose('PTFE-lined convoluted')).toMatchObject({ material: 'PTFE', wall: 'convoluted' });
    expect(hose('somebody’s own')).toMatchObject({ material: 'rubber', wall: 'plain' });
    expect(migrateItem({ category: 'fitting', family: 'own', designation: 'Elbow' })).toMatchObject(
      {
        form: 'adapter',
      },
    );
  });

  test('what has its fields keeps them, whatever its family is called', () => {
    const hose = { category: 'hose', family: 'braided PTFE', material: 'rubber', wall: 'plain' };
    expect(migrateItem(hose)).toMatchObject(hose);
  });

  test.each([[null], [7], ['x'], [[1]]])('%j is left for the checks to refuse', (value) => {
    expect(migrateItem(value)).toBe(value);
  });
});

describe('hoses made alike', () => {
  const hoses = newestOf(sampleCatalogue, 'hose');

  test.each(hoses.map((h) => [h.id, h] as const))('%s is among its own', (_id, hose) => {
    const alike = alikeHoses(sampleCatalogue, hose);
    expect(alike).toContain(hose);
    for (const other of alike) {
      expect([other.material, other.wall, serviceOf(other)]).toEqual([
        hose.material,
        hose.wall,
        serviceOf(hose),
      ]);
      expect(other.pressureRating).toBeGreaterThanOrEqual(hose.pressureRating);
    }
    const bores = alike.map((h) => h.bore);
    expect([...bores].sort((a, b) => a - b)).toEqual(bores);
  });

  test('a family renamed changes nothing', () => {
    const renamed = {
      items: sampleCatalogue.items.map((i) => ({ ...i, family: 'renamed' }) as typeof i),
    };
    for (const hose of hoses) {
      const ids = (catalogue: typeof renamed) => alikeHoses(catalogue, hose).map((h) => h.id);
      expect(ids(renamed)).toEqual(ids({ items: [...sampleCatalogue.items] }));
    }
  });
});
