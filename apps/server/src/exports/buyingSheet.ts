import {
  type ShoppingLine,
  type ShoppingList,
  type UnitSystem,
  benchLength,
  counters,
  formatMeasure,
  toolInWords,
} from '@brookrain/core';
import type { SheetPage } from './sheetPage.ts';

/** One line of the list as CSV: lengths in m, mass in kg, price in the build’s currency. */
export interface BuyingRow {
  readonly counter: string;
  readonly part: string;
  readonly designation: string;
  readonly needed: number;
  readonly spare: number;
  readonly atHand: number;
  readonly buy: number;
  readonly unit: 'piece' | 'm';
  readonly price: number;
  readonly currency: string;
  readonly mass: number;
  readonly blocks: string;
}

const round = (value: number, digits: number): number => Number(value.toFixed(digits));

/** The list as rows, the total as the last. */
export const buyingRows = (list: ShoppingList, currency: string): BuyingRow[] => [
  ...list.lines.map((line) => ({
    counter: line.counter,
    part: line.item.id,
    designation: line.item.designation,
    needed: round(line.needed, 3),
    spare: line.spare,
    atHand: line.atHand,
    buy: round(line.buy, 3),
    unit: line.unit,
    price: line.price,
    currency,
    mass: round(line.mass, 3),
    blocks: line.buy > 0 ? line.usedFor.join('; ') : '',
  })),
  ...list.missing.map(({ words, count, usedFor }) => ({
    counter: 'not in the catalogue',
    part: '',
    designation: words,
    needed: count,
    spare: 0,
    atHand: 0,
    buy: count,
    unit: 'piece' as const,
    price: 0,
    currency,
    mass: 0,
    blocks: usedFor,
  })),
  ...list.tools.map((tool) => ({
    counter: 'tools',
    part: '',
    designation: toolInWords(tool, 'metric'),
    needed: 1,
    spare: 0,
    atHand: 0,
    buy: 0,
    unit: 'piece' as const,
    price: 0,
    currency,
    mass: 0,
    blocks: tool.usedFor.join('; '),
  })),
  {
    counter: '',
    part: '',
    designation: 'Total',
    needed: 0,
    spare: 0,
    atHand: 0,
    buy: 0,
    unit: 'piece',
    price: list.price,
    currency,
    mass: round(list.mass, 3),
    blocks: '',
  },
];

function cutting(
  sheet: Pick<SheetPage, 'heading' | 'table' | 'text'>,
  line: ShoppingLine,
  units: UnitSystem,
): void {
  const { plan, item, pieces } = line;
  if (!plan) return;
  const named = new Map(pieces.map((piece) => [piece.id, piece]));
  sheet.text(
    `${item.designation}: ${benchLength(plan.bought, units)} to buy, ${benchLength(plan.waste, units)} of it no piece.`,
  );
  sheet.table(
    [
      { title: 'Length', width: 90 },
      { title: 'Cut into', width: 330 },
      { title: 'Left', width: 70, align: 'right' },
    ],
    plan.lengths.map(({ length, offcutId, pieces: cut, rest }) => [
      `${benchLength(length, units)}${offcutId ? ', offcut' : ''}`,
      cut
        .map(
          (id) => `${named.get(id)?.name ?? id} ${benchLength(named.get(id)?.length ?? 0, units)}`,
        )
        .join(' + '),
      benchLength(rest, units),
    ]),
  );
}

/** Everything that is missing, by counter, with room to tick; then how hoses are cut. */
export function writeBuying(input: {
  sheet: Pick<SheetPage, 'title' | 'text' | 'heading' | 'table' | 'finish'>;
  buildName: string;
  list: ShoppingList;
  currency: string;
  units: UnitSystem;
}): void {
  const { sheet, list, currency, units } = input;
  const amount = (value: number, unit: ShoppingLine['unit']): string =>
    unit === 'piece' ? `${value}` : benchLength(value, units);
  sheet.title('One-trip list', `${input.buildName} · everything that is still missing`);
  sheet.text(
    `${list.price.toFixed(2)} ${currency} in all; all parts weigh ${formatMeasure({ value: list.mass, kind: 'mass' }, units)}.`,
  );
  for (const counter of counters) {
    const lines = list.lines.filter((line) => line.counter === counter && line.buy > 0);
    if (lines.length === 0) continue;
    sheet.heading(counter);
    sheet.table(
      [
        { title: '', width: 18 },
        { title: 'Buy', width: 60, align: 'right' },
        { title: 'Part', width: 190 },
        { title: currency, width: 60, align: 'right' },
        { title: 'Waits for it', width: 180 },
      ],
      lines.map((line) => [
        '☐',
        amount(line.buy, line.unit),
        line.item.designation,
        line.price.toFixed(2),
        line.usedFor.join(', '),
      ]),
    );
  }
  if (list.missing.length > 0) {
    sheet.heading('Not in the catalogue');
    sheet.table(
      [
        { title: '', width: 18 },
        { title: 'Count', width: 60, align: 'right' },
        { title: 'Part', width: 250 },
        { title: 'For', width: 180 },
      ],
      list.missing.map(({ words, count, usedFor }) => ['☐', `${count}`, words, usedFor]),
    );
  }
  if (list.tools.length > 0) {
    sheet.heading('Tools for the sensors’ seats');
    sheet.table(
      [
        { title: '', width: 18 },
        { title: 'Tool', width: 200 },
        { title: 'For', width: 290 },
      ],
      list.tools.map((tool) => ['☐', toolInWords(tool, units), tool.usedFor.join(', ')]),
    );
  }
  sheet.heading('How hose and tube are cut');
  for (const line of list.lines) cutting(sheet, line, units);
  sheet.finish();
}
