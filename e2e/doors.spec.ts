import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { chromium } from '@playwright/test';
import { expect, test } from './realServer.ts';

const browserPath = '/usr/bin/chromium';

/** What a page of another place tries: to write in every way that needs no leave, and to read. */
const attack = (server: string): string => `<!doctype html><title>elsewhere</title><script>
  const done = [];
  const attempt = async (name, path, init) => {
    try {
      const reply = await fetch('${server}' + path, init);
      done.push(name + ' ' + reply.type + ' ' + reply.status);
    } catch { done.push(name + ' failed'); }
  };
  (async () => {
    const edit = JSON.stringify({ baseRevision: 1, editId: 'x', author: 'x',
      command: { name: 'set', path: ['name'], value: 'Taken over' } });
    await attempt('plain', '/api/builds/lantern/commands', { method: 'POST', mode: 'no-cors', body: edit });
    await attempt('bodyless', '/api/snapshots', { method: 'POST', mode: 'no-cors' });
    await attempt('json', '/api/builds/lantern/commands', { method: 'POST',
      headers: { 'content-type': 'application/json' }, body: edit });
    await attempt('read', '/api/builds', {});
    window.done = done;
  })();
</script>`;

test('a page of another place neither writes nor reads', async ({ page, server }) => {
  const before = await (await page.request.get(`${server}/api/builds`)).text();
  const elsewhere = createServer((_request, response) => {
    response.setHeader('content-type', 'text/html');
    response.end(attack(server));
  });
  await new Promise<void>((resolve) => elsewhere.listen(0, '127.0.0.1', resolve));
  const { port } = elsewhere.address() as AddressInfo;
  const browser = await chromium.launch({ executablePath: browserPath, args: ['--no-sandbox'] });
  try {
    const foreign = await browser.newPage();
    await foreign.goto(`http://127.0.0.1:${port}/`);
    await foreign.waitForFunction(() => 'done' in window);
    const done = await foreign.evaluate(() => (window as unknown as { done: string[] }).done);
    // What it sent without leave it may not look at; what needs leave got none.
    expect(done).toEqual(['plain opaque 0', 'bodyless opaque 0', 'json failed', 'read failed']);
  } finally {
    await browser.close();
    elsewhere.close();
  }
  expect(await (await page.request.get(`${server}/api/builds`)).text()).toBe(before);
  // The program takes one by itself when it starts; nobody asked for another.
  expect(await (await page.request.get(`${server}/api/snapshots`)).text()).not.toContain('asked');
});

test('under a foreign name that leads here there is nothing', async ({ server }) => {
  const { port } = new URL(server);
  const browser = await chromium.launch({
    executablePath: browserPath,
    args: ['--no-sandbox', '--host-resolver-rules=MAP evil.test 127.0.0.1'],
  });
  try {
    const page = await browser.newPage();
    const reply = await page.goto(`http://evil.test:${port}/`);
    expect(reply?.status()).toBe(403);
    const read = await page.evaluate(async () => (await fetch('/api/builds')).status);
    expect(read).toBe(403);
  } finally {
    await browser.close();
  }
});
