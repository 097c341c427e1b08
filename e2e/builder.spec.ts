import { choose, goTo, pick } from './controls.ts';
import { expect, test } from './realServer.ts';

const header = 'header';

test('an element is put into the run, moved, taken out; it persists and undoes', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/circuit?element=feed`);
  const run = page.getByRole('listbox', { name: 'Fuel run from tank to engine' });
  const inspector = page.getByRole('complementary');
  await expect(inspector.getByRole('heading', { name: 'Feed line' })).toBeVisible();
  await pick(page, inspector.getByLabel('Insert after Feed line'), 'Filter');
  await expect(page.locator(header)).toContainText('revision 2');
  await expect(run.getByRole('option', { name: 'Filter', exact: true })).toBeVisible();
  await page.reload();
  await expect(run.getByRole('option', { name: 'Filter', exact: true })).toBeVisible();
  await run.getByRole('option', { name: 'Filter', exact: true }).click();
  await inspector.getByRole('button', { name: 'Move Filter towards the tank' }).click();
  await expect(page.locator(header)).toContainText('revision 3');
  // Drawn is what was solved: the order follows once the answer is there.
  await expect
    .poll(async () => {
      const order = await run
        .getByRole('option')
        .evaluateAll((marks) => marks.map((mark) => mark.getAttribute('aria-label')));
      return order.indexOf('Feed line') - order.indexOf('Filter');
    })
    .toBe(1);
  await inspector.getByRole('button', { name: 'Remove Filter' }).click();
  await expect(run.getByRole('option', { name: 'Filter', exact: true })).toHaveCount(0);
  await page.locator(header).getByRole('button', { name: 'Undo' }).click();
  await expect(run.getByRole('option', { name: 'Filter', exact: true })).toBeVisible();
});

test('what cannot go is refused with the reason', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/circuit?element=regulator`);
  const inspector = page.getByRole('complementary');
  await inspector.getByRole('button', { name: 'Remove Pressure regulator' }).click();
  await expect(inspector.getByRole('alert')).toContainText('a circuit needs a regulator');
  await expect(page.locator(header)).toContainText('revision 1');
});

test('a layout is seen beside the present one, taken, cured and undone', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/lantern/layouts`);
  await page.getByRole('radio', { name: 'Surge tank with lift pump' }).click();
  const table = page.getByRole('table', { name: 'Side by side' });
  await expect(table.getByRole('row')).toHaveCount(13);
  await expect(page.getByText('Lift pump has little margin')).toBeVisible();
  await page.getByRole('button', { name: 'Lay it out like this' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Fuel circuit' })).toBeVisible();
  const run = page.getByRole('listbox', { name: 'Fuel run from tank to engine' });
  await expect(run.getByRole('option', { name: 'Lift pump', exact: true })).toBeVisible();
  await goTo(page, `${server}/builds/lantern/findings`);
  await page
    .getByRole('button', { name: /Fit lift pump/ })
    .first()
    .click();
  await expect(page.getByText('Lift pump has little margin')).toHaveCount(0);
  await page.locator(header).getByRole('button', { name: 'Undo' }).click();
  await page.locator(header).getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('header')).toContainText('revision 5');
  await goTo(page, `${server}/builds/lantern/circuit`);
  await expect(page.getByRole('main')).toContainText('Return, regulator after the rail');
  await expect(run.getByRole('option', { name: 'Lift pump', exact: true })).toHaveCount(0);
});

test('a second fuel gets its circuit and its row', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/layouts`);
  await page.getByRole('button', { name: 'Add a circuit for it' }).click();
  await expect(page.getByRole('radio', { name: 'Methanol circuit' })).toBeVisible();
  await page.getByRole('link', { name: /Injectors/ }).click();
  await page.getByRole('radio', { name: 'Second row, Methanol' }).click();
  await expect(page.getByLabel('Joins above first-row duty')).toHaveValue('60 %');
  const flows = page.getByRole('region', { name: 'Measured set' });
  await flows.getByRole('textbox').fill('640\n655 cc/min\n0.662 L/min\nmuch');
  await flows.getByRole('textbox').blur();
  await expect(flows.getByRole('alert')).toContainText('line 4');
  await flows.getByRole('textbox').fill('640\n655 cc/min\n0.662 L/min\n650');
  await flows.getByRole('textbox').blur();
  await expect(flows).toContainText('3.38 %');
});

test('two fuels: circuits, pumps and feeds are told apart; the ladder with a pump lost', async ({
  page,
  server,
}) => {
  await page.goto(`${server}/builds/kittiwake/circuit`);
  const run = page.getByRole('listbox', { name: 'Fuel run from tank to engine' });
  await expect(run.getByRole('option', { name: 'Second pump', exact: true })).toBeVisible();
  await page.getByRole('radio', { name: 'Cruise' }).click();
  await expect(run.getByRole('option', { name: 'Second pump', exact: true })).toContainText('off');
  await page.getByRole('radio', { name: 'Methanol circuit' }).click();
  await expect(run.getByRole('option', { name: 'Second pump', exact: true })).toHaveCount(0);
  await page.getByRole('button', { name: /^Electrics/ }).click();
  await page.getByRole('link', { name: /Pump wiring/ }).click();
  await expect(page.getByRole('radiogroup', { name: 'Pump feed' }).getByRole('radio')).toHaveCount(
    3,
  );
  await page.getByRole('button', { name: /^Prove/ }).click();
  await page.getByRole('link', { name: /Margins/ }).click();
  await choose(page, page.getByLabel('Ladder', { exact: true }), 'First pump lost');
  await expect(
    page.getByRole('status').filter({ hasText: 'First pump lost: good for' }),
  ).toBeVisible();
});

test('the cheapest set is found, and taken as one edit', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/parts`);
  await page.getByLabel('Pump margin of at least').fill('lots');
  await page.getByLabel('Pump margin of at least').blur();
  await expect(page.getByRole('main').getByRole('alert')).toBeVisible();
  await page.getByLabel('Pump margin of at least').fill('40 %');
  await page.getByRole('button', { name: 'Look for it' }).click();
  const set = page.getByRole('table', { name: 'The cheapest set' });
  await expect(set.getByRole('row')).toHaveCount(7);
  await page.getByRole('button', { name: 'Use this set' }).click();
  await expect(page.locator(header)).toContainText('revision 2');
  await page.getByRole('button', { name: 'Look for it' }).click();
  await expect(page.getByRole('button', { name: 'The build has it already' })).toBeDisabled();
  await pick(page, page.getByRole('button', { name: 'Put a part on the shelf' }), /F10A/);
  await expect(page.getByRole('region', { name: 'On the shelf' })).toContainText('F10A');
  await page.reload();
  await expect(page.getByRole('region', { name: 'On the shelf' })).toContainText('F10A');
});

test('fuels are compared, and what wire buys', async ({ page, server }) => {
  await page.goto(`${server}/builds/lantern/demand`);
  const fuels = page.getByRole('table', { name: 'Fuels compared' });
  await expect(fuels.getByRole('row', { name: /E85/ })).toContainText('−27 %');
  const order = page.getByRole('navigation', { name: 'Order of work' });
  await order.getByRole('button', { name: /^Fuel/ }).click();
  await order.getByRole('link', { name: /^Pump/ }).click();
  const wire = page.getByRole('region', { name: 'Wire and flow' });
  await expect(wire.getByRole('row')).toHaveCount(6);
  await expect(wire).toContainText('as it is');
});

test('the fuel of the brief goes to methanol and back to a blend', async ({ page, server }) => {
  await page.goto(`${server}/builds/sandpiper/brief`);
  await choose(page, page.getByLabel('Fuel', { exact: true }), 'methanol');
  await expect(page.locator(header)).toContainText('revision 2');
  await expect(page.getByLabel('Ethanol by volume')).toHaveCount(0);
  await choose(page, page.getByLabel('Fuel', { exact: true }), 'petrol blend');
  await expect(page.locator(header)).toContainText('revision 3');
  await expect(page.getByLabel('Ethanol by volume')).toHaveValue('10 %');
  await goTo(page, `${server}/builds/kittiwake/brief`);
  await expect(page.getByLabel('Methanol', { exact: true })).toHaveText('methanol');
});
