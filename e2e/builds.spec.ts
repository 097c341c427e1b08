import type { Page } from '@playwright/test';
import { choose, field, goTo } from './controls.ts';
import { expect, test } from './realServer.ts';

const revision = (page: Page, number: number) =>
  expect(page.locator('header')).toContainText(`revision ${number}`);

test('a technician’s own engine to a first verdict in at most fifteen actions', async ({
  page,
  server,
}) => {
  await page.goto(server);
  let actions = 0;
  const act = async (work: () => Promise<unknown>): Promise<void> => {
    actions += 1;
    await work();
  };
  await act(() => page.getByRole('link', { name: 'New build' }).click());
  await act(() => field(page, 'Name of the build').fill('Grey van'));
  await act(() => field(page, 'Displacement').fill('2,3 L'));
  await act(() => field(page, 'Cylinders').fill('5'));
  await act(() => field(page, 'Induction').click());
  await act(() => page.getByRole('option', { name: 'turbocharged', exact: true }).click());
  await act(() => field(page, 'Boost, gauge').fill('11 psi'));
  await act(() => field(page, 'Power wanted').fill('190 hp'));
  await act(() => field(page, 'at engine speed').fill('5600'));
  await act(() => field(page, 'Ethanol in it').fill('5'));
  await act(() => field(page, 'Tank to engine').fill('3.2 m'));
  await act(() => page.getByRole('button', { name: /Start/ }).click());
  await expect(page.getByText(/As designed this is good for|No check fails/)).toBeVisible();
  expect(actions).toBeLessThanOrEqual(15);

  await expect(page.getByRole('region', { name: 'What was proposed' })).toContainText('injectors');
  await expect(page.getByRole('navigation', { name: 'Order of work' })).not.toContainText('stop');
  await page.getByRole('link', { name: 'brief', exact: true }).click();
  await expect(field(page, 'Boost, gauge')).toHaveValue('11 psi');
  await expect(field(page, 'Limiter')).toHaveValue('6200 rpm');
  await goTo(page, server);
  await expect(page.getByRole('link', { name: /Grey van/ })).toBeVisible();
});

test('wrong answers are told at their fields and nothing is made', async ({ page, server }) => {
  await page.goto(`${server}/new`);
  await page.getByRole('button', { name: /Start/ }).click();
  await expect(page.getByText('A build needs a name.')).toBeVisible();
  await field(page, 'Name of the build').fill('X');
  await field(page, 'Displacement').fill('90 L');
  await field(page, 'Power wanted').fill('100 kW');
  await field(page, 'at engine speed').fill('6000');
  await page.getByRole('button', { name: /Start/ }).click();
  await expect(page.getByRole('alert')).toContainText('from 0.02 L to 30 L');
  await expect(field(page, 'Displacement')).toHaveValue('90 L');
  await goTo(page, server);
  await expect(page.getByRole('list', { name: 'Builds' }).getByRole('listitem')).toHaveCount(3);
});

test('a build is copied, archived and restored; demo builds are reset', async ({
  page,
  server,
}) => {
  await page.goto(server);
  const builds = page.getByRole('list', { name: 'Builds' }).getByRole('listitem');
  await page.getByRole('button', { name: 'Copy Lantern' }).click();
  await expect(page.locator('header')).toContainText('Lantern 2');
  await field(page, 'Power').fill('99 kW');
  await field(page, 'Power').press('Enter');
  await revision(page, 2);
  await goTo(page, `${server}/builds/lantern/brief`);
  await field(page, 'Power').fill('120 kW');
  await field(page, 'Power').press('Enter');
  await revision(page, 2);

  await goTo(page, server);
  await page.getByRole('button', { name: 'Archive Kittiwake' }).click();
  await expect(builds).toHaveCount(3);
  await page.getByRole('button', { name: 'Archive: 1' }).click();
  await page.getByRole('button', { name: 'Restore Kittiwake' }).click();
  await page.getByRole('button', { name: 'Back to the builds in work' }).click();
  await expect(builds).toHaveCount(4);

  await goTo(page, `${server}/settings`);
  await page.getByRole('button', { name: 'Reset the demo builds' }).click();
  await expect(page.getByText('The demo builds are as shipped')).toBeVisible();
  await goTo(page, `${server}/builds/lantern/brief`);
  await expect(field(page, 'Power')).toHaveValue('168 kW');
  await goTo(page, server);
  await page.getByRole('link', { name: /Lantern 2/ }).click();
  await expect(field(page, 'Power')).toHaveValue('99 kW');
});

test('of many builds only those in sight are drawn; they are found by words, sorted, paged', async ({
  page,
  server,
}) => {
  for (let n = 1; n <= 90; n++) {
    const data = { name: `Van ${n}` };
    const made = await page.request.post(`${server}/api/builds/sandpiper/copy`, { data });
    expect(made.status()).toBe(201);
  }
  for (let baseRevision = 1; baseRevision <= 230; baseRevision++) {
    const value = `step ${baseRevision}`;
    const command = { name: 'set', path: ['description'], value };
    const data = { baseRevision, author: 'Ada', command };
    const made = await page.request.post(`${server}/api/builds/lantern/commands`, { data });
    expect(made.status()).toBe(200);
  }
  await page.goto(server);
  const lines = page.getByRole('list', { name: 'Builds' }).getByRole('listitem');
  await expect(page.getByText('93 builds')).toBeVisible();
  await expect(lines.first()).toContainText('Kittiwake');
  expect(await lines.count()).toBeLessThan(40);
  await page.getByRole('searchbox', { name: 'Find a build' }).fill('van 77');
  await expect(lines).toHaveCount(1);
  await expect(page.getByText('1 of 93 builds')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find a build' }).fill('');
  await page.getByRole('radio', { name: 'Last changed first' }).click();
  await expect(lines.first()).toContainText('Lantern');
  // How high the lines are that were not in sight yet is known once they are: the end moves on.
  await expect(async () => {
    await page.locator('main').evaluate((main) => main.scrollTo(0, main.scrollHeight));
    const last = page.getByRole('link', { name: /Kittiwake|Sandpiper/ }).last();
    await expect(last).toBeInViewport({ timeout: 500 });
  }).toPass();

  await goTo(page, `${server}/builds/lantern/history`);
  const list = page.getByRole('table', { name: 'Revisions, newest first' });
  await expect(list.getByText('step 230', { exact: false }).first()).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find in the history' }).fill('step 177');
  await expect(list.locator('tbody tr')).toHaveCount(2);
  await page.getByRole('searchbox', { name: 'Find in the history' }).fill('');
  await expect(list).toHaveAttribute('aria-rowcount', '201');
  // The next page comes when the last row comes into sight.
  await list.locator('xpath=..').evaluate((box) => box.scrollTo(0, box.scrollHeight));
  await expect(list).toHaveAttribute('aria-rowcount', '232');
});

test('history: what each changed, going back, branching off', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/brief`);
  await field(page, 'Ethanol by volume').fill('85 %');
  await field(page, 'Ethanol by volume').press('Enter');
  await revision(page, 2);
  await field(page, 'Power').fill('150 kW');
  await field(page, 'Power').press('Enter');
  await revision(page, 3);
  await page.locator('h1').click();
  await page.keyboard.press('h');
  const list = page.getByRole('table', { name: 'Revisions, newest first' });
  const rows = list.locator('tbody tr');
  await expect(rows).toHaveCount(3);
  await rows.filter({ hasText: /ethanol 10 → 85 %/ }).click();
  const inspector = page.getByRole('complementary');
  await expect(inspector.getByRole('table', { name: 'Inputs that differ' })).toContainText('85 %');
  await expect(inspector.getByRole('list', { name: 'Moved downstream' })).toContainText(
    'Injector duty is above the limit',
  );
  await rows.first().getByRole('button').focus();
  await page.keyboard.press('End');
  await expect(inspector.getByRole('heading').first()).toHaveText('Revision 1');
  await inspector.getByRole('button', { name: 'Go back to this' }).click();
  await revision(page, 4);
  await expect(rows.first()).toContainText('Go back to revision 1');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await revision(page, 5);

  await rows
    .filter({ hasText: /ethanol 10 → 85 %/ })
    .first()
    .click();
  await inspector.getByLabel('Name of the branch').fill('E85 trial');
  await inspector.getByRole('button', { name: 'Branch off' }).click();
  await expect(page.locator('header')).toContainText('E85 trial');
  await expect(field(page, 'Ethanol by volume')).toHaveValue('85 %');
  await expect(field(page, 'Power')).toHaveValue('168 kW');
});

test('compare: the other way of a decision, a revision, another build', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/compare`);
  const inputs = page.getByRole('table', { name: 'Inputs that differ' });
  const figures = page.getByRole('table', { name: 'Figures that differ' });
  await expect(inputs).toContainText('Tank outlet, part');
  await expect(figures.getByRole('row').nth(1)).toContainText('Tank outlet, pressure drop');
  await choose(page, field(page, 'Right'), 'Sandpiper');
  await expect(figures).toContainText('Boost that would reconcile them');
  await expect(inputs).toContainText('52 kW');

  await goTo(page, `${server}/builds/lantern/brief`);
  await field(page, 'Ethanol by volume').fill('85 %');
  await field(page, 'Ethanol by volume').press('Enter');
  await revision(page, 2);
  await goTo(page, `${server}/builds/lantern/compare?left=revision:1&right=now`);
  await expect(page.getByRole('table', { name: 'Findings that differ' })).toContainText(
    'Injector duty is above the limit',
  );
  await expect(inputs).toContainText('85 %');
});

test('findings: filtered, explained, accepted with a reason, opened again by worse numbers', async ({
  page,
  server,
}) => {
  const hot = { path: ['brief', 'fuelTemperatureHot'], value: { value: 319.4, unit: '°C' } };
  await page.request.post(`${server}/api/builds/lantern/commands`, {
    data: { baseRevision: 1, command: { name: 'set', ...hot } },
  });
  await page.goto(`${server}/builds/lantern/findings`);
  const finding = page.locator('article', { hasText: 'Pump inlet is close to boiling' });
  await expect(finding).toContainText(/kPa against 10 kPa/);
  await finding.getByRole('button', { name: 'Accept with a reason' }).click();
  await finding.getByRole('button', { name: 'Accept it' }).click();
  await expect(page.getByRole('alert')).toContainText('say why it is accepted');
  await finding.getByLabel(/Why it is accepted/).fill('Tank is always more than half full');
  await finding.getByRole('button', { name: 'Accept it' }).click();
  await expect(finding).toContainText('Accepted by workshop');
  await revision(page, 3);
  await page.reload();
  await expect(finding).toContainText('Tank is always more than half full');
  await page.getByRole('checkbox', { name: /Accepted/ }).uncheck();
  await expect(finding).toHaveCount(0);

  await goTo(page, `${server}/builds/lantern/brief`);
  await field(page, 'Hottest fuel').fill('47.7 °C');
  await field(page, 'Hottest fuel').press('Enter');
  await revision(page, 4);
  await goTo(page, `${server}/builds/lantern/findings`);
  await expect(finding).toContainText('Open again: it is worse than when workshop accepted it');
  await finding.getByRole('button', { name: 'Withdraw the acceptance' }).click();
  await expect(finding).not.toContainText('Open again');
});
