import { ENTRIES_AT_ONCE, type RecordEntryMessage, type RecordReply } from '@brookrain/contract';
import { ApiError } from '../api/client.ts';
import type { RecordShelf } from './recordShelf.ts';

/** What the queue needs of the world. */
export interface RecordPort {
  readonly shelf: RecordShelf;
  send(buildId: string, entries: readonly RecordEntryMessage[]): Promise<RecordReply>;
  /** calls back after a while, or earlier when the connection may be back */
  later(milliseconds: number, again: () => void): void;
}

/** What is told of the queue. */
export interface RecordEvents {
  /** what waits has changed, or whether the server can be reached */
  changed(waiting: readonly RecordEntryMessage[], unreachable: boolean): void;
  answered(reply: RecordReply): void;
  refused(error: unknown): void;
}

const WAIT = 2500;

/**
 * Entries of one build on their way to the server: kept on the device first, then sent in their
 * order, again and again while the server cannot be reached. Each has an id, so that it is kept once.
 */
export class RecordQueue {
  private running = false;
  private askedAgain = false;
  private ended = false;

  constructor(
    private readonly buildId: string,
    private readonly port: RecordPort,
    private readonly events: RecordEvents,
  ) {}

  async add(entry: RecordEntryMessage): Promise<void> {
    await this.port.shelf.put({ buildId: this.buildId, entry });
    this.events.changed(await this.port.shelf.of(this.buildId), false);
    await this.send();
  }

  /** Sends what waits; what was kept before a reload too. */
  async send(): Promise<void> {
    // One that comes in while the shelf is read is not missed.
    this.askedAgain = true;
    if (this.running || this.ended) return;
    this.running = true;
    try {
      for (;;) {
        this.askedAgain = false;
        const waiting = await this.port.shelf.of(this.buildId);
        this.events.changed(waiting, false);
        const next = waiting.slice(0, ENTRIES_AT_ONCE);
        if (next.length === 0) {
          if (this.askedAgain) continue;
          return;
        }
        try {
          this.events.answered(await this.port.send(this.buildId, next));
        } catch (error) {
          if (error instanceof ApiError && error.canBeSentAgain) {
            this.events.changed(waiting, true);
            this.port.later(WAIT, () => void this.send());
            return;
          }
          this.events.refused(error);
        }
        await this.port.shelf.take(next.map(({ id }) => id));
      }
    } finally {
      this.running = false;
    }
  }

  end(): void {
    this.ended = true;
  }
}
