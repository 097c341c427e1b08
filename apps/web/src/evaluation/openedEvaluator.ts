import { type Evaluator, type KeptAnswers, createEvaluator } from '@brookrain/core';
import type { AnswerShelf } from './answerShelf.ts';

/** So long nothing is worked out before answers are kept, ms. */
const QUIET = 4000;

/** The evaluator of the build that is open. */
export interface OpenedEvaluator {
  readonly now: Evaluator;
  /** Takes up what the last session kept of a build; the same promise while it is open. */
  open(build: string): Promise<void>;
  /** Keeps what was worked out last, once nothing more comes. */
  keepSoon(): void;
}

const areSame = (one: KeptAnswers, other: KeptAnswers): boolean =>
  one.size === other.size && [...one].every(([key, value]) => other.get(key) === value);

/**
 * An evaluator that begins with what a shelf holds of a build. What is kept only saves time: where
 * the shelf fails, everything is worked out.
 */
export function openedEvaluator(shelf: AnswerShelf | undefined, quiet = QUIET): OpenedEvaluator {
  let now = createEvaluator();
  let opened: { readonly build: string; readonly ready: Promise<void> } | undefined;
  /** what the shelf has of the build that is open */
  let shelved: KeptAnswers = new Map();
  let waiting: ReturnType<typeof setTimeout> | undefined;

  const takeUp = async (build: string): Promise<void> => {
    const kept = await shelf?.of(build).catch(() => undefined);
    if (!kept || opened?.build !== build) return;
    shelved = kept;
    now = createEvaluator(kept);
  };

  const keepNow = (): void => {
    clearTimeout(waiting);
    waiting = undefined;
    const answers = now.keep();
    if (!shelf || !opened || areSame(answers, shelved)) return;
    shelved = answers;
    void shelf.put(opened.build, answers).catch(() => undefined);
  };

  return {
    get now() {
      return now;
    },
    open(build) {
      if (opened?.build === build) return opened.ready;
      if (waiting !== undefined) keepNow();
      shelved = new Map();
      const ready = takeUp(build);
      opened = { build, ready };
      return ready;
    },
    keepSoon() {
      if (!shelf) return;
      clearTimeout(waiting);
      waiting = setTimeout(keepNow, quiet);
    },
  };
}
