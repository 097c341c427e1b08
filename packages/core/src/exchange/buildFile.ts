import { type BuildDocument, type ItemRef, itemRefsIn } from '../model/index.ts';
import type { Catalogue, CatalogueItem } from '../catalogue/index.ts';

/** A build as a file: the document with the exact catalogue items it uses. */
export interface BuildFile extends BuildDocument {
  readonly catalogue: readonly CatalogueItem[];
}

/** Every catalogue reference in a document, each once. */
export function referencesOf(document: BuildDocument): ItemRef[] {
  const found = itemRefsIn(document).map(({ ref }) => [`${ref.id}@${ref.revision}`, ref] as const);
  return [...new Map(found).values()];
}

/** Categories that rules choose from. */
const chosenByRule: ReadonlySet<CatalogueItem['category']> = new Set([
  'wire',
  'cover',
  'plug-part',
  'fuse',
  'small-part',
  'fastener',
]);

/**
 * The file of a build. It embeds the items in use and those the rules choose from (wires, sleeves,
 * contacts, fuses, clamps, bolts), so that the same file evaluates the same elsewhere.
 */
export function toBuildFile(document: BuildDocument, catalogue: Catalogue): BuildFile {
  const used = new Set(referencesOf(document).map((ref) => `${ref.id}@${ref.revision}`));
  return {
    ...document,
    catalogue: catalogue.items.filter(
      (item) => used.has(`${item.id}@${item.revision}`) || chosenByRule.has(item.category),
    ),
  };
}

/** Splits a file into its document and the catalogue it brings. */
export function fromBuildFile(file: BuildFile): { document: BuildDocument; catalogue: Catalogue } {
  const { catalogue, ...document } = file;
  return { document, catalogue: { items: catalogue } };
}
