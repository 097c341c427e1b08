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
import type { BuildReply, SnapshotReply, SnapshotsReply } from '@brookrain/contract';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { type Server, createServer } from '../createServer.ts';
import { runRestore } from '../cli/restore.ts';
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
  test('is told, with what is missing, until somebody has read it; what was found is kept', async () => {
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
