import { Worker } from 'node:worker_threads';
import { join } from 'node:path';
import type { Catalogue } from '@brookrain/core';
import { RefusedRequest } from '../errors.ts';
import { isBundled, serverFolder } from '../serverFolder.ts';
import type { AnyJobDone, FromThread, Job, ToThread } from './workMessages.ts';

/** Memory that a thread may use before it is ended, MB. */
const MOST_MEMORY = 1024;

/** The files of the threads. */
export type ThreadFile = 'documentThread' | 'workThread';

// Compiled, also where the server itself is run from its source.
const fileOf = (name: ThreadFile): string =>
  join(serverFolder, isBundled ? 'bundle' : 'dist/work', `${name}.js`);

/** Threads that a server that was closed has left: the next one of the process goes on with them. */
const left = new Map<ThreadFile, Worker>();

/** How a job ended that was not answered: the thread was ended, or lost. */
export class ThreadLost extends Error {}

interface Running {
  readonly resolve: (result: AnyJobDone) => void;
  readonly reject: (error: Error) => void;
  readonly evaluated: () => void;
}

const needsCatalogue = ({ kind }: Job): boolean => kind !== 'readItems' && kind !== 'readSheet';

/** One thread, which does one job at a time; begun with the first job, and again after it was ended. */
export class ThreadClient {
  private running: Running | undefined;
  private thread: Worker | undefined;
  /** the catalogue that the thread has */
  private sent: Catalogue | undefined;

  constructor(
    private readonly file: ThreadFile,
    private readonly catalogue: () => Catalogue,
  ) {}

  /** Starts the thread, so that the first job does not wait for it. */
  warmUp(): void {
    this.thread ??= this.begin();
  }

  /** Does a job; nothing else may be under way. Throws ThreadLost where the thread ends before. */
  run(job: Job, evaluated: () => void = () => undefined): Promise<AnyJobDone> {
    if (this.running) throw new Error('the thread is at work');
    const thread = (this.thread ??= this.begin());
    return new Promise((resolve, reject) => {
      this.running = { resolve, reject, evaluated };
      if (needsCatalogue(job)) this.sendCatalogue(thread);
      const message: ToThread = { type: 'job', job };
      thread.postMessage(message);
    });
  }

  private sendCatalogue(thread: Worker): void {
    const catalogue = this.catalogue();
    if (this.sent === catalogue) return;
    const had = new Map(this.sent?.items.map((item, at) => [item, at]));
    const items = catalogue.items.map((item) => had.get(item) ?? item);
    const message: ToThread = { type: 'catalogue', items };
    thread.postMessage(message);
    this.sent = catalogue;
  }

  private begin(): Worker {
    const thread =
      left.get(this.file) ??
      new Worker(fileOf(this.file), { resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY } });
    left.delete(this.file);
    thread.removeAllListeners();
    thread.on('message', (message: FromThread) => {
      if (thread !== this.thread) return;
      if (message.type === 'evaluated') this.running?.evaluated();
      else this.settle(message);
    });
    const lost = (reason: string): void => {
      if (thread !== this.thread) return;
      this.thread = undefined;
      this.sent = undefined;
      this.take()?.reject(new ThreadLost(reason));
    };
    thread.on('error', (error) => lost(error.message));
    thread.on('exit', (code) => lost(`the thread ended with ${code}`));
    // Listening holds the process, waiting for work shall not.
    thread.unref();
    return thread;
  }

  private take(): Running | undefined {
    const { running } = this;
    this.running = undefined;
    return running;
  }

  private settle(message: Exclude<FromThread, { type: 'evaluated' }>): void {
    const running = this.take();
    if (message.type === 'done') running?.resolve(message.result);
    else if (message.type === 'refused') {
      running?.reject(new RefusedRequest(message.status, message.reply));
    } else running?.reject(new Error(message.message));
  }

  /** Ends the thread and what it is doing. */
  async end(): Promise<void> {
    const { thread } = this;
    this.thread = undefined;
    this.sent = undefined;
    this.take()?.reject(new ThreadLost('it was ended'));
    await thread?.terminate();
  }

  /** Lets the thread go: an idle one serves the next server of this process. */
  release(): void {
    const { thread, file } = this;
    if (thread && !this.running && !left.has(file)) {
      thread.removeAllListeners();
      const forget = (): void => void (left.get(file) === thread && left.delete(file));
      thread.on('error', forget).on('exit', forget);
      left.set(file, thread);
      this.thread = undefined;
    }
    void this.end();
  }
}
