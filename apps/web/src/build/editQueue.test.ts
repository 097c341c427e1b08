import type { BuildReply, ConflictReply } from '@brookrain/contract';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { ApiError } from '../api/client.ts';
import { EditQueue, type KeptQueue, type QueuedEdit, type RevisionOf } from './editQueue.ts';

const edit = (n: number): QueuedEdit => ({
  editId: `edit-${n}`,
  action: { type: 'command', command: { name: 'set', path: ['name'], value: `n${n}` } },
});
const lost = (): ApiError => new ApiError(0, { code: 'internal', message: 'lost' });
const reply = (revision: number, generation: string): BuildReply =>
  ({ revision, generation }) as BuildReply;

/** A server that keeps what it accepted, and can be cut off before or after it did. */
function fakeServer(revision = 1) {
  let made: { editId: string; base: number }[] = [];
  const answers: ('ok' | 'lost before' | 'lost after' | 'refused')[] = [];
  let generation = 'first';
  let kept: KeptQueue = { baseRevision: revision, generation, edits: [] };
  const waits: (() => void)[] = [];
  const events: string[] = [];
  let current = revision;
  const port = {
    send: (queued: QueuedEdit, from: RevisionOf): Promise<BuildReply> => {
      const base = from.revision;
      const how = answers.shift() ?? 'ok';
      if (how === 'lost before') return Promise.reject(lost());
      if (how === 'refused') {
        return Promise.reject(new ApiError(400, { code: 'bad-input', message: 'no' }));
      }
      if (!made.some((m) => m.editId === queued.editId)) {
        if (base !== current || from.generation !== generation) {
          const conflict = {
            code: 'conflict',
            message: 'stale',
            revision: current,
            generation,
            since: [],
          };
          return Promise.reject(new ApiError(409, conflict as unknown as ConflictReply));
        }
        current += 1;
        made.push({ editId: queued.editId, base });
      }
      return how === 'lost after'
        ? Promise.reject(lost())
        : Promise.resolve(reply(current, generation));
    },
    keep: (queue: KeptQueue) => {
      kept = queue;
    },
    later: (_ms: number, again: () => void) => void waits.push(again),
  };
  const make = (start: KeptQueue = kept) =>
    new EditQueue(
      port,
      {
        answered: (r) => void events.push(`answered ${r.revision}`),
        conflict: (_c, e) => void events.push(`conflict ${e.editId}`),
        refused: (_e, e) => void events.push(`refused ${e.editId}`),
        changed: () => undefined,
      },
      start,
    );
  return {
    answers,
    events,
    make,
    get made() {
      return made;
    },
    get kept() {
      return kept;
    },
    /** Puts back data that stand at an earlier revision, on which others go on. */
    restore: (to: number) => {
      current = to;
      made = [];
      generation = `after ${generation}`;
    },
    othersEdit: () => {
      current += 1;
    },
    /** Lets everything that is on its way arrive. */
    settle: async () => {
      for (let i = 0; i < 40; i++) await Promise.resolve();
    },
    reconnect: () => waits.splice(0).forEach((again) => again()),
  };
}

describe('edits on their way', () => {
  test('are sent in order, each from the revision the one before it made', async () => {
    const server = fakeServer();
    const queue = server.make();
    [1, 2, 3].forEach((n) => queue.add(edit(n)));
    await server.settle();
    expect(server.made).toEqual([
      { editId: 'edit-1', base: 1 },
      { editId: 'edit-2', base: 2 },
      { editId: 'edit-3', base: 3 },
    ]);
    expect(queue.pending).toEqual([]);
    expect(server.kept.edits).toEqual([]);
  });

  test('wait while the server is out of reach and are sent when it is back', async () => {
    const server = fakeServer();
    server.answers.push('lost before');
    const queue = server.make();
    [1, 2].forEach((n) => queue.add(edit(n)));
    await server.settle();
    expect(queue.waiting).toBe(true);
    expect(server.kept.edits.map((e) => e.editId)).toEqual(['edit-1', 'edit-2']);
    server.reconnect();
    await server.settle();
    expect(queue.waiting).toBe(false);
    expect(server.made.map((m) => m.editId)).toEqual(['edit-1', 'edit-2']);
  });

  test('whose answer was lost are made once', async () => {
    const server = fakeServer();
    server.answers.push('lost after');
    const queue = server.make();
    queue.add(edit(1));
    await server.settle();
    server.reconnect();
    await server.settle();
    expect(server.made).toHaveLength(1);
    expect(server.events).toEqual(['answered 2']);
  });

  test('are sent by another page after this one was closed', async () => {
    const server = fakeServer();
    server.answers.push('lost after');
    const queue = server.make();
    [1, 2].forEach((n) => queue.add(edit(n)));
    await server.settle();
    const again = server.make(JSON.parse(JSON.stringify(server.kept)) as KeptQueue);
    again.retry();
    await server.settle();
    expect(server.made.map((m) => m.editId)).toEqual(['edit-1', 'edit-2']);
  });

  test('in any weather: in order, once each, none lost', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom('ok', 'lost before', 'lost after' as const), { maxLength: 30 }),
        fc.integer({ min: 1, max: 8 }),
        fc.array(fc.boolean(), { maxLength: 10 }),
        async (weather, count, reloads) => {
          const server = fakeServer();
          server.answers.push(...(weather as ('ok' | 'lost before' | 'lost after')[]));
          let queue = server.make();
          for (let n = 1; n <= count; n++) {
            queue.add(edit(n));
            if (n % 2 === 0) await server.settle();
          }
          for (let tries = 0; tries < weather.length + 2; tries++) {
            await server.settle();
            if (reloads[tries]) queue = server.make();
            queue.retry();
            server.reconnect();
          }
          await server.settle();
          expect(server.made.map((m) => m.editId)).toEqual(
            Array.from({ length: count }, (_, i) => `edit-${i + 1}`),
          );
          expect(queue.pending).toEqual([]);
        },
      ),
      { numRuns: 200 },
    );
  });

  test('a refused one is told and the next are sent', async () => {
    const server = fakeServer();
    server.answers.push('refused');
    const queue = server.make();
    [1, 2].forEach((n) => queue.add(edit(n)));
    await server.settle();
    expect(server.events).toEqual(['refused edit-1', 'answered 2']);
  });
});

describe('a conflict', () => {
  test('holds the rest until it is settled; made again it goes first', async () => {
    const server = fakeServer();
    const queue = server.make();
    server.othersEdit();
    [1, 2].forEach((n) => queue.add(edit(n)));
    await server.settle();
    expect(server.events).toEqual(['conflict edit-1']);
    expect(queue.pending.map((e) => e.editId)).toEqual(['edit-2']);
    queue.retry();
    await server.settle();
    expect(server.made).toEqual([]);
    queue.settle({ ...edit(1), editId: 'edit-1-again' });
    await server.settle();
    expect(server.made).toEqual([
      { editId: 'edit-1-again', base: 2 },
      { editId: 'edit-2', base: 3 },
    ]);
  });

  test('left as it is, only the rest is sent', async () => {
    const server = fakeServer();
    const queue = server.make();
    server.othersEdit();
    [1, 2].forEach((n) => queue.add(edit(n)));
    await server.settle();
    queue.settle(undefined);
    await server.settle();
    expect(server.made).toEqual([{ editId: 'edit-2', base: 2 }]);
  });

  test('does not come up when the revision of others was followed', async () => {
    const server = fakeServer();
    const queue = server.make();
    server.othersEdit();
    queue.follow({ revision: 2, generation: 'first' });
    queue.add(edit(1));
    await server.settle();
    expect(server.events).toEqual(['answered 3']);
  });
});

describe('a restore while edits wait', () => {
  /** Two edits that wait at revision 2 over a reload; the data go back to 1, and others make 2 again. */
  async function restoredUnderWaitingEdits() {
    const server = fakeServer();
    const queue = server.make();
    queue.add(edit(1));
    await server.settle();
    server.answers.push('lost before');
    [2, 3].forEach((n) => queue.add(edit(n)));
    await server.settle();
    server.restore(1);
    server.othersEdit();
    const after = server.make();
    after.retry();
    await server.settle();
    return { server, queue: after };
  }

  test('none is made over words that it never saw, though the revision is the same', async () => {
    const { server } = await restoredUnderWaitingEdits();
    expect(server.made).toEqual([]);
    expect(server.events.at(-1)).toBe('conflict edit-2');
  });

  test('each that was made before is asked about, also once the first is settled', async () => {
    const { server, queue } = await restoredUnderWaitingEdits();
    queue.settle({ ...edit(2), editId: 'edit-2-again' });
    await server.settle();
    expect(server.made.map(({ editId }) => editId)).toEqual(['edit-2-again']);
    expect(server.events.at(-1)).toBe('conflict edit-3');
    queue.settle(undefined);
    queue.add(edit(4));
    await server.settle();
    expect(server.made.map(({ editId }) => editId)).toEqual(['edit-2-again', 'edit-4']);
  });

  test('a restored build is followed, though its number is lower', async () => {
    const server = fakeServer(7);
    const queue = server.make();
    server.restore(3);
    queue.follow({ revision: 3, generation: 'after first' });
    queue.add(edit(1));
    await server.settle();
    expect(server.events).toEqual(['answered 4']);
  });
});
