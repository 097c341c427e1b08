import { readFileSync } from 'node:fs';
import { choose, goTo } from './controls.ts';
import { expect, test } from './realServer.ts';

test('search, sort and compare', async ({ page, server }) => {
  await page.goto(`${server}/catalogue`);
  const rows = page.getByRole('table', { name: 'Items' }).getByRole('row');
  await expect(rows).toHaveCount(8);
  await page.getByRole('button', { name: 'Price' }).click();
  await page.getByRole('button', { name: /Price/ }).click();
  await expect(rows.nth(1)).toContainText('P900T');
  await page.getByLabel('Search the catalogue').fill('PTFE-lined convoluted −8');
  await expect(rows).toHaveCount(2);
  await expect(rows.nth(1)).toContainText('HCP −8');
  await page.getByLabel('Search the catalogue').fill('nothing like it');
  await expect(page.getByText('Nothing here by those words.')).toBeVisible();
  await page.getByLabel('Search the catalogue').fill('');
  await page.getByRole('checkbox', { name: 'Compare P255' }).check();
  await page.getByRole('checkbox', { name: 'Compare P340', exact: true }).check();
  const comparison = page.getByRole('region', { name: 'Comparison' });
  await expect(comparison).toContainText('P255');
  await expect(comparison.getByRole('img', { name: 'flow over pressure' })).toHaveCount(2);
  await comparison.getByRole('button', { name: 'Leave P255 out' }).click();
  await expect(comparison).not.toContainText('P255');
});

test('a data sheet is pasted, its mistakes are marked, its curve drawn, and it is used', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/catalogue/pump`);
  await page.getByRole('link', { name: 'Add to pumps' }).click();
  for (const [label, text] of [
    ['Id, short and unique', 'OWN-300'],
    ['Designation', 'Own 300'],
    ['Family', 'external roller'],
    ['Mass', '2 lb'],
    ['Price', '180'],
    ['Interchange group', 'external-main'],
    ['Needs at the inlet, above vapour', '10'],
    ['Inrush over running current', '4'],
    ['Inrush time constant', '50'],
    ['Pressure rating', '12 bar'],
    ['Smallest wire', '0,75'],
    ['Largest wire', '6'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(text);
  }
  await choose(page, page.getByLabel('Mounting'), 'external');
  const sheet = page.getByLabel(/Flow and current over pressure/);
  await sheet.fill(
    [
      'Pressure [bar];Flow 12 V [L/h];Current 12 V [A];Flow 13,5 V [L/h];Current 13,5 V [A]',
      '0;300,5;4,1;330;4,4',
      '1,5;280;;310;5,0',
      '3;25o;6,2;288;6,6',
      '4,5;210;7,4;250;8',
      '7;;;40;11',
    ].join('\n'),
  );
  const mistakes = page.getByRole('list', { name: 'Mistakes' });
  await expect(mistakes).toContainText('Row 3, Flow 12 V [L/h]: "o" is not a unit used here');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Mend the marked cells of the table first.')).toBeVisible();
  await sheet.fill((await sheet.inputValue()).replace('25o', '250'));
  await expect(mistakes).toHaveCount(0);
  await expect(page.getByText(/interpolated/)).toBeVisible();
  const curve = page.getByRole('img', { name: 'flow over pressure' });
  await expect(curve.locator('circle')).toHaveCount(9);
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Own 300');
  await expect(page.getByText('In no build.')).toBeVisible();

  await goTo(page, `${server}/builds/lantern/pump`);
  await page.getByRole('option', { name: /Own 300/ }).click();
  await page.getByRole('button', { name: 'Use Own 300' }).click();
  await expect(page.locator('header')).toContainText('revision 2');

  // A change makes a revision; the build stays until it is moved.
  await goTo(page, `${server}/catalogue/pump/OWN-300/change`);
  await page.getByLabel('Price').fill('175');
  await page.getByRole('button', { name: 'Keep as revision 2' }).click();
  await expect(page.getByRole('link', { name: 'Lantern' })).toBeVisible();
  await page.getByRole('button', { name: 'Use revision 2' }).click();
  await expect(page.getByText('Lantern uses revision 2')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Use revision 2' })).toHaveCount(0);
});

test('a table is exported, changed, imported; a wrong cell keeps all of it out', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/catalogue/filter`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'CSV', exact: true }).click(),
  ]);
  const csv = readFileSync(await download.path(), 'utf8');
  await page.getByRole('link', { name: 'Import a table' }).click();
  await page.getByLabel('File of items').setInputFiles({
    name: 'filters.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      csv
        .replaceAll(/^F40,/gm, 'OWN-F,')
        .replace('steel mesh",fine,0.25', 'steel mesh",fine,heavy'),
    ),
  });
  await expect(page.getByRole('list', { name: 'Mistakes' })).toContainText('mass [kg]');
  await expect(page.getByRole('button', { name: /^Keep/ })).toBeDisabled();
  await page.getByLabel('File of items').setInputFiles({
    name: 'filters.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(csv.replaceAll(/^F40,/gm, 'OWN-F,')),
  });
  await page.getByRole('button', { name: /^Keep 7 items/ }).click();
  await expect(page.getByText('1 item stored, 6 unchanged')).toBeVisible();
  await expect(page.getByRole('table', { name: 'Items' }).getByRole('row')).toHaveCount(9);
});
