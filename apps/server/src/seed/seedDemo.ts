import { demoBuilds, sampleCatalogue } from '@brookrain/core';
import { documentText } from '../documents/documentText.ts';
import type { BuildStore } from '../builds/buildStore.ts';
import type { CatalogueStore } from '../catalogue/catalogueStore.ts';

/**
 * Loads the demo builds into an empty data folder, and shipped catalogue items that are not there
 * yet, or how large they are, into any.
 */
export function seedDemo(builds: BuildStore, catalogue: CatalogueStore): void {
  catalogue.complete(sampleCatalogue.items);
  catalogue.install(catalogue.unknown(sampleCatalogue.items));
  if (builds.count() > 0) return;
  for (const { id, document } of demoBuilds) {
    builds.create({
      id,
      document: documentText(document),
      author: 'Brookrain',
      words: 'Demo build',
      demo: true,
    });
  }
}
