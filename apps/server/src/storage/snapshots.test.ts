import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, renameSync, rmdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import Sqlite from 'better-sqlite3';
import type { SnapshotsReply } from '@brookrain/contract';
import { fileTypes } from '@brookrain/core';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { addEntries } from '../tests/addEntries.ts';
import { type TestServer, startTestServer } from '../tests/testServer.ts';
import { storageTrouble } from './storageTrouble.ts';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.close());

const setPower = (kW: number) => ({
  name: 'set',
  path: ['brief', 'power'],
  value: { value: kW * 1e3, unit: 'kW' },
});
const power = async (): Promise<number> => (await server.read()).document.brief.power.value;
const restore = (file: string) =>
  spawnSync(
    process.execPath,
    [
      '--input-type=module',
      '-e',
      `import { runRestore } from ${JSON.stringify(fileURLToPath(new URL('../../dist/cli/restore.js', import.meta.url)))};
       process.exitCode = runRestore(process.argv[1], process.env);`,
      file,
    ],
    { encoding: 'utf8', env: { ...process.env, BROOKRAIN_DATA: server.folder } },
  );
const take = async (): Promise<string> => {
  const { body } = await server.http().post('/api/snapshots').send({}).expect(201);
  return join(server.folder, 'snapshots', body.file);
};

describe('snapshots', () => {
  test('Snapshots are taken on start and every hour, and when asked; each is a sound data file', async () => {
    const file = await take();
    const { body } = await server.http().get('/api/snapshots').expect(200);
    const { snapshots, restoreCommand } = body as SnapshotsReply;
    expect(snapshots.length).toBeGreaterThanOrEqual(1);
    expect(restoreCommand).toContain('npm run restore');
    const copy = new Sqlite(file, { readonly: true });
    expect(copy.pragma('integrity_check', { simple: true })).toBe('ok');
    expect(copy.prepare('select count(*) from builds').pluck().get()).toBe(3);
    copy.close();
  });

  test('leave nothing beside them', async () => {
    await server.edit(1, setPower(150)).expect(200);
    writeFileSync(join(server.folder, 'snapshots', 'brookrain-broken-off.db.part-wal'), '');
    await take();
    await take();
    const names = readdirSync(join(server.folder, 'snapshots'));
    expect(names.length).toBeGreaterThanOrEqual(3);
    for (const name of names) expect(name).toMatch(/\.db$/u);
  });

  test('what is restored is what was, and what was lost is a snapshot itself', async () => {
    await server.edit(1, setPower(150)).expect(200);
    const file = await take();
    await server.edit(2, setPower(90)).expect(200);
    await server.server.close();
    const done = restore(file);
    expect(done.stderr).toBe('');
    expect(done.status).toBe(0);
    await server.open();
    expect(await power()).toBe(150e3);
    expect((await server.read()).revision).toBe(2);
    const before = readdirSync(join(server.folder, 'snapshots')).find((f) =>
      f.includes('before-restore'),
    )!;
    await server.server.close();
    expect(restore(join(server.folder, 'snapshots', before)).status).toBe(0);
    await server.open();
    expect(await power()).toBe(90e3);
  });

  test('restoring while the program runs is refused and changes nothing', async () => {
    const file = await take();
    await server.edit(1, setPower(150)).expect(200);
    const refused = restore(file);
    expect(refused.status).toBe(2);
    expect(refused.stderr).toContain('stop it first');
    expect(await power()).toBe(150e3);
    await server.edit(2, setPower(140)).expect(200);
  });

  test('a damaged file, another file and none are refused', async () => {
    await server.server.close();
    const bad = join(server.folder, 'bad.db');
    writeFileSync(bad, 'this is not a data file');
    const other = join(server.folder, 'other.db');
    new Sqlite(other).exec('create table x (a)').close();
    const refusals = [
      [bad, `${bad}: it is no data file of this program`],
      [other, `${other}: it is no data file of this program`],
      [join(server.folder, 'none.db'), 'there is no such file'],
      ['', 'usage: npm run -s restore'],
    ] as const;
    for (const [file, words] of refusals) {
      const refused = restore(file);
      expect(refused.status, file).toBe(2);
      expect(refused.stderr).toContain(words);
    }
    await server.open();
    expect(await power()).toBe(168e3);
  });

  test('over a data file that is a folder: refused in words, and from a folder as well', async () => {
    const file = await take();
    await server.server.close();
    const data = join(server.folder, 'brookrain.db');
    const aside = join(server.folder, 'aside.db');
    renameSync(data, aside);
    mkdirSync(data);
    for (const [from, words] of [
      [file, 'is not a file: move it away'],
      [join(server.folder, 'snapshots'), 'it is a folder, not a snapshot'],
    ] as const) {
      const refused = restore(from);
      expect(refused.status).toBe(2);
      expect(refused.stderr).toContain(words);
      expect(refused.stderr).not.toContain('    at ');
    }
    rmdirSync(data);
    renameSync(aside, data);
    await server.open();
  });

  test('an entry of the record is reason for one, as an edit is', async () => {
    const count = async (): Promise<number> =>
      ((await server.http().get('/api/snapshots').expect(200)).body as SnapshotsReply).snapshots
        .length;
    await expect.poll(count).toBe(1);
    await server.restart();
    expect(await count()).toBe(1);
    await addEntries(server, 1);
    await server.restart();
    await expect.poll(count).toBe(2);
  });
});

describe('A restore begins another line of revisions', () => {
  /** A folder in which an edit was made after a snapshot, restored; what the page had read before. */
  async function restored() {
    await server.edit(1, setPower(150)).expect(200);
    const file = await take();
    await server.edit(2, setPower(90)).expect(200);
    const seen = await server.read();
    await server.server.close();
    expect(restore(file).status).toBe(0);
    await server.open();
    // Somebody else edits: revision 3 has other words now.
    const { generation } = await server.read();
    await send({ baseRevision: 2, generation, command: setPower(120) }).expect(200);
    return { seen, generation };
  }
  const send = (message: object) =>
    server.http().post('/api/builds/lantern/commands').send(message);

  test('an edit that started from the one before is stale, though its number is right', async () => {
    const { seen, generation } = await restored();
    expect(seen.revision).toBe(3);
    expect(generation).not.toBe(seen.generation);
    const { body } = await send({
      baseRevision: 3,
      generation: seen.generation,
      command: setPower(80),
    }).expect(409);
    expect(body).toMatchObject({ code: 'conflict', revision: 3, generation, since: [] });
    expect((body as { message: string }).message).toContain('put back from a snapshot');
    for (const step of ['undo', 'redo', 'go-back'] as const) {
      const more = step === 'go-back' ? { revision: 1 } : {};
      await server
        .http()
        .post(`/api/builds/lantern/${step}`)
        .send({ baseRevision: 3, generation: seen.generation, ...more })
        .expect(409);
    }
    const imported = await server.http().get('/api/builds/sandpiper/build.json').expect(200);
    await server
      .http()
      .post(`/api/builds/lantern/import?baseRevision=3&generation=${seen.generation}`)
      .set('content-type', fileTypes.json)
      .send(JSON.stringify(imported.body))
      .expect(409);
    expect(await power()).toBe(120e3);
  });

  test('so is one that does not say what it started from', async () => {
    await restored();
    await send({ baseRevision: 3, command: setPower(80) }).expect(409);
    expect(await power()).toBe(120e3);
  });

  test('one of this line is made, and the line stays over a restart', async () => {
    const { generation } = await restored();
    await send({ baseRevision: 3, generation, command: setPower(80) }).expect(200);
    await server.restart();
    expect((await server.read()).generation).toBe(generation);
    await send({ baseRevision: 4, generation, command: setPower(81) }).expect(200);
  });

  test('data that were never replaced take an edit that says nothing of it', async () => {
    await server.edit(1, setPower(150)).expect(200);
    await send({ baseRevision: 2, generation: 'another-folder', command: setPower(80) }).expect(
      409,
    );
    await server.edit(2, setPower(81)).expect(200);
  });
});

describe('a data folder that cannot be written', () => {
  test('locked: told as such, nothing is changed, and afterwards it goes on', async () => {
    const other = new Sqlite(join(server.folder, 'brookrain.db'));
    other.exec('begin exclusive');
    const { body, status } = await server.edit(1, setPower(150));
    expect(status).toBe(503);
    expect(body).toMatchObject({ code: 'storage' });
    expect(body.message).toContain('Another program holds the data file');
    other.exec('rollback');
    other.close();
    expect((await server.read()).revision).toBe(1);
    await server.edit(1, setPower(150)).expect(200);
  });

  test('full: told as such, nothing is changed, reading goes on', async () => {
    const { sqlite } = server.server;
    const pages = sqlite.pragma('page_count', { simple: true }) as number;
    sqlite.pragma(`max_page_count = ${pages}`);
    let answer = await server.edit(1, {
      name: 'set',
      path: ['description'],
      value: 'x'.repeat(2000),
    });
    for (let revision = 2; answer.status === 200 && revision < 60; revision++) {
      answer = await server.edit(revision, {
        name: 'set',
        path: ['description'],
        value: `${revision}${'x'.repeat(1900)}`,
      });
    }
    expect(answer.status).toBe(507);
    expect(answer.body.message).toContain('The disk is full');
    const { revision } = await server.read();
    sqlite.pragma('max_page_count = 1000000');
    await server.edit(revision, setPower(150)).expect(200);
  });

  test('read-only: told as such, nothing is changed', async () => {
    const { sqlite } = server.server;
    sqlite.pragma('query_only = ON');
    const { body, status } = await server.edit(1, setPower(150));
    expect(status).toBe(503);
    expect(body.message).toContain('cannot be written');
    sqlite.pragma('query_only = OFF');
    expect((await server.read()).revision).toBe(1);
    await server.edit(1, setPower(150)).expect(200);
  });

  test.each([
    ['SQLITE_BUSY', 503, 'holds'],
    ['SQLITE_BUSY_SNAPSHOT', 503, 'holds'],
    ['SQLITE_FULL', 507, 'full'],
    ['ENOSPC', 507, 'full'],
    ['SQLITE_READONLY_DIRECTORY', 503, 'cannot be written'],
    ['EACCES', 503, 'cannot be written'],
    ['SQLITE_CORRUPT', 503, 'restore'],
    ['SQLITE_IOERR_WRITE', 503, 'does not answer'],
  ])('%s is told in words', (code, status, words) => {
    const trouble = storageTrouble(Object.assign(new Error('x'), { code }));
    expect(trouble?.status).toBe(status);
    expect(trouble?.message).toContain(words);
    expect(storageTrouble(new Error('x', { cause: { code } }))?.status).toBe(status);
  });

  test('other errors are not called trouble of the storage', () => {
    expect(storageTrouble(new Error('x'))).toBeUndefined();
    expect(storageTrouble(Object.assign(new Error('x'), { code: 'SQLITE_CONSTRAINT' }))).toBe(
      undefined,
    );
    expect(storageTrouble(null)).toBeUndefined();
  });
});
