import type { UnitKind } from '../quantities/index.ts';
import { electricsFigure } from '../electrics/index.ts';
import { engineFigure } from '../engine/index.ts';
import { fuelFigure } from '../fuel/index.ts';
import type { Result, Severity } from '../results/index.ts';
import type { Evaluation } from './evaluate.ts';

/** One thing that moved downstream of an edit. */
export type RippleEntry =
  | {
      readonly type: 'finding';
      readonly id: string;
      readonly title: string;
      readonly before: Severity | null;
      readonly after: Severity | null;
      /** it was accepted, and is open again because it got worse */
      readonly reopened?: true;
    }
  | {
      readonly type: 'figure';
      readonly key: string;
      readonly label: string;
      readonly kind: UnitKind;
      readonly before: number;
      readonly after: number;
      /** |after − before| over the larger magnitude */
      readonly change: number;
    };

/** Figures worth telling when they move. */
const told = new Set(
  [
    engineFigure('demand.design.massFlow'),
    engineFigure('demand.disagreement'),
    engineFigure('fuel.hot.vapourPressureAbsolute'),
    fuelFigure('injector.duty', { at: 'peak' }),
    fuelFigure('injector.sag', { at: 'peak' }),
    fuelFigure('injector.pulse', { at: 'idle' }),
    fuelFigure('pumps.flowAvailable'),
    fuelFigure('pumps.margin'),
    fuelFigure('pumps.voltage'),
    fuelFigure('pumps.current'),
    fuelFigure('rail.pressure', { at: 'peak' }),
    fuelFigure('return.reserve', { at: 'idle' }),
    electricsFigure('feed.area'),
    electricsFigure('feed.drop'),
    electricsFigure('fuse.rating'),
  ].map((ref) => ref.key),
);
const NOTABLE = 0.005;

const weight: Record<Severity, number> = { stop: 3, warn: 2, note: 1 };
const weightOf = (severity: Severity | null): number => (severity ? weight[severity] : 0);

/** What an evaluation is compared by. */
export type Compared = Pick<Evaluation, 'results' | 'findings'>;

/** What changed from one evaluation to the next, worst first. Empty when nothing of note did. */
export function ripple(before: Compared, after: Compared): RippleEntry[] {
  return differences(before, after, { figures: (result) => told.has(result.key) });
}

/**
 * Every difference between two evaluations, ranked: what is worse in the second, then figures by
 * how much they differ, then what is better. `figures` says which are looked at.
 */
export function differences(
  before: Compared,
  after: Compared,
  options: { readonly figures: (result: Result) => boolean },
): RippleEntry[] {
  const severityBefore = new Map(before.findings.map((f) => [f.id, f]));
  const severityAfter = new Map(after.findings.map((f) => [f.id, f]));
  const ids = new Set([...severityBefore.keys(), ...severityAfter.keys()]);
  const findings: Extract<RippleEntry, { type: 'finding' }>[] = [];
  for (const id of ids) {
    const was = severityBefore.get(id)?.severity ?? null;
    const is = severityAfter.get(id)?.severity ?? null;
    const accepted = severityBefore.get(id)?.accepted !== undefined;
    const reopened = accepted && severityAfter.get(id)?.reopened !== undefined;
    if (was === is && !reopened) continue;
    const { title } = (severityAfter.get(id) ?? severityBefore.get(id))!;
    findings.push({
      type: 'finding',
      id,
      title,
      before: was,
      after: is,
      ...(reopened ? { reopened } : {}),
    });
  }
  const worsening = (f: (typeof findings)[number]) =>
    weightOf(f.after) - weightOf(f.before) + (f.reopened ? 1 : 0);
  findings.sort((a, b) => worsening(b) - worsening(a));

  const valuesBefore = new Map(before.results.map((r) => [r.key, r.value]));
  const figures = after.results
    .filter((r) => options.figures(r))
    .flatMap((r): Extract<RippleEntry, { type: 'figure' }>[] => {
      const was = valuesBefore.get(r.key);
      if (was === undefined || was === r.value) return [];
      const change = Math.abs(r.value - was) / Math.max(Math.abs(r.value), Math.abs(was));
      if (change < NOTABLE) return [];
      const { key, label, kind } = r;
      return [{ type: 'figure', key, label, kind, before: was, after: r.value, change }];
    })
    .sort((a, b) => b.change - a.change);
  const worse = findings.filter((f) => worsening(f) > 0);
  const better = findings.filter((f) => worsening(f) <= 0);
  return [...worse, ...figures, ...better];
}
