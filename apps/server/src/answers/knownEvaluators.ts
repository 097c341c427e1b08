import { type Evaluator, createEvaluator } from '@brookrain/core';
import type { AnswerShelf } from './answerShelf.ts';

/** So many builds are known at a time, those that were asked for last. */
const MOST_KNOWN = 3;

/** After so long without work, what was worked out is put on the shelf, ms. */
const IDLE_MS = 2000;

/** Evaluators that each know one build, and the shelf on which their answers outlive the program. */
export class KnownEvaluators {
  private readonly known = new Map<string, Evaluator>();
  private readonly changed = new Set<string>();
  private timer: NodeJS.Timeout | undefined;

  constructor(private readonly shelf: AnswerShelf | undefined) {}

  /** The evaluator of a build, by its id; one that was not asked for begins with what the shelf has. */
  of(id: string): Evaluator {
    const evaluator = this.known.get(id) ?? createEvaluator(this.shelf?.take(id));
    this.known.delete(id);
    this.known.set(id, evaluator);
    const [oldest] = this.known.keys();
    if (this.known.size > MOST_KNOWN && oldest !== undefined) this.forget(oldest);
    return evaluator;
  }

  /** Notes that a build was evaluated; its answers are put on the shelf when there is time. */
  evaluated(id: string): void {
    if (!this.shelf || !this.known.get(id)?.learned) return;
    this.changed.add(id);
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.putAll(), IDLE_MS);
    this.timer.unref();
  }

  /** Puts on the shelf what has changed since. */
  putAll(): void {
    for (const id of this.changed) this.put(id);
  }

  private put(id: string): void {
    const evaluator = this.known.get(id);
    if (evaluator && this.changed.delete(id)) this.shelf?.put(id, evaluator.keep());
  }

  private forget(id: string): void {
    this.put(id);
    this.known.delete(id);
  }
}
