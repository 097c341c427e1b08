import {
  copyFileSync,
  cpSync,
  existsSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  type BuildReply,
  type CatalogueReply,
  type SnapshotReply,
  type SnapshotsReply,
  missingInWords,
} from '@brookrain/contract';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { type Server, createServer } from '../createServer.ts';
import { runRestore } from '../cli/restore.ts';
import { recordEntry } from '../tests/addEntries.ts';
import { DATABASE_FILE } from './database.ts';
import { SNAPSHOT_FOLDER } from './snapshots.ts';

let folder: string;
let server: Server | undefined;
const folders: string[] = [];
const newFolder = (): string => {
  folder = mkdtempSync(join(tmpdir(), 'brookrain-last-'));
  folders.push(folder);
  return folder;
};
beforeEach(newFolder);
afterEach(async () => {
  await server?.close();
  server = undefined;
  for (const each of folders.splice(0)) rmSync(each, { recursive: true, force: true });
});

const start = async (): Promise<string> => {
  server = await createServer({ dataFolder: folder, webFolder: join(folder, 'no-web') });
  return `http://127.0.0.1:${await server.listen(0, '127.0.0.1')}/api`;
};
/** Goes on in a folder as a program leaves it that is killed now: with its log, which nobody tidied. */
async function killed(): Promise<void> {
  const left = folder;
  cpSync(left, newFolder(), { recursive: true, filter: (file) => !file.endsWith('-shm') });
  await server?.close();
  server = undefined;
}
const send = (url: string, body: object): Promise<Response> =>
  fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
async function edit(api: string, times: number): Promise<void> {
  for (let n = 1; n <= times; n++) {
    const { status } = await send(`${api}/builds/lantern/commands`, {
      baseRevision: n,
      command: { name: 'set', path: ['description'], value: `edit ${n}` },
    });
    expect(status).toBe(200);
  }
}
const snapshots = async (api: string): Promise<SnapshotsReply> =>
  (await (await fetch(`${api}/snapshots`)).json()) as SnapshotsReply;
const revision = async (api: string): Promise<number> =>
  ((await (await fetch(`${api}/builds/lantern`)).json()) as BuildReply).revision;
const log = (): string => join(folder, `${DATABASE_FILE}-wal`);

/** Six edits, the program killed, and the end of its log overwritten from some share on. */
async function damagedLog(from: number): Promise<void> {
  await edit(await start(), 6);
  await killed();
  const bytes = readFileSync(log());
  bytes.fill(0x5a, Math.floor(bytes.length * from));
  writeFileSync(log(), bytes);
}

describe('a damaged write-ahead log', () => {
  test('What is missing is reported, until somebody has read it; what was found is kept', async () => {
    await damagedLog(0.6);
    const api = await start();
    const now = await revision(api);
    expect(now).toBeLessThan(7);
    const { lost } = await snapshots(api);
    expect(lost?.edits).toBeGreaterThanOrEqual(7 - now);
    expect(existsSync(join(lost!.kept, 'brookrain.db-wal'))).toBe(true);
    await killed();
    // Told again, also after further edits, and not any more once it was read.
    const again = await start();
    expect((await snapshots(again)).lost).toEqual(lost);
    const read = (await (
      await send(`${again}/snapshots/lost/understood`, {})
    ).json()) as SnapshotsReply;
    expect(read.lost).toBeNull();
    await killed();
    expect((await snapshots(await start())).lost).toBeNull();
  });

  test('counts entries of the record and items of the catalogue as it counts edits', async () => {
    const api = await start();
    await edit(api, 1);
    for (let n = 0; n < 30; n++) {
      const { status } = await send(`${api}/builds/lantern/record`, { entries: [recordEntry(n)] });
      expect(status).toBe(201);
    }
    const { items } = (await (await fetch(`${api}/catalogue`)).json()) as CatalogueReply;
    const item = { ...items[0]!, id: 'LATER-1' };
    expect((await send(`${api}/catalogue/items`, { item })).status).toBe(201);
    await killed();
    // The whole log is lost: of what was seeded on first start nothing is left either.
    rmSync(log());
    const { lost } = await snapshots(await start());
    expect(lost).toMatchObject({ entries: 30 });
    expect(lost!.items).toBeGreaterThan(0);
    expect(missingInWords(lost!)).toContain('30 entries of the record');
  });

  test('begins another line of revisions: the numbers of what is missing are used again', async () => {
    await damagedLog(0.6);
    const api = await start();
    const { revision: now, generation } = (await (
      await fetch(`${api}/builds/lantern`)
    ).json()) as BuildReply;
    const command = { name: 'set', path: ['description'], value: 'another' };
    const stale = { baseRevision: now, command };
    expect((await send(`${api}/builds/lantern/commands`, stale)).status).toBe(409);
    expect((await send(`${api}/builds/lantern/commands`, { ...stale, generation })).status).toBe(
      200,
    );
  });

  test('of a log that is whole, and of one that is gone with nothing in it, nothing is told', async () => {
    await edit(await start(), 6);
    await killed();
    const api = await start();
    expect(await revision(api)).toBe(7);
    expect((await snapshots(api)).lost).toBeNull();
    expect(existsSync(`${log()}.found`)).toBe(false);
  });

  test('a snapshot that is put back is no loss', async () => {
    const api = await start();
    const { file } = (await (await send(`${api}/snapshots`, {})).json()) as SnapshotReply;
    await edit(api, 6);
    await killed();
    const copy = join(folder, 'copy.db');
    copyFileSync(join(folder, SNAPSHOT_FOLDER, file), copy);
    expect(runRestore(copy, { BROOKRAIN_DATA: folder })).toBe(0);
    const restored = await start();
    expect(await revision(restored)).toBe(1);
    expect((await snapshots(restored)).lost).toBeNull();
  });
});
