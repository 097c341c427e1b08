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
