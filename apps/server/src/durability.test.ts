import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { killRounds } from './attack/killRounds.ts';
import { compiledMain, killed, startProgram } from './attack/runningServer.ts';
import { freePort } from './freePort.ts';

/** `npm run attack` kills it two hundred times. */
const ROUNDS = 3;
let folder: string;
let child: ChildProcess | undefined;

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'brookrain-kill-'));
});
afterEach(async () => {
  if (child) await killed(child);
  child = undefined;
  rmSync(folder, { recursive: true, force: true });
});

/** Starts the compiled server; it is ended after the test. */
async function start(): Promise<string> {
  expect(existsSync(compiledMain), 'compile the server before this test').toBe(true);
  const server = await startProgram(folder);
  child = server.process;
  return `${server.url}/api/builds/lantern`;
}

const ended = (process_: ChildProcess): Promise<void> =>
  new Promise((resolve) => process_.once('exit', () => resolve()));

test(`What was acknowledged is there after the process was killed ${ROUNDS} times while it wrote; nothing is there twice`, async () => {
  const { accepted, wrong } = await killRounds(folder, ROUNDS);
  expect(wrong).toEqual([]);
  expect(accepted).toBeGreaterThan(ROUNDS);
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
  const second = spawn(process.execPath, [compiledMain], {
    env: { ...process.env, BROOKRAIN_DATA: folder, BROOKRAIN_PORT: String(port) },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  second.stderr.on('data', (text: Buffer) => (said += text.toString()));
  await ended(second);
  expect(second.exitCode).toBe(1);
  expect(said).toContain('is already running on');
  expect(said).toContain(`process ${String(child!.pid)}`);
  expect(said).not.toContain('    at ');
}, 30_000);
