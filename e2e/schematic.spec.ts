import { expect, test } from './realServer.ts';

test('the schematic is laid out in the page, and what is picked is lit on the panel', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/schematic`);
  await page.getByRole('combobox', { name: 'Sheet' }).click();
  await page.getByRole('option', { name: 'Cooling' }).click();
  const drawing = page.getByRole('img', { name: /^Cooling: 20 wires/ });
  await expect(drawing).toBeVisible();
  await drawing.getByText('Relay, fan 2').click();
  await page.getByRole('link', { name: 'Panel', exact: true }).last().click();
  const holder = page.getByRole('region', { name: 'The holder that is looked at' });
  await expect(holder.getByRole('heading', { name: /Relay, fan 2/ })).toBeVisible();
});

test('a fan’s temperature is kept by the server, moves the volts of hot cruise, and is undone', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/switching`);
  await page.getByRole('button', { name: 'Relay, fan 1' }).click();
  const on = page.getByLabel('On at');
  await on.fill('130 °C');
  await on.press('Enter');
  const row = page
    .getByRole('table', { name: 'What is switched' })
    .getByRole('row', { name: /^Relay, fan 1/ });
  await expect(row).toContainText('none');
  await page.reload();
  await expect(row).toContainText('130 °C');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(row).toContainText('95 °C');
});
