import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer as listen } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { readConfig } from './config.ts';
import { createServer } from './createServer.ts';
import { DATABASE_FILE } from './storage/database.ts';
import { startTrouble } from './startTrouble.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'brookrain-start-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const why = async (start: () => unknown, more: object = {}): Promise<string> => {
  const config = { dataFolder: folder, host: '127.0.0.1', port: 4477, ...more };
  try {
    await start();
  } catch (error) {
    return startTrouble(error, config);
  }
  throw new Error('it started');
};

describe('what a person is told when the program does not start', () => {
  test('the data folder is a file', async () => {
    const dataFolder = join(folder, 'data');
    writeFileSync(dataFolder, 'notes');
    const said = await why(() => createServer({ dataFolder, webFolder: folder }), { dataFolder });
    expect(said).toContain(`${dataFolder} is a file`);
    expect(said).toContain('BROOKRAIN_DATA');
  });

  test('the port is in use', async () => {
    const taken = listen();
    await new Promise<void>((resolve) => taken.listen(0, '127.0.0.1', resolve));
    const { port } = taken.address() as { port: number };
    const server = await createServer({ dataFolder: folder, webFolder: folder });
    const written = vi.spyOn(process.stderr, 'write').mockReturnValue(true);
    const said = await why(() => server.app.listen(port, '127.0.0.1'), { port });
    expect(written.mock.calls).toEqual([]);
    written.mockRestore();
    expect(said).toContain(`port ${port} is in use`);
    await server.close();
    taken.close();
  });

  test.each(['', 'x', '0', '-1', '65536', '4.5', '4477 '])(
    'BROOKRAIN_PORT is "%s"',
    async (port) => {
      expect(await why(() => readConfig({ BROOKRAIN_PORT: port }))).toMatch(
        /BROOKRAIN_PORT .* must be a whole number from 1 to 65535/,
      );
    },
  );

  test('a port that is one is taken, and one that is not given is the usual', () => {
    expect(readConfig({ BROOKRAIN_PORT: '8080' }).port).toBe(8080);
    expect(readConfig({}).port).toBe(4477);
  });

  test.each([
    ['a page of the data', (db: Sqlite.Database) => void db],
    [
      'a document that is no JSON',
      (db: Sqlite.Database) => db.exec("update builds set document = '{'"),
    ],
    ['a table that is gone', (db: Sqlite.Database) => db.exec('drop table build_revisions')],
  ])('damaged by %s: what to do, and no word of the parser', async (what, damage) => {
    const server = await createServer({ dataFolder: folder, webFolder: folder });
    await server.close();
    const file = join(folder, DATABASE_FILE);
    const db = new Sqlite(file);
    db.pragma('foreign_keys = OFF');
    damage(db);
    db.close();
    if (what === 'a page of the data') {
      const bytes = readFileSync(file);
      // All but the first pages, which say what tables there are.
      bytes.fill(0x5a, 40_960, 400_000);
      writeFileSync(file, bytes);
    }
    const said = await why(() => createServer({ dataFolder: folder, webFolder: folder }));
    expect(said).toContain('The data file is damaged');
    expect(said).toContain('npm run restore');
    expect(said).not.toMatch(/JSON|malformed|no such table|undefined/);
  });

  test('something else: what it says, and no trace of how it is built', () => {
    const config = { dataFolder: folder, host: '127.0.0.1', port: 4477 };
    const said = startTrouble(new Error('out of luck'), config);
    expect(said).toBe('Brookrain could not start: out of luck');
    expect(startTrouble({ code: 'ENOSPC' }, config)).toContain('The disk is full');
  });
});
