import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { goTo } from './controls.ts';
import { expect, test } from './realServer.ts';

const screens = [
  'brief',
  'demand',
  'injectors',
  'circuit',
  'pump',
  'map',
  'lines',
  'buying',
  'cards',
  'devices',
  'pins',
  'supply',
  'schools',
  'switching',
  'wiring',
  'wires',
  'panel',
  'schematic',
  'harness',
  'looms',
  'kept-connectors',
  'find-a-place',
  'connectors',
  'cut-list',
  'threading',
  'lists',
  'formboard',
  'at',
  'add-later',
  'margins',
  'downloads',
  'findings',
  'operation',
  'layouts',
  'parts',
  'compare',
  'history',
];
const pages = [
  '/',
  '/new',
  '/catalogue/pump',
  '/catalogue/pump/P340X',
  '/catalogue/pump/P340X/change',
  '/catalogue/hose/bring-in',
  '/guide',
  '/words',
  '/settings',
];

const onDesk = { width: 1280, height: 800 };
const onPhone = { width: 390, height: 844 };

/** Serious faults of the page as it stands, in words. */
async function seriousFaults(page: Page, rules?: string[]): Promise<string[]> {
  // No page has frames: nothing has to be put together from several.
  const axe = new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'], preload: false });
  const { violations } = await (rules ? axe.withRules(rules) : axe).analyze();
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map(
      (v) =>
        `${v.id}: ${v.nodes
          .map((n) => n.target.join(' '))
          .slice(0, 3)
          .join(' | ')}`,
    );
}

/** Goes to a page and looks at it in both themes. */
async function look(page: Page, url: string): Promise<void> {
  await page.setViewportSize(onDesk);
  await page.locator('html').evaluate((html) => html.setAttribute('data-theme', 'light'));
  await goTo(page, url);
  await page.waitForURL((at) => at.pathname === url);
  await expect(page.locator('main h1')).toBeVisible();
  // The inspector of a build stands only when its figures do.
  await expect(page.getByText(/^Opening( the build)?$/)).toHaveCount(0);
  expect(await seriousFaults(page), `${url}, light`).toEqual([]);
  await page.locator('html').evaluate((html) => html.setAttribute('data-theme', 'dark'));
  // What is said and how it is built is the same in the dark: only colours are not.
  expect(await seriousFaults(page, ['color-contrast']), `${url}, dark`).toEqual([]);
}

/** Nothing runs out of the screen of a phone sideways. */
async function lookOnPhone(page: Page, url: string): Promise<void> {
  await page.setViewportSize(onPhone);
  await expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth), { message: url })
    .toBeLessThanOrEqual(onPhone.width);
}

/** Ids of a build that no word of the language is. */
async function idsOf(page: Page, server: string, build: string): Promise<string[]> {
  const { document } = (await (await page.request.get(`${server}/api/builds/${build}`)).json()) as {
    document: unknown;
  };
  const ids = new Set<string>();
  JSON.stringify(document, (key, value: unknown) => {
    if (/^[a-z0-9]+(-[a-z0-9]+)+$/.test(key)) ids.add(key);
    return value;
  });
  return [...ids];
}

/** What of a page a person would read as an id: things have names, wires have numbers. */
const idsRead = (page: Page, ids: readonly string[]): Promise<string[]> =>
  page.evaluate((known) => {
    const marks = [...document.querySelectorAll('[aria-label], [title]')].flatMap((mark) => [
      mark.getAttribute('aria-label') ?? '',
      mark.getAttribute('title') ?? '',
    ]);
    const words = [document.body.innerText, ...marks].join(' ').split(/[^\w~-]+/);
    return [...new Set(words)].filter((word) => known.includes(word) || word.includes('~'));
  }, ids);

test('pages without a build: no serious fault in either theme, and they fit on a phone', async ({
  page,
  server,
}) => {
  test.setTimeout(180_000);
  await page.goto(server);
  for (const path of pages) {
    await look(page, path);
    await lookOnPhone(page, path);
  }
});

test('screens of a build: no serious fault in either theme, they fit on a desk and on a phone', async ({
  page,
  server,
}) => {
  test.setTimeout(480_000);
  await page.goto(`${server}/builds/lantern/brief`);
  const ids = await idsOf(page, server, 'lantern');
  expect(ids.length).toBeGreaterThan(100);
  for (const screen of screens) {
    await look(page, `/builds/lantern/${screen}`);
    expect(await idsRead(page, ids), screen).toEqual([]);
    const sizes = await page.evaluate(() => ({
      wide: document.documentElement.scrollWidth,
      high: document.documentElement.scrollHeight,
      drawing: document.querySelector('main')!.getBoundingClientRect().width,
    }));
    expect(sizes.wide, screen).toBeLessThanOrEqual(onDesk.width);
    expect(sizes.high, screen).toBeLessThanOrEqual(onDesk.height);
    expect(sizes.drawing, screen).toBeGreaterThanOrEqual(760);
    await lookOnPhone(page, screen);
  }
});

test('pages at the vehicle: no serious fault in either theme, and marks for a thumb', async ({
  page,
  server,
}) => {
  test.setTimeout(180_000);
  await page.goto(`${server}/at/lantern`);
  for (const at of ['', '/cut', '/pin', '/buzz', '/read', '/measure']) {
    await look(page, `/at/lantern${at}`);
    await lookOnPhone(page, at);
    const small = await page.locator('main a, main button, header a').evaluateAll((marks) =>
      marks.flatMap((mark) => {
        const { height } = mark.getBoundingClientRect();
        return height > 0 && height < 47.5 ? [mark.textContent] : [];
      }),
    );
    expect(small, at).toEqual([]);
  }
});

test('a missing asset is not the page', async ({ page, server }) => {
  expect((await page.request.get(`${server}/assets/none.js`)).status()).toBe(404);
  const deep = await page.request.get(`${server}/builds/lantern/margins`);
  expect(deep.status()).toBe(200);
  expect(await deep.text()).toContain('<div id="root">');
});
