import type { BuildStateReply, ImportPreview } from '@brookrain/contract';
import type { CatalogueCategory, CatalogueItem } from '@brookrain/core';
import { Inject, Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import type { StoredBuild } from '../builds/storedBuild.ts';
import { Newest } from '../builds/newest.ts';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import type { ReadDocument } from '../documents/readFiles.ts';
import { RefusedRequest } from '../errors.ts';
import type { Paper } from '../exports/paper.ts';
import { FairQueue, type WaitingJob } from './fairQueue.ts';
import { ThreadClient, ThreadLost } from './threadClient.ts';
import type { AnyJobDone, JobDone, LongJob, PaperAsked } from './workMessages.ts';

/** So much may wait; more is refused with the advice to come again. */
const LIMITS = { jobs: 200, ofOneOwner: 40, bytes: 128e6 };
/** A thread with nothing to do is let go after so long, ms. */
const IDLE = 120_000;
/** Builds, and papers of builds, of which it is remembered that they could not be made. */
const FAILURES = 2000;

interface Waiting extends WaitingJob {
  readonly job: LongJob;
  /** what the person calls it: the name of the build */
  readonly name: string;
  readonly resolve: (result: AnyJobDone) => void;
  readonly reject: (error: Error) => void;
}

const busy = (message: string): RefusedRequest =>
  new RefusedRequest(503, { code: 'busy', message });

const cancelled = (): RefusedRequest => busy('it was cancelled');

/** What a job fails by: the build as it stands, and the paper that was asked for of it. */
function failureKeys(job: LongJob): { readonly build: string; readonly own: string } | undefined {
  if (!('build' in job)) return undefined;
  const { key } = job.build;
  const asked = job.kind === 'paper' ? `${job.asked.kind} ${job.asked.of}` : job.kind;
  return { build: key, own: `${key} ${asked}` };
}

/**
 * What takes long is done in a thread of its own, one job at a time and fairly over builds: the server
 * answers others meanwhile.
 */
@Injectable()
export class WorkQueue implements OnModuleDestroy {
  /** a job that takes longer is given up, ms */
  longest = 30_000;
  private readonly logger = new Logger('Work');
  private readonly queue = new FairQueue<Waiting>(LIMITS);
  private readonly failures = new Newest<string>(FAILURES);
  private readonly thread: ThreadClient;
  private running: Waiting | undefined;
  /** files that came in so far */
  private files = 0;
  /** jobs that were ended because nobody waits for them */
  private readonly unwanted = new WeakSet<Waiting>();
  private idle: NodeJS.Timeout | undefined;

  constructor(@Inject(CatalogueStore) catalogue: CatalogueStore) {
    this.thread = new ThreadClient('workThread', () => catalogue.all());
  }

  /** Writes a paper of a build. */
  paper(build: StoredBuild, asked: PaperAsked, signal?: AbortSignal): Promise<Paper> {
    return this.ofBuild(build, { kind: 'paper', build: build.asText, asked }, signal);
  }

  /** Counts the open findings of a build. */
  state(build: StoredBuild): Promise<BuildStateReply> {
    return this.ofBuild(build, { kind: 'state', build: build.asText });
  }

  /** What a build file from outside would change of a build. */
  preview(build: StoredBuild, file: Uint8Array): Promise<ImportPreview> {
    return this.ofBuild(build, { kind: 'preview', build: build.asText, file });
  }

  /** Reads a build file from outside. */
  readBuild(file: Uint8Array): Promise<ReadDocument> {
    return this.ofFile({ kind: 'readBuild', file });
  }

  /** Reads a JSON list of items from outside; refused with the place of what is wrong. */
  readItems(file: Uint8Array): Promise<readonly CatalogueItem[]> {
    return this.ofFile({ kind: 'readItems', file });
  }

  /** Reads a table of items of one category; refused with row and column of what is wrong. */
  readSheet(category: CatalogueCategory, file: Uint8Array): Promise<readonly CatalogueItem[]> {
    return this.ofFile({ kind: 'readSheet', category, file });
  }

  private ofBuild<Kind extends LongJob['kind']>(
    build: StoredBuild,
    job: Extract<LongJob, { kind: Kind }>,
    signal?: AbortSignal,
  ): Promise<JobDone[Kind]> {
    const holds = { key: build.asText.key, bytes: build.asText.text.length };
    return this.add<Kind>({ job, owner: build.id, name: `“${build.name}”`, holds }, signal);
  }

  private ofFile<Kind extends LongJob['kind']>(
    job: Extract<LongJob, { kind: Kind }> & { readonly file: Uint8Array },
  ): Promise<JobDone[Kind]> {
    this.files += 1;
    const holds = { key: `file ${this.files}`, bytes: job.file.length };
    return this.add<Kind>({ job, owner: 'files', name: 'a file that is read', holds });
  }

  private add<Kind extends LongJob['kind']>(
    asked: Omit<Waiting, 'resolve' | 'reject'>,
    signal?: AbortSignal,
  ): Promise<JobDone[Kind]> {
    const known = this.knownFailure(asked.job);
    if (known !== undefined) return Promise.reject(busy(known));
    return new Promise((resolve, reject) => {
      const waiting: Waiting = { ...asked, resolve: resolve as Waiting['resolve'], reject };
      if (!this.queue.hasRoomFor(waiting)) {
        const now = this.running?.name ?? 'other builds';
        reject(busy(`Brookrain is working on ${now} and much is waiting: try again in a moment`));
        return;
      }
      if (signal?.aborted === true) return reject(cancelled());
      signal?.addEventListener('abort', () => this.cancel(waiting), { once: true });
      this.queue.add(waiting);
      this.next();
    });
  }

  private knownFailure(job: LongJob): string | undefined {
    const keys = failureKeys(job);
    return keys && (this.failures.get(keys.build) ?? this.failures.get(keys.own));
  }

  /** Nobody waits for it any more: it is not begun, or ended where it is. */
  private cancel(waiting: Waiting): void {
    if (this.queue.remove(waiting)) waiting.reject(cancelled());
    else if (this.running === waiting) {
      waiting.reject(cancelled());
      this.unwanted.add(waiting);
      void this.thread.end();
    }
  }

  private next(): void {
    if (this.running) return;
    clearTimeout(this.idle);
    const waiting = this.queue.take();
    if (waiting) {
      this.running = waiting;
      void this.do(waiting).finally(() => {
        this.running = undefined;
        this.next();
      });
      return;
    }
    this.idle = setTimeout(() => void this.thread.end(), IDLE);
    this.idle.unref();
  }

  private async do(waiting: Waiting): Promise<void> {
    const { job, owner, name, resolve, reject } = waiting;
    const known = this.knownFailure(job);
    if (known !== undefined) return reject(busy(known));
    const start = performance.now();
    let isEvaluated = false;
    let isTooLong = false;
    const limit = setTimeout(() => {
      isTooLong = true;
      void this.thread.end();
    }, this.longest);
    try {
      resolve(await this.thread.run(job, () => (isEvaluated = true)));
    } catch (error) {
      reject(
        error instanceof ThreadLost && !this.unwanted.has(waiting)
          ? this.failed(job, name, { isEvaluated, isTooLong, reason: error.message })
          : (error as Error),
      );
    } finally {
      clearTimeout(limit);
      this.queue.note(owner, performance.now() - start);
    }
  }

  /** Remembers that a job cannot be done until its build changes; the refusal to be sent. */
  private failed(
    job: LongJob,
    name: string,
    how: { readonly isEvaluated: boolean; readonly isTooLong: boolean; readonly reason: string },
  ): RefusedRequest {
    this.logger.error(`${job.kind} of ${name}: ${how.reason}`);
    const why = how.isTooLong ? 'takes too long' : 'takes too much memory';
    const what = how.isEvaluated ? `This paper of ${name}` : `Calculating ${name}`;
    const message = `${what} ${why} and was given up. It is not tried again until the build changes`;
    const keys = failureKeys(job);
    if (keys) this.failures.set(how.isEvaluated ? keys.own : keys.build, message);
    return busy(keys ? message : `Reading the file ${why} and was given up; nothing was changed`);
  }

  onModuleDestroy(): void {
    clearTimeout(this.idle);
    const stopping = busy('the program is being stopped');
    for (const { reject } of this.queue.clear()) reject(stopping);
    if (this.running) this.unwanted.add(this.running);
    this.running?.reject(stopping);
    // Requests that come meanwhile would hold the server open: it is not waited for.
    this.thread.release();
  }
}
