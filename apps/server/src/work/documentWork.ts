import { Inject, Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { RefusedRequest } from '../errors.ts';
import { ThreadClient, ThreadLost } from './threadClient.ts';
import type { DocumentJob, JobDone } from './workMessages.ts';

/** An edit that takes longer is given up, ms: documents are bounded, so none should. */
const LONGEST = 20_000;
/** So many edits may wait for their turn. */
const MOST_WAITING = 500;

const busy = (message: string): RefusedRequest =>
  new RefusedRequest(503, { code: 'busy', message });

/** Runs jobs on documents; only within a turn. */
export type RunDocumentJob = <Kind extends DocumentJob['kind']>(
  job: Extract<DocumentJob, { kind: Kind }>,
) => Promise<JobDone[Kind]>;

/**
 * What reads and writes whole documents is done in a thread of its own, so that the largest build holds
 * up nobody. Turns follow one another: what a turn reads is not changed before it ends.
 */
@Injectable()
export class DocumentWork implements OnModuleDestroy {
  private readonly logger = new Logger('Documents');
  private readonly thread: ThreadClient;
  private last: Promise<unknown> = Promise.resolve();
  private waiting = 0;
  private isStopping = false;

  constructor(@Inject(CatalogueStore) catalogue: CatalogueStore) {
    this.thread = new ThreadClient('documentThread', () => catalogue.all());
  }

  warmUp(): void {
    this.thread.warmUp();
  }

  /** Takes a turn: everything in it is done before the next one begins. */
  turn<Result>(act: (run: RunDocumentJob) => Promise<Result>): Promise<Result> {
    if (this.waiting >= MOST_WAITING) {
      return Promise.reject(busy('too many edits at once: this one was not made, try again'));
    }
    this.waiting += 1;
    const result = this.last.then(async () => {
      if (this.isStopping) throw busy('the program is being stopped; nothing was changed');
      return act((job) => this.run(job));
    });
    this.last = result.catch(() => undefined).finally(() => (this.waiting -= 1));
    return result;
  }

  private async run<Kind extends DocumentJob['kind']>(
    job: Extract<DocumentJob, { kind: Kind }>,
  ): Promise<JobDone[Kind]> {
    const limit = setTimeout(() => void this.thread.end(), LONGEST);
    try {
      return (await this.thread.run(job)) as JobDone[Kind];
    } catch (error) {
      if (!(error instanceof ThreadLost)) throw error;
      this.logger.error(`"${job.kind}" was not done: ${error.message}`);
      throw busy('this took too long or too much memory and was given up; nothing was changed');
    } finally {
      clearTimeout(limit);
    }
  }

  onModuleDestroy(): void {
    this.isStopping = true;
    this.thread.release();
  }
}
