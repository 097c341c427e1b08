import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { BuildReply, RevisionReply } from '@brookrain/contract';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { freePort } from './freePort.ts';

const main = fileURLToPath(new URL('../dist/main.js', import.meta.url));
const ROUNDS = 12;
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
async function start(): Promise<string> {
  const port = await freePort();
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

const post = (url: string, baseRevision: number, n: number): Promise<Response> =>
  fetch(`${url}/commands`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      baseRevision,
      editId: `edit-${String(n).padStart(8, '0')}`,
      command: { name: 'set', path: ['description'], value: `edit ${n}` },
    }),
  });

test(`killing the process ${ROUNDS} times while it writes loses no accepted edit and makes none twice`, async () => {
  expect(existsSync(main), 'compile the server before this test').toBe(true);
  let accepted = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const url = await start();
    const now = (await (await fetch(url)).json()) as BuildReply;
    // Every accepted edit is there; the one that was on its way may be, too.
    const made = Number(/edit (\d+)/.exec(now.document.description)?.[1] ?? 0);
    expect(made).toBeGreaterThanOrEqual(accepted);
    expect(made).toBeLessThanOrEqual(accepted + 1);
    expect(now.revision).toBe(1 + made);
    // Sent again with the same id the one on its way is made exactly once.
    const { revision } = (await (await post(url, 1 + accepted, accepted + 1)).json()) as BuildReply;
    expect(revision).toBe(2 + accepted);
    accepted += 1;
    const gone = ended(child!);
    const killAfter = accepted + 1 + (round % 4);
    for (;;) {
      const answer = post(url, 1 + accepted, accepted + 1);
      if (accepted + 1 === killAfter) child!.kill('SIGKILL');
      const reply = await answer.catch(() => undefined);
      if (reply === undefined) break;
      expect(reply.status).toBe(200);
      accepted += 1;
    }
    await gone;
  }
  const url = await start();
  const revisions = (await (await fetch(`${url}/revisions`)).json()) as RevisionReply[];
  expect(revisions.length - 1).toBeGreaterThanOrEqual(accepted);
  expect(new Set(revisions.map((r) => r.number)).size).toBe(revisions.length);
}, 300_000);

test('a request that is never sent to its end does not hold the program when it is told to stop', async () => {
  const url = new URL(await start());
  const socket = connect(Number(url.port), '127.0.0.1');
  await new Promise<void>((resolve) => socket.once('connect', () => resolve()));
  socket.on('error', () => undefined);
  socket.write(
    `POST ${url.pathname}/commands HTTP/1.1\r\nHost: ${url.host}\r\ncontent-type: application/json\r\ncontent-length: 1000\r\n\r\n{`,
  );
  const gone = ended(child!);
  child!.kill('SIGTERM');
  await gone;
  expect(child!.exitCode).toBe(0);
  socket.destroy();
  // It let the folder go: another one serves it.
  await start();
}, 30_000);

test('a second program on the same folder says who has it, and ends', async () => {
  await start();
  const port = await freePort();
  const second = spawn(process.execPath, [main], {
    env: { ...process.env, BROOKRAIN_DATA: folder, BROOKRAIN_PORT: String(port) },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  second.stderr.on('data', (text: Buffer) => (said += text.toString()));
  await ended(second);
  expect(second.exitCode).toBe(1);
  expect(said).toContain('is running on');
  expect(said).toContain(`process ${String(child!.pid)}`);
  expect(said).not.toContain('    at ');
}, 30_000);
