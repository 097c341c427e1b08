import { spawn } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { expect, test } from 'vitest';

const helper = new URL('../../../scripts/endWithParent.mjs', import.meta.url).href;

/** A child that would go on for ever, started by a parent that only waits. */
const child = `
  const { endWithParent } = await import(${JSON.stringify(helper)});
  endWithParent();
  setInterval(() => undefined, 1000);
  console.log(process.pid);
`;
/** The one that starts it, by itself or over a shell that stays, as npm does. */
const parentOver = (shell: boolean): string => `
  const { spawn } = await import('node:child_process');
  const child = ['--input-type=module', '-e', ${JSON.stringify(child)}];
  if (${String(shell)}) spawn('sh', ['-c', '"$@"; exit', 'sh', process.execPath, ...child], { stdio: 'inherit' });
  else spawn(process.execPath, child, { stdio: 'inherit' });
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

test.each([
  ['started by itself', false],
  ['started over a shell, as by npm', true],
])(
  'a program %s ends when what started it is killed',
  async (_how, shell) => {
    const started = spawn(process.execPath, ['--input-type=module', '-e', parentOver(shell)], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    const pid = await new Promise<number>((resolve) =>
      started.stdout.once('data', (text: Buffer) => resolve(Number(text.toString()))),
    );
    expect(isThere(pid)).toBe(true);
    started.kill('SIGKILL');
    await expect.poll(() => isThere(pid), { timeout: 15_000 }).toBe(false);
  },
  30_000,
);
