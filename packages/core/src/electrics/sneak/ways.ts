import type { Branch } from './condensed.ts';

/** A branch as it is passed, towards a region. */
export interface Step {
  readonly branch: Branch;
  readonly to: string;
}
/** Which branches meet at each region. */
export type Meeting = ReadonlyMap<string, readonly Step[]>;

/** Which branches meet at each region. */
export function meeting(branches: readonly Branch[]): Meeting {
  const at = new Map<string, Step[]>();
  const add = (region: string, step: Step): void => {
    const present = at.get(region);
    if (present) present.push(step);
    else at.set(region, [step]);
  };
  for (const branch of branches) {
    add(branch.from, { branch, to: branch.to });
    add(branch.to, { branch, to: branch.from });
  }
  return at;
}

/** How each region that can be reached is reached first: the region before, and the branch passed. */
export type Reached = ReadonlyMap<
  string,
  { readonly before: string; readonly by: Branch } | undefined
>;

/** Regions that are reached from some others over branches that may be passed: not into `walls`, and no further than the first of `ends`. */
export function reach(
  at: Meeting,
  starts: Iterable<string>,
  passes: (branch: Branch) => boolean,
  walls: ReadonlySet<string>,
  ends: ReadonlySet<string> = new Set(),
): Reached {
  const reached = new Map<string, { before: string; by: Branch } | undefined>();
  const open: string[] = [];
  for (const start of starts) {
    if (reached.has(start)) continue;
    reached.set(start, undefined);
    open.push(start);
  }
  for (let i = 0; i < open.length; i++) {
    const region = open[i] ?? '';
    for (const { branch, to } of at.get(region) ?? []) {
      if (reached.has(to) || walls.has(to) || !passes(branch)) continue;
      reached.set(to, { before: region, by: branch });
      if (ends.has(to)) return reached;
      open.push(to);
    }
  }
  return reached;
}

/** The branches over which a region was reached, from where it began. */
export function wayTo(reached: Reached, region: string): Branch[] {
  const way: Branch[] = [];
  for (let step = reached.get(region); step; step = reached.get(step.before)) way.unshift(step.by);
  return way;
}
