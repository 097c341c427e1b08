import { type PanelHoles, type PanelRect, holesOf, overlap } from './holders.ts';
import { sum } from '../../numerics/index.ts';

/** Something that is bolted to a panel. Lengths m. */
export interface PanelItem {
  readonly id: string;
  readonly name: string;
  readonly sort: 'relay' | 'fuse' | 'stud' | 'plug';
  readonly width: number;
  readonly height: number;
  /** diameter of its holes */
  readonly hole: number;
  /** two holes above each other so far apart; 0: one in the middle */
  readonly spacing: number;
}

/** Where an item stands: the middle of its holder from the lower left of the plate, m. */
export interface PanelPlace {
  readonly item: PanelItem;
  readonly x: number;
  readonly y: number;
  /** whether a person moved it there */
  readonly byHand: boolean;
}

/** A plate with everything on it. Lengths m. */
export interface PanelLayout {
  readonly width: number;
  readonly height: number;
  readonly places: readonly PanelPlace[];
  /** all holes of the plate: of holders, and of the four fasteners that hold it */
  readonly holes: PanelHoles;
  /** pairs that stand in each other’s way */
  readonly clashes: readonly (readonly [string, string])[];
  /** what reaches over the edge */
  readonly outside: readonly string[];
}

/** Between holders beside each other, so that fingers get at them. */
export const FINGERS = 0.008;
/** Between rows, for the wires to bend. */
export const BEND = 0.03;
/** Along the edge, for the fasteners. */
export const EDGE = 0.022;
/** Fasteners: their hole, and how far it is from both edges. */
const FASTENER = { hole: 0.0065, inset: 0.011 } as const;
/** A plate is so much wider than high where nobody says. */
const SHAPE = 1.5;

/** Plates come in steps of 10 mm. */
const STEPS_A_METRE = 100;
const steps = (value: number): number => Math.ceil(value * STEPS_A_METRE - 1e-9);
const up = (value: number): number => steps(value) / STEPS_A_METRE;

/** Rows from the top: relays, fuses with the stud, and plugs at the lower edge. */
const rowOrder: readonly (readonly PanelItem['sort'][])[] = [['relay'], ['fuse', 'stud'], ['plug']];

/** The rows that items make on a plate of a width. */
function rowsIn(items: readonly PanelItem[], width: number): PanelItem[][] {
  const room = width - 2 * EDGE;
  return rowOrder.flatMap((sorts) => {
    const rows: PanelItem[][] = [];
    for (const item of items.filter(({ sort }) => sorts.includes(sort))) {
      const row = rows.at(-1);
      const taken = row ? sum(row.map((each) => each.width + FINGERS)) : Infinity;
      if (row && taken + item.width <= room + 1e-9) row.push(item);
      else rows.push([item]);
    }
    return rows;
  });
}

const heightOf = (row: readonly PanelItem[]): number =>
  Math.max(...row.map(({ height }) => height));
const heightFor = (rows: readonly (readonly PanelItem[])[]): number =>
  2 * EDGE + sum(rows.map(heightOf)) + BEND * Math.max(0, rows.length - 1);

/** The width whose plate comes nearest to the usual shape. */
function usualWidth(items: readonly PanelItem[]): number {
  const least = up(Math.max(0.1, ...items.map(({ width }) => width + 2 * EDGE)));
  const most = Math.max(least, up(sum(items.map(({ width }) => width + FINGERS)) + 2 * EDGE));
  const off = (width: number): number =>
    Math.abs(Math.log(width / up(heightFor(rowsIn(items, width))) / SHAPE));
  let best = least;
  for (let step = steps(least); step <= steps(most); step += 1) {
    const width = step / STEPS_A_METRE;
    if (off(width) < off(best) - 1e-9) best = width;
  }
  return best;
}

/**
 * Lays items on a plate: in rows by their sort, with room for fingers between them and for wires
 * between rows. What was moved by hand stays where it is; each of the others keeps the place that it
 * would have anyway, so that moving one moves no other.
 */
export function panelLayout(input: {
  readonly items: readonly PanelItem[];
  /** undefined: as large as it has to be */
  readonly width: number | undefined;
  readonly height: number | undefined;
  readonly byHand: ReadonlyMap<string, { readonly x: number; readonly y: number }>;
}): PanelLayout {
  const { items, byHand } = input;
  const width = input.width ?? usualWidth(items);
  const rows = rowsIn(items, width);
  const height = input.height ?? up(heightFor(rows));
  let top = height - EDGE;
  const places = rows.flatMap((row) => {
    const tall = heightOf(row);
    const y = top - tall / 2;
    top -= tall + BEND;
    let left = EDGE;
    return row.map((item): PanelPlace => {
      const x = left + item.width / 2;
      left += item.width + FINGERS;
      const moved = byHand.get(item.id);
      return { item, x: moved?.x ?? x, y: moved?.y ?? y, byHand: moved !== undefined };
    });
  });
  const rectOf = ({ item, x, y }: PanelPlace): PanelRect => ({
    left: x - item.width / 2,
    right: x + item.width / 2,
    bottom: y - item.height / 2,
    top: y + item.height / 2,
  });
  const inside = ({ left, right, bottom, top: upper }: PanelRect): boolean =>
    left >= -1e-9 && bottom >= -1e-9 && right <= width + 1e-9 && upper <= height + 1e-9;
  const corners = [FASTENER.inset, width - FASTENER.inset].flatMap((x) =>
    [FASTENER.inset, height - FASTENER.inset].map((y) => ({ x, y, diameter: FASTENER.hole })),
  );
  return {
    width,
    height,
    places,
    holes: [...corners, ...places.flatMap(holesOf)],
    clashes: places.flatMap((a, i) =>
      places
        .slice(i + 1)
        .filter((b) => overlap(rectOf(a), rectOf(b)))
        .map((b) => [a.item.id, b.item.id] as const),
    ),
    outside: places.filter((place) => !inside(rectOf(place))).map(({ item }) => item.id),
  };
}
