import { REVISIONS_A_PAGE, type RevisionReply } from '@brookrain/contract';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { openDocuments } from '../tests/openDocuments.ts';
import { type TestServer, startTestServer } from '../tests/testServer.ts';

const EDITS = REVISIONS_A_PAGE + 30;
let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
  const { edit } = openDocuments(server);
  for (let n = 1; n <= EDITS; n++) {
    const author = n % 2 === 0 ? 'Mika' : 'Ada';
    const value = n === 7 ? '100 % of it_' : `edit ${n}`;
    await edit(
      'lantern',
      { baseRevision: n, author },
      { name: 'set', path: ['description'], value },
    );
  }
});
afterAll(() => server.close());

const page = async (query: string): Promise<RevisionReply[]> =>
  (await server.http().get(`/api/builds/lantern/revisions${query}`).expect(200))
    .body as RevisionReply[];
const numbers = async (query: string): Promise<number[]> =>
  (await page(query)).map(({ number }) => number);

describe('the history of a build', () => {
  test('comes in pages, newest first, that leave nothing out', async () => {
    const first = await numbers('');
    expect(first).toHaveLength(REVISIONS_A_PAGE);
    const rest = await numbers(`?before=${first.at(-1)}`);
    expect([...first, ...rest]).toEqual(Array.from({ length: EDITS + 1 }, (_, i) => EDITS + 1 - i));
    expect(await numbers(`?before=1`)).toEqual([]);
  });

  test('is found by words and by who made it, signs of a pattern taken as they are', async () => {
    expect(await numbers('?find=edit%20117')).toEqual([119, 118]);
    expect((await page('?find=ada')).every(({ author }) => author === 'Ada')).toBe(true);
    expect(await numbers('?find=100%20%25%20of')).toEqual([9, 8]);
    expect(await numbers('?find=%25')).toEqual([9, 8]);
    expect(await numbers('?find=it_')).toEqual([9, 8]);
    expect(await numbers('?find=nobody%20wrote%20this')).toEqual([]);
  });

  test('a page before what is no number is refused', async () => {
    await server.http().get('/api/builds/lantern/revisions?before=x').expect(400);
    await server.http().get('/api/builds/lantern/revisions?before=-4').expect(400);
  });
});

test('a stale edit is told of the last few edits, and how many came before', async () => {
  const { body } = await server
    .edit(3, { name: 'set', path: ['brief', 'cylinders'], value: 5 })
    .expect(409);
  const conflict = body as { revision: number; since: unknown[]; untold: number };
  expect(conflict.revision).toBe(EDITS + 1);
  expect(conflict.since.length + conflict.untold).toBe(EDITS - 2);
  expect(conflict.since.length).toBeLessThanOrEqual(10);
  expect(JSON.stringify(body).length).toBeLessThan(20_000);
});

test('what is too large to be told is told as being there', async () => {
  const { revision, document } = await server.read();
  const [id, option] = Object.entries(document.options)[0]!;
  const [other, alternative] = Object.entries(option.alternatives)[0]!;
  const key = Object.keys(alternative.values)[0]!;
  const path = ['options', id, 'alternatives', other, 'reason'];
  await server.edit(revision, { name: 'set', path, value: 'because '.repeat(60) }).expect(200);
  const stale = { name: 'set', path: ['brief', 'cylinders'], value: 5 };
  const { body } = await server.edit(revision, stale).expect(409);
  const [{ changes }] = (body as { since: { changes: { after: string }[] }[] }).since as [
    { changes: { after: string }[] },
  ];
  expect(changes[0]!.after).toHaveLength(400);
  // A value that a decision would put in place has its bound too.
  const large = {
    name: 'set',
    path: ['options', id, 'alternatives', other, 'values', key, 'value'],
  };
  const { body: refused } = await server
    .edit(revision + 1, { ...large, value: 'x'.repeat(200_000) })
    .expect(400);
  expect((refused as { message: string }).message).toContain('more than a part of a build');
});
