import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import './patience.ts';

/** A field by its label, as it stands on the page. */
export const field = (label: string | RegExp): HTMLInputElement =>
  screen.getByLabelText<HTMLInputElement>(label);

/** Writes into a field in place of what is in it, and presses Enter. */
export async function type(label: string | RegExp, text: string): Promise<void> {
  const input = field(label);
  input.focus();
  fireEvent.change(input, { target: { value: text } });
  await userEvent.keyboard('{Enter}');
}

/** Picks one of what a field offers, both by their names. */
export async function choose(label: string | RegExp, option: string | RegExp): Promise<void> {
  await userEvent.click(await screen.findByRole('combobox', { name: label }));
  await userEvent.click(await screen.findByRole('option', { name: option }));
}

/** What a field offers. */
export async function offered(label: string | RegExp): Promise<readonly string[]> {
  await userEvent.click(screen.getByLabelText(label));
  const all = within(screen.getByRole('listbox', { name: '' }))
    .getAllByRole('option')
    .map((option) => option.textContent);
  await userEvent.keyboard('{Escape}');
  return all;
}

/** What is told as wrong on the page. */
export const problems = (): readonly string[] =>
  screen.queryAllByRole('alert').map((each) => each.textContent);

/** Presses a button of the page. */
export const press = (name: string | RegExp): Promise<void> =>
  userEvent.click(screen.getByRole('button', { name }));

/** Texts of the cells of a row in a table, the cell that names it left out. */
export const cellsOf = (table: string | RegExp, row: string | RegExp): readonly string[] =>
  within(within(screen.getByRole('table', { name: table })).getByRole('row', { name: row }))
    .getAllByRole('cell')
    .slice(1)
    .map((cell) => cell.textContent);

/** A key that is pressed and let go over something. */
export function stroke(on: Element, key: string, shiftKey = false): void {
  fireEvent.keyDown(on, { key, shiftKey });
  fireEvent.keyUp(on, { key, shiftKey });
}
