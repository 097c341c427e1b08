import { type Catalogue, type CatalogueCategory, lookUp } from '../catalogue/index.ts';
import { circuitProblems } from '../fuel/index.ts';
import {
  type BuildDocument,
  type ReferenceProblem,
  danglingReferences,
  itemRefsIn,
  pathText,
  readBuild,
} from '../model/index.ts';
import { routeProblems } from '../vehicle/index.ts';

/** References to the catalogue that it cannot serve, or that are of the wrong kind of part. */
function unknownItems(document: BuildDocument, catalogue: Catalogue): ReferenceProblem[] {
  return itemRefsIn(document).flatMap(({ path, ref, category }) => {
    if (category === '*') {
      const known = catalogue.items.some((i) => i.id === ref.id && i.revision === ref.revision);
      return known
        ? []
        : [{ path, message: `no item "${ref.id}@${ref.revision}" in the catalogue` }];
    }
    try {
      lookUp(catalogue, category as CatalogueCategory, ref, pathText(path));
      return [];
    } catch (error) {
      return [{ path, message: (error as Error).message }];
    }
  });
}

/**
 * Everything in a document that points at nothing, is named twice or does not hold together.
 * Empty when it holds. The document has the shape that its specs say.
 */
export function referenceProblems(
  document: BuildDocument,
  catalogue: Catalogue,
): ReferenceProblem[] {
  return [
    ...danglingReferences(document),
    ...unknownItems(document, catalogue),
    ...circuitProblems(readBuild(document)),
    ...routeProblems(readBuild(document)),
  ];
}
