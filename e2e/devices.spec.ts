import type { APIRequestContext } from '@playwright/test';
import { goTo } from './controls.ts';
import { expect, test } from './realServer.ts';

interface Stored {
  readonly revision: number;
  readonly document: {
    readonly devices: Record<
      string,
      { readonly name: string; readonly connections: Record<string, { readonly pin?: string }> }
    >;
  };
}

const stored = async (request: APIRequestContext, server: string): Promise<Stored> =>
  (await (await request.get(`${server}/api/builds/lantern`)).json()) as Stored;

test('a sensor is added, wired as usual, found a pin, and gone again after two undos', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/devices`);
  const add = page.getByRole('region', { name: 'Add a device' });
  await add.getByLabel('What it is', { exact: true }).click();
  await page.getByRole('option', { name: 'Vehicle speed sensor, Hall' }).click();
  await add.getByLabel('Fed from').click();
  await page.getByRole('option', { name: 'Fuse, valves and sensors' }).click();
  await add.getByRole('button', { name: 'Add it' }).click();
  await expect(
    page.getByRole('heading', { level: 2, name: 'Vehicle speed', exact: true }),
  ).toBeVisible();
  await expect(page.getByLabel('Vehicle speed, Supply')).toHaveText('Fuse, valves and sensors');
  await expect(page.getByRole('list', { name: 'Route of Supply' })).toContainText('Battery');

  await goTo(page, `${server}/builds/lantern/pins`);
  // The unit has no frequency input left: what wants one is told with those that have it.
  await expect(page.getByText('Too few pins of one kind').first()).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect
    .poll(async () => Object.keys((await stored(page.request, server)).document.devices))
    .not.toContain('vehicle-speed-1');
});

test('pins are looked for, proven, and stored as one edit', async ({ page, server }) => {
  const { revision } = await stored(page.request, server);
  const reply = await page.request.post(`${server}/api/builds/lantern/commands`, {
    data: {
      baseRevision: revision,
      author: 'Walk',
      command: {
        name: 'set-several',
        label: 'Settle what conflicts',
        changes: [
          { path: ['devices', 'cooler-fan-relay', 'state'], value: 'removed' },
          { path: ['devices', 'idle-valve', 'state'], value: 'removed' },
          {
            path: ['devices', 'coolant', 'connections', '1'],
            value: { to: 'controller', controllerId: 'ecu', pin: '', locked: false },
          },
        ],
      },
    },
  });
  expect(reply.ok()).toBe(true);
  await page.goto(`${server}/builds/lantern/pins`);
  await expect(page.getByText('Signal without a pin')).toBeVisible();
  await page.getByRole('button', { name: 'Find pins for all signals' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'proven' })).toBeVisible({
    timeout: 30_000,
  });
  await expect
    .poll(
      async () =>
        (await stored(page.request, server)).document.devices['coolant']?.connections['1']?.pin,
    )
    .toMatch(/^A1[67]$/);
  await expect(page.getByRole('main').getByText('Signal without a pin')).toHaveCount(0);
});

test('a wire found dead in CRANK is cured by the one that is live', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/devices`);
  await page
    .getByRole('button', { name: 'Use Ignition lock, brown: live in RUN and in CRANK' })
    .first()
    .click();
  const main = page.getByRole('main');
  await expect(main.getByText('Ignition feed is dead while cranking')).toHaveCount(0);
  await page.getByRole('button', { name: 'Ignition lock, black/white' }).click();
  await page.getByLabel('CRANK', { exact: true }).fill('10.1');
  await page.getByLabel('CRANK', { exact: true }).press('Enter');
  await expect(page.getByRole('row', { name: /black\/white/ })).toContainText('10.1 V');
});

test('wires are found by what they belong to, and one is sized by hand', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/wires?part=fan-1`);
  await expect(page.getByText(/^2 wires/)).toBeVisible();
  await page.getByRole('button', { name: 'Fan 1, Supply', exact: true }).click();
  await page.getByLabel('Size', { exact: true }).click();
  await page.getByRole('option', { name: '1 mm²', exact: true }).click();
  await expect(page.getByText('Wire is too thin for its current').first()).toBeVisible();
  await page.getByRole('button', { name: 'Size this wire by the rules' }).first().click();
  await expect(
    page.getByRole('complementary').getByText('Wire is too thin for its current'),
  ).toHaveCount(0);
});
