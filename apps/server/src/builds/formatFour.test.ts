import { type BuildDocument, hashOf, lantern, withValueAt } from '@brookrain/core';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { type TestServer, startTestServer } from '../tests/testServer.ts';

const LOSS = 'fuelCircuits.main.elements.tank.heatLoss';
const usual = (build: BuildDocument): BuildDocument => ({
  ...withValueAt(build, LOSS, { value: 10, unit: 'W/K' }),
  hotRuns: {},
  routes: {},
});
const boost = (kilopascals: number) => ({
  name: 'set',
  path: ['brief', 'boost'],
  value: { value: kilopascals * 1e3, unit: 'kPa' },
});

const newInFive: ReadonlySet<string> = new Set(['heatLoss', 'hotRuns', 'routes']);

/** A document as format 4 wrote it. */
function asFour(stored: string): string {
  const document = JSON.parse(stored) as BuildDocument;
  const plain = JSON.parse(
    JSON.stringify(document, (key, value: unknown) => (newInFive.has(key) ? undefined : value)),
  ) as object;
  return JSON.stringify({ ...plain, version: 4 });
}

let server: TestServer;
/** Two edits, then everything as a program of format 4 would have left it. */
beforeEach(async () => {
  server = await startTestServer();
  await server.edit(1, boost(70)).expect(200);
  await server.edit(2, boost(75)).expect(200);
  const { sqlite } = server.server;
  for (const table of ['builds', 'build_checkpoints']) {
    const rows = sqlite.prepare(`select rowid as at, document from ${table}`).all() as {
      at: number;
      document: string;
    }[];
    for (const { at, document } of rows) {
      sqlite.prepare(`update ${table} set document = ? where rowid = ?`).run(asFour(document), at);
    }
  }
  sqlite.exec('update build_checkpoints set format_version = 4');
  sqlite.exec('update build_revisions set format_version = 4');
  await server.restart();
});
afterEach(() => server.close());

describe('a data folder of format 4', () => {
  test('opens with its builds as they stood, their tanks losing heat as usual', async () => {
    const build = await server.read();
    expect(build.revision).toBe(4);
    expect(build.undo).toBeNull();
    const expected = withValueAt(usual(lantern), 'brief.boost', { value: 75e3, unit: 'kPa' });
    expect(hashOf(build.document)).toBe(hashOf(expected));
  });

  test('keeps every revision readable, by patches forward from its checkpoint', async () => {
    const boosts: number[] = [];
    for (const number of [1, 2, 3, 4]) {
      const { body } = await server
        .http()
        .get(`/api/builds/lantern/revisions/${number}`)
        .expect(200);
      const { document } = body as { document: BuildDocument };
      expect(document.version).toBe(5);
      expect(hashOf(withValueAt(document, 'brief.boost', lantern.brief.boost))).toBe(
        hashOf(usual(lantern)),
      );
      boosts.push(document.brief.boost.value);
    }
    expect(boosts).toEqual([lantern.brief.boost.value, 70e3, 75e3, 75e3]);
  });

  test('goes on from there, and back to what was', async () => {
    await server.edit(4, boost(80)).expect(200);
    await server
      .http()
      .post('/api/builds/lantern/go-back')
      .send({ baseRevision: 5, revision: 2 })
      .expect(200);
    expect((await server.read()).document.brief.boost.value).toBe(70e3);
  });
});
