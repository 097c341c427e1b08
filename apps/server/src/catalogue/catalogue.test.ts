import { type CatalogueItem, sampleCatalogue, fileTypes } from '@brookrain/core';
import type { CatalogueReply } from '@brookrain/contract';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { type TestServer, startTestServer } from '../tests/testServer.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.close());

const all = async (): Promise<readonly CatalogueItem[]> =>
  ((await server.http().get('/api/catalogue').expect(200)).body as CatalogueReply).items;
const item = (id: string): CatalogueItem => sampleCatalogue.items.find((i) => i.id === id)!;
const keep = (made: object) => server.http().post('/api/catalogue/items').send({ item: made });
const bring = (query: string, text: string) =>
  server
    .http()
    .post(`/api/catalogue/import?${query}`)
    .set('content-type', query.includes('csv') ? fileTypes.csv : fileTypes.json)
    .send(text);

describe('items kept before sizes were asked for', () => {
  const bare = (id: string): object =>
    Object.fromEntries(
      Object.entries(item(id)).filter(
        ([key]) => !/^(body\w+|serviced?\w+|splashProof|inletSide|outletSide|plug\w+)$/.test(key),
      ),
    );
  /** Puts an item as an older program kept it in the place of the one that is there. */
  const keptOlder = async (id: string, change: object = {}) => {
    await server.server.close();
    const sqlite = new Sqlite(join(server.folder, 'brookrain.db'));
    sqlite
      .prepare('update catalogue_items set item = ? where id = ? and revision = 1')
      .run(JSON.stringify({ ...bare(id), ...change }), id);
    sqlite.close();
    await server.open();
  };

  test('take over the size of the shipped one, in the same revision', async () => {
    await keptOlder('P340X');
    expect((await all()).filter((i) => i.id === 'P340X')).toEqual([item('P340X')]);
  });

  test('stay as they are where they say something else', async () => {
    await keptOlder('P340X', { price: 1 });
    expect((await all()).find((i) => i.id === 'P340X')).toMatchObject({ price: 1, bodyLength: 0 });
  });
});

describe('keeping an item', () => {
  test('a change makes the next revision and leaves the one before as it was', async () => {
    const { body } = await keep({ ...item('HBR-6'), price: 99 }).expect(201);
    expect(body).toMatchObject({ isNew: true, item: { id: 'HBR-6', revision: 2, price: 99 } });
    const revisions = (await all()).filter((i) => i.id === 'HBR-6');
    expect(revisions.map((r) => r.revision)).toEqual([1, 2]);
    expect(revisions[0]).toEqual(item('HBR-6'));
    // The build stays on the revision it uses.
    const { document } = await server.read();
    expect(JSON.stringify(document)).toContain('"id":"HBR-6","revision":1');
  });

  test('the same data are known and make nothing new', async () => {
    const { body } = await keep(item('HBR-6')).expect(201);
    expect(body).toMatchObject({ isNew: false, item: { revision: 1 } });
    expect(await all()).toHaveLength(sampleCatalogue.items.length);
  });

  test('a new one is there after a restart', async () => {
    await keep({ ...item('P255'), id: 'OWN-1', designation: 'Own pump' }).expect(201);
    await server.restart();
    expect((await all()).some((i) => i.id === 'OWN-1' && i.revision === 1)).toBe(true);
  });

  test.each([
    ['bore', { bore: -1 }],
    ['pressureRating', { pressureRating: 'much' }],
    ['designation', { designation: '' }],
    ['category', { category: 'sandwich' }],
    ['colour', { colour: 'red' }],
    ['service', { service: 'any' }],
  ])('is refused at %s', async (field, change) => {
    const { body } = await keep({ ...item('HBR-6'), ...change }).expect(400);
    expect(body.issues[0].path).toBe(`item.${field}`);
    expect(await all()).toHaveLength(sampleCatalogue.items.length);
  });

  test('the id of an item of another kind is refused', async () => {
    const { body } = await keep({ ...item('P255'), id: 'HBR-6' }).expect(400);
    expect(body.message).toContain('already the id of a hose');
  });

  test('curves that do not rise in flow are refused at their place', async () => {
    const pump = structuredClone(item('P255')) as unknown as {
      curves: { points: { flow: number }[] }[];
    };
    pump.curves[0]!.points[1]!.flow = 0;
    const { body } = await keep(pump).expect(400);
    expect(body.issues[0].path).toMatch(/^item\.curves\.0\.points/);
  });
});

describe('tables and lists', () => {
  test('what is exported as CSV comes back as nothing new', async () => {
    for (const category of ['pump', 'injector', 'hose', 'fuse']) {
      const { text } = await server
        .http()
        .get(`/api/catalogue/items.csv?category=${category}`)
        .expect(200);
      const { body } = await bring(`format=csv&category=${category}`, text).expect(200);
      expect(body.kept).toEqual([]);
      expect(body.unchanged).toBe(
        sampleCatalogue.items.filter((i) => i.category === category).length,
      );
    }
  });

  test('what is exported as JSON comes back as nothing new', async () => {
    const { text } = await server.http().get('/api/catalogue');
    const { body } = await bring('format=json', text).expect(200);
    expect(body).toMatchObject({ kept: [], unchanged: sampleCatalogue.items.length });
  });

  test('one wrong cell and nothing of the table is kept; the place is told', async () => {
    const { text } = await server.http().get('/api/catalogue/items.csv?category=fitting');
    const lines = text.split('\r\n');
    const wrong = [
      lines[0],
      lines[1]!.replace(/^[^,]*/, 'NEW-1'),
      lines[2]!.replace(/[^,]*$/, 'x'),
    ];
    const { body } = await bring('format=csv&category=fitting', wrong.join('\n')).expect(400);
    expect(body.issues[0].path).toMatch(/^row 3, column \d+$/);
    expect((await all()).some((i) => i.id === 'NEW-1')).toBe(false);
  });

  test.each([
    ['format=csv&category=sandwich', 'id'],
    ['format=csv', 'id'],
    ['format=xml', '<x/>'],
    ['format=json', '{"items": 5}'],
    ['format=json', '[]'],
    ['format=json', '[{"category":"hose"}]'],
    ['format=json', '{"__proto__": []}'],
    ['format=csv&category=hose', ''],
  ])('%s %s is refused with a place', async (query, text) => {
    const { body } = await bring(query, text).expect(400);
    expect(body.code).toBe('bad-input');
    expect(body.message.length).toBeGreaterThan(5);
    expect(await all()).toHaveLength(sampleCatalogue.items.length);
  });

  test('two revisions of one item in one list follow each other', async () => {
    const own = { ...item('HBR-6'), id: 'OWN-H' };
    const { body } = await bring(
      'format=json',
      JSON.stringify([own, { ...own, price: 1 }, { ...own, price: 1 }]),
    ).expect(200);
    expect(body.kept.map((k: CatalogueItem) => k.revision)).toEqual([1, 2]);
    expect(body.unchanged).toBe(1);
  });
});

describe('where an item is used', () => {
  test('names the builds with their revision, and moving one is an edit', async () => {
    await keep({ ...item('HBR-6'), price: 99 }).expect(201);
    const used = async () =>
      (await server.http().get('/api/catalogue/items/HBR-6/where-used').expect(200)).body.uses;
    expect(await used()).toEqual([
      { buildId: 'lantern', name: 'Lantern', revision: 1, archived: false },
    ]);
    await server.edit(1, { name: 'use-revision', itemId: 'HBR-6', revision: 2 }).expect(200);
    expect(await used()).toMatchObject([{ buildId: 'lantern', revision: 2 }]);
    await server.http().post('/api/builds/lantern/undo').send({ baseRevision: 2 }).expect(200);
    expect(await used()).toMatchObject([{ buildId: 'lantern', revision: 1 }]);
  });

  test('a revision that is not there is refused', async () => {
    const { body } = await server
      .edit(1, { name: 'use-revision', itemId: 'HBR-6', revision: 7 })
      .expect(400);
    expect(body.message).toContain('HBR-6@7');
    expect((await server.read()).revision).toBe(1);
  });

  test('of an item that is not there is not found', async () => {
    await server.http().get('/api/catalogue/items/NONE/where-used').expect(404);
  });
});
