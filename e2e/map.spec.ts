import type { Page } from '@playwright/test';
import { choose, field, goTo } from './controls.ts';
import { expect, test } from './realServer.ts';

const figure = (page: Page, name: string) =>
  page.getByRole('complementary').locator('dl > div').filter({ hasText: name });
const note = (page: Page) => page.getByRole('complementary').locator('article').first();
const clearance = 'Clearance that matters most';

test('a line is moved out of the heat, corners by key and by pointer, all undone', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/map`);
  await expect(note(page)).toContainText('Line is too close to a hot pipe');
  await expect(figure(page, clearance)).toContainText('59.6 mm');

  // A corner is stepped away by keys: 50 mm with Shift, one edit for each.
  const corner = page.getByRole('button', { name: /^Corner 3, .* plan view$/ });
  await corner.focus();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByRole('button', { name: /^Corner 3, 2760, 210, 330 mm/ })).toHaveCount(2);
  await expect(page.locator('header')).toContainText('revision 2');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByRole('button', { name: /^Corner 3, 2760, 261, 330 mm/ })).toHaveCount(2);
  await expect(page.locator('header')).toContainText('revision 3');

  // And dragged: it snaps to 5 mm, and the side view follows.
  const other = page.getByRole('button', { name: /^Corner 4, .* plan view$/ });
  const box = await other.boundingBox();
  if (!box) throw new Error('the corner is not drawn');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 14, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect(page.locator('header')).toContainText('revision 4');
  await expect(
    page.getByRole('button', { name: /^Corner 4, 28\d[05], 2\d\d, 880 mm/ }),
  ).toHaveCount(2);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.locator('header')).toContainText('revision 5');

  await note(page)
    .getByRole('button', { name: /^Re-route it on the right/ })
    .click();
  await expect(page.getByText('No findings on the map.')).toBeVisible();
  await goTo(page, `${server}/builds/lantern/map?of=feed`);
  await expect(figure(page, 'Bends')).toContainText('1');
  await expect(page.getByText('No findings on the map.')).toBeVisible();
});

test('ways are looked for, compared, one taken and adjusted', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/map?of=feed`);
  await page.getByRole('button', { name: 'Propose routes' }).click();
  const ways = page.getByRole('region', { name: 'Routes to choose from' });
  await expect(ways.getByRole('listitem').first()).toContainText('Way 1, right side');
  await expect(page.getByRole('button', { name: 'Put them away' })).toBeVisible();
  await ways.getByRole('button', { name: 'Use route 1' }).click();
  await expect(page.getByText('No findings on the map.')).toBeVisible();
  await expect(figure(page, 'Bends')).toContainText('1');
  const corner = page.getByRole('button', { name: /^Corner 1, .* side view$/ });
  await corner.focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.locator('header')).toContainText('revision 3');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(note(page)).toContainText('Line is too close to a hot pipe');
});

test('a line without a way is led over the map, bent, refused where it does not fit', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/map?of=return`);
  await page.getByRole('button', { name: 'Remove this route' }).click();
  await page.getByRole('button', { name: 'Route it on the map' }).click();
  await expect(figure(page, 'Length')).toContainText('m');
  await page.getByRole('button', { name: 'Put a corner in' }).click();
  await expect(field(page, 'Bend radius')).toHaveValue('100 mm');
  await field(page, 'Left of the middle').fill('900 mm');
  await field(page, 'Left of the middle').press('Enter');
  await expect(figure(page, 'Bends')).toContainText('1');
  await field(page, 'Bend radius').fill('5000');
  await field(page, 'Bend radius').press('Enter');
  const shape = page
    .getByRole('complementary')
    .locator('article')
    .filter({ hasText: 'Route is not possible' });
  await expect(shape).toBeVisible();
  await shape.getByRole('button', { name: /^Use a bend radius of/ }).click();
  await expect(shape).toHaveCount(0);
});

test('things are put on the map, described, moved by key and taken off again', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/sandpiper/map`);
  await page.getByRole('button', { name: 'Put on the map' }).click();
  await page.getByRole('menuitem', { name: 'Hot pipe' }).click();
  await field(page, 'Name').fill('Heater pipe');
  await field(page, 'Name').press('Enter');
  await field(page, 'Hottest surface').fill('420 °C');
  await field(page, 'Hottest surface').press('Enter');
  await expect(figure(page, 'Length')).toContainText('1 m');
  await page.getByRole('button', { name: 'Put a corner in' }).click();
  await expect(page.getByRole('button', { name: /^Corner 3, .* side view$/ })).toBeVisible();
  await page.getByRole('button', { name: 'Remove it from the map' }).click();
  await expect(page.getByText('Heater pipe')).toHaveCount(0);

  await page.getByRole('button', { name: 'Put on the map' }).click();
  await page.getByRole('menuitem', { name: 'Solid thing' }).click();
  await choose(page, page.getByLabel('What it is', { exact: true }), 'battery');
  const high = page.getByRole('button', { name: /^High corner, .* plan view$/ });
  const before = await high.getAttribute('aria-label');
  await high.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(high).not.toHaveAttribute('aria-label', before ?? '');
  await expect(figure(page, 'Space it needs')).toContainText('L');
  // A box that would be turned inside out is refused, and nothing is lost.
  await choose(page, page.getByRole('combobox', { name: 'Point' }), 'High corner');
  await field(page, 'Above the ground').fill('0');
  await field(page, 'Above the ground').press('Enter');
  await expect(page.getByText(/reaches forward, left and up/)).toBeVisible();
});

test('the map is measured with a tape by keys, layers are hidden and stay so, the end view opens', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/map?of=feed`);
  await page.getByRole('button', { name: 'Measure' }).click();
  const words = page.getByRole('status').filter({ hasText: 'straight' });
  const reading = await words.textContent();
  await page.getByRole('button', { name: /^End of the tape, .* side view$/ }).focus();
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(words).not.toHaveText(reading ?? '');
  await page.getByRole('button', { name: 'Put the tape away' }).click();
  await expect(words).toHaveCount(0);

  await page.getByRole('button', { name: 'All is shown' }).click();
  await page.getByRole('checkbox', { name: 'Solid things' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: '1 hidden' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: '1 hidden' })).toBeVisible();

  await page.getByRole('button', { name: 'From behind too' }).click();
  await expect(page.getByRole('group', { name: 'Map, from behind' })).toBeVisible();
});

test('a pump is mounted lower with one press: its place moves and the inlet is right', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/findings`);
  const finding = page.locator('article').filter({ hasText: 'Pump inlet is close to boiling' });
  await finding
    .getByRole('button', { name: /^Mount it 140 mm lower on .Right leg, inside/ })
    .click();
  await expect(page.getByText('Pump inlet is close to boiling')).toHaveCount(0);
  await goTo(page, `${server}/builds/lantern/map?of=placements:pump`);
  await expect(field(page, 'Above the ground')).toHaveValue('360 mm');
  await page.getByRole('button', { name: /^Fuel pump, .* side view$/ }).focus();
  await page.keyboard.press('Shift+ArrowUp');
  await expect(field(page, 'Above the ground')).toHaveValue('410 mm');
});

test('a place is measured with a tape: what begins there is known better', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/map?of=placements:pump`);
  await page.getByRole('button', { name: 'Enter a tape reading' }).click();
  await expect(page.getByText('The map is off by')).toBeVisible();
  await goTo(page, `${server}/builds/lantern/map?of=pump-inlet`);
  await expect(figure(page, 'Known to ±')).toContainText('57');
});

test('a first vehicle is laid out from its body and five dimensions', async ({ page, server }) => {
  const slices = ['tanks', 'solids', 'movingZones', 'mountingLines', 'edges', 'hotRuns', 'spaces'];
  await page.request.post(`${server}/api/builds/sandpiper/commands`, {
    data: {
      baseRevision: 1,
      author: 'M',
      command: {
        name: 'set-several',
        label: 'Clear the map',
        changes: [
          ...['filter-regulator', 'battery', 'ecu'].map((place) => ({
            path: ['placements', place, 'fixing'],
            value: null,
          })),
          ...slices.map((slice) => ({ path: [slice], value: {} })),
        ],
      },
    },
  });
  await page.goto(`${server}/builds/sandpiper/map?of=vehicle:`);
  await choose(page, page.getByLabel('Body', { exact: true }), 'open frame');
  await field(page, 'Wheelbase').fill('2100 mm');
  await field(page, 'Wheelbase').press('Enter');
  await page.getByRole('button', { name: 'Lay out a first vehicle' }).click();
  await expect(figure(page, 'Overall length')).toContainText('2.87 m');
  await page.getByRole('combobox', { name: 'What is looked at' }).click();
  await expect(page.getByRole('option', { name: 'Fuel tank', exact: true })).toBeVisible();
  await expect(page.getByRole('option', { name: 'Firewall', exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByRole('button', { name: 'Lay out a first vehicle' })).toBeVisible();
});

test('a part is turned, let go and fastened again, and its plate goes to the bench', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/map?of=placements:fine-filter`);
  await expect(page.getByRole('region', { name: 'Part: Fine filter' })).toContainText('140 mm');
  await page.getByRole('button', { name: 'Remove the fixing' }).click();
  const loose = page.getByRole('complementary').locator('article').first();
  await expect(loose).toContainText('Part is not fastened yet');
  await expect(page.getByRole('region', { name: 'Plate of the fine filter' })).toHaveCount(0);
  await loose.getByRole('button', { name: /^Fasten it to right leg, inside/ }).click();
  const plate = page.getByRole('region', { name: 'Plate of the fine filter' });
  await expect(plate.getByRole('img')).toBeVisible();
  await field(page, 'Plate thickness').fill('4 mm');
  await field(page, 'Plate thickness').press('Enter');
  await expect(plate).toContainText('steel, 4 mm');
  for (const [kind, begins] of [
    ['PDF', '%PDF-'],
    ['DXF', ''],
  ] as const) {
    const href = await plate.getByRole('link', { name: kind }).getAttribute('href');
    const paper = await page.request.get(`${server}${href}`);
    expect(paper.ok()).toBe(true);
    expect(paper.headers()['content-disposition']).toContain('lantern-plate-fine.');
    expect((await paper.body()).toString('latin1').startsWith(begins)).toBe(true);
  }
  // Across the frame its hoses no longer fit; undone all is as before.
  await field(page, 'Its front looks').fill('90');
  await field(page, 'Its front looks').press('Enter');
  const inside = page.locator('article').filter({ hasText: 'Part is inside a solid thing' });
  await expect(inside.first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(inside).toHaveCount(0);
});

test('a line gets a cover over a stretch and clamps of its own', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/map?of=feed`);
  const hot = page.locator('article').filter({ hasText: 'Line is too close to a hot pipe' });
  await page.getByRole('button', { name: 'Put a cover over it' }).click();
  await expect(hot).toHaveCount(0);
  const covers = page.getByRole('region', { name: 'Covers' });
  await covers.getByLabel('To', { exact: true }).fill('1000 mm');
  await covers.getByLabel('To', { exact: true }).press('Enter');
  await expect(hot.first()).toBeVisible();
  await page.getByRole('button', { name: 'Place them myself' }).click();
  const clamps = page.getByRole('region', { name: 'Clamps' });
  await expect(clamps.getByRole('textbox')).toHaveCount(9);
  await clamps.getByRole('button', { name: 'Remove' }).nth(4).click();
  const free = page
    .locator('article')
    .filter({ hasText: 'Line is unsupported for too long' })
    .first();
  await free.getByRole('button', { name: 'Space 9 clamps evenly' }).click();
  await expect(
    page.locator('article').filter({ hasText: 'Line is unsupported for too long' }),
  ).toHaveCount(0);
});

test('the tank says what is missing on it, and injectors what does not fit', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/tank`);
  await expect(page.getByRole('img', { name: /^Tank with a quarter of its fuel/ })).toBeVisible();
  await expect(page.getByText('An "empty" tank is the dangerous one.')).toBeVisible();
  await page.getByRole('checkbox', { name: 'Vent closes when it rolls over' }).click();
  await page.getByRole('button', { name: 'Fit a roll-over valve in the vent' }).click();
  await expect(
    page.locator('article').filter({ hasText: 'Vent stays open in a roll-over' }),
  ).toHaveCount(0);
  await page.getByRole('radio', { name: 'Accelerating' }).click();
  await expect(page.getByRole('img', { name: /the pickup is dry$/ })).toBeVisible();

  await goTo(page, `${server}/builds/lantern/injectors`);
  await field(page, 'Bore in the rail').fill('11 mm');
  await field(page, 'Bore in the rail').press('Enter');
  const seal = page.locator('article').filter({ hasText: 'Seal does not fit its bore' }).first();
  await expect(seal).toContainText('the bore in the rail is 11 mm');
  await seal.getByRole('button', { name: /adapter/ }).click();
  await expect(field(page, 'Bore in the rail')).toHaveValue('14 mm');
  await expect(
    page.locator('article').filter({ hasText: 'Seal does not fit its bore' }),
  ).toHaveCount(0);
});
