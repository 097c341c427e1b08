import type { Page } from '@playwright/test';
import { field } from './controls.ts';
import { expect, test } from './realServer.ts';

const figure = (page: Page, name: string) =>
  page.getByRole('complementary').locator('dl > div').filter({ hasText: name });

test('a line is moved out of the heat, corners by key and by pointer, all undone', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/map`);
  const note = page.getByRole('complementary').locator('article');
  await expect(note).toContainText('Line is too near to a hot pipe');
  await expect(figure(page, 'From the nearest hot pipe')).toContainText('60.1 mm');

  // A corner is stepped away by keys: 50 mm with Shift, one edit for each.
  const corner = page.getByRole('button', { name: /^Corner 3, .* plan view$/ });
  await corner.focus();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByRole('button', { name: /^Corner 3, 2900, 200, 500 mm/ })).toHaveCount(2);
  await expect(page.locator('header')).toContainText('revision 2');
  await expect(figure(page, 'From the nearest hot pipe')).not.toContainText('60.1 mm');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByRole('button', { name: /^Corner 3, 2900, 252, 500 mm/ })).toHaveCount(2);
  await expect(page.locator('header')).toContainText('revision 3');

  // And dragged: it snaps to 5 mm, and the side view follows.
  const other = page.getByRole('button', { name: /^Corner 2, .* plan view$/ });
  const box = await other.boundingBox();
  if (!box) throw new Error('the corner is not drawn');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 12, { steps: 4 });
  await page.mouse.up();
  await expect(page.locator('header')).toContainText('revision 4');
  await expect(
    page.getByRole('button', { name: /^Corner 2, 24\d[05], -5\d[05], 500 mm/ }),
  ).toHaveCount(2);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.locator('header')).toContainText('revision 5');

  await note.getByRole('button', { name: /^Move corner 3 by/ }).click();
  await expect(note).toHaveCount(0);
  await expect(page.getByText('Nothing stands against the ways on the map.')).toBeVisible();
  await page.reload();
  await expect(figure(page, 'From the nearest hot pipe')).toContainText('mm');
  await expect(note).toHaveCount(0);
});

test('a line without a way is led over the map, bent, refused where it does not fit', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/map?of=return`);
  await page.getByRole('button', { name: 'Lead it over the map' }).click();
  await expect(figure(page, 'Length')).toContainText('m');
  await page.getByRole('button', { name: 'Put a corner in' }).click();
  await expect(field(page, 'Bend radius')).toHaveValue('100 mm');
  await field(page, 'Above the ground').fill('20 mm');
  await field(page, 'Above the ground').press('Enter');
  await expect(figure(page, 'Bends')).toContainText('1');
  await field(page, 'Bend radius').fill('5000');
  await field(page, 'Bend radius').press('Enter');
  const note = page.getByRole('complementary').locator('article');
  await expect(note).toContainText('This way cannot be run');
  await note.getByRole('button', { name: /^Bend it with/ }).click();
  await expect(note.getByText('This way cannot be run')).toHaveCount(0);
  await page.getByRole('button', { name: 'Take this way out' }).click();
  await expect(page.getByRole('button', { name: 'Lead it over the map' })).toBeVisible();
});

test('a hot pipe is put on the map, described and taken out again', async ({ page, server }) => {
  await page.goto(`${server}/builds/sandpiper/map`);
  await page.getByRole('button', { name: 'Add a hot pipe' }).click();
  await field(page, 'Name').fill('Silencer');
  await field(page, 'Name').press('Enter');
  await field(page, 'Hottest surface').fill('420 °C');
  await field(page, 'Hottest surface').press('Enter');
  await expect(figure(page, 'Length')).toContainText('1 m');
  await page.getByRole('button', { name: 'Put a corner in' }).click();
  await expect(page.getByRole('button', { name: /^Corner 3, .* side view$/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take this pipe out' }).click();
  await expect(page.getByText('Silencer')).toHaveCount(0);
});

test('a place is lowered by key: its height counts in the circuit at once', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/map?of=place:pump`);
  await expect(field(page, 'Above the ground')).toHaveValue('360 mm');
  await page.getByRole('button', { name: /^Fuel pump, .* side view$/ }).focus();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(field(page, 'Above the ground')).toHaveValue('310 mm');
  await expect(page.locator('header')).toContainText('revision 2');
  await page.goto(`${server}/builds/lantern/findings`);
  await expect(page.getByText('Fuel is close to boiling on its way')).toBeVisible();
  await expect(page.getByText('Pump inlet is close to boiling')).toHaveCount(0);
});
