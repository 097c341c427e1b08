import { describe, expect, test } from 'vitest';
import { sampleCatalogue } from '../exchange/index.ts';
import { NotFound } from '../quantities/index.ts';
import { type Catalogue, itemAt, lookUp, newestOf, refOf } from './catalogue.ts';

const [pump] = newestOf(sampleCatalogue, 'pump');
const later = { ...pump!, revision: pump!.revision + 1, price: pump!.price + 10 };
const grown: Catalogue = { items: [...sampleCatalogue.items, later] };

describe('the catalogue', () => {
  test('gives of every item the newest revision, in its own order, and no other category', () => {
    const before = newestOf(sampleCatalogue, 'pump');
    const after = newestOf(grown, 'pump');
    expect(after.map(({ id }) => id)).toEqual(before.map(({ id }) => id));
    expect(after[0]).toBe(later);
    expect(after.slice(1)).toEqual(before.slice(1));
    expect(after.every(({ category }) => category === 'pump')).toBe(true);
    expect(newestOf({ items: [] }, 'pump')).toEqual([]);
  });

  test('whichever revision stands first', () => {
    expect(newestOf({ items: [later, pump!] }, 'pump')).toEqual([later]);
    expect(newestOf({ items: [pump!, later] }, 'pump')).toEqual([later]);
  });

  test('keeps old revisions: a build goes on with the one that it names', () => {
    expect(itemAt(grown, refOf(pump!))).toBe(pump);
    expect(itemAt(grown, refOf(later))).toBe(later);
    expect(lookUp(grown, 'pump', refOf(pump!), 'pump')).toBe(pump);
  });

  test('refuses what it does not have, and what is something else, with the place', () => {
    const none = { id: 'P9999', revision: 1 };
    expect(itemAt(grown, none)).toBeUndefined();
    expect(() => lookUp(grown, 'pump', none, 'fuelCircuits.main.pump')).toThrow(NotFound);
    const [fuse] = newestOf(sampleCatalogue, 'fuse');
    expect(() => lookUp(grown, 'pump', refOf(fuse!), 'here')).toThrow(
      `no pump "${fuse!.id}@${fuse!.revision}" in the catalogue`,
    );
    expect(() => lookUp(grown, 'pump', { ...refOf(pump!), revision: 99 }, 'here')).toThrow(
      NotFound,
    );
  });
});
