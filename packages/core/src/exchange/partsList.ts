import { firstOf, valueUnder } from '../numerics/index.ts';
import { type BuildDocument, type ItemRef, readBuild } from '../model/index.ts';
import type { Catalogue, CatalogueItem } from '../catalogue/index.ts';
import type { Evaluation } from '../evaluation/index.ts';
import { wiresOf } from '../electrics/index.ts';
import { fixingParts } from '../vehicle/index.ts';
import { NotFound } from '../quantities/index.ts';

/** One line of the parts list. Lengths in m; price for the whole line, in the build's currency. */
export interface PartLine {
  readonly part: string;
  readonly designation: string;
  readonly family: string;
  readonly quantity: number;
  readonly unit: 'piece' | 'm';
  readonly price: number;
  readonly currency: string;
  readonly usedFor: string;
}

const inCents = (price: number): number => Math.round(price * 100) / 100;

/** Everything that the work order names, gathered by part, with the total as its last line. */
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
  const coilFuses = new Map(
    evaluation.feeds
      .map((feed) => firstOf(feed.trigger.wires).task.protection)
      .map((fuse) => [fuse.id, fuse]),
  );
  for (const fuse of coilFuses.values()) add(fuse, 1, 'Fuse of the relay coils');
  for (const sized of wiresOf(evaluation.feeds)) {
    add(sized.size, sized.task.length, sized.wire.name);
  }
  for (const row of readBuild(document).injectorRows) add(row.item, row.count, row.name);
  add(document.power.mainFuse, 1, 'Main fuse');
  add(document.power.battery, 1, 'Battery');
  add(document.power.ecu, 1, 'ECU');
  for (const { component, wanted, made } of evaluation.map.held) {
    if (!made.ok) continue;
    for (const { item, count } of fixingParts(wanted, made.design, catalogue)) {
      if (item) add(item, count, `Holds the ${component.name.toLowerCase()}`);
    }
  }
  const { currency } = document;
  const parts = [...lines.values()].map(({ item, quantity, usedFor }): PartLine => {
    const byLength = item.category === 'hose' || item.category === 'wire';
    return {
      part: item.id,
      designation: item.designation,
      family: item.family,
      quantity: byLength ? Math.ceil(quantity * 100 - 1e-6) / 100 : quantity,
      unit: byLength ? 'm' : 'piece',
      price: inCents(item.price * quantity),
      currency,
      usedFor: [...usedFor].join('; '),
    };
  });
  return [
    ...parts,
    {
      part: '',
      designation: 'Total',
      family: '',
      quantity: parts.reduce((sum, line) => sum + (line.unit === 'piece' ? line.quantity : 0), 0),
      unit: 'piece',
      price: inCents(parts.reduce((sum, line) => sum + line.price, 0)),
      currency,
      usedFor: '',
    },
  ];
}
