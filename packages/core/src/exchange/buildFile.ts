import type { BuildDocument, Catalogue, CatalogueItem, ItemRef } from '../build/index.ts';

/** A build as a file: the document with the exact catalogue items it uses. */
export interface BuildFile extends BuildDocument {
  readonly catalogue: readonly CatalogueItem[];
}

/** Every catalogue reference in a document. */
export function referencesOf(document: BuildDocument): ItemRef[] {
  const found = new Map<string, ItemRef>();
  const walk = (value: unknown): void => {
    if (typeof value !== 'object' || value === null) return;
    const record = value as Record<string, unknown>;
    if (typeof record['id'] === 'string' && typeof record['revision'] === 'number') {
      found.set(`${record['id']}@${record['revision']}`, record as unknown as ItemRef);
    }
    Object.values(record).forEach(walk);
  };
  walk(document);
  return [...found.values()];
}

/**
 * The file of a build. It embeds the items in use and those the rules choose from (wires and
 * fuses), so that the same file evaluates the same elsewhere.
 */
export function toBuildFile(document: BuildDocument, catalogue: Catalogue): BuildFile {
  const used = new Set(referencesOf(document).map((ref) => `${ref.id}@${ref.revision}`));
  return {
    ...document,
    catalogue: catalogue.items.filter(
      (item) =>
        used.has(`${item.id}@${item.revision}`) ||
        item.category === 'wire' ||
        item.category === 'fuse',
    ),
  };
}

/** Splits a file into its document and the catalogue it brings. */
export function fromBuildFile(file: BuildFile): { document: BuildDocument; catalogue: Catalogue } {
  const { catalogue, ...document } = file;
  return { document, catalogue: { items: catalogue } };
}
