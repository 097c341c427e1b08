import { firstOf, lastOf } from '../../numerics/index.ts';
import type { Sourced } from '../../results/index.ts';
import type { WireItem } from '../../catalogue/index.ts';
import { resistanceAt } from './heatBalance.ts';
import type { DerivedWire } from '../netlist/derivedWire.ts';
import {
  type Criterion,
  type WireTask,
  runningTemperature,
  wireAmpacity,
  wireCriteria,
} from './wireCriteria.ts';

/** Where the figures that a wire is sized by come from. */
export interface WireOrigins {
  readonly load: Sourced<number>;
  /** the hotter of its two places */
  readonly hottestPlaceId: string;
  /** where the build says how many wires are loaded together; empty: taken as one */
  readonly bundledAt: readonly string[];
}

export interface WireJob {
  readonly wire: DerivedWire;
  readonly task: WireTask;
  readonly origins: WireOrigins;
  /** size chosen by hand, if any */
  readonly override: WireItem | null;
}

/** A wire with its size and all six criteria judged. SI. */
export interface SizedWire {
  readonly wire: DerivedWire;
  readonly task: WireTask;
  readonly origins: WireOrigins;
  readonly size: WireItem;
  readonly chosenByHand: boolean;
  readonly ampacity: number;
  readonly temperature: number;
  readonly resistance: number;
  readonly drop: number;
  readonly criteria: readonly Criterion[];
}

export interface SizedGroup {
  readonly wires: readonly SizedWire[];
  /** drop V in the group's wires, out and back, at the sizing current */
  readonly drop: number;
  readonly dropLimit: number;
  /** what the next smaller size of the catalogue fails; empty where there is none, or a wire is chosen by hand */
  readonly decidedBy: readonly Criterion['name'][];
  /** no size passes everything: the one that was taken is only the least wrong */
  readonly noSizePasses: boolean;
  /** how each catalogue size would do for the whole group */
  readonly candidates: readonly GroupCandidate[];
}

export interface GroupCandidate {
  readonly size: WireItem;
  readonly drop: number;
  readonly fails: readonly Criterion['name'][];
}

function withSize(job: WireJob, size: WireItem, chosenByHand: boolean): SizedWire {
  const temperature = runningTemperature(size, job.task);
  const ampacity = wireAmpacity(size, job.task);
  const resistance = resistanceAt(size.resistancePerMetre, temperature) * job.task.length;
  return {
    wire: job.wire,
    task: job.task,
    origins: job.origins,
    size,
    chosenByHand,
    ampacity,
    temperature,
    resistance,
    drop: resistance * job.task.load,
    criteria: wireCriteria(size, job.task, { ampacity, temperature }),
  };
}

const dropOf = (wires: readonly SizedWire[]): number => wires.reduce((sum, w) => sum + w.drop, 0);

/** Judges the voltage drop of the whole group and writes it among each wire's criteria. */
function withDrop(wires: readonly SizedWire[], limit: number): SizedWire[] {
  const total = dropOf(wires);
  const criterion: Criterion = {
    name: 'voltage drop',
    verdict: total <= limit * (1 + 1e-9) ? 'passes' : 'fails',
    measured: total,
    limit,
    kind: 'voltage',
  };
  return wires.map((w) => ({
    ...w,
    criteria: [firstOf(w.criteria), criterion, ...w.criteria.slice(1)],
  }));
}

/** What a wire that fails it is a danger by, not only a nuisance. */
const dangers: ReadonlySet<Criterion['name']> = new Set(['current', 'short circuit', 'fuse']);

/**
 * The smallest size that passes everything; where none does, first one that is no danger, then one
 * that fails fewest and fits its terminals: of several that only drop too much the thickest.
 */
function leastWrong(candidates: readonly GroupCandidate[]): GroupCandidate {
  const best = (rank: (candidate: GroupCandidate) => number, among = candidates) => {
    const least = Math.min(...among.map(rank));
    return among.filter((candidate) => rank(candidate) === least);
  };
  const safe = best(({ fails }) => fails.filter((name) => dangers.has(name)).length);
  const few = best(({ fails }) => fails.length, safe);
  const fitting = best(({ fails }) => Number(fails.includes('terminal fit')), few);
  const first = firstOf(fitting);
  return first.fails.includes('voltage drop') ? lastOf(fitting) : first;
}

/**
 * Sizes wires that carry one load out and back: one size for all, the smallest of `sizes` that
 * passes every criterion; when none does, the one that is least wrong. Overrides are kept and
 * judged. Criteria "fit" and "mechanical minimum" may need a larger size than the load does.
 */
export function sizeGroup(input: {
  jobs: readonly WireJob[];
  /** smallest first */
  sizes: readonly WireItem[];
  dropLimit: number;
  /** whether those beyond the first that passes are judged too, to be shown */
  showLarger: boolean;
}): SizedGroup {
  const { jobs, dropLimit, sizes } = input;
  const candidates: GroupCandidate[] = [];
  for (const size of sizes) {
    if (!input.showLarger && candidates.at(-1)?.fails.length === 0) break;
    const wires = withDrop(
      jobs.map((job) => withSize(job, size, false)),
      dropLimit,
    );
    const fails = new Set(
      wires.flatMap((w) => w.criteria.filter((c) => c.verdict === 'fails').map((c) => c.name)),
    );
    candidates.push({ size, drop: dropOf(wires), fails: [...fails] });
  }
  const automatic = leastWrong(candidates).size;
  const wires = withDrop(
    jobs.map((job) => withSize(job, job.override ?? automatic, job.override !== null)),
    dropLimit,
  );
  const byHand = jobs.some(({ override }) => override !== null);
  const smaller = candidates[sizes.indexOf(automatic) - 1];
  return {
    decidedBy: byHand ? [] : (smaller?.fails ?? []),
    noSizePasses: candidates.every(({ fails }) => fails.length > 0),
    wires,
    drop: dropOf(wires),
    dropLimit,
    candidates,
  };
}
