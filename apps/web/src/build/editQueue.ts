import type { BuildReply, ConflictReply } from '@brookrain/contract';
import { type BuildCommand, entryAt, firstOf } from '@brookrain/core';
import { ApiError } from '../api/client.ts';

/** An edit on its way: kept on this device until the server has taken it. */
export interface QueuedEdit {
  /** the same edit sent twice is made once */
  readonly editId: string;
  readonly action:
    | { readonly type: 'command'; readonly command: BuildCommand }
    | { readonly type: 'undo' | 'redo' }
    | { readonly type: 'go-back'; readonly revision: number };
}

/** What the queue keeps over a reload: the edits and the revision the first one starts from. */
export interface KeptQueue {
  readonly baseRevision: number;
  readonly edits: readonly QueuedEdit[];
}

/** What the queue needs of the world. */
export interface QueuePort {
  send(edit: QueuedEdit, baseRevision: number): Promise<BuildReply>;
  keep(queue: KeptQueue): void;
  /** calls back after a while, or earlier when the connection may be back */
  later(milliseconds: number, again: () => void): void;
}

export interface QueueEvents {
  answered(reply: BuildReply): void;
  conflict(conflict: ConflictReply, edit: QueuedEdit): void;
  refused(error: unknown, edit: QueuedEdit): void;
  changed(): void;
}

const WAITS = [1000, 2000, 5000, 10_000];

/**
 * Sends edits in order, each from the revision the one before it made. While the server cannot be
 * reached they wait and are sent again, with the same id. A conflict holds the rest until it is
 * settled.
 */
export class EditQueue {
  private edits: readonly QueuedEdit[];
  private revision: number;
  private running = false;
  private held = false;
  private failures = 0;

  constructor(
    private readonly port: QueuePort,
    private readonly events: QueueEvents,
    start: KeptQueue,
  ) {
    this.edits = start.edits;
    this.revision = start.baseRevision;
  }

  /** Edits the server has not taken yet, oldest first. */
  get pending(): readonly QueuedEdit[] {
    return this.edits;
  }
  /** True while the last try did not reach the server. */
  get waiting(): boolean {
    return this.failures > 0;
  }

  add(edit: QueuedEdit): void {
    this.edits = [...this.edits, edit];
    this.changed();
    void this.run();
  }

  /** Tells of a revision that others made, while nothing of this device is on its way. */
  follow(revision: number): void {
    if (this.edits.length === 0) this.revision = Math.max(this.revision, revision);
  }

  /** Tries again now. */
  retry(): void {
    void this.run();
  }

  /** Goes on after a conflict, with the edit in front when it shall be made again. */
  settle(again: QueuedEdit | undefined): void {
    if (!this.held) return;
    this.held = false;
    if (again) this.edits = [again, ...this.edits];
    this.changed();
    void this.run();
  }

  private changed(): void {
    this.port.keep({ baseRevision: this.revision, edits: this.edits });
    this.events.changed();
  }

  private async run(): Promise<void> {
    if (this.running || this.held) return;
    this.running = true;
    try {
      while (this.edits.length > 0 && !this.held) {
        if (!(await this.sendFirst(firstOf(this.edits)))) break;
      }
    } finally {
      this.running = false;
    }
  }

  /** Sends one; false when it has to wait. */
  private async sendFirst(edit: QueuedEdit): Promise<boolean> {
    try {
      const reply = await this.port.send(edit, this.revision);
      this.failures = 0;
      this.revision = reply.revision;
      this.edits = this.edits.slice(1);
      this.changed();
      this.events.answered(reply);
      return true;
    } catch (error) {
      if (error instanceof ApiError && error.canBeSentAgain) {
        const wait = entryAt(WAITS, Math.min(this.failures, WAITS.length - 1));
        this.failures += 1;
        this.events.changed();
        this.port.later(wait, () => this.retry());
        return false;
      }
      this.failures = 0;
      this.edits = this.edits.slice(1);
      if (error instanceof ApiError && error.conflict) {
        this.held = true;
        this.revision = error.conflict.revision;
        this.changed();
        this.events.conflict(error.conflict, edit);
        return false;
      }
      this.changed();
      this.events.refused(error, edit);
      return true;
    }
  }
}
