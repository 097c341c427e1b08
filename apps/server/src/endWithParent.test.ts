import { spawn } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { expect, test } from 'vitest';

const helper = new URL('../../../scripts/endWithParent.mjs', import.meta.url).href;

/** A child that would go on for ever, started by a parent that only waits. */
const child = `
  const { endWithParent } = await import(${JSON.stringify(helper)});
  endWithParent();
  setInterval(() => undefined, 1000);
  console.log(process.pid);
`;
const parent = `
  const { spawn } = await import('node:child_process');
  spawn(process.execPath, ['--input-type=module', '-e', ${JSON.stringify(child)}], { stdio: 'inherit' });
  setInterval(() => undefined, 1000);
`;
/** Whether a process runs; one that has ended and that nobody asked after yet does not. */
const isThere = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    const stat = `/proc/${String(pid)}/stat`;
    return !existsSync(stat) || !/\) Z /.test(readFileSync(stat, 'utf8'));
  } catch {
    return false;
  }
};

test('what npm started ends when npm is gone, even without a word', async () => {
  expect(fileURLToPath(helper)).toContain('scripts');
  const started = spawn(process.execPath, ['--input-type=module', '-e', parent], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const pid = await new Promise<number>((resolve) =>
    started.stdout.once('data', (text: Buffer) => resolve(Number(text.toString()))),
  );
  expect(isThere(pid)).toBe(true);
  started.kill('SIGKILL');
  await expect.poll(() => isThere(pid), { timeout: 15_000 }).toBe(false);
}, 30_000);
