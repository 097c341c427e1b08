import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { test as base } from '@playwright/test';

const main = fileURLToPath(new URL('../apps/server/dist/main.js', import.meta.url));

const freePort = (): Promise<number> =>
  new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });

/** The compiled server with the production build on a data folder of its own. */
async function startServer(): Promise<{ url: string; stop: () => Promise<void> }> {
  const folder = mkdtempSync(join(tmpdir(), 'brookrain-e2e-'));
  const port = await freePort();
  const child: ChildProcess = spawn(process.execPath, [main], {
    env: { ...process.env, BROOKRAIN_DATA: folder, BROOKRAIN_PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise<void>((resolve, reject) => {
    child.stdout!.on('data', (text: Buffer) => {
      if (text.toString().includes('ready')) resolve();
    });
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
  });
  return {
    url: `http://127.0.0.1:${port}`,
    stop: async () => {
      const gone = new Promise((resolve) => child.once('exit', resolve));
      child.kill('SIGKILL');
      await gone;
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** Every test gets a fresh server; a browser error fails the test. */
export const test = base.extend<{ server: string; noErrors: void }>({
  server: async ({}, use) => {
    const server = await startServer();
    await use(server.url);
    await server.stop();
  },
  noErrors: [
    async ({ page }, use) => {
      const errors: string[] = [];
      page.on('pageerror', (error) => errors.push(error.message));
      await use();
      if (errors.length > 0) throw new Error(`errors in the page: ${errors.join('; ')}`);
    },
    { auto: true },
  ],
});
export { expect } from '@playwright/test';
