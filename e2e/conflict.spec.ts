import { cpSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, test } from './realServer.ts';

/** A window that does not hear of others: as when both edit at the same moment. */
const alone = (page: Page) => page.route('**/api/events', (route) => route.abort());

test('two windows on one build: the stale edit is told and re-applied', async ({
  browser,
  server,
}) => {
  const open = async () => {
    const context = await browser.newContext();
    const page = await context.newPage();
    await alone(page);
    await page.goto(`${server}/builds/lantern/brief`);
    await expect(page.getByLabel('Power', { exact: true })).toHaveValue('168 kW');
    return page;
  };
  const bench = await open();
  const vehicle = await open();

  await bench.getByLabel('Power', { exact: true }).fill('150 kW');
  await bench.getByLabel('Power', { exact: true }).press('Enter');
  await expect(bench.locator('header')).toContainText('revision 2');

  await vehicle.getByLabel('Altitude', { exact: true }).fill('300 m');
  await vehicle.getByLabel('Altitude', { exact: true }).press('Enter');
  const dialog = vehicle.getByRole('dialog');
  await expect(dialog).toContainText('Someone else changed this build first');
  await expect(dialog).toContainText('Power 168 → 150 kW');
  await expect(dialog).toContainText('Altitude 900 → 300 m');
  await dialog.getByRole('button', { name: 'Re-apply my edit' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(vehicle.locator('header')).toContainText('revision 3');
  await expect(vehicle.getByLabel('Power', { exact: true })).toHaveValue('150 kW');
  await expect(vehicle.getByLabel('Altitude', { exact: true })).toHaveValue('300 m');

  await bench.reload();
  await expect(bench.getByLabel('Altitude', { exact: true })).toHaveValue('300 m');
});

test('left as it is, the other edit stands and nothing of it is lost', async ({ page, server }) => {
  await alone(page);
  await page.goto(`${server}/builds/lantern/brief`);
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('168 kW');
  const reply = await page.request.post(`${server}/api/builds/lantern/commands`, {
    data: {
      baseRevision: 1,
      author: 'tablet',
      command: { name: 'set', path: ['brief', 'cylinders'], value: 5 },
    },
  });
  expect(reply.ok()).toBe(true);
  await page.getByLabel('Altitude', { exact: true }).fill('300 m');
  await page.getByLabel('Altitude', { exact: true }).press('Enter');
  await expect(page.getByRole('dialog')).toContainText('by tablet');
  await page.getByRole('button', { name: 'Leave it as it is now' }).click();
  await expect(page.getByLabel('Cylinders', { exact: true })).toHaveValue('5');
  await expect(page.getByLabel('Altitude', { exact: true })).toHaveValue('900 m');
});

test('quick edits one after another are all kept, in order', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/brief`);
  for (const [label, value] of [
    ['Power', '160 kW'],
    ['Altitude', '500 m'],
    ['Hot day', '30 °C'],
    ['Idle', '900 rpm'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(value);
    await page.getByLabel(label, { exact: true }).press('Enter');
  }
  await expect(page.locator('header')).toContainText('revision 5');
  const revisions = (await (
    await page.request.get(`${server}/api/builds/lantern/revisions`)
  ).json()) as { words: string }[];
  expect(revisions.map((r) => r.words).reverse()).toEqual([
    'Demo build',
    'Power 168 → 160 kW',
    'Altitude 900 → 500 m',
    'Hot day 38 → 30 °C',
    'Idle 850 → 900 rpm',
  ]);
});

test('edits that wait over a restore are asked about, not made over words they never saw', async ({
  page,
  openServer,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'brookrain-restore-'));
  const { url: server } = await openServer(folder);
  const port = Number(new URL(server!).port);
  const description = async (): Promise<string> => {
    const reply = await page.request.get(`${server}/api/builds/lantern`);
    return ((await reply.json()) as { document: { description: string } }).document.description;
  };
  const say = async (baseRevision: number, value: string): Promise<void> => {
    const current = await page.request.get(`${server}/api/builds/lantern`);
    const { generation } = (await current.json()) as { generation: string };
    const reply = await page.request.post(`${server}/api/builds/lantern/commands`, {
      data: { baseRevision, generation, command: { name: 'set', path: ['description'], value } },
    });
    expect(reply.ok()).toBe(true);
  };
  const snapshot = await page.request.post(`${server}/api/snapshots`, { data: {} });
  const { file } = (await snapshot.json()) as { file: string };
  await say(1, 'what the page saw');

  await page.goto(`${server}/builds/lantern/brief`);
  const altitude = page.getByLabel('Altitude', { exact: true });
  await expect(page.locator('header')).toContainText('revision 2');
  await openServer(null);
  await altitude.fill('300 m');
  await altitude.press('Enter');
  await expect(page.getByText('1 edit waits on this device')).toBeVisible();

  // Put back as the command does; then somebody else makes a revision 2 of their own.
  for (const name of readdirSync(folder)) {
    if (/^brookrain\.(db|last)/.test(name)) rmSync(join(folder, name));
  }
  cpSync(join(folder, 'snapshots', file), join(folder, 'brookrain.db'));
  writeFileSync(join(folder, 'brookrain.replaced'), '');
  await page.route('**/api/**', (route) => route.abort());
  await openServer(folder, port);
  await say(1, 'what the page never saw');
  await page.unroute('**/api/**');

  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('The data were restored', { timeout: 30_000 });
  await expect(dialog).toContainText('Altitude 900 → 300 m');
  expect(await description()).toBe('what the page never saw');
  await dialog.getByRole('button', { name: 'Re-apply my edit' }).click();
  await expect(page.locator('header')).toContainText('revision 3');
  await expect(altitude).toHaveValue('300 m');
  expect(await description()).toBe('what the page never saw');
  await openServer(null);
  rmSync(folder, { recursive: true, force: true });
});
