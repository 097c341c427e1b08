import AxeBuilder from '@axe-core/playwright';
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
  'wiring',
  'margins',
  'take-away',
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

for (const theme of ['light', 'dark'] as const) {
  test(`no serious fault on any screen, ${theme}`, async ({ page, server }) => {
    test.setTimeout(240_000);
    await page.addInitScript((kept) => localStorage.setItem('brookrain.theme', kept), theme);
    for (const path of [...pages, ...screens.map((s) => `/builds/lantern/${s}`)]) {
      await page.goto(server + path);
      await expect(page.locator('main h1')).toBeVisible();
      // The inspector of a build stands only when its figures do.
      await expect(page.getByText(/^Opening( the build)?$/)).toHaveCount(0);
      const { violations } = await new AxeBuilder({ page }).analyze();
      const serious = violations
        .filter((v) => v.impact === 'serious' || v.impact === 'critical')
        .map(
          (v) =>
            `${path} ${v.id}: ${v.nodes
              .map((n) => n.target.join(' '))
              .slice(0, 3)
              .join(' | ')}`,
        );
      expect(serious).toEqual([]);
    }
  });
}

test('at 1280 × 800 the frame does not scroll and the drawing has its width', async ({
  page,
  server,
}) => {
  for (const screen of screens) {
    await page.goto(`${server}/builds/lantern/${screen}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    // The page that says that a build is opened makes room for the screen.
    await page.locator('main:not([aria-busy])').waitFor();
    const sizes = await page.evaluate(() => ({
      wide: document.documentElement.scrollWidth,
      high: document.documentElement.scrollHeight,
      drawing: document.querySelector('main')!.getBoundingClientRect().width,
    }));
    expect(sizes.wide, screen).toBeLessThanOrEqual(1280);
    expect(sizes.high, screen).toBeLessThanOrEqual(800);
    expect(sizes.drawing, screen).toBeGreaterThanOrEqual(760);
  }
});

test('on a phone nothing runs out of the screen sideways', async ({ page, server }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const path of [...pages, ...screens.map((s) => `/builds/lantern/${s}`)]) {
    await page.goto(server + path);
    await expect(page.locator('main h1')).toBeVisible();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide, path).toBeLessThanOrEqual(390);
  }
});

test('a missing asset is not the page', async ({ page, server }) => {
  expect((await page.request.get(`${server}/assets/none.js`)).status()).toBe(404);
  const deep = await page.request.get(`${server}/builds/lantern/margins`);
  expect(deep.status()).toBe(200);
  expect(await deep.text()).toContain('<div id="root">');
});
