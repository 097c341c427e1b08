import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { choose, field, goTo } from './controls.ts';
import { expect, test } from './realServer.ts';

const ripple = (page: Page) => page.getByRole('region', { name: 'Ripple' });
const revision = (page: Page, number: number) =>
  expect(page.locator('header')).toContainText(`revision ${number}`);

test('from the list to the brief, edit, ripple, undo, reload', async ({ page, server }) => {
  await page.goto(server);
  await page.getByRole('link', { name: /Lantern/ }).click();
  await expect(page.getByRole('heading', { name: 'Brief' })).toBeVisible();
  await expect(field(page, 'Displacement')).toHaveValue('2.4 L');

  await field(page, 'Ethanol by volume').fill('85 %');
  await field(page, 'Ethanol by volume').press('Enter');
  await expect(ripple(page)).toContainText('Injector duty is above the limit');
  await expect(page.getByRole('navigation', { name: 'Order of work' })).toContainText('9 stops');
  await revision(page, 2);

  await page.reload();
  await expect(field(page, 'Ethanol by volume')).toHaveValue('85 %');
  await expect(ripple(page)).toHaveCount(0);

  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(field(page, 'Ethanol by volume')).toHaveValue('10 %');
  await revision(page, 3);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(field(page, 'Ethanol by volume')).toHaveValue('85 %');
});

test('units are typed freely and echoed as typed', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/brief`);
  for (const [label, typed, shown] of [
    ['Displacement', '146 ci', '146 ci'],
    ['Boost, gauge', '0,85 bar', '0.85 bar'],
    ['Boost, gauge', '12psi', '12 psi'],
    ['Hot day', '100 F', '100 °F'],
    ['Power', '225 hp', '225 hp'],
  ] as const) {
    await field(page, label).fill(typed);
    await field(page, label).press('Enter');
    await expect(field(page, label)).toHaveValue(shown);
  }
  await revision(page, 5);
  await page.reload();
  await expect(field(page, 'Displacement')).toHaveValue('146 ci');
  await expect(field(page, 'Boost, gauge')).toHaveValue('12 psi');
});

test('impossible values are refused at the field with a reason, and what was typed stays', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/brief`);
  const displacement = field(page, 'Displacement');
  await displacement.fill('about 2 litres');
  await displacement.press('Enter');
  await expect(page.getByRole('alert')).toContainText('for example 2.4 L or 146 ci');
  await expect(displacement).toHaveValue('about 2 litres');
  await displacement.fill('-2 L');
  await displacement.press('Enter');
  await expect(page.getByRole('alert')).toContainText('displacement must be above zero');

  // The API says the same.
  const reply = await page.request.post(`${server}/api/builds/lantern/commands`, {
    data: {
      baseRevision: 1,
      command: {
        name: 'set',
        path: ['brief', 'displacement'],
        value: { value: -0.002, unit: 'L' },
      },
    },
  });
  expect(reply.status()).toBe(400);
  const { issues } = (await reply.json()) as { issues: { message: string }[] };
  await expect(page.getByRole('alert')).toHaveText(issues[0]!.message);
  await displacement.press('Escape');
  await expect(displacement).toHaveValue('2.4 L');
  await revision(page, 1);
});

test('curve points move by keyboard and by dragging, one edit each', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/brief`);
  const point = page.getByRole('slider', { name: 'Volumetric efficiency, point 3' });
  await expect(point).toHaveAttribute('aria-valuetext', '3200 rpm, 90 %');
  await point.focus();
  await point.press('ArrowUp');
  await expect(point).toHaveAttribute('aria-valuetext', '3200 rpm, 91 %');
  await revision(page, 2);
  await point.press('ArrowRight');
  await expect(point).toHaveAttribute('aria-valuetext', '3250 rpm, 91 %');
  await revision(page, 3);

  const box = (await point.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 40, { steps: 6 });
  await page.mouse.up();
  await revision(page, 4);
  const moved = Number(await point.getAttribute('aria-valuenow'));
  expect(moved).toBeLessThan(91);
});

test('both schools, a pick with its reason, and the working of a figure', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/demand`);
  await page.getByLabel('B, from air').check();
  await page.getByRole('button', { name: 'Record the pick' }).click();
  await expect(page.getByRole('alert')).toContainText('say why this school is picked');
  await page.getByLabel('Reason').fill('Air flow was measured on the donor engine');
  await page.getByRole('button', { name: 'Record the pick' }).click();
  await revision(page, 2);
  await expect(ripple(page)).toContainText('Design fuel need');

  await page.locator('[data-figure="demand.design.massFlow"]').click();
  const working = page.getByRole('region', { name: 'Working of Design fuel need' });
  await expect(working).toContainText('ṁ_design = ṁ_peak · factor');
  await expect(working).toContainText('change it');
  await working.getByRole('button', { name: 'its working' }).click();
  await expect(page.getByRole('region', { name: 'Working of Peak fuel need' })).toBeVisible();
  await page.getByRole('button', { name: 'Back to Design fuel need' }).click();
  await page.keyboard.press('Escape');
  await expect(working).toHaveCount(0);

  const map = page.getByRole('application', { name: /Demand map/ });
  await map.focus();
  const before = await page.locator('figcaption').first().innerText();
  await map.press('ArrowDown');
  await expect(page.locator('figcaption').first()).not.toHaveText(before);
});

test('injectors and pump are compared, picked, and the circuit answers', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/injectors`);
  const list = page.getByRole('listbox', { name: 'Injectors, best first' });
  await expect(list.getByRole('option')).toHaveCount(10);
  await list.getByRole('option', { name: /I440/ }).click();
  await expect(page.getByRole('complementary')).toContainText('Too small: duty');
  await list.focus();
  await list.press('Home');
  await list.press('ArrowDown');
  await page.getByRole('button', { name: 'Use I850' }).click();
  await expect(page.getByRole('button', { name: 'In this build' })).toBeDisabled();
  await revision(page, 2);

  await goTo(page, `${server}/builds/lantern/pump`);
  await page.getByRole('option', { name: /P520X/ }).click();
  await page.getByRole('button', { name: 'Use P520X' }).click();
  await expect(ripple(page)).toContainText('Pump');
  await revision(page, 3);
  await goTo(page, `${server}/builds/lantern/circuit`);
  await page.getByRole('option', { name: 'Fuel pump' }).click();
  await expect(page.getByLabel('Part', { exact: true })).toHaveText(/^P520X/);
});

test('the circuit is walked, an element changed, a decision switched', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/circuit`);
  const run = page.getByRole('listbox', { name: 'Fuel run from tank to engine' });
  await run.focus();
  await run.press('Home');
  await expect(page.getByRole('complementary').getByRole('heading').first()).toHaveText(
    'Tank, 85 L steel',
  );
  await run.press('ArrowRight');
  await expect(page.getByRole('complementary').getByRole('heading').first()).toHaveText(
    'Tank outlet',
  );
  const head = page.locator('[data-figure="suction.peak.pump.inletHead"]').first();
  await page.getByRole('option', { name: 'Fuel pump' }).click();
  const before = await head.innerText();
  await page.getByRole('option', { name: 'Tank outlet' }).click();
  await choose(
    page,
    page.getByLabel('Decision: Tank outlet'),
    'Keep the 8 mm outlet with its draw tube',
  );
  await revision(page, 2);
  await page.getByRole('option', { name: 'Fuel pump' }).click();
  // The figure follows when the worker has answered.
  await expect(head).not.toHaveText(before);

  await page.getByRole('radio', { name: 'Hot idle' }).click();
  await expect(page.getByText('A gauge on the rail should read')).toContainText('251 kPa');
  await page.getByRole('option', { name: 'Feed line' }).click();
  await page.getByLabel('Length, measured').fill('15 ft');
  await page.getByLabel('Length, measured').press('Enter');
  await expect(page.getByText('as measured')).toBeVisible();
  await revision(page, 3);
});

test('wire and fuse by all criteria; a wrong size is found and cured by one click', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/wiring`);
  await page.getByRole('option', { name: /^Fuel pump, supply, \d/ }).click();
  await expect(page.getByRole('complementary').getByRole('row')).toHaveCount(7);
  await choose(page, page.getByLabel('Size', { exact: true }), '0.5 mm²');
  await expect(page.getByText('Wire is too thin for its fuse', { exact: true })).toBeVisible();
  await expect(ripple(page)).toContainText('Wire is too thin for its fuse is a new stop');
  await ripple(page).getByRole('button', { name: /All/ }).click();
  await expect(ripple(page)).toContainText('Pump feed, drop in wire out and back');
  await page.getByRole('button', { name: 'Size this wire by the rules' }).first().click();
  await expect(page.getByText('Wire is too thin for its fuse', { exact: true })).toHaveCount(0);
  await revision(page, 3);

  const wires = page.getByRole('listbox', { name: 'Wires of the pump circuit' });
  await wires.focus();
  await wires.press('Home');
  await expect(page.getByRole('complementary').getByRole('heading').first()).toHaveText(
    'Battery to main fuse',
  );
});

test('margins: ladder, findings with cures that apply', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/brief`);
  await field(page, 'Ethanol by volume').fill('85');
  await field(page, 'Ethanol by volume').press('Enter');
  await expect(ripple(page)).toBeVisible();
  // As it is sold in summer: at 60 kPa it would boil before the injectors run out.
  await field(page, 'Vapour pressure (Reid), as sold').fill('45 kPa');
  await field(page, 'Vapour pressure (Reid), as sold').press('Enter');
  await expect(ripple(page)).toContainText('kPa');
  await page
    .getByRole('navigation', { name: 'Limit ladder' })
    .getByRole('link', { name: /Injector duty/ })
    .click();
  await expect(page.getByText('As designed this is good for 154 kW')).toBeVisible();
  const stops = page.locator('article', { hasText: 'hose is not rated' });
  const count = await stops.count();
  expect(count).toBeGreaterThan(3);
  await page.getByRole('button', { name: 'Fit I850 instead' }).click();
  await expect(page.getByText('Injector duty is above the limit', { exact: true })).toHaveCount(0);
  await expect(page.getByText('As designed this is good for 154 kW')).toHaveCount(0);
});

test('margins on paper hold all of their findings', async ({ page, server }) => {
  await page.goto(`${server}/builds/kittiwake/margins`);
  const last = page.getByRole('link', { name: 'All findings, explained' });
  await expect(last).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  const { bottom, paper } = await last.evaluate((link) => ({
    bottom: link.getBoundingClientRect().bottom,
    paper: document.documentElement.scrollHeight,
  }));
  expect(bottom).toBeGreaterThan(800);
  expect(bottom).toBeLessThanOrEqual(paper);
  await expect(page.getByRole('navigation', { name: 'Order of work' })).toBeHidden();
});

test('papers are taken away, a file comes back with a preview, a damaged one is refused', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/downloads`);
  const fetched = async (name: string): Promise<Buffer> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.locator('main').getByRole('link', { name }).click(),
    ]);
    return readFileSync(await download.path());
  };
  expect((await fetched('Work order')).subarray(0, 5).toString()).toBe('%PDF-');
  expect((await fetched('Parts')).toString()).toContain('I650');
  expect((await fetched('Wires')).toString()).toContain('Fuel pump, supply');
  const file = (await fetched('Build file')).toString();

  const bring = async (name: string, text: string): Promise<void> => {
    await page
      .getByLabel('Build file')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  };
  await bring('damaged.json', file.slice(0, 500));
  await expect(page.getByRole('alert')).toContainText('nothing was changed');
  await bring('old.json', file.replace(/"version":\d+/, '"version":99'));
  await expect(page.getByRole('alert')).toContainText('version 99 is not known');

  const changed = JSON.parse(file) as { brief: { boost: object } };
  changed.brief.boost = { value: 60e3, unit: 'kPa' };
  await bring('changed.json', JSON.stringify(changed));
  await expect(page.getByRole('cell', { name: 'boost' })).toBeVisible();
  await revision(page, 1);
  await page.getByRole('button', { name: 'Import it' }).click();
  await revision(page, 2);
  await page.reload();
  await revision(page, 2);
  await goTo(page, `${server}/builds/lantern/brief`);
  await expect(field(page, 'Boost, gauge')).toHaveValue('60 kPa');
});

test('a file becomes a new build from the list', async ({ page, server }) => {
  const file = await (await page.request.get(`${server}/api/builds/lantern/build.json`)).text();
  await page.goto(server);
  await page.getByLabel('Build file').setInputFiles({
    name: 'own.json',
    mimeType: 'application/json',
    buffer: Buffer.from(file.replace('"name":"Lantern"', '"name":"Own van"')),
  });
  await expect(page.locator('header')).toContainText('Own van');
  await goTo(page, server);
  await expect(page.getByRole('list', { name: 'Builds' }).getByRole('listitem')).toHaveCount(4);
});

test('units and theme are kept on the device', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/pump`);
  await choose(page, page.getByLabel('Units', { exact: true }), 'US');
  await expect(page.locator('[data-figure="pump.peak.flowNeeded"]')).toContainText('US gph');
  await page.getByRole('button', { name: 'Dark screen' }).click();
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await expect(page.locator('[data-figure="pump.peak.flowNeeded"]')).toContainText('US gph');
});
