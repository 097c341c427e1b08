import { goTo } from './controls.ts';
import { expect, test } from './realServer.ts';

test('a breakout dragged by keys moves the cut list, and is undone; a proposal is taken', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/sandpiper/cut-list`);
  const table = page.getByRole('table', { name: 'Wires' });
  // Sorted by name it is near the top, whatever the order of the netlist.
  await table.getByRole('button', { name: 'Wire', exact: true }).click();
  await page.getByRole('row', { name: /^Coolant sensor, Signal/ }).scrollIntoViewIfNeeded();
  await expect(page.getByRole('row', { name: /^Coolant sensor, Signal/ })).toContainText(
    'To the coolant sensor',
  );

  await goTo(page, `${server}/builds/sandpiper/harness?of=breakout:seat`);
  const wire = page.locator('[data-figure="harness.copperLength"]');
  await expect(wire).toBeVisible();
  const before = await wire.textContent();
  await page.getByRole('button', { name: /^Beside the seat, .* plan view$/ }).focus();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.locator('header')).toContainText('revision 2');
  await expect(wire).not.toHaveText(before ?? '');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(wire).toHaveText(before ?? '');

  // While it is dragged with a pointer the lengths are told, and nothing is an edit yet.
  const square = page.getByRole('button', { name: /^Beside the seat, .* plan view$/ });
  const box = (await square.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 20, y + 12, { steps: 4 });
  const told = page.getByRole('status').filter({ hasText: 'of wire' });
  await expect(told).toContainText('Along the right rail');
  await expect(wire).toHaveText(before ?? '');
  await expect(page.locator('header')).toContainText('revision 3');
  await page.mouse.up();
  await expect(told).toHaveCount(0);
  await expect(page.locator('header')).toContainText('revision 4');
  await expect(wire).not.toHaveText(before ?? '');

  await page.getByRole('button', { name: 'Propose another' }).click();
  const proposed = page.getByRole('region', { name: 'Proposed harness' });
  await expect(proposed).toContainText('breakouts');
  await proposed.getByRole('button', { name: 'Use it' }).click();
  await expect(page.locator('header')).toContainText('revision 5');
  await page.reload();
  await expect(wire).not.toHaveText(before ?? '');
});

test('the cut list is taken away as CSV and PDF', async ({ request, server }) => {
  const csv = await request.get(`${server}/api/builds/sandpiper/cut-list.csv`);
  expect(csv.ok()).toBe(true);
  const lines = (await csv.text()).trim().split(/\r?\n/);
  expect(lines[0]).toContain('colour');
  expect(lines.length).toBeGreaterThan(80);
  const pdf = await request.get(`${server}/api/builds/kittiwake/cut-list.pdf`);
  expect(pdf.ok()).toBe(true);
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('a place is found and taken, a wire is marked as cut; both are there after a reload', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/sandpiper/find-a-place`);
  await page.getByRole('button', { name: 'Look for places' }).click();
  await page.getByRole('button', { name: 'Put it into region 2' }).click();
  await expect(page.locator('header')).toContainText('revision 2');
  await page.reload();
  await expect(page.locator('header')).toContainText('revision 2');

  await goTo(page, `${server}/builds/sandpiper/cut-list`);
  const table = page.getByRole('table', { name: 'Wires' });
  await table.getByRole('button', { name: 'Wire', exact: true }).click();
  const tick = page.getByRole('checkbox', { name: 'Air sensor, Signal is cut' });
  await expect(tick).toBeChecked();
  await tick.click();
  await expect(tick).not.toBeChecked();
  await expect(page.locator('header')).toContainText('revision 3');
});

test('kept plugs are taken away as CSV and PDF', async ({ request, server }) => {
  const csv = await request.get(`${server}/api/builds/lantern/kept-connectors.csv`);
  const lines = (await csv.text()).trim().split(/\r?\n/);
  expect(lines).toHaveLength(8);
  expect(lines[3]).toContain('removed; new wire');
  const pdf = await request.get(`${server}/api/builds/lantern/kept-connectors.pdf`);
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
});
