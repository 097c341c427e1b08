import { type Catalogue, type FuseItem, newestOf } from '../../catalogue/index.ts';
import { addTo } from '../../numerics/index.ts';
import type { NetPart, Netlist } from '../netlist/netlist.ts';
import { type FuseJudgement, type FuseLoad, chooseFuse, judgeFuse } from '../power/chooseFuse.ts';
import type { LoadAt } from './liveLoads.ts';
import type { Protection } from './protection.ts';

/** A fuse of the build with what it has to carry. */
export interface SizedFuse {
  readonly partId: string;
  readonly name: string;
  readonly placementId: string;
  readonly judged: FuseJudgement;
  readonly load: FuseLoad;
  readonly chosenByHand: boolean;
}

/** No smaller fuse is chosen by itself, A: it blows of nothing. */
const LEAST = 3;

/** Inrush of what lies behind a fuse, each load in the measure of its current. */
function inrushOf(
  parts: ReadonlyMap<string, NetPart>,
  behind: readonly LoadAt[],
): { readonly factor: number; readonly time: number } {
  const total = behind.reduce((sum, { load }) => sum + load.current * load.duty, 0);
  if (total <= 0) return { factor: 1, time: 1e-3 };
  let over = 0;
  let time = 1e-3;
  let most = 0;
  for (const { partId, load } of behind) {
    const inrush = parts.get(partId)?.inrush ?? { factor: 1, time: 1e-3 };
    const excess = load.current * load.duty * (inrush.factor - 1);
    over += excess;
    if (excess > most) [most, time] = [excess, inrush.time];
  }
  return { factor: 1 + over / total, time };
}

const byRating = (a: FuseItem, b: FuseItem): number => a.rating - b.rating;

/** Every fuse: the one settled by hand, judged, or the smallest that carries its load. */
export function fuseChoices(input: {
  readonly netlist: Netlist;
  readonly catalogue: Catalogue;
  readonly loads: readonly LoadAt[];
  readonly loadProtection: (each: LoadAt) => Protection | undefined;
  readonly currents: ReadonlyMap<string, number>;
  readonly ambientAt: (placementId: string) => number;
}): ReadonlyMap<string, SizedFuse> {
  const { netlist, catalogue, loads, currents } = input;
  const all = newestOf(catalogue, 'fuse');
  const blades = all.filter(({ style }) => style === 'blade').sort(byRating);
  const largest = blades.at(-1)?.rating ?? 0;
  const bolts = all
    .filter(({ style, rating }) => style === 'bolt' && rating > largest)
    .sort(byRating);
  const offered = [...blades, ...bolts].filter(({ rating }) => rating >= LEAST);
  const parts = new Map(netlist.parts.map((part) => [part.id, part]));
  const behind = new Map<string, LoadAt[]>();
  for (const each of loads) {
    const protection = input.loadProtection(each);
    if (protection?.by !== 'fuse') continue;
    addTo(behind, protection.partId, each);
  }
  return new Map(
    netlist.parts.flatMap((part) => {
      if (part.sort !== 'fuse') return [];
      const inrush = inrushOf(parts, behind.get(part.id) ?? []);
      const load: FuseLoad = {
        running: currents.get(part.id) ?? 0,
        inrushFactor: inrush.factor,
        inrushTime: inrush.time,
        ambient: input.ambientAt(part.placementId),
      };
      const judged = part.fuse ? judgeFuse(part.fuse, load) : chooseFuse(offered, load);
      const { id: partId, name, placementId } = part;
      const sized: SizedFuse = {
        partId,
        name,
        placementId,
        judged,
        load,
        chosenByHand: part.fuse !== undefined,
      };
      return [[partId, sized] as const];
    }),
  );
}
