import type { Catalogue } from '../catalogue/index.ts';
import type {
  ElectricDesign,
  PanelDesign,
  SizedPumpFeed,
  Sneaks,
  Switching,
} from '../electrics/index.ts';
import type { Demand, DemandMap } from '../engine/index.ts';
import type { Candidates, FluidResult } from '../fuel/index.ts';
import {
  type BareFinding,
  type BuildDocument,
  type BuildFinding,
  readBuild,
} from '../model/index.ts';
import type { HarnessChecked, HarnessDesign, LedHarness } from '../harness/index.ts';
import { inPresentMemory, memo, withMemory } from '../numerics/index.ts';
import type { MadeLine, partsNeeded } from '../plumbing/index.ts';
import type { Result } from '../results/index.ts';
import type { LengthSource, MapOutput } from '../vehicle/index.ts';
import { withEndsAlong } from './commands/withEndsAlong.ts';
import type { Checked } from './checked.ts';
import { curesOf } from './checks/curesOf.ts';
import { rulesRan } from './checks/foundBy.ts';
import { type KeptAnswers, type Runner, createRunner } from './runner/runner.ts';
import { stages } from './stages.ts';

/**
 * The whole answer to a build, the same for the same input byte for byte. Cures and candidates are
 * worked out when they are asked for.
 */
export interface Evaluation {
  readonly results: readonly Result[];
  readonly findings: readonly BuildFinding[];
  readonly demandMap: DemandMap;
  readonly demandPeak: Demand['peak'];
  readonly fluids: readonly FluidResult[];
  readonly feeds: readonly SizedPumpFeed[];
  /** netlist, wires, fuses and circuit of the whole vehicle */
  readonly electrics: ElectricDesign;
  /** the plate of relays and fuses; undefined without any */
  readonly panel: PanelDesign | undefined;
  /** when everything is on, and what is alive that should not be */
  readonly switching: Switching;
  readonly sneaks: Sneaks;
  readonly candidates: Candidates;
  readonly map: MapOutput;
  /** where the harness runs, and its bundles */
  readonly led: LedHarness;
  readonly harness: HarnessDesign;
  /** every line as it is made */
  readonly made: readonly MadeLine[];
  /** everything the build is made of, by part */
  readonly parts: ReturnType<typeof partsNeeded>;
  readonly lengthSources: Readonly<Record<string, LengthSource>>;
}

type Whole = (findings: readonly BareFinding[], checked: HarnessChecked) => readonly BuildFinding[];

/**
 * Findings with their cures, each list made once. A cure takes the ends of hoses along that it
 * exchanges, on the build that was evaluated last.
 */
const curedWhole = (last: () => { document: BuildDocument; catalogue: Catalogue }): Whole =>
  memo((findings: readonly BareFinding[], checked: HarnessChecked) =>
    findings.map((finding) => ({
      ...finding,
      cures: inPresentMemory(() =>
        curesOf(checked, finding).map((cure) => {
          if (!cure.command) return cure;
          const { document, catalogue } = last();
          return { ...cure, command: withEndsAlong(document, cure.command, catalogue) };
        }),
      ),
    })),
  );

function evaluationOf(runner: Runner, whole: Whole): Evaluation {
  // In the order of the table, so that a reader of it follows what happens.
  for (const each of Object.values(stages)) runner.get<unknown>(each);
  const demand = runner.get(stages.demand);
  return {
    results: runner.get(stages.results),
    findings: whole(runner.get(stages.findings), runner.get(stages.checked)),
    demandMap: demand.map,
    demandPeak: demand.peak,
    fluids: runner.get(stages.fluids),
    feeds: runner.get(stages.feeds),
    electrics: runner.get(stages.electrics),
    panel: runner.get(stages.panel),
    switching: runner.get(stages.switching),
    sneaks: runner.get(stages.sneaks),
    candidates: runner.get(stages.candidates),
    map: runner.get(stages.map),
    led: runner.get(stages.routedHarness),
    harness: runner.get(stages.harness),
    made: runner.get(stages.madeLines),
    parts: runner.get(stages.parts),
    lengthSources: Object.assign({}, ...runner.get(stages.geometry).map((g) => g.lengthSources)),
  };
}

export interface Evaluator {
  /** Evaluates a build; a stage runs only when what it reads has changed by value. */
  evaluate(document: BuildDocument, catalogue: Catalogue): Evaluation;
  /** What the ladder and other separate calls start from. */
  check(document: BuildDocument, catalogue: Catalogue): Checked;
  /**
   * What the last call worked out, to be stored: another evaluator of the same program that is
   * given it works out only what has changed since.
   */
  keep(): KeptAnswers;
  /** An evaluator of its own that begins with what this one knows: for variants of a build. */
  branch(): Evaluator;
  /** Names of the stages that the last call ran. */
  readonly ran: readonly string[];
  /** Whether the last call worked out something that is worth keeping. */
  readonly learned: boolean;
  /** Ids of the rules that the last call ran. */
  readonly rulesRan: readonly string[];
}

function evaluatorOf(runner: Runner): Evaluator {
  let last: { document: BuildDocument; catalogue: Catalogue } | undefined;
  const whole = curedWhole(() => {
    if (!last) throw new Error('nothing was evaluated yet');
    return last;
  });
  const inPass = <Answer>(
    document: BuildDocument,
    catalogue: Catalogue,
    ask: () => Answer,
  ): Answer =>
    withMemory(runner.memory, () => {
      last = { document, catalogue };
      runner.begin({ build: readBuild(document), catalogue });
      rulesRan().length = 0;
      return ask();
    });
  return {
    evaluate: (document, catalogue) =>
      inPass(document, catalogue, () => evaluationOf(runner, whole)),
    check: (document, catalogue) =>
      inPass(document, catalogue, () => ({ ...runner.get(stages.checked), stored: document })),
    keep: () => runner.keep(),
    branch: () => evaluatorOf(createRunner(runner.keep(), runner.memory)),
    get ran() {
      return runner.ran;
    },
    get learned() {
      return runner.learned;
    },
    get rulesRan() {
      return withMemory(runner.memory, () => [...rulesRan()]);
    },
  };
}

/** An evaluator with its own memory of the last build it saw, or of what was kept of a session. */
export const createEvaluator = (kept?: KeptAnswers): Evaluator => evaluatorOf(createRunner(kept));

/** One evaluation without memory. Throws NotFound when the build refers to what is not there. */
export function evaluate(document: BuildDocument, catalogue: Catalogue): Evaluation {
  return createEvaluator().evaluate(document, catalogue);
}
