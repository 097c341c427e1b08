import { lantern, sampleCatalogue } from '@brookrain/core';
import type { BuildStore } from '../builds/buildStore.ts';
import type { CatalogueStore } from '../catalogue/catalogueStore.ts';

/** Loads the shipped catalogue and demo build into an empty data folder. */
export function seedDemo(builds: BuildStore, catalogue: CatalogueStore): void {
  const items = catalogue.missing(sampleCatalogue.items);
  if (builds.count() > 0) return;
  builds.create({
    id: 'lantern',
    document: lantern,
    author: 'Brookrain',
    words: 'Demo build',
    items,
    demo: true,
  });
}
