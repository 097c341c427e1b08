import '../tests/radixInJsdom.ts';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { Select } from '../ui/Select.tsx';
import { usePlainKeys } from './shortcuts.ts';

afterEach(cleanup);

/** keys that the page took as its own */
let taken: string[] = [];
const take = (key: string): boolean => {
  taken.push(key);
  return true;
};

function Page({ dialog = false }: { dialog?: boolean }) {
  const [size, setSize] = useState('w6');
  usePlainKeys(take);
  return (
    <>
      <button type="button">Elsewhere</button>
      <input aria-label="Length" />
      <Select
        name="Size"
        value={size}
        choices={[
          { value: 'w6', label: '6 mm²' },
          { value: 'w50', label: '50 mm²' },
          { value: 'by-hand', label: 'by hand' },
        ]}
        onChoose={setSize}
      />
      {dialog && <div role="dialog" aria-label="Working" />}
    </>
  );
}
const size = () => screen.getByRole('combobox', { name: 'Size' });

beforeEach(() => {
  taken = [];
});

test('plain keys are the page’s own where nothing is typed', async () => {
  render(<Page />);
  screen.getByRole('button', { name: 'Elsewhere' }).focus();
  await userEvent.keyboard('5f');
  expect(taken).toEqual(['5', 'f']);
});

test('in a field they are what is typed; only F1 is the page’s everywhere', async () => {
  render(<Page />);
  screen.getByRole('textbox', { name: 'Length' }).focus();
  await userEvent.keyboard('5f{F1}');
  expect(taken).toEqual(['F1']);
});

test('on a closed list they look for a choice, and leave the page where it is', async () => {
  render(<Page />);
  size().focus();
  await userEvent.keyboard('5');
  expect(size().textContent).toBe('50 mm²');
  expect(taken).toEqual([]);
});

test('in an open list too', async () => {
  render(<Page />);
  size().focus();
  await userEvent.keyboard('{Enter}');
  await userEvent.keyboard('b');
  await userEvent.keyboard('{Enter}');
  expect(size().textContent).toBe('by hand');
  expect(taken).toEqual([]);
});

test('under a dialog they do nothing', async () => {
  render(<Page dialog />);
  screen.getByRole('button', { name: 'Elsewhere' }).focus();
  await userEvent.keyboard('5f');
  expect(taken).toEqual([]);
});
