import { type ChildProcess, fork } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { type BrowserContext, type CDPSession, type Page, test as base } from '@playwright/test';

const host = fileURLToPath(new URL('serverHost.mjs', import.meta.url));

interface HostReply {
  readonly url?: string;
  readonly error?: string;
}

/** What the host of the servers answers next; rejects when it ends or says that it failed. */
const answer = (child: ChildProcess): Promise<HostReply> =>
  new Promise((resolve, reject) => {
    const ended = (code: number | null): void =>
      reject(new Error(`the host of the servers ended with ${code}`));
    child.once('exit', ended);
    child.once('message', (reply: HostReply) => {
      child.off('exit', ended);
      if (reply.error === undefined) resolve(reply);
      else reject(new Error(reply.error));
    });
  });

/** Opens the compiled server, with the production build, on a data folder; null only closes it. */
type OpenServer = (dataFolder: string | null, port?: number) => Promise<HostReply>;

/** A browser context that all tests of a worker use, one after the other. */
interface SharedContext {
  readonly context: BrowserContext;
  /** Closes its pages and forgets what they stored; the program they loaded stays compiled. */
  readonly forget: () => Promise<void>;
}

const STORED = 'cookies,local_storage,indexeddb,service_workers,cache_storage';

/** Closes every page but the one that empties the stores, and empties those of every origin seen. */
async function forget(context: BrowserContext, keeper: Page, stores: CDPSession): Promise<void> {
  const origins = new Set<string>();
  for (const page of context.pages()) {
    if (page === keeper) continue;
    if (page.url().startsWith('http')) origins.add(new URL(page.url()).origin);
    await page.close();
  }
  for (const origin of origins)
    await stores.send('Storage.clearDataForOrigin', { origin, storageTypes: STORED });
  await context.clearCookies();
  await context.clearPermissions();
  await context.unrouteAll();
  await context.setOffline(false);
}

/**
 * Every test gets a fresh server on data of its own, from one process that has loaded the program,
 * and a page without a memory in a browser that has compiled it; a browser error fails the test.
 */
export const test = base.extend<
  { server: string; noErrors: void },
  { openServer: OpenServer; sharedContext: SharedContext }
>({
  sharedContext: [
    async ({ browser }, use) => {
      const context = await browser.newContext({ serviceWorkers: 'block' });
      const keeper = await context.newPage();
      const stores = await context.newCDPSession(keeper);
      await use({ context, forget: () => forget(context, keeper, stores) });
      await context.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ browser, sharedContext, serviceWorkers }, use) => {
    if (serviceWorkers === 'allow') {
      const own = await browser.newContext({ serviceWorkers });
      await use(own);
      await own.close();
      return;
    }
    await use(sharedContext.context);
    await sharedContext.forget();
  },
  page: async ({ context, viewport }, use) => {
    const page = await context.newPage();
    if (viewport) await page.setViewportSize(viewport);
    await use(page);
  },
  openServer: [
    async ({}, use) => {
      const child = fork(host, { stdio: ['ignore', 'inherit', 'inherit', 'ipc'] });
      await answer(child);
      await use((dataFolder, port) => {
        const reply = answer(child);
        child.send({ dataFolder, port });
        return reply;
      });
      child.disconnect();
    },
    { scope: 'worker' },
  ],
  server: async ({ openServer }, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'brookrain-e2e-'));
    const { url } = await openServer(folder);
    if (url === undefined) throw new Error('the server has no address');
    await use(url);
    await openServer(null);
    rmSync(folder, { recursive: true, force: true });
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
