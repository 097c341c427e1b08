import {
  type BuildDocument,
  CURRENT_VERSION,
  hashOf,
  lantern,
  storedDocument,
  withValueAt,
} from '@brookrain/core';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { type TestServer, startTestServer } from '../tests/testServer.ts';

const boost = (kilopascals: number) => ({
  name: 'set',
  path: ['brief', 'boost'],
  value: { value: kilopascals * 1e3, unit: 'kPa' },
});

const newFields: ReadonlySet<string> = new Set(['heatLoss', 'movesWithEngine']);
const newSlices = [
  'hotRuns',
  'routes',
  'vehicle',
  'sheets',
  'solids',
  'movingZones',
  'edges',
  'mountingLines',
  'spaces',
  'hardPoints',
  'otherLines',
  'tanks',
] as const;

/** A document as format 4 wrote it. */
function asFour(stored: string): string {
  const document = JSON.parse(stored, (key, value: unknown) =>
    newFields.has(key) ? undefined : value,
  ) as Record<string, unknown>;
  const kept = Object.entries(document).filter(
    ([key]) => !newSlices.some((slice) => slice === key),
  );
  return JSON.stringify({ ...Object.fromEntries(kept), version: 4 });
}

/** Lantern as format 4 knew it, brought up to date: its tank loses heat as usual, nothing is led. */
const lifted = storedDocument(JSON.parse(asFour(JSON.stringify(lantern))));

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
    const expected = withValueAt(lifted, 'brief.boost', { value: 75e3, unit: 'kPa' });
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
      expect(document.version).toBe(CURRENT_VERSION);
      expect(hashOf(withValueAt(document, 'brief.boost', lantern.brief.boost))).toBe(
        hashOf(lifted),
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
