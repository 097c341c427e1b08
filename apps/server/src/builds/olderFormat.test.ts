import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BuildReply, ErrorReply, RevisionReply } from '@brookrain/contract';
import {
  type BuildDocument,
  CURRENT_VERSION,
  hashOf,
  lantern,
  storedDocument,
  withValueAt,
} from '@brookrain/core';
import Sqlite from 'better-sqlite3';
import request from 'supertest';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { type Server, createServer } from '../createServer.ts';
import { CHECKPOINT_EVERY } from './buildHistory.ts';

const migrations = new URL('../../migrations/', import.meta.url);
const versionThree = new URL(
  '../../../../packages/core/src/tests/versionThree/lantern.json',
  import.meta.url,
);

interface Three {
  readonly brief: Readonly<Record<string, unknown>>;
}

/** A data folder as a program of format 3 left it: Lantern with three edits, the last undone. */
function olderFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'brookrain-older-'));
  const sqlite = new Sqlite(join(folder, 'brookrain.db'));
  const journal = JSON.parse(readFileSync(new URL('meta/_journal.json', migrations), 'utf8')) as {
    entries: { tag: string; when: number }[];
  };
  const before = journal.entries.slice(0, 2);
  for (const { tag } of before) {
    const text = readFileSync(new URL(`${tag}.sql`, migrations), 'utf8');
    for (const statement of text.split('--> statement-breakpoint')) sqlite.exec(statement);
  }
  sqlite.exec(
    'create table __drizzle_migrations (id integer primary key, hash text not null, created_at numeric)',
  );
  for (const { tag, when } of before) {
    sqlite
      .prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)')
      .run(tag, when);
  }
  const first = JSON.parse(readFileSync(versionThree, 'utf8')) as Three;
  const cylinders = { path: 'brief.cylinders', before: 4, after: 6 };
  const outlet = {
    path: 'fuelCircuits.0.elements.1.item',
    before: { id: 'B12', revision: 1 },
    after: { id: 'OLD8', revision: 1 },
  };
  const now = { ...first, brief: { ...first.brief, cylinders: 6 } };
  sqlite
    .prepare(
      `insert into builds (id, name, description, revision, document, demo, updated_at)
       values ('lantern', 'Lantern', '', 4, ?, 1, '2026-11-01T10:00:00.000Z')`,
    )
    .run(JSON.stringify(now));
  const revisions = [
    { kind: 'create', target: null, words: 'Demo build', patch: [] },
    { kind: 'edit', target: null, words: 'Change cylinders', patch: [cylinders] },
    { kind: 'edit', target: null, words: 'Choose OLD8', patch: [outlet] },
    {
      kind: 'undo',
      target: 3,
      words: 'Undo: Choose OLD8',
      patch: [{ ...outlet, before: outlet.after, after: outlet.before }],
    },
  ];
  revisions.forEach(({ kind, target, words, patch }, i) => {
    sqlite
      .prepare(
        `insert into build_revisions (build_id, number, kind, target, author, time, words, patch, hash)
         values ('lantern', ?, ?, ?, 'Mika', '2026-11-01T10:00:00.000Z', ?, ?, 'x')`,
      )
      .run(i + 1, kind, target, words, JSON.stringify(patch));
  });
  sqlite.close();
  return folder;
}

let folder: string;
let server: Server;
const http = () => request(server.app.getHttpServer());
beforeEach(async () => {
  folder = olderFolder();
  server = await createServer({ dataFolder: folder, webFolder: join(folder, 'no-web') });
});
afterEach(async () => {
  await server.close();
  rmSync(folder, { recursive: true, force: true });
});

/** Lantern as that program knew it, brought up to date. */
const usual: BuildDocument = storedDocument(JSON.parse(readFileSync(versionThree, 'utf8')));

describe('a data folder of an older format', () => {
  const six: BuildDocument = withValueAt(usual, 'brief.cylinders', 6);

  test('opens with its builds as they stood, by id', async () => {
    const { body } = await http().get('/api/builds/lantern').expect(200);
    const build = body as BuildReply;
    expect(build.revision).toBe(5);
    expect(hashOf(build.document)).toBe(hashOf(six));
    expect(build.undo).toBeNull();
    expect(build.redo).toBeNull();
  });

  test('keeps its history readable, every revision brought up to date', async () => {
    const { body } = await http().get('/api/builds/lantern/revisions').expect(200);
    expect((body as RevisionReply[]).map((r) => r.kind)).toEqual([
      'migrate',
      'undo',
      'edit',
      'edit',
      'create',
    ]);
    const outlet = 'fuelCircuits.main.elements.tank-bung.item.id';
    const expected = [usual, six, withValueAt(six, outlet, 'OLD8'), six, six];
    for (const [i, document] of expected.entries()) {
      const { body: was } = await http()
        .get(`/api/builds/lantern/revisions/${i + 1}`)
        .expect(200);
      expect(hashOf((was as BuildReply).document), `revision ${i + 1}`).toBe(hashOf(document));
    }
  });

  test('undo stops where the format changed and says so; going back works', async () => {
    const refused = await http()
      .post('/api/builds/lantern/undo')
      .send({ baseRevision: 5 })
      .expect(400);
    expect((refused.body as ErrorReply).message).toContain(
      'format of builds changed at revision 5',
    );
    const back = await http()
      .post('/api/builds/lantern/go-back')
      .send({ baseRevision: 5, revision: 1 })
      .expect(200);
    expect(hashOf((back.body as BuildReply).document)).toBe(hashOf(usual));
    const undone = await http()
      .post('/api/builds/lantern/undo')
      .send({ baseRevision: 6 })
      .expect(200);
    expect(hashOf((undone.body as BuildReply).document)).toBe(hashOf(six));
  });

  test('is brought up once', async () => {
    await server.close();
    server = await createServer({ dataFolder: folder, webFolder: join(folder, 'no-web') });
    const { body } = await http().get('/api/builds/lantern').expect(200);
    expect((body as BuildReply).revision).toBe(5);
  });
});

describe('revisions of this format', () => {
  test('are read from the nearest checkpoint, one every so many', async () => {
    const start = 5;
    const edits = CHECKPOINT_EVERY + 3;
    for (let n = 1; n <= edits; n++) {
      const value = { value: 10e3 + n, unit: 'kPa' };
      const command = { name: 'set', path: ['brief', 'boost'], value };
      await http()
        .post('/api/builds/lantern/commands')
        .send({ baseRevision: start + n - 1, command })
        .expect(200);
    }
    const checkpoints = server.sqlite
      .prepare(
        "select number, format_version as format from build_checkpoints where build_id = 'lantern' order by number",
      )
      .all();
    expect(checkpoints).toEqual([
      { number: 4, format: 3 },
      { number: 5, format: CURRENT_VERSION },
      { number: CHECKPOINT_EVERY, format: CURRENT_VERSION },
    ]);
    for (const n of [1, 20, edits - 4, edits]) {
      const { body } = await http()
        .get(`/api/builds/lantern/revisions/${start + n}`)
        .expect(200);
      expect((body as BuildReply).document.brief.boost.value).toBe(10e3 + n);
    }
  });

  test('hold only what changed: a place among many is one small patch', async () => {
    const placements = Object.fromEntries(
      Array.from({ length: 400 }, (_, i) => [
        `place-${i}`,
        { ...lantern.placements['pump']!, name: `Place ${i}` },
      ]),
    );
    const many = { ...lantern, placements: { ...lantern.placements, ...placements } };
    await http()
      .post('/api/builds/lantern/commands')
      .send({ baseRevision: 5, command: { name: 'replace-document', document: many } })
      .expect(200);
    const command = {
      name: 'set',
      path: ['placements', 'one-more'],
      value: { ...lantern.placements['pump']!, name: 'One more' },
    };
    await http()
      .post('/api/builds/lantern/commands')
      .send({ baseRevision: 6, command })
      .expect(200);
    const { patch, inverse } = server.sqlite
      .prepare(
        "select patch, inverse from build_revisions where build_id = 'lantern' and number = 7",
      )
      .get() as { patch: string; inverse: string };
    expect(patch.length).toBeLessThan(600);
    expect(JSON.parse(inverse)).toEqual([{ op: 'remove', path: ['placements', 'one-more'] }]);
  });
});
