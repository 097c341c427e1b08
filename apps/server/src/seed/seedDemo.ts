import { lantern, sampleCatalogue } from '@brookrain/core';
import type { BuildStore } from '../builds/buildStore.ts';
import type { CatalogueStore } from '../catalogue/catalogueStore.ts';

/**
 * Loads the demo build into an empty data folder, and shipped catalogue items that are not there
 * yet into any.
 */
export function seedDemo(builds: BuildStore, catalogue: CatalogueStore): void {
  const items = catalogue.missing(sampleCatalogue.items);
  if (builds.count() > 0) {
    catalogue.install(items);
    return;
  }
  builds.create({
    id: 'lantern',
    document: lantern,
    author: 'Brookrain',
    words: 'Demo build',
    items,
    demo: true,
  });
}
