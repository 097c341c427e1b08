import { choose, goTo } from './controls.ts';
import { expect, test } from './realServer.ts';

test('everything is found by a few letters and reached by keys', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/brief`);
  await expect(page.getByRole('heading', { name: 'Brief' })).toBeVisible();
  await page.locator('h1').click();
  await page.keyboard.press('4');
  await expect(page.getByRole('heading', { name: 'Fuel circuit' })).toBeVisible();
  await page.keyboard.press('.');
  const find = page.getByPlaceholder(/Page, part/);
  await find.fill('return line');
  await find.press('Enter');
  await expect(page.getByRole('complementary').getByRole('heading').first()).toHaveText(
    'Return line',
  );
  await page.locator('h1').click();
  await page.keyboard.press('.');
  await find.fill('kittiw');
  await find.press('Enter');
  await expect(page.locator('header')).toContainText('Kittiwake');
  await page.getByRole('button', { name: 'Find' }).click();
  await find.fill('units us');
  await find.press('Enter');
  await expect(page.getByLabel('Units', { exact: true })).toHaveText('US');
  // Keys belong to a field while one types.
  await page.getByLabel('Name of the build').fill('4');
  await expect(page.getByRole('heading', { name: 'Brief' })).toBeVisible();
});

test('any figure, paper or step is found; the screen that opens has the focus', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/brief`);
  await expect(page.getByRole('heading', { name: 'Brief' })).toBeVisible();
  const find = page.getByPlaceholder(/Page, part/);
  const look = async (text: string): Promise<void> => {
    await page.getByRole('button', { name: 'Find' }).click();
    await find.fill(text);
  };
  await look('vapour pressure hottest');
  await find.press('Enter');
  const working = page.getByRole('dialog', { name: 'Working of a figure' });
  await expect(working).toContainText('Vapour pressure');
  await page.keyboard.press('Escape');
  await expect(working).toHaveCount(0);
  await look('export');
  await expect(page.getByRole('option', { name: /Work order/ })).toBeVisible();
  await find.fill('work sheet');
  await expect(page.getByRole('option', { name: /Work order/ })).toBeVisible();
  await find.fill('pump wiring');
  await find.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Pump wiring' })).toBeVisible();
  await expect(page.getByRole('main')).toBeFocused();
  await page.keyboard.press('1');
  await page.getByLabel('Displacement', { exact: true }).fill('2.5 L');
  await page.getByLabel('Displacement', { exact: true }).press('Enter');
  await expect(page.locator('header')).toContainText('revision 2');
  await look('undo');
  await find.press('Enter');
  await expect(page.getByLabel('Displacement', { exact: true })).toHaveValue('2.4 L');
});

test('every screen is two presses away, at the desk and on a phone', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/brief`);
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.getByRole('link', { name: 'History' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'History' })).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('button', { name: /^Record · History/ }).click();
  const all = page.getByRole('dialog', { name: 'Order of work' });
  for (const link of await all.getByRole('link').all()) {
    expect((await link.boundingBox())!.height).toBeGreaterThanOrEqual(48);
  }
  await all.getByRole('link', { name: /^Pump wiring/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Pump wiring' })).toBeVisible();
  await page.getByRole('link', { name: 'Readings' }).click();
  await expect(page.getByText('Gauge on the rail')).toBeVisible();
  await choose(page, page.getByLabel('Case at hand'), 'Peak power, filters loaded (a fault)');
  await expect(page.getByRole('note')).toContainText('what a fault looks like');
});

test('the tab key comes to the screen first, and arrows walk its tabs', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/circuit`);
  await expect(page.getByRole('heading', { name: 'Fuel circuit' })).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'To the screen' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main')).toBeFocused();
  const cases = page.getByRole('radiogroup', { name: 'Case' });
  await cases.getByRole('radio', { checked: true }).focus();
  // The choice follows the focus while the key is down.
  await page.keyboard.down('ArrowLeft');
  await expect(cases.getByRole('radio', { name: 'Peak torque' })).toBeChecked();
  await page.keyboard.up('ArrowLeft');
});

test('help, guide and words are in the program', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/margins`);
  await expect(page.getByRole('heading', { name: 'Margins' })).toBeVisible();
  await page.keyboard.press('F1');
  await expect(page.getByRole('dialog')).toContainText('Ctrl Shift Z');
  await page.getByRole('link', { name: 'Read the guide' }).click();
  await page.getByRole('link', { name: '4. Fuel circuit' }).click();
  await expect(page.getByRole('heading', { name: '4. Fuel circuit' })).toBeInViewport();

  await goTo(page, `${server}/builds/lantern/compare`);
  await page.getByRole('button', { name: 'build: what it means' }).click();
  await expect(page.getByText('one vehicle with one engine conversion')).toBeVisible();
  await page.getByRole('link', { name: 'All words' }).click();
  await expect(page.getByRole('heading', { name: 'Words' })).toBeVisible();
  await expect(page.getByText('share of the cycle an injector is open')).toBeVisible();
});

test('units of the build, of the reader, and the number format', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/brief`);
  await choose(page, page.getByLabel('Units of this build'), 'mixed (psi, hp)');
  await expect(page.locator('header')).toContainText('revision 2');
  await goTo(page, `${server}/builds/lantern/circuit`);
  await expect(page.getByText('A gauge on the rail should read')).toContainText('psi');
  await choose(page, page.getByLabel('Units', { exact: true }), 'metric');
  await expect(page.getByText('A gauge on the rail should read')).toContainText('kPa');
  await goTo(page, `${server}/settings`);
  await choose(page, page.getByLabel('Figures'), '12.345,6');
  await goTo(page, `${server}/builds/lantern/brief`);
  await expect(page.getByLabel('Displacement', { exact: true })).toHaveValue('2,4 L');
  await page.getByLabel('Displacement', { exact: true }).fill('2,5');
  await page.getByLabel('Displacement', { exact: true }).press('Enter');
  await expect(page.getByLabel('Displacement', { exact: true })).toHaveValue('2,5 L');
  await goTo(page, `${server}/builds/sandpiper/circuit`);
  await page.getByRole('option', { name: 'Filter-regulator', exact: true }).click();
  await expect(page.getByRole('complementary')).toContainText('Bypass at idle');
});

test('a snapshot is taken from the settings', async ({ page, server }) => {
  await page.goto(`${server}/settings`);
  const rows = page.getByRole('table', { name: 'Snapshots' }).getByRole('row');
  await expect(rows).toHaveCount(2);
  await page.getByRole('button', { name: 'Take a snapshot now' }).click();
  await expect(rows).toHaveCount(3);
  await expect(page.getByText('npm run restore --')).toBeVisible();
});
