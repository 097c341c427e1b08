import type { Page } from '@playwright/test';
import { expect, test } from './realServer.ts';

/** Names of the stages that the first evaluation of a page worked out. */
const firstRan = async (page: Page): Promise<readonly string[]> => {
  const entry = await page.waitForFunction(
    () => performance.getEntriesByName('brookrain-evaluated')[0] as PerformanceMeasure | undefined,
  );
  return entry.evaluate((measure) => (measure!.detail as { ran: string[] }).ran);
};

/** How many builds this browser keeps answers of. */
const keptBuilds = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const opening = indexedDB.open('brookrain-answers');
        opening.onerror = () => reject(new Error('the database could not be opened'));
        opening.onsuccess = () => {
          const database = opening.result;
          const counting = database.transaction('answers').objectStore('answers').count();
          counting.onsuccess = () => {
            database.close();
            resolve(counting.result);
          };
        };
      }),
  );

test('a build that was open before begins with the answers of then', async ({
  page,
  server,
  browser,
}) => {
  /** All that the page says, once the worker has told the last of it. */
  const figures = async (of: Page): Promise<string> => {
    const main = of.getByRole('main');
    await expect(main.getByRole('row', { name: /^M100/ })).toBeVisible();
    return main.innerText();
  };
  await page.goto(`${server}/builds/lantern/demand`);
  const fromNothing = await firstRan(page);
  expect(fromNothing).toContain('demand');
  const before = await figures(page);
  await expect.poll(() => keptBuilds(page)).toBe(1);

  await page.reload();
  const again = await firstRan(page);
  expect(again).not.toContain('demand');
  expect(again.length).toBeLessThan(fromNothing.length / 4);
  await expect.poll(() => figures(page)).toBe(before);

  // What was changed elsewhere meanwhile is worked out, as by one who never had the build open.
  const edited = await page.request.post(`${server}/api/builds/lantern/commands`, {
    data: {
      baseRevision: 1,
      editId: 'edited-elsewhere-while-closed',
      command: { name: 'set', path: ['brief', 'power'], value: { value: 80_000, unit: 'kW' } },
    },
  });
  expect(edited.status()).toBe(200);
  await page.reload();
  expect(await firstRan(page)).toContain('demand');
  const other = await (await browser.newContext()).newPage();
  await other.goto(`${server}/builds/lantern/demand`);
  expect(await firstRan(other)).toContain('demand');
  const fresh = await figures(other);
  expect(fresh).not.toBe(before);
  await expect.poll(() => figures(page)).toBe(fresh);
  await other.context().close();
});
