/** Somebody's job that waits for its turn. */
export interface WaitingJob {
  /** whose it is: a build, or where files come in */
  readonly owner: string;
  /** memory that it holds while it waits, by what holds it; the same thing is counted once */
  readonly holds: { readonly key: string; readonly bytes: number } | undefined;
}

/** Bounds of what may wait. */
export interface QueueLimits {
  readonly jobs: number;
  readonly ofOneOwner: number;
  readonly bytes: number;
}

/** What somebody spent counts half after so long, ms. */
const HALF_LIFE = 120_000;

/**
 * Jobs that wait. The next one is of whoever has used the least time of late, so that one owner's long
 * jobs do not hold up another's; jobs of one owner come in the order in which they were asked for.
 */
export class FairQueue<Job extends WaitingJob> {
  private waiting: Job[] = [];
  private readonly spent = new Map<string, { readonly time: number; readonly at: number }>();

  constructor(
    private readonly limits: QueueLimits,
    private readonly now: () => number = Date.now,
  ) {}

  get size(): number {
    return this.waiting.length;
  }

  /** Whether a job may wait too. */
  hasRoomFor(job: Job): boolean {
    const { jobs, ofOneOwner, bytes } = this.limits;
    const own = this.waiting.filter(({ owner }) => owner === job.owner).length;
    return this.waiting.length < jobs && own < ofOneOwner && this.bytesWith(job) <= bytes;
  }

  private bytesWith(job: Job): number {
    const held = new Map(
      [...this.waiting, job].flatMap(({ holds }) => (holds ? [[holds.key, holds.bytes]] : [])),
    );
    return [...held.values()].reduce((sum, bytes) => sum + bytes, 0);
  }

  add(job: Job): void {
    this.waiting.push(job);
  }

  /** Takes out a job that nobody waits for any more; whether it was there. */
  remove(job: Job): boolean {
    const before = this.waiting.length;
    this.waiting = this.waiting.filter((each) => each !== job);
    return this.waiting.length < before;
  }

  /** The next job; undefined when none waits. */
  take(): Job | undefined {
    const first = this.waiting.reduce<Job | undefined>(
      (best, job) =>
        best === undefined || this.spentBy(job.owner) < this.spentBy(best.owner) ? job : best,
      undefined,
    );
    if (first) this.remove(first);
    return first;
  }

  /** Notes how long a job took, ms. */
  note(owner: string, milliseconds: number): void {
    this.spent.set(owner, { time: this.spentBy(owner) + milliseconds, at: this.now() });
    for (const each of this.spent.keys()) if (this.spentBy(each) < 1) this.spent.delete(each);
  }

  /** Time that an owner used of late, ms; what was long ago counts less. */
  private spentBy(owner: string): number {
    const known = this.spent.get(owner);
    return known ? known.time * 0.5 ** ((this.now() - known.at) / HALF_LIFE) : 0;
  }

  /** Takes out all that wait. */
  clear(): readonly Job[] {
    const { waiting } = this;
    this.waiting = [];
    return waiting;
  }
}
