import type { Browser, Page } from '@playwright/test';
import { goTo } from './controls.ts';
import { expect, test } from './realServer.ts';

const power = (page: Page) => page.getByLabel('Power', { exact: true });
const altitude = (page: Page) => page.getByLabel('Altitude', { exact: true });
const type = async (field: ReturnType<typeof power>, text: string): Promise<void> => {
  await field.fill(text);
  await field.press('Enter');
};
const open = async (browser: Browser, server: string): Promise<Page> => {
  const page = await (await browser.newContext()).newPage();
  await page.goto(`${server}/builds/lantern/brief`);
  await expect(power(page)).toHaveValue('168 kW');
  return page;
};
const words = async (page: Page, server: string): Promise<string[]> =>
  (
    (await (await page.request.get(`${server}/api/builds/lantern/revisions`)).json()) as {
      words: string;
    }[]
  )
    .map((r) => r.words)
    .reverse();

test('two devices on one build follow each other', async ({ browser, server }) => {
  const bench = await open(browser, server);
  const vehicle = await open(browser, server);
  await goTo(bench, `${server}/settings`);
  await bench.getByLabel('Your name in the history').fill('Mika');
  await goTo(bench, `${server}/builds/lantern/brief`);

  await type(power(bench), '150 kW');
  await expect(power(vehicle)).toHaveValue('150 kW');
  await expect(vehicle.getByText('Mika: Power 168 → 150 kW')).toBeVisible();
  await type(altitude(vehicle), '300 m');
  await expect(altitude(bench)).toHaveValue('300 m');
  await expect(bench.locator('header')).toContainText('revision 3');
  await bench.getByRole('button', { name: 'Undo' }).first().click();
  await expect(altitude(vehicle)).toHaveValue('900 m');
  await expect(vehicle.getByRole('dialog')).toHaveCount(0);

  // Lists follow, too.
  await goTo(vehicle, server);
  await expect(vehicle.getByRole('list', { name: 'Builds' }).getByRole('listitem')).toHaveCount(3);
  await goTo(bench, server);
  await bench.getByRole('button', { name: 'Copy Sandpiper' }).click();
  await expect(bench.locator('header')).toContainText('Sandpiper 2');
  await expect(vehicle.getByRole('link', { name: /Sandpiper 2/ })).toBeVisible();
});

test('without a connection edits wait and are sent later, in order, once', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/brief`);
  await expect(power(page)).toHaveValue('168 kW');
  await page.route('**/api/**', (route) => route.abort());
  await type(power(page), '150 kW');
  await type(altitude(page), '300 m');
  await expect(page.getByText('2 edits wait on this device')).toBeVisible();
  // What was typed is worked with meanwhile.
  await expect(page.getByRole('region', { name: 'Ripple' })).toBeVisible();
  await expect(power(page)).toHaveValue('150 kW');
  // Pressed while there is no connection, they go on waiting.
  const sendNow = page.getByRole('button', { name: 'Send now' });
  await sendNow.click();
  await expect(page.getByText('2 edits wait on this device')).toBeVisible();
  await page.unroute('**/api/**');
  // They go when it is pressed, or by themselves where they are quicker: then it is gone.
  await sendNow.evaluateAll((all) => all.forEach((each) => (each as HTMLElement).click()));
  await expect(page.locator('header')).toContainText('revision 3');
  await expect(page.getByText('wait on this device')).toHaveCount(0);
  expect(await words(page, server)).toEqual([
    'Demo build',
    'Power 168 → 150 kW',
    'Altitude 900 → 300 m',
  ]);
});

test.describe('with the program kept on the device', () => {
  test.use({ serviceWorkers: 'allow' });

  test('offline a build opens again, goes to screens never seen, and keeps edits', async ({
    page,
    server,
    context,
  }) => {
    await page.goto(`${server}/builds/lantern/brief`);
    await expect(power(page)).toHaveValue('168 kW');
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    // What the page asked before it was there is asked again through it.
    await page.reload();
    await expect(power(page)).toHaveValue('168 kW');
    await context.setOffline(true);
    await page.reload();
    await expect(power(page)).toHaveValue('168 kW');
    await type(power(page), '150 kW');
    await expect(page.getByText('1 edit waits on this device')).toBeVisible();
    await page.getByRole('button', { name: /^Electrics/ }).click();
    await page.getByRole('link', { name: /^Pump wiring/ }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Pump wiring' })).toBeVisible();
    // What waited is sent by itself as soon as the connection is back.
    await context.setOffline(false);
    await expect(page.locator('header')).toContainText('revision 2');
  });
});

test('an edit whose answer was lost is made once, also over closing the window', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/brief`);
  await expect(power(page)).toHaveValue('168 kW');
  // The server takes the edit; the answer does not come back.
  await page.route('**/commands', async (route) => {
    await route.fetch();
    await route.abort();
  });
  await type(power(page), '150 kW');
  await expect(page.getByText('1 edit waits on this device')).toBeVisible();
  await page.unroute('**/commands');
  await page.reload();
  await expect(power(page)).toHaveValue('150 kW');
  await expect(page.locator('header')).toContainText('revision 2');
  await type(altitude(page), '300 m');
  await expect(page.locator('header')).toContainText('revision 3');
  expect(await words(page, server)).toEqual([
    'Demo build',
    'Power 168 → 150 kW',
    'Altitude 900 → 300 m',
  ]);
});

test('while the data file is locked nothing accepted is lost and the rest waits', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/brief`);
  await expect(power(page)).toHaveValue('168 kW');
  await page.route('**/commands', (route) =>
    route.fulfill({
      status: 503,
      contentType: 'application/json',
      body: JSON.stringify({ code: 'storage', message: 'Another program holds the data file.' }),
    }),
  );
  await type(power(page), '150 kW');
  await expect(page.getByText('1 edit waits on this device')).toBeVisible();
  await page.unroute('**/commands');
  await page.getByRole('button', { name: 'Send now' }).click();
  await expect(page.locator('header')).toContainText('revision 2');
});
