import { type BuildDocument, documentSpec } from './document.ts';
import type { Path } from './path.ts';
import { isItemRef, settledSpec, specAt, walkSpec } from './specAt.ts';
import type { ItemRef } from './spec.ts';

/** A reference to the catalogue, where it stands and what may stand there. */
export interface PlacedItemRef {
  readonly path: Path;
  readonly ref: ItemRef;
  readonly category: string;
}

/** Every reference of a document to the catalogue, those of alternatives not chosen too. */
export function itemRefsIn(document: BuildDocument): PlacedItemRef[] {
  const found: PlacedItemRef[] = [];
  const collect = (spec: Parameters<typeof walkSpec>[0], value: unknown, from: Path): void =>
    walkSpec(
      spec,
      value,
      (at) => {
        const settled = at.value === null ? undefined : settledSpec(at.spec, at.value);
        if (settled && isItemRef(settled)) {
          found.push({ path: at.path, ref: at.value as ItemRef, category: settled.category });
        }
      },
      from,
    );
  collect(documentSpec, document, []);
  for (const [optionId, option] of Object.entries(document.options)) {
    for (const [alternativeId, alternative] of Object.entries(option.alternatives)) {
      for (const [key, { path, value }] of Object.entries(alternative.values)) {
        const spec = specAt(documentSpec, path, document);
        const at = ['options', optionId, 'alternatives', alternativeId, 'values', key, 'value'];
        if (spec) collect(spec, value, at);
      }
    }
  }
  return found;
}
