import { seededUniform } from '../../../numerics/index.ts';
import { type Grouped, WorthTable, inSteps } from './patterns.ts';
import type { Bar, Filled } from './problem.ts';

/** Longer pieces are worth a little more than their length, as they are harder to place. */
const LENGTH_POWER = 1.03;

/**
 * Plans without end, each filled bar by bar with the pieces that are worth most; after each bar the
 * pieces in it are worth more the more of it was wasted, so that later plans place the awkward ones
 * earlier (sequential value correction: Mukhacheva, Belov, Kartak and Mukhacheva, Pesquisa Operacional
 * 20 (2000), pages 153 to 168). All of these offcuts come before anything is bought.
 */
export function* valuedPlans(all: Grouped, offcuts: readonly Bar[], seed = 1): Generator<Filled[]> {
  const { takes, holds } = inSteps(all);
  const uniform = seededUniform(seed);
  const plain = takes.map((step) => step ** LENGTH_POWER);
  const worth = [...plain];
  const stock = all.kinds.flatMap((kind, k) =>
    kind.offcuts ? [] : [{ kind, room: holds[k] ?? 0 }],
  );
  const sameKind = (bar: Bar): number =>
    all.kinds.findIndex((kind) => kind.offcuts?.includes(bar) === true);
  const scarce = offcuts.map((bar) => ({ bar, room: holds[sameKind(bar)] ?? 0 }));
  for (;;) {
    const left = all.groups.map(({ pieces }) => [...pieces]);
    const filled: Filled[] = [];
    const free = [...scarce];
    while (left.some((rest) => rest.length > 0)) {
      const open = left.flatMap((rest, g) => (rest.length > 0 ? [g] : []));
      const openTakes = open.map((g) => takes[g] ?? 0);
      const inAll = open.reduce((total, g) => total + (takes[g] ?? 0) * (left[g]?.length ?? 0), 0);
      const table = new WorthTable(
        openTakes,
        open.map((g) => left[g]?.length ?? 0),
        open.map((g) => worth[g] ?? 0),
        Math.max(...stock.map(({ room }) => room), ...free.map(({ room }) => room)),
      );
      const fits = Math.min(...openTakes);
      while (free[0] && free[0].room < fits) free.shift();
      const next = free.shift();
      let bar = next?.bar;
      let room = next?.room ?? 0;
      if (!bar) {
        // The shortest that takes all the rest, or the one whose length is best used.
        const last = stock.filter((each) => each.room >= inAll).at(-1);
        const used = (each: (typeof stock)[number]): number =>
          table.bestWorth(each.room) / each.kind.length;
        const best = last ?? stock.reduce((a, b) => (used(b) > used(a) * (1 + 1e-9) ? b : a));
        bar = { length: best.kind.length, holds: best.kind.holds, offcutId: undefined };
        room = best.room;
      }
      const counts = table.fillings(room, table.bestWorth(room) - 1e-6, 1)[0];
      if (!counts) return;
      const filling = counts.reduce((total, count, i) => total + count * (openTakes[i] ?? 0), 0);
      const scarcity = room / Math.max(1, filling);
      counts.forEach((count, i) => {
        const g = open[i] ?? 0;
        if (count === 0) return;
        const before = (1 + uniform() / 2) * (all.groups[g]!.pieces.length + left[g]!.length);
        worth[g] = (before * worth[g]! + count * plain[g]! * scarcity) / (before + count);
      });
      const pieces = counts.flatMap((count, i) => left[open[i] ?? 0]?.splice(0, count) ?? []);
      if (pieces.length === 0) return;
      filled.push({ bar, pieces });
    }
    yield filled;
  }
}
