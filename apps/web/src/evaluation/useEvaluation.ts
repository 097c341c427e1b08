import {
  type AutoRouteProgress,
  type HarnessProgress,
  type PlacesProgress,
  type BuildDocument,
  type Catalogue,
  type Ladder,
  type MapPoint,
  type OperatingMap,
  type OperatingPoint,
  type RippleEntry,
  type RouteOf,
  type SetAnswer,
  type SetWish,
  type ToldEvaluation,
  type Uncertainty,
  type UncertaintyOptions,
  withDelta,
} from '@brookrain/core';
import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { EvaluationWork } from './evaluationWork.ts';
import { withProgress } from './withProgress.ts';

let remote: Remote<EvaluationWork> | undefined;
let toldCatalogue: Catalogue | undefined;

function theWorker(): Remote<EvaluationWork> {
  remote ??= wrap<EvaluationWork>(
    new Worker(new URL('./evaluationWorker.ts', import.meta.url), { type: 'module' }),
  );
  return remote;
}

// Started with the page, so that it has read its code when the build arrives.
if (typeof Worker !== 'undefined') theWorker();

async function withCatalogue(catalogue: Catalogue): Promise<Remote<EvaluationWork>> {
  const worker = theWorker();
  if (toldCatalogue !== catalogue) {
    toldCatalogue = catalogue;
    await worker.setCatalogue(catalogue);
  }
  return worker;
}

/** What is different downstream between two documents, ranked. */
export async function compareDocuments(
  before: BuildDocument,
  after: BuildDocument,
  catalogue: Catalogue,
): Promise<readonly RippleEntry[]> {
  return (await withCatalogue(catalogue)).compare(before, after);
}

/** Draws what is not known exactly, telling how many draws are done; undefined when cancelled. */
export async function runUncertainty(
  document: BuildDocument,
  catalogue: Catalogue,
  options: UncertaintyOptions,
  onProgress: (done: number) => void,
): Promise<Uncertainty | undefined> {
  const worker = await withCatalogue(catalogue);
  return withProgress(onProgress, (told) => worker.uncertainty(document, options, told));
}

/** Looks for ways of a line over the map, telling how far it has come; undefined when cancelled. */
export async function lookForWays(
  document: BuildDocument,
  catalogue: Catalogue,
  of: RouteOf,
  onProgress: (progress: AutoRouteProgress) => void,
): Promise<AutoRouteProgress['ways'] | undefined> {
  const worker = await withCatalogue(catalogue);
  return withProgress(onProgress, (told) => worker.ways(document, of, told));
}

/** Looks for a harness, telling how far it has come; undefined when cancelled. */
export async function lookForHarness(
  document: BuildDocument,
  catalogue: Catalogue,
  onProgress: (progress: HarnessProgress) => void,
): Promise<HarnessProgress | undefined> {
  const worker = await withCatalogue(catalogue);
  return withProgress(onProgress, (told) => worker.proposedHarness(document, told));
}

/** Looks for places at which a part could sit; undefined when cancelled. */
export async function lookForPlaces(
  document: BuildDocument,
  catalogue: Catalogue,
  placementId: string,
  onProgress: (progress: PlacesProgress) => void,
): Promise<PlacesProgress | undefined> {
  const worker = await withCatalogue(catalogue);
  return withProgress(onProgress, (told) => worker.places(document, placementId, told));
}

/** The circuits of a build over the demand map. */
export async function solveOperatingMap(
  document: BuildDocument,
  catalogue: Catalogue,
): Promise<OperatingMap> {
  return (await withCatalogue(catalogue)).operatingMap(document);
}

/** One point of the map with its whole solution. */
export async function solveOperatingPoint(
  document: BuildDocument,
  catalogue: Catalogue,
  circuitIndex: number,
  at: MapPoint,
): Promise<OperatingPoint> {
  return (await withCatalogue(catalogue)).operatingPoint(document, circuitIndex, at);
}

/** Says which build comes: what was kept of it is read while it is fetched. */
export function expectBuild(build: string): void {
  if (typeof Worker !== 'undefined') void theWorker().open(build);
}

/** Leaves the run that is under way: draws, or a search. */
export const cancelRun = (): Promise<void> => theWorker().cancelRun();

/** The worker, knowing the catalogue: for calls that a page makes for itself. */
export const askWorker = withCatalogue;

/** Looks for the cheapest set of parts; undefined when it was cancelled. */
export async function findCheapestSet(
  document: BuildDocument,
  catalogue: Catalogue,
  wish: SetWish,
  onProgress: (tried: number, combinations: number) => void,
): Promise<SetAnswer | undefined> {
  const worker = await withCatalogue(catalogue);
  return withProgress(onProgress, async (told): Promise<SetAnswer | undefined> =>
    worker.cheapestSet(document, wish, told),
  );
}

/** What the worker has told last; what it tells next leads on from there. */
let received: ToldEvaluation | undefined;
/** Evaluations follow one another, so that each delta meets what it leads on from. */
let turn: Promise<unknown> = Promise.resolve();

interface Told {
  readonly evaluation: ToldEvaluation;
  readonly ripple: readonly RippleEntry[];
}

/** The entry of the browser’s timeline that each evaluation leaves: how long, and what ran. */
const EVALUATED = 'brookrain-evaluated';

function evaluateNext(build: string, document: BuildDocument, catalogue: Catalogue): Promise<Told> {
  const next = turn
    .catch(() => undefined)
    .then(async (): Promise<Told> => {
      const worker = await withCatalogue(catalogue);
      await worker.open(build);
      const from = performance.now();
      const { told, ripple, ran } = await worker.evaluate(build, document);
      performance.measure(EVALUATED, { start: from, detail: { build, ran } });
      received = withDelta(received, told) as ToldEvaluation;
      return { evaluation: received, ripple };
    });
  turn = next;
  return next;
}

export interface Evaluated extends Told {
  /** the document that this belongs to */
  readonly document: BuildDocument;
  /** undefined until the first one has been climbed; kept while the next is */
  readonly ladder: Ladder | undefined;
  /** where the limit of each rule comes from, by rule id */
  readonly sources: Readonly<Record<string, string>>;
}

/**
 * Evaluates a document in the worker whenever it changes; keeps the last answer meanwhile. Of
 * edits that arrive while one is being worked out only the newest is taken up; the ladder follows
 * once the evaluation is shown.
 */
export function useEvaluation(
  build: string,
  document: BuildDocument,
  catalogue: Catalogue,
): { evaluated: Evaluated | undefined; failed: string | undefined } {
  const [evaluated, setEvaluated] = useState<Evaluated>();
  const [failed, setFailed] = useState<string>();
  const newest = useRef({ build, document, catalogue });
  const busy = useRef(false);
  useEffect(() => {
    newest.current = { build, document, catalogue };
    const work = async (): Promise<void> => {
      for (let taken; taken !== newest.current;) {
        taken = newest.current;
        const { document: of } = taken;
        const told = await evaluateNext(taken.build, of, taken.catalogue);
        const worker = theWorker();
        const sources = await worker.sources();
        setEvaluated((last) => ({ ...told, document: of, sources, ladder: last?.ladder }));
        setFailed(undefined);
        if (taken !== newest.current) continue;
        const ladder = await worker.ladder(of);
        if (taken === newest.current) setEvaluated((last) => last && { ...last, ladder });
      }
    };
    if (busy.current) return;
    busy.current = true;
    work()
      .catch((error: unknown) => setFailed(error instanceof Error ? error.message : String(error)))
      .finally(() => {
        busy.current = false;
      });
  }, [build, document, catalogue]);
  return { evaluated, failed };
}
