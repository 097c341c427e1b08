import { type Catalogue, type WireItem, newestOf } from '@brookrain/core';

/** Every size of wire that may be chosen, those in mm² first, the thinnest first. */
export const wireSizes = (catalogue: Catalogue): readonly WireItem[] =>
  [...newestOf(catalogue, 'wire')].sort(
    (a, b) => Number(a.system === 'awg') - Number(b.system === 'awg') || a.area - b.area,
  );
