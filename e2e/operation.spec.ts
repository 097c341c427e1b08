import { expect, test } from './realServer.ts';

test('the operating map shows the worst point and opens any point to its solution', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/brief`);
  await page.getByLabel('Ethanol by volume', { exact: true }).fill('85 %');
  await page.getByLabel('Ethanol by volume', { exact: true }).press('Enter');
  await expect(page.locator('header')).toContainText('revision 2');
  await page.getByRole('button', { name: /^Prove/ }).click();
  await page.getByRole('link', { name: 'Operating map' }).click();
  await expect(page.getByText('stop above 80 %')).toBeVisible();
  const run = page.getByRole('table', { name: 'Along the run' });
  await expect(run).toContainText('Pressure regulator');
  const inspector = page.getByRole('complementary');
  await expect(inspector.getByRole('heading').first()).toHaveText('5400 rpm');
  const map = page.getByRole('application', { name: /Injector duty over the map/ });
  await map.focus();
  await map.press('ArrowLeft');
  await expect(inspector.getByRole('heading').first()).not.toHaveText('5400 rpm');
  await page.getByRole('radio', { name: 'Above boiling' }).click();
  await expect(page.getByText('stop below 0 kPa')).toBeVisible();
  await expect(page.getByRole('application', { name: /Above boiling over the map/ })).toBeVisible();
  await expect(run).toContainText('Fuel rail');
});

test('how sure it is: drawn with progress, and what matters most', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/margins`);
  const sure = page.getByRole('region', { name: 'How sure is it' });
  await sure.getByRole('button', { name: 'Draw 2000 times' }).click();
  await expect(sure.getByText('of 2000 draws')).toBeVisible();
  const causes = sure.getByRole('table', { name: 'What matters most' });
  await expect(causes.getByRole('row')).toHaveCount(6);
  await expect(causes.getByRole('row').first()).toContainText('Pump flow');
  const first = (await causes.textContent())!;
  await sure.getByRole('button', { name: 'Draw again' }).click();
  // The same seed gives the same answer.
  await expect(causes).toHaveText(first);
});

test('a run that is cancelled leaves nothing behind', async ({ page, server }) => {
  await page.goto(`${server}/builds/kittiwake/margins`);
  const sure = page.getByRole('region', { name: 'How sure is it' });
  await sure.getByRole('button', { name: 'Draw 2000 times' }).click();
  const cancel = sure.getByRole('button', { name: 'Cancel' });
  await cancel.click();
  await expect(cancel).toHaveCount(0);
  await expect(sure.getByRole('table', { name: 'What matters most' })).toHaveCount(0);
  await expect(sure.getByRole('button', { name: /^Draw/ })).toBeVisible();
});
