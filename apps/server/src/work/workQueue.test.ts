import { sandpiper } from '@brookrain/core';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { RefusedRequest } from '../errors.ts';
import { BuildStore } from '../builds/buildStore.ts';
import type { StoredBuild } from '../builds/storedBuild.ts';
import { type TestServer, startTestServer } from '../tests/testServer.ts';
import { WorkQueue } from './workQueue.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.close());

const queue = (): WorkQueue => server.server.app.get(WorkQueue);
const stored = (id: string): StoredBuild => server.server.app.get(BuildStore).read(id);
const state = (build: StoredBuild) => queue().state(build);
const refusalOf = (error: unknown) =>
  error instanceof RefusedRequest ? `${error.status} ${error.reply.message}` : String(error);

describe("One person's long work does not hold up another's", () => {
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

  test('of one build a bounded number waits; who is refused hears which build is at work', async () => {
    const build = stored('sandpiper');
    const answers = Array.from({ length: 60 }, () => state(build).then(() => 'done', refusalOf));
    // Another build finds room.
    const other = state(stored('lantern')).then(() => 'done', refusalOf);
    queue().onModuleDestroy();
    const said = await Promise.all(answers);
    expect(
      said.filter((each) => each.startsWith('503 Brookrain is working on “Sandpiper”')),
    ).toHaveLength(19);
    expect(said.filter((each) => each.startsWith('503 the program is being stopped'))).toHaveLength(
      41,
    );
    expect(await other).toMatch(/^503 the program is being stopped/);
  });

  test('what takes too long is given up, and not tried again until the build changes', async () => {
    const build = stored('kittiwake');
    queue().longest = 1;
    expect(await state(build).then(() => 'done', refusalOf)).toMatch(
      /^503 Calculating “Kittiwake” takes too long/,
    );
    queue().longest = 30_000;
    // Neither its state nor any of its papers is begun; others are.
    const start = performance.now();
    const paper = { kind: 'parts', of: '', units: undefined, base: '' } as const;
    expect(
      await queue()
        .paper(build, paper)
        .then(() => 'done', refusalOf),
    ).toMatch(/^503 Calculating/);
    expect(performance.now() - start).toBeLessThan(200);
    expect((await state(stored('sandpiper'))).revision).toBe(1);
    await server
      .edit(1, { name: 'set', path: ['description'], value: 'changed' }, 'kittiwake')
      .expect(200);
    expect((await state(stored('kittiwake'))).revision).toBe(2);
  });

  test('a paper that nobody waits for any more is not written', async () => {
    const paper = { kind: 'workSheet', of: '', units: undefined, base: '' } as const;
    const [running, waiting] = [new AbortController(), new AbortController()];
    const answers = [running, waiting].map(({ signal }) =>
      queue()
        .paper(stored('kittiwake'), paper, signal)
        .then(() => 'done', refusalOf),
    );
    const other = state(stored('sandpiper'));
    running.abort();
    waiting.abort();
    expect(await Promise.all(answers)).toEqual(['503 it was cancelled', '503 it was cancelled']);
    expect((await other).revision).toBe(1);
    // What was cancelled is no failure: it is written when somebody asks again.
    expect((await queue().paper(stored('sandpiper'), paper)).body.length).toBeGreaterThan(1000);
    expect((await queue().paper(stored('kittiwake'), paper)).body.length).toBeGreaterThan(1000);
  });

  test('what cannot be worked out fails alone', async () => {
    const build = stored('sandpiper');
    const document = { ...sandpiper, fuelCircuits: 7 };
    const asText = { ...build.asText, key: 'broken 1', text: JSON.stringify(document) };
    const broken = { ...build, asText };
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
