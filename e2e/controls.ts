import type { Locator, Page } from '@playwright/test';

/** Opens a list and takes one of it, by what stands there. */
export async function choose(page: Page, list: Locator, option: string): Promise<void> {
  await list.click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

/** Opens a menu and does one of its actions. */
export async function pick(page: Page, menu: Locator, action: string | RegExp): Promise<void> {
  await menu.click();
  await page.getByRole('menuitem', { name: action }).click();
}

/** A field by its whole name. */
export const field = (page: Page, label: string): Locator =>
  page.getByLabel(label, { exact: true });

/** Goes to a page of the program that is open, as a link in it does. */
export async function goTo(page: Page, url: string): Promise<void> {
  await page.evaluate((to) => {
    history.pushState(null, '', to);
    window.dispatchEvent(new PopStateEvent('popstate'));
  }, url);
}
