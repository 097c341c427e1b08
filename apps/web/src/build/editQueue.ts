import type { BuildReply, ConflictReply } from '@brookrain/contract';
import { type BuildCommand, entryAt, firstOf } from '@brookrain/core';
import { ApiError } from '../api/client.ts';

/** An edit on its way: kept on this device until the server has taken it. */
export interface QueuedEdit {
  /** the same edit sent twice is made once */
  readonly editId: string;
  /** generation of the data that the person saw; the queue sets it */
  readonly generation?: string | undefined;
  readonly action:
    | { readonly type: 'command'; readonly command: BuildCommand }
    | { readonly type: 'undo' | 'redo' }
    | { readonly type: 'go-back'; readonly revision: number };
}

/** A revision of a build, and the generation of the data that it belongs to. */
export interface RevisionOf {
  readonly revision: number;
  readonly generation: string | undefined;
}

/** What the queue keeps over a reload: the edits and the revision the first one starts from. */
export interface KeptQueue {
  readonly baseRevision: number;
  readonly generation?: string | undefined;
  readonly edits: readonly QueuedEdit[];
}

/** What the queue needs of the world. */
export interface QueuePort {
  send(edit: QueuedEdit, from: RevisionOf): Promise<BuildReply>;
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

/** Whether a revision is a later one of the same line, or of another line altogether. */
export const isNewer = (a: RevisionOf, b: RevisionOf): boolean =>
  a.generation !== b.generation || a.revision > b.revision;

/**
 * Sends edits in order, each from the revision the one before it made. While the server cannot be
 * reached they wait and are sent again, with the same id. A conflict holds the rest until it is
 * settled.
 */
export class EditQueue {
  private edits: readonly QueuedEdit[];
  private at: RevisionOf;
  private running = false;
  private held = false;
  private failures = 0;

  constructor(
    private readonly port: QueuePort,
    private readonly events: QueueEvents,
    start: KeptQueue,
  ) {
    this.edits = start.edits;
    this.at = { revision: start.baseRevision, generation: start.generation };
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
    this.edits = [...this.edits, this.seen(edit)];
    this.changed();
    void this.run();
  }

  /** An edit that is made on what the person sees now. */
  private seen(edit: QueuedEdit): QueuedEdit {
    const { generation } = this.at;
    return generation === undefined ? edit : { ...edit, generation };
  }

  /** Tells of a revision that others made, while nothing of this device is on its way. */
  follow(newest: RevisionOf): void {
    if (this.edits.length === 0 && isNewer(newest, this.at)) {
      this.at = { revision: newest.revision, generation: newest.generation };
    }
  }

  /** Tries again now. */
  retry(): void {
    void this.run();
  }

  /** Goes on after a conflict, with the edit in front when it shall be made again. */
  settle(again: QueuedEdit | undefined): void {
    if (!this.held) return;
    this.held = false;
    if (again) this.edits = [this.seen(again), ...this.edits];
    this.changed();
    void this.run();
  }

  private changed(): void {
    const { revision, generation } = this.at;
    this.port.keep({ baseRevision: revision, generation, edits: this.edits });
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
      // Made before a restore it is asked about, whatever has been settled of those before it.
      const generation = edit.generation ?? this.at.generation;
      const reply = await this.port.send(edit, { revision: this.at.revision, generation });
      this.failures = 0;
      this.at = { revision: reply.revision, generation: reply.generation };
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
        const { revision, generation: newest } = error.conflict;
        this.at = { revision, generation: newest };
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
