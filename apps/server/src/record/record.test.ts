import type { RecordReply } from '@brookrain/contract';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { type TestServer, startTestServer } from '../tests/testServer.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const entry = (id: string, more: object = {}) => ({
  id,
  kind: 'cut',
  subject: 'crank~1',
  said: { length: 1.2 },
  revision: 1,
  time: '2026-11-27T10:00:00.000Z',
  ...more,
});
const post = (entries: readonly object[], id = 'lantern') =>
  server.http().post(`/api/builds/${id}/record`).send({ entries });
const list = async (id = 'lantern'): Promise<RecordReply['entries']> =>
  ((await server.http().get(`/api/builds/${id}/record`).expect(200)).body as RecordReply).entries;

describe('the record of a build', () => {
  test('keeps an entry once, however often it is sent, over a restart, in the order it came', async () => {
    await post([entry('entry-one'), entry('entry-two', { subject: 'crank~2' })]).expect(201);
    await post([entry('entry-two', { subject: 'crank~2' }), entry('entry-three')]).expect(201);
    await Promise.all([1, 2, 3].map(() => post([entry('entry-four')]).expect(201)));
    await server.restart();
    const entries = await list();
    expect(entries.map(({ id }) => id)).toEqual([
      'entry-one',
      'entry-two',
      'entry-three',
      'entry-four',
    ]);
    expect(entries[0]).toMatchObject({ said: { length: 1.2 }, device: 'this computer' });
    expect(await list('sandpiper')).toEqual([]);
  });

  test('changes nothing of the build, and a correction is an entry of its own', async () => {
    const before = await server.read();
    await post([entry('entry-taken-back', { corrects: 'entry-one', said: { takenBack: true } })]);
    expect(await server.read()).toEqual(before);
    const entries = await list();
    expect(entries.find(({ id }) => id === 'entry-one')!.said).toEqual({ length: 1.2 });
    expect(entries.at(-1)).toMatchObject({ corrects: 'entry-one' });
  });

  test('an id that stands for something else is refused, and all that came with it', async () => {
    const before = await list();
    await post([entry('entry-new'), entry('entry-one', { said: { length: 9 } })]).expect(409);
    await post([entry('entry-one')], 'sandpiper').expect(409);
    expect(await list()).toEqual(before);
  });

  test.each([
    ['no kind', { kind: 'guess' }],
    ['no subject', { subject: '' }],
    ['a list', { said: { a: [1] } }],
    ['an object', { said: { a: { b: 1 } } }],
    ['no number', { said: { length: Number.NaN, x: 'y'.repeat(500) } }],
    ['too much', { said: Object.fromEntries(Array.from({ length: 13 }, (_, i) => [`k${i}`, i])) }],
    ['no time', { time: 'yesterday' }],
    ['no revision', { revision: 0 }],
    ['more than is asked', { more: 1 }],
    ['a short id', { id: 'x' }],
  ])('an entry with %s is refused with its place', async (_, wrong) => {
    const before = await list();
    const reply = await post([entry('entry-right'), { ...entry('entry-wrong'), ...wrong }]);
    expect(reply.status).toBe(400);
    expect((reply.body as { message: string }).message).toContain('entries.1');
    expect(await list()).toEqual(before);
  });

  test('of a build that is not there is a 404', async () => {
    await server.http().get('/api/builds/nothing/record').expect(404);
    await post([entry('entry-five')], 'nothing').expect(404);
    await post([]).expect(201);
  });
});
