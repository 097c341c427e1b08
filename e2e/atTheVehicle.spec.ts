import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { goTo } from './controls.ts';
import { expect, test } from './realServer.ts';

/** The address at which the server of the tests is open to the workshop. */
const outside = (server: string): string => server.replace('127.0.0.1', '127.0.0.2');

/** Opens the program to the workshop at the desk, and asks for a code. */
async function codeAtDesk(page: Page, server: string): Promise<string> {
  await page.goto(`${server}/settings`);
  const workshop = page.getByRole('region', { name: 'Workshop' });
  await workshop.getByRole('button', { name: 'Open it to the workshop' }).click();
  await workshop.getByRole('button', { name: 'Pair a device' }).click();
  const code = workshop.getByLabel('Code');
  await expect(code).toHaveText(/^[A-Z2-9]{10}$/);
  return (await code.textContent()) ?? '';
}

test('a phone is paired, cuts wires through a lost connection, a reload and a killed server: every entry once', async ({
  browser,
  openServer,
  request,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'brookrain-phone-'));
  const { url: server } = await openServer(folder);
  const port = Number(new URL(server!).port);
  const desk = await browser.newPage();
  const code = await codeAtDesk(desk, server!);

  const phone = await browser.newContext({
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'allow',
  });
  const page = await phone.newPage();
  await page.goto(`${outside(server!)}/at/sandpiper/cut`);
  await expect(page.getByRole('heading', { name: 'Pair this device' })).toBeVisible();
  await page.getByLabel('Code').fill(code);
  await page.getByRole('button', { name: 'Pair' }).click();
  await expect(page.getByText('Sandpiper').first()).toBeVisible();

  await goTo(page, `${outside(server!)}/at/sandpiper/cut`);
  const isCut = page.getByRole('button', { name: 'It is cut' });
  const length = page.getByLabel('Cut to');
  await expect(length).toHaveText(/m/);
  const status = page.getByRole('status').first();
  await isCut.click();
  await expect(status).toHaveText('all is kept');
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  // What the page asked before it was there is asked again through it.
  await page.reload();
  await expect(status).toHaveText('all is kept');

  await phone.setOffline(true);
  await isCut.click();
  await expect(status).toHaveText('1 entry waits');
  await isCut.click();
  await expect(status).toHaveText('2 entries wait');
  const next = await page.getByRole('heading').first().textContent();
  await page.reload();
  await expect(status).toHaveText('2 entries wait');
  await expect(page.getByRole('heading').first()).toHaveText(next ?? '');
  await phone.setOffline(false);
  await expect(status).toHaveText('all is kept');

  await openServer(null);
  await isCut.click();
  await expect(status).toHaveText('1 entry waits');
  await openServer(folder, port);
  await expect(status).toHaveText('all is kept', { timeout: 30_000 });

  const record = await request.get(`${server}/api/builds/sandpiper/record`);
  const { entries } = (await record.json()) as {
    entries: { id: string; subject: string; device: string }[];
  };
  expect(entries).toHaveLength(4);
  expect(new Set(entries.map(({ subject }) => subject)).size).toBe(4);
  expect(new Set(entries.map(({ device }) => device))).toEqual(new Set(['Phone']));

  // At the desk they are taken over as facts, as one edit.
  await desk.goto(`${server}/builds/sandpiper/cut-list`);
  await desk.getByRole('button', { name: 'Take them over as cut' }).click();
  await expect(desk.locator('header')).toContainText('revision 2');
  await desk.close();
  await phone.close();
  await openServer(null);
  rmSync(folder, { recursive: true, force: true });
});

test('a plug is pinned cavity by cavity, and a swapped wire is found by the second reading', async ({
  page,
  server,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${server}/at/sandpiper/pin`);
  await page.getByRole('link', { name: /^Coolant sensor/ }).click();
  await expect(page.getByText('Cavity 1, 2 to go')).toBeVisible();
  await page.getByRole('button', { name: 'It sits: pulled, it holds' }).click();
  await expect(page.getByText('Cavity 2, 1 to go')).toBeVisible();
  await page.getByRole('button', { name: 'The last one does not sit' }).click();
  await expect(page.getByText('Cavity 1, 2 to go')).toBeVisible();

  await goTo(page, `${server}/at/sandpiper/read`);
  await page.getByRole('combobox', { name: 'Connector at the other end' }).click();
  await page.getByRole('option', { name: 'nowhere: no connection' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('status').nth(1)).toContainText('is not as planned');
  // It stands among the findings of the desk until it is mended.
  await expect(page.getByRole('status').first()).toHaveText('all is kept');
  await goTo(page, `${server}/builds/sandpiper/findings`);
  const found = page.getByRole('article').filter({ hasText: 'Found at the vehicle' });
  await expect(found).toContainText('go nowhere');
  await page.setViewportSize({ width: 1280, height: 800 });
  const order = page.getByRole('navigation', { name: 'Order of work' });
  await expect(order.getByRole('button', { name: /^At the vehicle/ })).toContainText('1 stop');
  await found.getByRole('link', { name: 'Read it again once it is mended' }).click();
  await page.getByRole('button', { name: 'Mended: read it again' }).click();
  await expect(page.getByRole('region', { name: 'Not as planned' })).toHaveCount(0);
});
