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
  await expect(page.getByLabel('Units', { exact: true })).toHaveValue('us');
  // Keys belong to a field while one types.
  await page.getByLabel('Name of the build').fill('4');
  await expect(page.getByRole('heading', { name: 'Brief' })).toBeVisible();
});

test('help, guide and words are in the program', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/margins`);
  await expect(page.getByRole('heading', { name: 'Margins' })).toBeVisible();
  await page.keyboard.press('F1');
  await expect(page.getByRole('dialog')).toContainText('Ctrl Shift Z');
  await page.getByRole('link', { name: 'Read the guide' }).click();
  await page.getByRole('link', { name: '4. Fuel circuit' }).click();
  await expect(page.getByRole('heading', { name: '4. Fuel circuit' })).toBeInViewport();

  await page.goto(`${server}/builds/lantern/compare`);
  await page.getByRole('button', { name: 'build: what it means' }).click();
  await expect(page.getByText('one vehicle with one engine conversion')).toBeVisible();
  await page.getByRole('link', { name: 'All words' }).click();
  await expect(page.getByRole('heading', { name: 'Words' })).toBeVisible();
  await expect(page.getByText('share of the cycle an injector is open')).toBeVisible();
});

test('units of the build, of the reader, and the number format', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/brief`);
  await page.getByLabel('Units of this build').selectOption('mixed');
  await expect(page.locator('header')).toContainText('revision 2');
  await page.goto(`${server}/builds/lantern/circuit`);
  await expect(page.getByText('A gauge on the rail should read')).toContainText('psi');
  await page.getByLabel('Units', { exact: true }).selectOption('metric');
  await expect(page.getByText('A gauge on the rail should read')).toContainText('kPa');
  await page.goto(`${server}/settings`);
  await page.getByLabel('Figures').selectOption('point-comma');
  await page.goto(`${server}/builds/lantern/brief`);
  await expect(page.getByLabel('Displacement', { exact: true })).toHaveValue('2,4 L');
  await page.getByLabel('Displacement', { exact: true }).fill('2,5');
  await page.getByLabel('Displacement', { exact: true }).press('Enter');
  await expect(page.getByLabel('Displacement', { exact: true })).toHaveValue('2,5 L');
  await page.goto(`${server}/builds/sandpiper/circuit`);
  await page.getByRole('option', { name: 'Filter-regulator' }).click();
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
