import { hashOf, kittiwake, lantern, quantity as q } from '@brookrain/core';
import type { BuildReply, BuildSummary, StartReply } from '@brookrain/contract';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { type TestServer, startTestServer } from '../tests/testServer.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.close());

const post = (path: string, body: object) => server.http().post(path).send(body);
const list = async (): Promise<BuildSummary[]> =>
  (await server.http().get('/api/builds').expect(200)).body as BuildSummary[];
const setPower = (kW: number) => ({
  name: 'set',
  path: ['brief', 'power'],
  value: { value: kW * 1e3, unit: 'kW' },
});

const answers = {
  name: 'Own van',
  vehicle: 'Van',
  engine: '2-litre four',
  use: 'road',
  displacement: q(2, 'volume', 'L'),
  cylinders: 4,
  aspiration: 'turbo',
  boost: q(0.7, 'pressure', 'bar'),
  power: q(150, 'power', 'kW'),
  powerSpeed: q(5800, 'rotation', 'rpm'),
  limiterSpeed: q(6500, 'rotation', 'rpm'),
  fuelKind: 'petrol-ethanol',
  ethanol: q(10, 'ratio', '%'),
  pumpMounting: 'external',
  runLength: q(3.5, 'length', 'm'),
};

describe('a guided start', () => {
  test('makes a build that is kept, with what was proposed', async () => {
    const { body } = await post('/api/builds/start', { ...answers, author: 'Mika' }).expect(201);
    const { build, proposed } = body as StartReply;
    expect(proposed.length).toBeGreaterThan(1);
    expect((await server.read(build.id)).document.brief.power.value).toBe(150e3);
    const { body: history } = await server.http().get(`/api/builds/${build.id}/revisions`);
    expect(history).toEqual([expect.objectContaining({ author: 'Mika', words: 'Guided start' })]);
  });

  test.each([
    ['displacement', q(-2, 'volume', 'L')],
    ['boost', q(7, 'pressure', 'bar')],
    ['cylinders', 0],
    ['limiterSpeed', q(3000, 'rotation', 'rpm')],
    ['runLength', q(90, 'length', 'm')],
    ['fuelKind', 'water'],
    ['name', ''],
  ])('is refused at %s, and nothing is made', async (field, value) => {
    const { body } = await post('/api/builds/start', { ...answers, [field]: value }).expect(400);
    expect(body.issues.map((i: { path: string }) => i.path)).toContain(field);
    expect(await list()).toHaveLength(3);
  });
});

describe('copies and branches', () => {
  test('a copy has the document under its own name and a history of its own', async () => {
    await server.edit(1, setPower(150)).expect(200);
    const { body } = await post('/api/builds/lantern/copy', { name: 'Lantern 2' }).expect(201);
    const copy = body as BuildReply;
    expect(copy.document).toEqual({ ...(await server.read()).document, name: 'Lantern 2' });
    expect(copy.revision).toBe(1);
    expect((await list()).find((b) => b.id === copy.id)!.demo).toBe(false);
    await server.edit(1, setPower(90), copy.id).expect(200);
    expect((await server.read()).document.brief.power.value).toBe(150e3);
  });

  test('a branch starts from the revision that is named', async () => {
    await server.edit(1, setPower(150)).expect(200);
    const { body } = await post('/api/builds/lantern/copy', { name: 'As it was', revision: 1 });
    expect((body as BuildReply).document.brief.power.value).toBe(168e3);
    await post('/api/builds/lantern/copy', { name: 'x', revision: 9 }).expect(404);
    await post('/api/builds/none/copy', { name: 'x' }).expect(404);
  });
});

describe('going back', () => {
  test('is a new revision that can be undone', async () => {
    await server.edit(1, setPower(150)).expect(200);
    await server.edit(2, setPower(140)).expect(200);
    const { body } = await post('/api/builds/lantern/go-back', {
      baseRevision: 3,
      revision: 1,
      author: 'Mika',
    }).expect(200);
    expect(hashOf((body as BuildReply).document)).toBe(hashOf(lantern));
    expect(body).toMatchObject({ revision: 4, undo: 'Go back to revision 1' });
    const undone = await post('/api/builds/lantern/undo', { baseRevision: 4 }).expect(200);
    expect((undone.body as BuildReply).document.brief.power.value).toBe(140e3);
  });

  test('from a stale revision is a conflict, to one that is not there is not found', async () => {
    await server.edit(1, setPower(150)).expect(200);
    const back = (baseRevision: number, revision: number) =>
      post('/api/builds/lantern/go-back', { baseRevision, revision });
    await back(1, 1).expect(409);
    await back(2, 7).expect(404);
    expect((await server.read()).revision).toBe(2);
  });

  test('each revision can be read as it was', async () => {
    await server.edit(1, setPower(150)).expect(200);
    const { body } = await server.http().get('/api/builds/lantern/revisions/1').expect(200);
    expect(hashOf(body.document)).toBe(hashOf(lantern));
    await server.http().get('/api/builds/lantern/revisions/3').expect(404);
    await server.http().get('/api/builds/lantern/revisions/x').expect(400);
  });
});

describe('An edit is made once, also where it is sent twice', () => {
  const edit = { baseRevision: 1, editId: 'once-only-1', command: setPower(150) };

  test('is made once and answered the same', async () => {
    const first = await post('/api/builds/lantern/commands', edit).expect(200);
    const second = await post('/api/builds/lantern/commands', edit).expect(200);
    expect(second.body).toEqual(first.body);
    expect((await server.read()).revision).toBe(2);
  });

  test('is made once after others edited, too, and survives a restart', async () => {
    await post('/api/builds/lantern/commands', edit).expect(200);
    await server.edit(2, setPower(140)).expect(200);
    await server.restart();
    const { body } = await post('/api/builds/lantern/commands', edit).expect(200);
    expect(body).toMatchObject({ revision: 3 });
    expect((await server.read()).document.brief.power.value).toBe(140e3);
  });

  test('undo is made once, too', async () => {
    await server.edit(1, setPower(150)).expect(200);
    await server.edit(2, setPower(140)).expect(200);
    const undo = { baseRevision: 3, editId: 'undo-once-1' };
    await post('/api/builds/lantern/undo', undo).expect(200);
    await post('/api/builds/lantern/undo', undo).expect(200);
    expect((await server.read()).document.brief.power.value).toBe(150e3);
  });

  test('with the same id on another build is another edit', async () => {
    await post('/api/builds/lantern/commands', edit).expect(200);
    await post('/api/builds/kittiwake/commands', edit).expect(200);
    expect((await server.read('kittiwake')).revision).toBe(2);
  });
});

describe('putting away', () => {
  test('keeps everything and is taken back', async () => {
    await post('/api/builds/lantern/archive', { archived: true }).expect(200);
    expect((await list()).find((b) => b.id === 'lantern')!.archived).toBe(true);
    expect(hashOf((await server.read()).document)).toBe(hashOf(lantern));
    await post('/api/builds/lantern/archive', { archived: false }).expect(200);
    expect((await list()).find((b) => b.id === 'lantern')!.archived).toBe(false);
    await post('/api/builds/none/archive', { archived: true }).expect(404);
    await post('/api/builds/lantern/archive', { archived: 'yes' }).expect(400);
  });
});

describe('resetting the demo builds', () => {
  test('puts them back, can be undone there, and does not touch own builds', async () => {
    const { body: own } = await post('/api/builds/lantern/copy', { name: 'Own' }).expect(201);
    await server.edit(1, setPower(99), own.id).expect(200);
    await server.edit(1, setPower(150)).expect(200);
    await post('/api/builds/kittiwake/archive', { archived: true }).expect(200);
    const { body } = await post('/api/demo/reset', {}).expect(200);
    expect((body as BuildSummary[]).filter((b) => b.archived)).toEqual([]);
    expect(hashOf((await server.read()).document)).toBe(hashOf(lantern));
    expect(hashOf((await server.read('kittiwake')).document)).toBe(hashOf(kittiwake));
    expect((await server.read('kittiwake')).revision).toBe(1);
    expect((await server.read(own.id)).document.brief.power.value).toBe(99e3);
    expect((await server.read(own.id)).revision).toBe(2);
    await post('/api/builds/lantern/undo', { baseRevision: 3 }).expect(200);
    expect((await server.read()).document.brief.power.value).toBe(150e3);
  });
});
