import type { ConflictReply, ErrorReply, ImportPreview } from '@brookrain/contract';
import { documentIssues } from '@brookrain/contract';
import {
  evaluate,
  hashOf,
  lantern,
  sampleCatalogue,
  toBuildFile,
  wireList,
  withValueAt,
  fileTypes,
  quantity,
} from '@brookrain/core';
import fc from 'fast-check';
import { afterAll, beforeAll, beforeEach, afterEach, describe, expect, test } from 'vitest';
import { type TestServer, startTestServer } from './tests/testServer.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.close());

const boost = (kPa: number) => ({
  name: 'set',
  path: ['brief', 'boost'],
  value: { value: kPa * 1e3, unit: 'kPa' },
});

describe('reading', () => {
  test('health tells that it lives', async () => {
    const { body } = await server.http().get('/api/health').expect(200);
    expect(body).toMatchObject({ status: 'ok', builds: 3 });
  });

  test('the demo is there on first start, once', async () => {
    await server.restart();
    const { body } = await server.http().get('/api/builds').expect(200);
    expect(body).toHaveLength(3);
    expect(body[1]).toMatchObject({ id: 'lantern', name: 'Lantern', demo: true, revision: 1 });
    expect(hashOf((await server.read()).document)).toBe(hashOf(lantern));
  });

  test('the catalogue holds every shipped item', async () => {
    const { body } = await server.http().get('/api/catalogue').expect(200);
    expect(body.items).toHaveLength(sampleCatalogue.items.length);
  });

  test('a build that did not change is not sent again, a changed one is', async () => {
    const first = await server.http().get('/api/builds/lantern').expect(200);
    expect(first.headers['content-type']).toMatch(/^application\/json/);
    const known = String(first.headers['etag']);
    await server.http().get('/api/builds/lantern').set('If-None-Match', known).expect(304);
    await server.edit(1, boost(70)).expect(200);
    const { body } = await server
      .http()
      .get('/api/builds/lantern')
      .set('If-None-Match', known)
      .expect(200);
    expect(body.revision).toBe(2);
    expect(body.document.brief.boost.value).toBe(70e3);
  });

  test('the history tells words and hash, newest first, without the patches', async () => {
    await server.edit(1, boost(70)).expect(200);
    const { body } = await server.http().get('/api/builds/lantern/revisions').expect(200);
    expect(body.map((r: { number: number }) => r.number)).toEqual([2, 1]);
    expect(Object.keys(body[0]).sort()).toEqual(
      ['author', 'hash', 'kind', 'number', 'time', 'words'].sort(),
    );
    expect(body[0].hash).toBe(hashOf((await server.read()).document));
  });

  test('the history is sent anew after an edit, and only then', async () => {
    const path = '/api/builds/lantern/revisions';
    const first = await server.http().get(path).expect(200);
    const known = String(first.headers['etag']);
    await server.http().get(path).set('If-None-Match', known).expect(304);
    await server.edit(1, boost(70)).expect(200);
    const { body } = await server.http().get(path).set('If-None-Match', known).expect(200);
    expect(body).toHaveLength(first.body.length + 1);
  });

  test.each([
    '/api/builds/none',
    '/api/builds/none/revisions',
    '/api/builds/none/parts.csv',
    '/api/nothing',
  ])('%s is not found, in the words of the contract', async (path) => {
    const { body } = await server.http().get(path).expect(404);
    expect(body.code).toBe('not-found');
    expect(body.message.length).toBeGreaterThan(5);
  });
});

describe('editing', () => {
  test('an accepted edit makes a revision and survives a restart', async () => {
    const { body } = await server.edit(1, boost(70)).expect(200);
    expect(body.revision).toBe(2);
    await server.restart();
    const kept = await server.read();
    expect(kept.revision).toBe(2);
    expect(kept.document.brief.boost).toEqual({ value: 70e3, unit: 'kPa' });
    expect(kept.undo).toBe('Boost 0.85 bar → 70 kPa');
  });

  test('an edit that changes nothing makes no revision', async () => {
    const same = { name: 'set', path: ['brief', 'cylinders'], value: 4 };
    const { body } = await server.edit(1, same).expect(200);
    expect(body.revision).toBe(1);
  });

  test('an impossible value is refused with the message of the field, and nothing changes', async () => {
    const command = {
      name: 'set',
      path: ['brief', 'displacement'],
      value: { value: -0.0024, unit: 'L' },
    };
    const { body } = await server.edit(1, command).expect(400);
    const atField = documentIssues(
      withValueAt(lantern, command.path, command.value),
      sampleCatalogue,
    );
    expect((body as ErrorReply).issues).toEqual(atField);
    expect((await server.read()).revision).toBe(1);
  });

  test.each([
    [{ baseRevision: 1 }],
    [{ command: boost(70) }],
    [{ baseRevision: 'one', command: boost(70) }],
    [{ baseRevision: 1, command: boost(70), sneaky: true }],
    [{ baseRevision: 1, command: { name: 'set', path: ['brief', '__proto__', 'x'], value: 1 } }],
    [{ baseRevision: 1, command: { name: 'set', path: ['format'], value: 'other' } }],
    [{ baseRevision: 1, command: { name: 'set', path: ['brief'], value: null } }],
    [
      {
        baseRevision: 1,
        command: {
          name: 'choose-part',
          circuitId: 'x',
          elementId: 'y',
          item: { id: 'a', revision: 1 },
        },
      },
    ],
    [[1, 2]],
  ])('%j is refused with 400', async (body) => {
    const reply = await server
      .http()
      .post('/api/builds/lantern/commands')
      .send(body as object);
    expect(reply.status).toBe(400);
    expect((reply.body as ErrorReply).message.length).toBeGreaterThan(5);
    expect(hashOf((await server.read()).document)).toBe(hashOf(lantern));
  });

  test('broken JSON is refused with 400', async () => {
    const reply = await server
      .http()
      .post('/api/builds/lantern/commands')
      .set('content-type', 'application/json')
      .send('{"baseRevision": 1, ');
    expect(reply.status).toBe(400);
    expect(reply.body.code).toBe('bad-input');
  });
});

describe('undo and redo', () => {
  const step = (direction: 'undo' | 'redo', baseRevision: number) =>
    server.http().post(`/api/builds/lantern/${direction}`).send({ baseRevision });

  test('Nothing is overwritten: they append revisions and lead exactly back and forth', async () => {
    await server.edit(1, boost(70)).expect(200);
    await server
      .edit(2, { name: 'choose-injector', rowId: 'primary', item: { id: 'I850', revision: 1 } })
      .expect(200);
    const after = hashOf((await server.read()).document);
    await step('undo', 3).expect(200);
    const second = await step('undo', 4).expect(200);
    expect(hashOf(second.body.document)).toBe(hashOf(lantern));
    expect(second.body).toMatchObject({ revision: 5, undo: null, redo: 'Boost 0.85 bar → 70 kPa' });
    await step('redo', 5).expect(200);
    const redone = await step('redo', 6).expect(200);
    expect(hashOf(redone.body.document)).toBe(after);
  });

  test('with nothing to undo or redo it says so', async () => {
    expect((await step('undo', 1).expect(400)).body.message).toBe('there is nothing to undo');
    expect((await step('redo', 1).expect(400)).body.message).toBe('there is nothing to redo');
  });

  test('history keeps every revision with its words and hash', async () => {
    await server.edit(1, boost(70)).expect(200);
    await step('undo', 2).expect(200);
    const { body } = await server.http().get('/api/builds/lantern/revisions').expect(200);
    expect(body.map((r: { kind: string }) => r.kind)).toEqual(['undo', 'edit', 'create']);
    expect(body[0].hash).toBe(hashOf(lantern));
    expect(body[0].words).toBe('Undo: Boost 0.85 bar → 70 kPa');
  });
});

describe('stale edits', () => {
  test('get 409 with what changed since, and no whole document', async () => {
    await server.edit(1, boost(70)).expect(200);
    const command = { name: 'set', path: ['brief', 'power'], value: { value: 150e3, unit: 'kW' } };
    const { body } = await server.edit(1, command).expect(409);
    const conflict = body as ConflictReply;
    expect(conflict.code).toBe('conflict');
    expect([conflict.baseRevision, conflict.revision]).toEqual([1, 2]);
    expect(conflict.since).toEqual([
      {
        words: 'Boost 0.85 bar → 70 kPa',
        author: 'workshop',
        changes: [
          {
            path: ['brief', 'boost'],
            before: lantern.brief.boost,
            after: quantity(70, 'pressure', 'kPa'),
          },
        ],
      },
    ]);
    expect(conflict.untold).toBe(0);
    expect(conflict.command).toEqual(command);
    expect((await server.read()).revision).toBe(2);
  });

  test('re-applied on the newest revision both edits stand', async () => {
    await server.edit(1, boost(70)).expect(200);
    const command = { name: 'set', path: ['brief', 'cylinders'], value: 5 };
    const { body } = await server.edit(1, command).expect(409);
    const conflict = body as ConflictReply;
    await server.edit(conflict.revision, conflict.command!).expect(200);
    const { document } = await server.read();
    expect([document.brief.boost.value, document.brief.cylinders]).toEqual([70e3, 5]);
  });

  test('of many sent at once from one revision exactly one is accepted', async () => {
    const replies = await Promise.all(
      Array.from({ length: 8 }, (_, i) => server.edit(1, boost(60 + i))),
    );
    expect(replies.filter((r) => r.status === 200)).toHaveLength(1);
    expect(replies.filter((r) => r.status === 409)).toHaveLength(7);
    expect((await server.read()).revision).toBe(2);
  });
});

describe('the state of a build', () => {
  const state = async () => (await server.http().get('/api/builds/lantern/state').expect(200)).body;
  const blend = (share: number, baseRevision: number) =>
    server
      .http()
      .post('/api/builds/lantern/commands')
      .send({
        baseRevision,
        command: {
          name: 'set',
          path: ['fuels', 'pump-fuel', 'ethanol'],
          value: { value: share, unit: '%' },
        },
      })
      .expect(200);

  test('counts stops and warnings of its newest revision', async () => {
    expect(await state()).toEqual({ revision: 1, stops: 3, warnings: 3 });
    await blend(0.85, 1);
    const worse = await state();
    expect(worse.revision).toBe(2);
    expect(worse.stops).toBeGreaterThan(6);
    await blend(0.1, 2);
    expect(await state()).toEqual({ revision: 3, stops: 3, warnings: 3 });
  });

  test('of a build that is not there is not found', async () => {
    await server.http().get('/api/builds/none/state').expect(404);
  });
});

describe('files', () => {
  const post = (path: string, text: string) =>
    server.http().post(path).set('content-type', fileTypes.json).send(text);
  const file = () =>
    structuredClone(toBuildFile(lantern, sampleCatalogue)) as unknown as Record<string, unknown>;

  test('what is exported comes back as a new build with the same hash', async () => {
    const exported = await server.http().get('/api/builds/lantern/build.json').expect(200);
    expect(exported.headers['content-disposition']).toContain('"lantern.build.json"');
    const { body } = await post('/api/builds/import', JSON.stringify(exported.body)).expect(201);
    expect(hashOf(body.document)).toBe(hashOf(lantern));
    expect((await server.http().get('/api/builds')).body).toHaveLength(4);
  });

  test('a preview lists what would change and changes nothing', async () => {
    const changed = withValueAt(file(), 'brief.boost', { value: 50e3, unit: 'kPa' });
    const { body } = await post(
      '/api/builds/lantern/import/preview',
      JSON.stringify(changed),
    ).expect(200);
    expect((body as ImportPreview).changes).toEqual([
      {
        path: ['brief', 'boost'],
        before: { value: 85e3, unit: 'bar' },
        after: { value: 50e3, unit: 'kPa' },
      },
    ]);
    expect((await server.read()).revision).toBe(1);
  });

  test('importing over a build is one edit that undo takes back', async () => {
    const changed = withValueAt(file(), 'name', 'Lamp');
    const { body } = await post(
      '/api/builds/lantern/import?baseRevision=1',
      JSON.stringify(changed),
    ).expect(200);
    expect(body).toMatchObject({ revision: 2, undo: 'Import Lamp' });
    const undone = await server
      .http()
      .post('/api/builds/lantern/undo')
      .send({ baseRevision: 2 })
      .expect(200);
    expect(hashOf(undone.body.document)).toBe(hashOf(lantern));
  });

  test('new catalogue items come with the file, a changed known one is refused', async () => {
    const own = file();
    const items = own['catalogue'] as { id: string; price: number }[];
    items.push({ ...items[0]!, id: 'OWN-1' });
    await post('/api/builds/import', JSON.stringify(own)).expect(201);
    const { body } = await server.http().get('/api/catalogue');
    expect(body.items.some((i: { id: string }) => i.id === 'OWN-1')).toBe(true);
    items[0]!.price += 1;
    const refused = await post('/api/builds/import', JSON.stringify(own)).expect(400);
    expect(refused.body.issues[0].path).toBe('catalogue.0');
  });

  test('a stale import gets 409', async () => {
    await server.edit(1, boost(70)).expect(200);
    await post('/api/builds/lantern/import?baseRevision=1', JSON.stringify(file())).expect(409);
    await post('/api/builds/lantern/import?baseRevision=x', JSON.stringify(file())).expect(400);
  });

  test.each<[string, () => string]>([
    ['damaged', () => JSON.stringify(file()).slice(0, 2000)],
    ['empty', () => ' '],
    ['another version', () => JSON.stringify({ ...file(), version: 99 })],
    [
      'deeply nested',
      () => {
        const nested: unknown = JSON.parse('['.repeat(99) + ']'.repeat(99));
        return JSON.stringify(withValueAt(file(), 'description', nested));
      },
    ],
    [
      'prototype',
      () => JSON.stringify(file()).replace('"brief":{', '"brief":{"__proto__":{"x":1},'),
    ],
    ['wrong types', () => JSON.stringify(withValueAt(file(), 'brief.power', 'lots'))],
    ['a list', () => '[]'],
    ['a number', () => '7'],
  ])('a %s file is refused with path and reason, and nothing changes', async (_what, text) => {
    for (const path of [
      '/api/builds/import',
      '/api/builds/lantern/import/preview',
      '/api/builds/lantern/import?baseRevision=1',
    ]) {
      const { status, body } = await post(path, text());
      expect(status, path).toBe(400);
      expect(body.code).toBe('bad-input');
      expect(body.issues[0].message.length).toBeGreaterThan(5);
    }
    expect((await server.http().get('/api/builds')).body).toHaveLength(3);
    expect(hashOf((await server.read()).document)).toBe(hashOf(lantern));
    expect(({} as Record<string, unknown>)['x']).toBeUndefined();
  });

  test('more than 10 MB is refused', async () => {
    const { status, body } = await post('/api/builds/import', ' '.repeat(10 * 1024 * 1024 + 10));
    expect([400, 413]).toContain(status);
    expect(body.message).toContain('larger than 10 MB');
    const much = await post('/api/builds/import', ' '.repeat(11 * 1024 * 1024));
    expect(much.status).toBe(413);
    expect(much.body).toMatchObject({
      code: 'too-large',
      message: 'the file is larger than 10 MB',
    });
  });
});

describe('papers', () => {
  test('the work sheet is a PDF with pages', async () => {
    const reply = await server
      .http()
      .get('/api/builds/lantern/work-sheet.pdf')
      .buffer(true)
      .parse((response, done) => {
        const chunks: Buffer[] = [];
        response.on('data', (chunk: Buffer) => chunks.push(chunk));
        response.on('end', () => done(null, Buffer.concat(chunks)));
      });
    expect(reply.status).toBe(200);
    expect(reply.headers['content-type']).toBe('application/pdf');
    expect(reply.headers['content-disposition']).toContain('lantern-work-sheet.pdf');
    const bytes = reply.body as Buffer;
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    expect(bytes.length).toBeGreaterThan(10_000);
    expect(bytes.toString('latin1').match(/\/Type \/Page\b/g)!.length).toBeGreaterThanOrEqual(2);
  });

  test('parts and wires are CSV with a header and a row each', async () => {
    const parts = await server.http().get('/api/builds/lantern/parts.csv').expect(200);
    const rows = parts.text.trim().split('\r\n');
    expect(rows[0]).toBe('part,designation,family,quantity,unit,price,currency,usedFor');
    expect(parts.text).toContain('I650');
    const wires = await server.http().get('/api/builds/lantern/wires.csv').expect(200);
    const listed = wireList(evaluate(lantern, sampleCatalogue));
    expect(listed.length).toBeGreaterThan(100);
    expect(wires.text.trim().split('\r\n')).toHaveLength(listed.length + 1);
  });

  test('Tables that are exported run nothing: text that a spreadsheet would run is made harmless', async () => {
    const own = structuredClone(toBuildFile(lantern, sampleCatalogue)) as unknown as Record<
      string,
      unknown
    >;
    const named = withValueAt(
      own,
      'fuelCircuits.main.elements.pump.name',
      '=HYPERLINK("http://x")',
    );
    const { body } = await server
      .http()
      .post('/api/builds/import')
      .set('content-type', fileTypes.json)
      .send(JSON.stringify(named))
      .expect(201);
    const { text } = await server.http().get(`/api/builds/${body.id}/parts.csv`).expect(200);
    expect(text).not.toMatch(/(^|,|")=HYPERLINK/m);
    expect(text).toContain("'=HYPERLINK");
  });
});

describe('hostile input', () => {
  let shared: TestServer;
  beforeAll(async () => {
    shared = await startTestServer();
  });
  afterAll(() => shared.close());

  test('whatever is sent as a command or a file gets an answer below 500', async () => {
    const anything = fc.oneof(
      fc.jsonValue({ maxDepth: 6 }),
      fc.record({
        name: fc.constantFrom('set', 'remove', 'set-several', 'decide', 'replace-document'),
        path: fc.constantFrom(
          ['brief'],
          ['brief', 'boost'],
          ['fuels', 'pump-fuel'],
          ['power'],
          ['__proto__'],
          ['options', 'tank-outlet', 'alternatives'],
          [],
          'brief.boost',
        ),
        value: fc.jsonValue({ maxDepth: 3 }),
      }),
    );
    await fc.assert(
      fc.asyncProperty(anything, async (value) => {
        const command = await shared
          .http()
          .post('/api/builds/lantern/commands')
          .send({ baseRevision: 1, command: value });
        expect([400, 409]).toContain(command.status);
        const file = await shared
          .http()
          .post('/api/builds/import')
          .set('content-type', fileTypes.json)
          .send(JSON.stringify(value));
        expect(file.status).toBe(400);
        expect(file.body.message.length).toBeGreaterThan(5);
      }),
      { numRuns: 120 },
    );
    expect((await shared.read()).revision).toBe(1);
  });
});
