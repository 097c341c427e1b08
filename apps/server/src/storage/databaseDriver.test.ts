import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  symlinkSync,
} from 'node:fs';
import { type Server, createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterEach, beforeEach, expect, test } from 'vitest';

const root = fileURLToPath(new URL('../../../..', import.meta.url));
const BINARY = 'build/Release/better_sqlite3.node';

let folder: string;
let files: Server;
let asked: string[];

/** A checkout of its own whose driver has no binary yet, and a place that has it ready-made. */
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'brookrain-driver-'));
  const modules = join(folder, 'node_modules');
  mkdirSync(modules);
  mkdirSync(join(folder, 'scripts'));
  cpSync(join(root, 'scripts/databaseDriver.mjs'), join(folder, 'scripts/databaseDriver.mjs'));
  for (const name of readdirSync(join(root, 'node_modules'))) {
    if (name === 'better-sqlite3') continue;
    symlinkSync(join(root, 'node_modules', name), join(modules, name));
  }
  const driver = join(modules, 'better-sqlite3');
  mkdirSync(driver);
  for (const part of ['package.json', 'lib']) {
    cpSync(join(root, 'node_modules/better-sqlite3', part), join(driver, part), {
      recursive: true,
    });
  }
  const packed = join(folder, 'packed.tar.gz');
  spawnSync('tar', ['czf', packed, '-C', join(root, 'node_modules/better-sqlite3'), BINARY]);
  asked = [];
  files = createServer((request, response) => {
    asked.push(request.url ?? '');
    response.end(readFileSync(packed));
  });
  await new Promise<void>((resolve) => files.listen(0, '127.0.0.1', resolve));
});
afterEach(() => {
  files.close();
  rmSync(folder, { recursive: true, force: true });
});

test('the ready-made driver is fetched where it can be, and nothing is compiled', async () => {
  const { port } = files.address() as AddressInfo;
  const child: ChildProcess = spawn(process.execPath, ['scripts/databaseDriver.mjs'], {
    cwd: folder,
    env: {
      ...process.env,
      npm_config_better_sqlite3_binary_host: `http://127.0.0.1:${port}`,
      npm_config_cache: join(folder, 'cache'),
    },
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  let said = '';
  child.stderr?.on('data', (text: Buffer) => (said += text.toString()));
  const code = await new Promise((resolve) => child.once('exit', resolve));
  expect(said).toContain('fetched ready-made');
  expect(said).not.toContain('compil');
  expect(code).toBe(0);
  expect(asked).toHaveLength(1);
  expect(asked[0]).toContain(`-node-v${process.versions.modules}-`);
  expect(existsSync(join(folder, 'node_modules/better-sqlite3', BINARY))).toBe(true);
}, 60_000);
