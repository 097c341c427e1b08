import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { BuildReply } from '@brookrain/contract';
import { afterEach, beforeEach, expect, test } from 'vitest';

const main = fileURLToPath(new URL('../dist/main.js', import.meta.url));
let folder: string;
let child: ChildProcess | undefined;

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'brookrain-kill-'));
});
afterEach(() => {
  child?.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

/** Starts the compiled server as its own process and waits until it says that it is ready. */
function start(port: number): Promise<string> {
  return new Promise((resolve, reject) => {
    const started = spawn(process.execPath, [main], {
      env: { ...process.env, BROOKRAIN_DATA: folder, BROOKRAIN_PORT: String(port) },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    child = started;
    let said = '';
    started.stderr.on('data', (text: Buffer) => (said += text.toString()));
    started.stdout.on('data', (text: Buffer) => {
      if (text.toString().includes('ready')) resolve(`http://127.0.0.1:${port}/api/builds/lantern`);
    });
    started.on('exit', (code) => reject(new Error(`the server ended with ${code}: ${said}`)));
  });
}

const ended = (process_: ChildProcess): Promise<void> =>
  new Promise((resolve) => process_.once('exit', () => resolve()));

test('killing the process between edits loses no accepted edit', async () => {
  expect(existsSync(main), 'compile the server before this test').toBe(true);
  let revision = 1;
  let kPa = 20;
  for (let round = 0; round < 8; round++) {
    const url = await start(24477 + round);
    const now = (await (await fetch(url)).json()) as BuildReply;
    expect(now.revision).toBe(revision);
    if (round > 0) expect(now.document.brief.boost.value).toBe(kPa * 1e3);
    for (let k = 0; k <= round % 3; k++) {
      kPa += 1;
      const reply = await fetch(`${url}/commands`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          baseRevision: revision,
          command: { name: 'set', path: 'brief.boost', value: { value: kPa * 1e3, unit: 'kPa' } },
        }),
      });
      expect(reply.status).toBe(200);
      revision = ((await reply.json()) as BuildReply).revision;
    }
    const gone = ended(child!);
    child!.kill('SIGKILL');
    await gone;
  }
}, 60_000);
