import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

/** Chooses an option of a list, both by their names. */
export const choose = async (name: string | RegExp, option: string | RegExp): Promise<void> => {
  await userEvent.click(await screen.findByRole('combobox', { name }));
  await userEvent.click(await screen.findByRole('option', { name: option }));
};
