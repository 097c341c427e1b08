import { waitFor } from '@testing-library/react';

/** A figure as the page writes it, by its documented key; fails where it is not shown. */
export function figureShown(key: string): string {
  const shown = document.querySelector(`[data-figure="${key}"]`);
  if (!shown) throw new Error(`the page does not show ${key}`);
  return shown.textContent;
}

/** Its number as the page writes it, in the unit that stands behind it. */
export const numberShown = (key: string): number =>
  Number(figureShown(key).split(' ')[0]?.replace('−', '-'));

/** Its number once it differs from what it was. */
export async function numberChanged(key: string, before: number): Promise<number> {
  await waitFor(() => {
    if (numberShown(key) === before) throw new Error(`${key} is still ${before}`);
  });
  return numberShown(key);
}
