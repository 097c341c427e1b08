import { choose, field } from './controls.ts';
import { expect, test } from './realServer.ts';

test('a hose is made, cut, and no longer reaches when its end is moved', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/lines?of=feed`);
  const row = page.getByRole('row', { name: /^Feed line/ });
  await expect(row).toContainText('3370 mm');
  await page.getByRole('button', { name: 'It is cut, to 3370 mm' }).click();
  await expect(row).toContainText('cut');
  await expect(page.locator('header')).toContainText('revision 2');

  // The fine filter is moved back: what is cut is too short now, and it is told everywhere.
  const edited = await page.request.post(`${server}/api/builds/lantern/commands`, {
    data: {
      baseRevision: 2,
      author: 'tablet',
      command: {
        name: 'set',
        path: ['placements', 'fine-filter', 'x'],
        value: { value: 0.7, unit: 'mm' },
      },
    },
  });
  expect(edited.ok()).toBe(true);
  await expect(page.locator('article').filter({ hasText: 'Hose no longer reaches' })).toBeVisible();
  await page.reload();
  await expect(page.locator('article').filter({ hasText: 'Hose no longer reaches' })).toBeVisible();
  await page.getByRole('button', { name: /^Make a new hose, cut to \d+ mm$/ }).click();
  await expect(page.locator('article').filter({ hasText: 'Hose no longer reaches' })).toHaveCount(
    0,
  );
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.locator('article').filter({ hasText: 'Hose no longer reaches' })).toBeVisible();
});

test('a hose exchanged in the circuit takes its ends along', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/circuit?element=feed`);
  await choose(page, field(page, 'Part'), 'HBP −6, braided PTFE');
  await expect(page.locator('header')).toContainText('revision 2');
  await page.getByRole('link', { name: 'Its ends and what it is cut to' }).click();
  await expect(page.getByRole('row', { name: /^Feed line/ })).toContainText(
    'Hose end for PTFE −6 straight',
  );
  await expect(page.getByRole('region', { name: 'End B' })).toContainText('fits');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('a card is read step by step, with marks for a cold hand', async ({ page, server }) => {
    await page.goto(`${server}/builds/lantern/cards?of=return`);
    await expect(page.getByText('4195 mm').first()).toBeVisible();
    const step = page.getByRole('region', { name: 'Step' });
    await expect(step).toContainText('Step 1 of');
    const next = step.getByRole('button', { name: 'Next' });
    const box = await next.boundingBox();
    expect(box?.height).toBeGreaterThanOrEqual(48);
    await next.click();
    await expect(step).toContainText('Mark 4195 mm');
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide).toBeLessThanOrEqual(390);
  });
});

test('what is bought is less by shelf and offcuts, and stays so', async ({ page, server }) => {
  await page.goto(`${server}/builds/kittiwake/buying`);
  const total = page.locator('main p strong').first();
  await expect(total).toContainText('EUR');
  const before = await total.textContent();
  await choose(page, page.getByRole('combobox', { name: 'Put a part on the shelf' }), 'P520X');
  await field(page, 'At hand').fill('3');
  await page.keyboard.press('Enter');
  // All three are there: one alone changes the total too, a moment before.
  await expect(page.getByRole('row', { name: /P520X/ })).toContainText('nothing');
  await expect(total).not.toHaveText(before ?? '');
  const after = await total.textContent();
  await page.reload();
  await expect(total).toHaveText(after ?? '');
  await page.getByRole('radio', { name: 'Cutting plan' }).click();
  await expect(page.getByRole('region', { name: 'Cutting plan of HBP −10' })).toContainText(
    'proven: nothing buys less',
  );
});

type BuildFile = Record<'placements' | 'otherLines' | 'routes' | 'assemblies', object>;

/** Kittiwake with forty-five further lines of one hose, all of other lengths. */
function withManyLines(file: string): BuildFile {
  const document = JSON.parse(file) as BuildFile;
  const mm = (value: number) => ({ value, unit: 'mm' });
  const end = { item: { id: 'EP10-0', revision: 1 }, onto: null, adapters: {} };
  for (let i = 0; i < 45; i++) {
    const id = `spare-${i}`;
    const of = { kind: 'other', otherLineId: id };
    const place = (x: number) => ({
      name: `Spare ${i} at ${x}`,
      x: mm(x),
      y: mm(0.1),
      z: mm(0.5),
      zone: 'outside',
      movesWithEngine: false,
      heading: null,
      pitch: null,
      fixing: null,
    });
    const far = Number((0.3 + ((i * 37) % 45) * 0.047).toFixed(3));
    Object.assign(document.placements, { [`${id}-a`]: place(0), [`${id}-b`]: place(far) });
    Object.assign(document.otherLines, {
      [id]: {
        name: `Spare line ${i}`,
        use: 'vent',
        fromPlacementId: `${id}-a`,
        toPlacementId: `${id}-b`,
        item: { id: 'HBP-10', revision: 1 },
        diameter: null,
        flow: null,
      },
    });
    Object.assign(document.routes, {
      [id]: { of, covers: {}, clamps: {}, flexible: false, points: {} },
    });
    Object.assign(document.assemblies, {
      [id]: { of, from: end, to: end, slack: null, asMade: null },
    });
  }
  return document;
}

test('a cutting plan that is not proven at once is proven when asked', async ({ page, server }) => {
  const file = await (await page.request.get(`${server}/api/builds/kittiwake/build.json`)).text();
  const reply = await page.request.post(`${server}/api/builds/import`, {
    headers: { 'content-type': 'application/vnd.brookrain+json' },
    data: JSON.stringify(withManyLines(file)),
  });
  expect(reply.ok()).toBe(true);
  const { id } = (await reply.json()) as { id: string };
  await page.goto(`${server}/builds/${id}/buying`);
  await page.getByRole('radio', { name: 'Cutting plan' }).click();
  const plan = page.getByRole('region', { name: 'Cutting plan of HBP −10' });
  await expect(plan).toContainText('not proven to be reachable');
  await plan.getByRole('button', { name: 'Prove it, or find a better one' }).click();
  await expect(plan).toContainText('proven: nothing buys less', { timeout: 50_000 });
});
