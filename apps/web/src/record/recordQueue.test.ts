import type { RecordEntryMessage, RecordReply } from '@brookrain/contract';
import { describe, expect, test } from 'vitest';
import { ApiError } from '../api/client.ts';
import { RecordQueue } from './recordQueue.ts';
import { OpenShelf } from './recordShelf.ts';

const entry = (id: string): RecordEntryMessage => ({
  id,
  kind: 'cut',
  subject: id,
  said: {},
  revision: 1,
  time: '2026-11-27T10:00:00.000Z',
});
const noAnswer = new ApiError(0, { code: 'internal', message: 'no answer' });

/** A queue on a server that answers as the list says, then always well; kept over `again`. */
function queueOn(failures: unknown[], shelf = new OpenShelf()) {
  const kept: string[] = [];
  const later: (() => void)[] = [];
  const refused: unknown[] = [];
  let state: { ids: readonly string[]; unreachable: boolean } = { ids: [], unreachable: false };
  const queue = new RecordQueue(
    'lantern',
    {
      shelf,
      send: (_, entries) => {
        const failure = failures.shift();
        // The server may have kept them though its answer was lost.
        if (failure === 'lost answer' || failure === undefined) {
          for (const { id } of entries) if (!kept.includes(id)) kept.push(id);
        }
        if (failure === 'lost answer') return Promise.reject(noAnswer);
        if (failure !== undefined) return Promise.reject(failure as Error);
        return Promise.resolve({ entries: [] } satisfies RecordReply);
      },
      later: (_, again) => later.push(again),
    },
    {
      changed: (waiting, unreachable) => {
        state = { ids: waiting.map(({ id }) => id), unreachable };
      },
      answered: () => undefined,
      refused: (error) => refused.push(error),
    },
  );
  return { queue, kept, later, refused, shelf, state: () => state };
}

describe('entries on their way', () => {
  test('are sent in order, and wait while the server cannot be reached', async () => {
    const { queue, kept, later, state } = queueOn([noAnswer, noAnswer]);
    await queue.add(entry('one'));
    expect(state()).toEqual({ ids: ['one'], unreachable: true });
    await queue.add(entry('two'));
    expect(kept).toEqual([]);
    later.at(-1)!();
    await expect.poll(() => kept).toEqual(['one', 'two']);
    await expect.poll(() => state()).toEqual({ ids: [], unreachable: false });
  });

  test('are kept once though an answer was lost', async () => {
    const { queue, kept, later, shelf } = queueOn(['lost answer']);
    await queue.add(entry('one'));
    expect(await shelf.of('lantern')).toHaveLength(1);
    later[0]!();
    await expect.poll(() => shelf.of('lantern')).toEqual([]);
    expect(kept).toEqual(['one']);
  });

  test('outlive a reload: what the shelf has is sent by the next queue', async () => {
    const first = queueOn([noAnswer]);
    await first.queue.add(entry('one'));
    first.queue.end();
    const second = queueOn([], first.shelf);
    await second.queue.send();
    expect(second.kept).toEqual(['one']);
    expect(await first.shelf.of('lantern')).toEqual([]);
  });

  test('one that comes in while the shelf is read is sent too', async () => {
    const slow = new OpenShelf();
    let release: (() => void) | undefined;
    const read = slow.of.bind(slow);
    let held = true;
    slow.of = async (build) => {
      const found = await read(build);
      // What was read is handed out only after another entry was put beside it.
      if (held && found.length === 0) {
        held = false;
        await new Promise<void>((resolve) => {
          release = resolve;
        });
      }
      return found;
    };
    const { queue, kept } = queueOn([], slow);
    const reading = queue.send();
    await expect.poll(() => release).toBeDefined();
    const adding = queue.add(entry('late'));
    await expect.poll(async () => (await read('lantern')).length).toBe(1);
    await adding;
    release!();
    await reading;
    expect(kept).toEqual(['late']);
  });

  test('that are refused are told, and hold up nothing', async () => {
    const no = new ApiError(400, { code: 'bad-input', message: 'no' });
    const { queue, kept, refused, state } = queueOn([no]);
    await queue.add(entry('wrong'));
    await queue.add(entry('right'));
    expect(refused).toEqual([no]);
    expect(kept).toEqual(['right']);
    expect(state().ids).toEqual([]);
  });

  test('of another build stay where they are', async () => {
    const { queue, kept, shelf } = queueOn([]);
    await shelf.put({ buildId: 'sandpiper', entry: entry('other') });
    await queue.add(entry('one'));
    expect(kept).toEqual(['one']);
    expect(await shelf.of('sandpiper')).toHaveLength(1);
  });
});
