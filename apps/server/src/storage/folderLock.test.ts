import { existsSync, mkdtempSync, readdirSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { runRestore } from '../cli/restore.ts';
import { type Server, createServer } from '../createServer.ts';
import { DATABASE_FILE, NewerData, openDatabase } from './database.ts';
import { FolderHeld, lockFolder } from './folderLock.ts';

let folder: string;
let servers: Server[];
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'brookrain-lock-'));
  servers = [];
});
afterEach(async () => {
  for (const server of servers) await server.close();
  rmSync(folder, { recursive: true, force: true });
});
const serve = async (): Promise<Server> => {
  const server = await createServer({ dataFolder: folder, webFolder: join(folder, 'no-web') });
  servers.push(server);
  return server;
};
const stop = async (server: Server): Promise<void> => {
  servers = servers.filter((each) => each !== server);
  await server.close();
};
const database = (): string => join(folder, DATABASE_FILE);
/** A sound copy of the data, taken while the server ran, and the server stopped. */
async function snapshotThenStop(): Promise<string> {
  const server = await serve();
  const copy = join(folder, 'copy.db');
  await server.sqlite.backup(copy);
  await stop(server);
  return copy;
}

describe('a data folder', () => {
  test('A data folder belongs to one program at a time: the second says who has it', async () => {
    const first = await serve();
    await expect(serve()).rejects.toThrow(FolderHeld);
    await expect(serve()).rejects.toThrow(new RegExp(`process ${String(process.pid)} since`));
    await stop(first);
    await stop(await serve());
  });

  test('is let go with the lock, and taken again', () => {
    const lock = lockFolder(folder);
    expect(() => lockFolder(folder)).toThrow(FolderHeld);
    lock.release();
    lockFolder(folder).release();
  });

  test('Newer data are left alone: what a newer program wrote is refused', async () => {
    await stop(await serve());
    const sqlite = new Sqlite(database());
    sqlite
      .prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)')
      .run('later', Date.now() + 1e12);
    sqlite.close();
    expect(() => openDatabase(folder)).toThrow(NewerData);
    await expect(serve()).rejects.toThrow(/newer Brookrain/);
    // It was let go: another program may serve it.
    lockFolder(folder).release();
  });

  test('with builds in a newer format is refused too', async () => {
    await stop(await serve());
    const sqlite = new Sqlite(database());
    sqlite.prepare('update build_revisions set format_version = 99 where number = 1').run();
    sqlite.close();
    await expect(serve()).rejects.toThrow(/newer Brookrain/);
  });
});

describe('restore', () => {
  const env = (): NodeJS.ProcessEnv => ({ BROOKRAIN_DATA: folder });
  const asides = (): string[] => readdirSync(join(folder, 'snapshots'));

  test('is refused while the program runs, and then nothing is touched', async () => {
    const copy = await snapshotThenStop();
    const server = await serve();
    expect(runRestore(copy, env())).toBe(2);
    await stop(server);
    expect(runRestore(copy, env())).toBe(0);
  });

  test.each([
    ['truncated', () => truncateSync(database(), 5000)],
    ['empty', () => writeFileSync(database(), '')],
    ['overwritten', () => writeFileSync(database(), 'no database at all '.repeat(5000))],
    ['missing', () => rmSync(database())],
  ] as const)('brings back a data file that is %s', async (what, damage) => {
    const copy = await snapshotThenStop();
    damage();
    expect(runRestore(copy, env())).toBe(0);
    expect(asides().some((name) => name.includes('damaged'))).toBe(
      what === 'truncated' || what === 'overwritten' || what === 'empty',
    );
    const server = await serve();
    const { count } = server.sqlite.prepare('select count(*) as count from builds').get() as {
      count: number;
    };
    expect(count).toBe(3);
  });

  test.each([
    ['empty', () => writeFileSync(database(), '')],
    ['gone', () => rmSync(database())],
  ] as const)(
    'a data file that is %s is not begun anew while there are snapshots',
    async (_what, lose) => {
      await snapshotThenStop();
      for (const rest of ['-wal', '-shm']) rmSync(`${database()}${rest}`, { force: true });
      lose();
      await expect(serve()).rejects.toThrow(/there are snapshots of it/);
      rmSync(join(folder, 'snapshots'), { recursive: true });
      await serve();
    },
  );

  test('refuses a file that is none of ours, and keeps what is there', async () => {
    await snapshotThenStop();
    const other = join(folder, 'other.db');
    const sqlite = new Sqlite(other);
    sqlite.exec('create table notes (text)');
    sqlite.close();
    expect(runRestore(other, env())).toBe(2);
    expect(existsSync(database())).toBe(true);
    await serve();
  });
});
