import { Worker } from 'node:worker_threads';
import { fileURLToPath } from 'node:url';
import type { BuildReply, BuildStateReply, ReadBuildFile } from '@brookrain/contract';
import type { Catalogue, CatalogueCategory, CatalogueItem } from '@brookrain/core';
import { Inject, Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import { CatalogueStore } from '../catalogue/catalogueStore.ts';
import { RefusedRequest } from '../errors.ts';
import type { Paper } from '../exports/paper.ts';
import type {
  AnyWorkDone,
  FromThread,
  PaperAsked,
  ToThread,
  Work,
  WorkDone,
} from './workMessages.ts';

/** So much may wait; more is told to come again. */
const MOST_WAITING = 200;
/** A piece of work that takes longer is given up, ms. */
const LONGEST = 60_000;
/** A thread with nothing to do is let go after so long, ms. */
const IDLE = 120_000;

// Compiled, also where the server itself is run from its source.
const threadFile = fileURLToPath(
  new URL(
    import.meta.url.endsWith('.ts') ? '../../dist/work/workThread.js' : './workThread.js',
    import.meta.url,
  ),
);

/** A thread that a server that was closed has left: the next one of the process goes on with it. */
let left: Worker | undefined;

interface Waiting {
  readonly work: Work;
  readonly resolve: (result: AnyWorkDone) => void;
  readonly reject: (error: Error) => void;
}

const busy = (message: string): RefusedRequest =>
  new RefusedRequest(503, { code: 'busy', message });

const needsCatalogue = ({ kind }: Work): boolean => kind !== 'readItems' && kind !== 'readSheet';

/**
 * What takes long is done in a thread of its own, one after the other: the server answers others
 * meanwhile. The thread begins with the first piece of work.
 */
@Injectable()
export class WorkQueue implements OnModuleDestroy {
  private readonly logger = new Logger('Work');
  private readonly waiting: Waiting[] = [];
  private running: Waiting | undefined;
  private thread: Worker | undefined;
  /** the catalogue that the thread has */
  private told: Catalogue | undefined;
  private timer: NodeJS.Timeout | undefined;

  constructor(@Inject(CatalogueStore) private readonly catalogue: CatalogueStore) {}

  /** Writes a paper of a build. */
  paper(build: BuildReply, asked: PaperAsked): Promise<Paper> {
    return this.add('paper', { kind: 'paper', build, asked });
  }

  /** Reads a build file from outside. */
  readBuild(text: string): Promise<ReadBuildFile> {
    return this.add('readBuild', { kind: 'readBuild', text });
  }

  /** Reads a JSON list of items from outside; refused with the place of what is wrong. */
  readItems(text: string): Promise<readonly CatalogueItem[]> {
    return this.add('readItems', { kind: 'readItems', text });
  }

  /** Reads a table of items of one category; refused with row and column of what is wrong. */
  readSheet(category: CatalogueCategory, text: string): Promise<readonly CatalogueItem[]> {
    return this.add('readSheet', { kind: 'readSheet', category, text });
  }

  /** Counts what stands against a build. */
  state(build: BuildReply): Promise<BuildStateReply> {
    return this.add('state', { kind: 'state', build });
  }

  private add<Kind extends Work['kind']>(_kind: Kind, work: Work): Promise<WorkDone[Kind]> {
    if (this.waiting.length >= MOST_WAITING) {
      return Promise.reject(busy('too much is being worked out already: ask again in a moment'));
    }
    return new Promise((resolve, reject) => {
      this.waiting.push({ work, resolve: resolve as Waiting['resolve'], reject });
      this.next();
    });
  }

  private next(): void {
    if (this.running) return;
    clearTimeout(this.timer);
    this.running = this.waiting.shift();
    if (!this.running) {
      if (!this.thread) return;
      this.timer = setTimeout(() => void this.end(), IDLE);
      this.timer.unref();
      return;
    }
    const thread = (this.thread ??= this.begin());
    const tell = (message: ToThread): void => thread.postMessage(message);
    if (needsCatalogue(this.running.work)) {
      const catalogue = this.catalogue.all();
      if (this.told !== catalogue) {
        const had = new Map(this.told?.items.map((item, at) => [item, at]));
        tell({ type: 'catalogue', items: catalogue.items.map((item) => had.get(item) ?? item) });
        this.told = catalogue;
      }
    }
    tell({ type: 'work', work: this.running.work });
    this.timer = setTimeout(() => {
      this.settle(({ reject }) =>
        reject(busy('this took longer than a minute and was given up; nothing was changed')),
      );
      void this.end().then(() => this.next());
    }, LONGEST);
    this.timer.unref();
  }

  private begin(): Worker {
    const thread = left ?? new Worker(threadFile);
    left = undefined;
    thread.removeAllListeners();
    thread.on('message', (message: FromThread) => {
      if (thread !== this.thread) return;
      this.settle(({ resolve, reject }) => {
        if (message.type === 'done') resolve(message.result);
        else if (message.type === 'refused') {
          reject(new RefusedRequest(message.status, message.reply));
        } else reject(new Error(message.message));
      });
      this.next();
    });
    const lost = (reason: string): void => {
      if (thread !== this.thread) return;
      this.logger.error(reason);
      this.thread = undefined;
      this.told = undefined;
      this.settle(({ reject }) => reject(new Error(reason)));
      this.next();
    };
    thread.on('error', (error) => lost(`the thread of long work failed: ${error.message}`));
    thread.on('exit', (code) => lost(`the thread of long work ended with ${code}`));
    // Listening holds the process, waiting for work shall not.
    thread.unref();
    return thread;
  }

  private settle(how: (running: Waiting) => void): void {
    const { running } = this;
    this.running = undefined;
    if (running) how(running);
  }

  private async end(): Promise<void> {
    const { thread } = this;
    this.thread = undefined;
    this.told = undefined;
    await thread?.terminate();
  }

  onModuleDestroy(): void {
    clearTimeout(this.timer);
    const stopping = busy('the program is being stopped');
    for (const { reject } of this.waiting.splice(0)) reject(stopping);
    if (this.thread && !this.running && !left) {
      this.thread.removeAllListeners();
      this.thread.on('error', () => (left = undefined)).on('exit', () => (left = undefined));
      left = this.thread;
      this.thread = undefined;
    }
    this.settle(({ reject }) => reject(stopping));
    // Requests that come meanwhile would hold the server open: it is not waited for.
    void this.end();
  }
}
