import type { BuildDocument } from '../model/index.ts';
import type { Evaluation } from '../evaluation/index.ts';

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
  { currency }: Pick<BuildDocument, 'currency'>,
  { parts: needed }: Pick<Evaluation, 'parts'>,
): PartLine[] {
  const parts = needed.parts.map(({ item, unit, quantity, usedFor }): PartLine => ({
    part: item.id,
    designation: item.designation,
    family: item.family,
    quantity: unit === 'm' ? Math.ceil(quantity * 100 - 1e-6) / 100 : quantity,
    unit,
    price: inCents(item.price * quantity),
    currency,
    usedFor: usedFor.join('; '),
  }));
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
