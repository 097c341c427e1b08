import {
  type Catalogue,
  type CatalogueItem,
  type FittingItem,
  type PlugPartForm,
  alikeHoses,
  itemAt,
} from '../../catalogue/index.ts';
import { sum } from '../../numerics/index.ts';
import type { ToolNeed } from '../../electrics/index.ts';
import type { Offcut, ShelfEntry } from '../../model/index.ts';
import type { CuttingPlan } from './cutting/index.ts';
import { planFor } from './hoseCutting.ts';
import type { MissingPart, PartNeed } from './partsNeeded.ts';
import { reelsOf } from './reels.ts';

/** One spare of each fitting of which so many are used. */
export const SPARE_FROM = 4;

export const counters = [
  'Hose and tube',
  'Fittings',
  'Clamps and fasteners',
  'Fuel system',
  'Electrical',
] as const;
/** Where in a shop one asks for a part. */
export type Counter = (typeof counters)[number];

/** The counter at which a part is sold. */
export function counterOf({ category }: CatalogueItem): Counter {
  switch (category) {
    case 'hose':
      return 'Hose and tube';
    case 'fitting':
      return 'Fittings';
    case 'small-part':
    case 'fastener':
      return 'Clamps and fasteners';
    case 'pump':
    case 'injector':
    case 'filter':
    case 'regulator':
    case 'filter-regulator':
    case 'dead-head-regulator':
    case 'tank':
      return 'Fuel system';
    case 'battery':
    case 'fuse':
    case 'relay':
    case 'wire':
    case 'cover':
    case 'plug-part':
    case 'ecu':
    case 'device':
      return 'Electrical';
  }
}

/** A part of the list: what is needed, what is there, what has to be bought. */
export interface ShoppingLine {
  readonly item: CatalogueItem;
  readonly counter: Counter;
  readonly unit: PartNeed['unit'];
  readonly needed: number;
  readonly spare: number;
  /** of it on the shelf */
  readonly atHand: number;
  /** something else on the shelf that does the same */
  readonly substitutes: readonly CatalogueItem[];
  /** pieces or m to buy */
  readonly buy: number;
  readonly price: number;
  readonly mass: number;
  readonly usedFor: readonly string[];
  readonly plan: CuttingPlan | undefined;
  readonly pieces: PartNeed['pieces'];
}

export interface ShoppingList {
  readonly lines: readonly ShoppingLine[];
  readonly missing: readonly MissingPart[];
  /** drills and taps that the work asks for */
  readonly tools: readonly ToolNeed[];
  readonly price: number;
  readonly mass: number;
}

const sameFitting = (a: FittingItem, b: FittingItem): boolean =>
  a.form === b.form &&
  a.firstPort === b.firstPort &&
  a.secondPort === b.secondPort &&
  a.joint === b.joint &&
  a.holds === b.holds &&
  a.dash === b.dash &&
  Math.abs(a.hoseBore - b.hoseBore) < 1e-4 &&
  Math.abs(a.angle - b.angle) < 1e-3 &&
  b.pressureRating >= a.pressureRating &&
  b.bore >= 0.95 * a.bore;

/** Whether another item does what one does: same kind, same joints, rated for no less. */
export function doesTheSame(
  item: CatalogueItem,
  other: CatalogueItem,
  catalogue: Catalogue,
): boolean {
  if (item.id === other.id) return false;
  if (item.category === 'fitting' && other.category === 'fitting') return sameFitting(item, other);
  if (item.category === 'hose' && other.category === 'hose') {
    return (
      other.dash === item.dash &&
      Math.abs(other.bore / item.bore - 1) < 0.02 &&
      alikeHoses(catalogue, item).some(({ id }) => id === other.id)
    );
  }
  if (item.category === 'small-part' && other.category === 'small-part') {
    return (
      item.form === other.form &&
      item.form !== 'other' &&
      other.diameterMin <= item.diameterMin &&
      other.diameterMax >= item.diameterMax
    );
  }
  return false;
}

const inCents = (price: number): number => Math.round(price * 100) / 100;

/** Mass kg of so much of an item: of hose, wire and sleeve it is told by the metre. */
const massOf = ({ mass }: CatalogueItem, quantity: number): number => mass * quantity;

/** Share of contacts, seals, plugs of cavities and lugs that is bought beyond what is counted. */
const OVER = 0.1;
const lostInWork: ReadonlySet<PlugPartForm> = new Set(['contact', 'seal', 'cavity plug', 'lug']);

/** How many of a part are bought to spare. */
function spareOf(item: CatalogueItem, quantity: number): number {
  if (item.category === 'plug-part' && lostInWork.has(item.form)) return Math.ceil(OVER * quantity);
  return item.category === 'fitting' && quantity >= SPARE_FROM ? 1 : 0;
}

/** How much is bought of what is sold by the metre, m. */
function lengthBought(
  item: CatalogueItem,
  quantity: number,
  pieces: PartNeed['pieces'],
  plan: CuttingPlan | undefined,
): number {
  switch (item.category) {
    case 'hose':
      return plan?.bought ?? quantity;
    case 'wire':
      return sum(
        reelsOf(pieces.map((piece) => ({ colour: '', ...piece, item }))).map(
          ({ bought }) => bought,
        ),
      );
    default:
      return Math.ceil(quantity - 1e-6);
  }
}

/** What has to be bought for what is needed, less what lies on the shelf. */
export function shoppingList(input: {
  readonly parts: readonly PartNeed[];
  readonly missing: readonly MissingPart[];
  readonly tools: readonly ToolNeed[];
  readonly shelf: readonly ShelfEntry[];
  readonly offcuts: readonly Offcut[];
  readonly catalogue: Catalogue;
}): ShoppingList {
  const { parts, missing, tools, shelf, offcuts, catalogue } = input;
  const onShelf = shelf.flatMap(({ item }) => itemAt(catalogue, item) ?? []);
  const line = ({ item, unit, quantity, usedFor, pieces }: PartNeed): ShoppingLine => {
    const atHand = shelf.find((entry) => entry.item.id === item.id)?.count ?? 0;
    const spare = spareOf(item, quantity);
    const plan = item.category === 'hose' ? planFor(item, pieces, offcuts) : undefined;
    const buy =
      unit === 'piece'
        ? Math.max(0, quantity + spare - atHand)
        : lengthBought(item, quantity, pieces, plan);
    return {
      item,
      counter: counterOf(item),
      unit,
      needed: quantity,
      spare,
      atHand,
      substitutes: buy > 0 ? onShelf.filter((other) => doesTheSame(item, other, catalogue)) : [],
      buy,
      price: inCents(item.price * buy),
      mass: massOf(item, quantity),
      usedFor,
      plan,
      pieces,
    };
  };
  const lines = parts
    .map(line)
    .sort((a, b) => counters.indexOf(a.counter) - counters.indexOf(b.counter));
  return {
    lines,
    missing,
    tools,
    price: inCents(lines.reduce((sum, each) => sum + each.price, 0)),
    mass: lines.reduce((sum, each) => sum + each.mass, 0),
  };
}
