import { valueUnder } from '../numerics/index.ts';
import { type BuildDocument, type ItemRef, readBuild } from '../model/index.ts';
import type { Catalogue, CatalogueItem } from '../catalogue/index.ts';
import type { Evaluation } from '../evaluation/index.ts';
import { wiresOf } from '../electrics/index.ts';
import { NotFound } from '../quantities/index.ts';

/** One line of the parts list. Lengths in m, price for the whole line. */
export interface PartLine {
  readonly part: string;
  readonly designation: string;
  readonly family: string;
  readonly quantity: number;
  readonly unit: 'piece' | 'm';
  readonly price: number;
  readonly usedFor: string;
}

/** Everything the fuel and pump circuit needs, gathered by part. */
export function partsList(
  document: BuildDocument,
  catalogue: Catalogue,
  evaluation: Evaluation,
): PartLine[] {
  const lines = new Map<string, { item: CatalogueItem; quantity: number; usedFor: Set<string> }>();
  const add = (ref: ItemRef, quantity: number, usedFor: string): void => {
    const key = `${ref.id}@${ref.revision}`;
    const item = catalogue.items.find((i) => i.id === ref.id && i.revision === ref.revision);
    if (!item) throw new NotFound(`no item "${key}" in the catalogue`, key);
    const line = lines.get(key) ?? { item, quantity: 0, usedFor: new Set<string>() };
    line.quantity += quantity;
    line.usedFor.add(usedFor);
    lines.set(key, line);
  };
  for (const fluid of evaluation.fluids) {
    for (const element of fluid.design.circuit.elements) {
      if (!('item' in element)) continue;
      if (element.kind === 'line') {
        add(element.item, valueUnder(fluid.design.lengths, element.id), element.name);
        for (const use of element.fittings) add(use.item, use.count, element.name);
      } else add(element.item, 1, element.name);
    }
  }
  for (const feed of evaluation.feeds) {
    add(feed.fuse.fuse, 1, 'Pump fuse');
    add(feed.feed.relay, 1, 'Pump relay');
  }
  for (const sized of wiresOf(evaluation.feeds)) {
    add(sized.size, sized.task.length, sized.wire.name);
  }
  for (const row of readBuild(document).injectorRows) add(row.item, row.count, row.name);
  add(document.power.mainFuse, 1, 'Main fuse');
  return [...lines.values()].map(({ item, quantity, usedFor }) => {
    const byLength = item.category === 'hose' || item.category === 'wire';
    return {
      part: item.id,
      designation: item.designation,
      family: item.family,
      quantity: byLength ? Math.ceil(quantity * 100 - 1e-6) / 100 : quantity,
      unit: byLength ? 'm' : 'piece',
      price: Math.round(item.price * quantity * 100) / 100,
      usedFor: [...usedFor].join('; '),
    };
  });
}
