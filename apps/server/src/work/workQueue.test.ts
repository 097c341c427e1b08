import type { BuildReply } from '@brookrain/contract';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { RefusedRequest } from '../errors.ts';
import { type TestServer, startTestServer } from '../tests/testServer.ts';
import { WorkQueue } from './workQueue.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.close());

const queue = (): WorkQueue => server.server.app.get(WorkQueue);
const state = (build: BuildReply) => queue().state(build);
const refusalOf = (error: unknown) =>
  error instanceof RefusedRequest ? `${error.status} ${error.reply.message}` : String(error);

describe('long work', () => {
  test('holds up neither a read nor an edit: both are answered before the papers that were first', async () => {
    const order: string[] = [];
    const papers = Array.from({ length: 8 }, () =>
      server
        .http()
        .get('/api/builds/kittiwake/work-sheet.pdf')
        .expect(200)
        .then(() => order.push('paper')),
    );
    await server.http().get('/api/health').expect(200);
    order.push('health');
    await server
      .edit(1, { name: 'set', path: ['description'], value: 'meanwhile' }, 'kittiwake')
      .expect(200);
    order.push('edit');
    await Promise.all(papers);
    expect(order.filter((each) => each === 'paper')).toHaveLength(8);
    expect(order.slice(-4)).toEqual(['paper', 'paper', 'paper', 'paper']);
  });

  test('what waits too long a line is told to come again, and all that wait are told of the end', async () => {
    const build = await server.read('sandpiper');
    const answers = Array.from({ length: 260 }, () => state(build).then(() => 'done', refusalOf));
    queue().onModuleDestroy();
    const told = await Promise.all(answers);
    expect(told.filter((each) => /^503 too much/.test(each)).length).toBeGreaterThan(50);
    expect(told.filter((each) => /^503 .*stopped/.test(each)).length).toBeGreaterThan(150);
  });

  test('what cannot be worked out fails alone', async () => {
    const build = await server.read('sandpiper');
    const broken = { ...build, document: { ...build.document, fuelCircuits: 7 } as never };
    const answers = await Promise.allSettled([state(broken), state(build)]);
    expect(answers.map(({ status }) => status)).toEqual(['rejected', 'fulfilled']);
  });

  test('sees the catalogue as it is when the work is asked for', async () => {
    const { body } = await server.http().get('/api/builds/lantern/state').expect(200);
    const before = body as { stops: number };
    const build = await server.read();
    const { part } = build.document.devices['fan-1-relay']!;
    if (part.kind !== 'relay') throw new Error('the relay of the fan is no relay');
    const catalogue = (await server.http().get('/api/catalogue').expect(200)).body as {
      items: { id: string; category: string }[];
    };
    const relay = catalogue.items.find(({ id }) => id === part.item.id)!;
    const item = { ...relay, id: 'RL-WEAK', revision: 1, contactRating: 5, motorRating: 5 };
    await server.http().post('/api/catalogue/items').send({ item }).expect(201);
    const path = ['devices', 'fan-1-relay', 'part', 'item'];
    await server.edit(1, { name: 'set', path, value: { id: 'RL-WEAK', revision: 1 } }).expect(200);
    const { body: after } = await server.http().get('/api/builds/lantern/state').expect(200);
    expect((after as { stops: number }).stops).toBe(before.stops + 1);
  });
});
