import type {
  BuildDocument,
  Catalogue,
  MapPoint,
  OperatingMap,
  OperatingPoint,
  RippleEntry,
  SetAnswer,
  SetWish,
  Uncertainty,
  UncertaintyOptions,
} from '@brookrain/core';
import { type Remote, proxy, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { EvaluationWorker, WorkerAnswer } from './evaluationWorker.ts';

let remote: Remote<EvaluationWorker> | undefined;
let toldCatalogue: Catalogue | undefined;

function theWorker(): Remote<EvaluationWorker> {
  remote ??= wrap<EvaluationWorker>(
    new Worker(new URL('./evaluationWorker.ts', import.meta.url), { type: 'module' }),
  );
  return remote;
}

// Started with the page, so that it has read its code when the build arrives.
if (typeof Worker !== 'undefined') theWorker();

async function withCatalogue(catalogue: Catalogue): Promise<Remote<EvaluationWorker>> {
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
  return worker.uncertainty(document, options, proxy(onProgress));
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
  return (await withCatalogue(catalogue)).cheapestSet(document, wish, proxy(onProgress));
}

export interface Evaluated extends WorkerAnswer {
  /** the document that this belongs to */
  readonly document: BuildDocument;
}

/**
 * Evaluates a document in the worker whenever it changes; keeps the last answer meanwhile.
 * Edits that arrive while one is being computed are answered by the newest only.
 */
export function useEvaluation(
  build: string,
  document: BuildDocument,
  catalogue: Catalogue,
): { evaluated: Evaluated | undefined; failed: string | undefined } {
  const [evaluated, setEvaluated] = useState<Evaluated>();
  const [failed, setFailed] = useState<string>();
  const newest = useRef<BuildDocument>(document);
  useEffect(() => {
    newest.current = document;
    const run = async (): Promise<void> => {
      const worker = await withCatalogue(catalogue);
      const answer = await worker.evaluate(build, document);
      if (newest.current === document) {
        setEvaluated({ ...answer, document });
        setFailed(undefined);
      }
    };
    run().catch((error: unknown) =>
      setFailed(error instanceof Error ? error.message : String(error)),
    );
  }, [build, document, catalogue]);
  return { evaluated, failed };
}
