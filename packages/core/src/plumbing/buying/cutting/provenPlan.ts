import {
  type LinearProgram,
  type ProgramSolver,
  type SearchTime,
  searchTime,
  sum,
} from '../../../numerics/index.ts';
import { COUNTED_OFFCUTS, boughtUpTo, commonStep } from './bounds.ts';
import { type Grouped, type Pattern, WorthTable, grouped, inSteps } from './patterns.ts';
import {
  type Bar,
  type CuttingPlan,
  type CuttingProblem,
  type Filled,
  SAME,
  planOf,
  prepared,
} from './problem.ts';
import { cuttingPlan } from './searchedPlan.ts';
import { valuedPlans } from './valuedPlans.ts';

/** How far the proof of a plan is: what is found so far, and in how many ways to cut a bar it is looked for. */
export interface CuttingProof {
  readonly plan: CuttingPlan;
  readonly ways: number;
  readonly doing: 'pricing' | 'filling' | 'choosing' | 'proving';
}

/** A proof may take so long where no time is given, s. */
export const CUTTING_SECONDS = 60;
/** Seconds that a first choice among the ways found may take. */
const CHOICE_SECONDS = 8;
/** Plans that are filled bar by bar before a choice is made among their ways. */
const FILLED_PLANS = 60;
/** So many of them between two tellings. */
const FILLED_AT_ONCE = 10;
/** More ways than these are not put into one program: the plan then stays without proof. */
const MOST_WAYS = 60_000;
/** Costs that differ by less are the same, m. */
const EVEN = 1e-6;

/** What is made least, of the bars of a kind; and what else is limited. */
interface Aim {
  readonly cost: readonly number[];
  readonly limit: { readonly weight: readonly number[]; readonly most: number } | undefined;
  /** the least cost that a plan can have which costs this or more */
  upTo(cost: number): number;
  /** the most that a plan can cost which costs less than this */
  below(cost: number): number;
  /** offcuts that a plan may use which costs at least the bound and less than the best */
  offcutSets(bound: number, best: number): readonly (readonly Bar[])[];
  mostBought(): number;
}

/** What came of choosing among ways to cut; `stopped` and `unknown`: in the time there was. */
type ChoiceAnswer =
  | { readonly status: 'none' | 'unknown' }
  | { readonly status: 'best' | 'stopped'; readonly choice: Choice };

/** A choice among ways to cut, and the bars as then filled: none where rounding promised what does not fit. */
interface Choice {
  readonly cost: number;
  readonly filled: Filled[] | undefined;
}

/** What a plan costs at least, and what pieces and bars are worth then. */
interface Relaxed {
  readonly cost: number;
  readonly table: WorthTable;
  readonly price: readonly number[];
}

class CuttingProgram {
  private readonly steps: ReturnType<typeof inSteps>;
  private readonly ways = new Map<string, Pattern>();

  constructor(
    private readonly all: Grouped,
    private readonly solve: ProgramSolver,
    private readonly time: SearchTime,
  ) {
    this.steps = inSteps(all);
  }

  get count(): number {
    return this.ways.size;
  }

  add(pattern: Pattern): boolean {
    const key = `${pattern.kind}:${pattern.counts.join()}`;
    if (this.ways.has(key)) return false;
    this.ways.set(key, pattern);
    return true;
  }

  private program(ways: readonly Pattern[], aim: Aim, whole: boolean): LinearProgram {
    const { groups, kinds } = this.all;
    return {
      columns: ways.map(({ kind, counts }) => ({
        cost: aim.cost[kind] ?? 0,
        upper: Infinity,
        entries: [
          ...counts.flatMap((count, g): [number, number][] => (count > 0 ? [[g, count]] : [])),
          ...(kinds[kind]?.offcuts ? [[groups.length + kind, 1] as const] : []),
          ...(aim.limit && (aim.limit.weight[kind] ?? 0) > 0
            ? [[groups.length + kinds.length, aim.limit.weight[kind] ?? 0] as const]
            : []),
        ],
      })),
      rows: [
        ...groups.map(({ pieces }) => ({ lower: pieces.length, upper: Infinity })),
        ...kinds.map(({ offcuts }) => ({ lower: -Infinity, upper: offcuts?.length ?? Infinity })),
        ...(aim.limit ? [{ lower: -Infinity, upper: aim.limit.most + EVEN }] : []),
      ],
      whole,
    };
  }

  /**
   * Least cost when bars may be bought in parts, with what a piece and a bar of each kind is then
   * worth: ways to cut are added until no further one could lower it; undefined where the time is over.
   */
  relaxed(aim: Aim): Relaxed | undefined {
    const { groups, kinds } = this.all;
    for (;;) {
      const seconds = this.time.left();
      if (seconds <= 0) return undefined;
      const answer = this.solve(this.program([...this.ways.values()], aim, false), seconds);
      if (answer.status === 'unknown' || answer.status === 'stopped') return undefined;
      if (answer.status === 'infeasible') throw new Error('a plan that is there was not found');
      const worth = groups.map((_, g) => Math.max(0, answer.prices[g] ?? 0));
      const limitPrice = answer.prices[groups.length + kinds.length] ?? 0;
      // What a bar of the kind costs in all: itself, its scarcity, and the limit it counts into.
      const price = kinds.map(
        (_, k) =>
          (aim.cost[k] ?? 0) -
          Math.min(0, answer.prices[groups.length + k] ?? 0) -
          Math.min(0, limitPrice) * (aim.limit?.weight[k] ?? 0),
      );
      const table = new WorthTable(
        this.steps.takes,
        groups.map(({ pieces }) => pieces.length),
        worth,
        Math.max(0, ...this.steps.holds),
      );
      let added = 0;
      kinds.forEach((_, kind) => {
        const room = this.steps.holds[kind] ?? 0;
        const best = table.bestWorth(room);
        if (best <= (price[kind] ?? 0) + EVEN / 10) return;
        for (const counts of table.fillings(room, best - 1e-9, 3)) {
          if (this.add({ kind, counts })) added += 1;
        }
      });
      if (added === 0) return { cost: answer.cost, table, price };
    }
  }

  /** The ways that a plan can use which costs no more than `slack` above the relaxed cost. */
  addWithin(relaxed: Relaxed, slack: number): boolean {
    this.all.kinds.forEach((_, kind) => {
      const room = this.steps.holds[kind] ?? 0;
      const atLeast = (relaxed.price[kind] ?? 0) - slack - EVEN;
      for (const counts of relaxed.table.fillings(room, atLeast, MOST_WAYS)) {
        this.add({ kind, counts });
      }
    });
    return this.ways.size < MOST_WAYS;
  }

  /** The best choice among the ways found, in the time that is left of all or of this choice. */
  choice(aim: Aim, most = Infinity): ChoiceAnswer {
    const seconds = Math.min(most, this.time.left());
    if (seconds <= 0) return { status: 'unknown' };
    const ways = [...this.ways.values()];
    const answer = this.solve(this.program(ways, aim, true), seconds);
    if (answer.status === 'infeasible') return { status: 'none' };
    if (answer.status === 'unknown') return { status: 'unknown' };
    const choice = { cost: answer.cost, filled: this.filledBy(ways, answer.amounts) };
    return { status: answer.status === 'optimal' ? 'best' : 'stopped', choice };
  }

  /** Puts the pieces into bars as chosen; undefined where rounding promised what does not fit. */
  private filledBy(ways: readonly Pattern[], amounts: readonly number[]): Filled[] | undefined {
    const left = this.all.groups.map(({ pieces }) => [...pieces]);
    const offcuts = this.all.kinds.map((kind) => [...(kind.offcuts ?? [])]);
    const filled: Filled[] = [];
    ways.forEach(({ kind, counts }, j) => {
      for (let n = Math.round(amounts[j] ?? 0); n > 0; n--) {
        const pieces = counts.flatMap((count, g) => left[g]?.splice(0, count) ?? []);
        const { length, holds, offcuts: scarce } = this.all.kinds[kind]!;
        if (pieces.length === 0) continue;
        const bar = scarce ? offcuts[kind]?.shift() : { length, holds, offcutId: undefined };
        if (bar) filled.push({ bar, pieces });
      }
    });
    return fits(filled) && left.every((rest) => rest.length === 0) ? filled : undefined;
  }
}

/** Whether all that is cut is in the bars. */
const fits = (filled: readonly Filled[]): boolean =>
  filled.every(({ bar, pieces }) => sum(pieces.map(({ takes }) => takes)) <= bar.holds + SAME);

/** So many sets of offcuts are tried one by one. */
const MOST_SETS = 40;

/** Sets of offcuts, the shortest together first, that are as long as the bound and shorter than the best. */
function setsBetween(offcuts: readonly Bar[], bound: number, best: number): Bar[][] {
  if (offcuts.length > COUNTED_OFFCUTS) return [];
  return Array.from({ length: 1 << offcuts.length }, (_, set) =>
    offcuts.filter((_bar, i) => set & (1 << i)),
  )
    .map((bars) => ({ bars, length: sum(bars.map(({ length }) => length)) }))
    .filter(({ length }) => length >= bound - EVEN && length < best - EVEN)
    .sort((a, b) => a.length - b.length)
    .slice(0, MOST_SETS)
    .map(({ bars }) => bars);
}

/** Every sum that some of these lengths have, from the least; only where they are few. */
function partialSums(lengths: readonly number[]): readonly number[] {
  const sums = lengths.reduce<readonly number[]>(
    (known, length) => [
      ...new Set([...known, ...known.map((each) => +(each + length).toFixed(6))]),
    ],
    [0],
  );
  return [...sums].sort((a, b) => a - b);
}

/**
 * Proves a plan least, or finds a better one, by integer programs over ways to cut a bar: what pieces
 * are worth when bars may be bought in parts gives the bound, and only ways that could be part of a
 * better plan are looked at. The plan buys least and, of those that do, touches least of the offcuts.
 * Walk it step by step; it returns the plan, `proven` unless there were too many ways or the time was
 * over.
 * Throws BadInput for a piece that nothing is long enough for.
 */
export function* provenCuttingPlan(
  problem: CuttingProblem,
  solve: ProgramSolver,
  from: CuttingPlan = cuttingPlan(problem, 3000),
  seconds = CUTTING_SECONDS,
): Generator<CuttingProof, CuttingPlan> {
  if (from.proven || problem.pieces.length === 0) return from;
  const ready = prepared(problem);
  const all = grouped(ready);
  const program = new CuttingProgram(all, solve, searchTime(seconds));
  const groupOf = new Map(
    all.groups.flatMap(({ pieces }, g) => pieces.map(({ id }) => [id, g] as const)),
  );
  const use = (plan: CuttingPlan): void => {
    for (const { length, offcutId, pieces } of plan.lengths) {
      const counts = all.groups.map(() => 0);
      for (const id of pieces) counts[groupOf.get(id) ?? 0]! += 1;
      const kind = all.kinds.findIndex(
        (each) =>
          Math.abs(each.length - length) < SAME &&
          (each.offcuts !== undefined) === (offcutId !== undefined),
      );
      program.add({ kind, counts });
    }
  };
  let best = from;
  use(from);
  const step = commonStep(ready.stock.map(({ length }) => length));
  const bought = all.kinds.map(({ length, offcuts }) => (offcuts ? 0 : length));
  const touched = all.kinds.map(({ length, offcuts }) => (offcuts ? length : 0));
  const touchedOf = ({ lengths }: CuttingPlan): number =>
    sum(lengths.filter(({ offcutId }) => offcutId !== undefined).map(({ length }) => length));

  function* least(
    aim: Aim,
    costOf: (plan: CuttingPlan) => number,
  ): Generator<CuttingProof, boolean> {
    const telling = (doing: CuttingProof['doing']): CuttingProof => ({
      plan: best,
      ways: program.count,
      doing,
    });
    const adopt = (choice: Choice): void => {
      if (!choice.filled) return;
      const plan = planOf(choice.filled, best.bound, false);
      if (costOf(plan) < costOf(best) - EVEN) best = plan;
    };
    yield telling('pricing');
    const relaxed = program.relaxed(aim);
    if (!relaxed) return false;
    const bound = aim.upTo(relaxed.cost - EVEN);
    if (!aim.limit) best = { ...best, bound: Math.max(best.bound, bound) };
    if (costOf(best) <= bound + EVEN) return true;
    for (const offcuts of aim.offcutSets(bound, costOf(best))) {
      let tries = 0;
      for (const filled of valuedPlans(all, offcuts)) {
        const plan = planOf(filled, best.bound, false);
        if (fits(filled)) {
          use(plan);
          if (plan.bought <= aim.mostBought() + EVEN) adopt({ cost: costOf(plan), filled });
        }
        if (costOf(best) <= bound + EVEN) return true;
        tries += 1;
        if (tries >= FILLED_PLANS) break;
        if (tries % FILLED_AT_ONCE === 0) yield telling('filling');
      }
    }
    yield telling('choosing');
    const early = program.choice(aim, CHOICE_SECONDS);
    if ('choice' in early) adopt(early.choice);
    if (costOf(best) <= bound + EVEN) return true;
    if (!program.addWithin(relaxed, aim.below(costOf(best)) - relaxed.cost)) return false;
    yield telling('proving');
    const last = program.choice(aim);
    if ('choice' in last) adopt(last.choice);
    // Nothing among all ways that could be part of a better plan: the plan there is cannot be bettered.
    return (
      last.status === 'none' || (last.status === 'best' && costOf(best) <= last.choice.cost + EVEN)
    );
  }

  const leastBought = yield* least(
    {
      cost: bought,
      limit: undefined,
      upTo: (cost) => boughtUpTo(cost, ready.stock),
      below: (cost) => cost - (step > 0 ? step : 2 * EVEN),
      offcutSets: () => [ready.offcuts],
      mostBought: () => Infinity,
    },
    (plan) => plan.bought,
  );
  if (!leastBought) return best;
  best = { ...best, bound: best.bought };
  const sums =
    ready.offcuts.length <= COUNTED_OFFCUTS
      ? partialSums(ready.offcuts.map(({ length }) => length))
      : [];
  const leastTouched =
    ready.offcuts.length === 0 ||
    (yield* least(
      {
        cost: touched,
        limit: { weight: bought, most: best.bought },
        upTo: (cost) => sums.find((each) => each >= cost - EVEN) ?? cost,
        below: (cost) => sums.findLast((each) => each < cost - EVEN) ?? cost - 2 * EVEN,
        offcutSets: (bound, cost) => setsBetween(ready.offcuts, bound, cost),
        mostBought: () => best.bought,
      },
      touchedOf,
    ));
  return { ...best, proven: leastTouched };
}
