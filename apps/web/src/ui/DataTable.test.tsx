import '../tests/radixInJsdom.ts';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import fc from 'fast-check';
import { afterEach, describe, expect, test } from 'vitest';
import { type DataColumn, DataTable, orderOf } from './DataTable.tsx';

afterEach(cleanup);

interface Part {
  readonly id: string;
  readonly size?: number;
  readonly note: string;
}
const columns: readonly DataColumn<Part>[] = [
  {
    key: 'id',
    label: 'Part',
    text: true,
    shown: 'always',
    sortBy: (part) => part.id,
    cell: (part) => <a href={`#${part.id}`}>{part.id}</a>,
  },
  { key: 'size', label: 'Size', sortBy: (part) => part.size, cell: (part) => part.size ?? '' },
  { key: 'note', label: 'Note', shown: false, cell: (part) => part.note },
];
const parts: readonly Part[] = [
  { id: 'H-10', size: 9, note: 'ninth' },
  { id: 'H-8', size: 100, note: 'hundredth' },
  { id: 'H-6', note: 'no size' },
  { id: 'H-4', size: 20, note: 'twentieth' },
];
const shown = (rows: readonly Part[]) =>
  render(<DataTable label="Parts" rows={rows} columns={columns} keyOf={(part) => part.id} />);
const table = () => screen.getByRole('table', { name: 'Parts' });
const ids = (): string[] =>
  within(table())
    .getAllByRole('link')
    .map((link) => link.textContent);

describe('a table of data', () => {
  test('sorts numbers as numbers and texts as people read them; what has none comes last', async () => {
    shown(parts);
    expect(ids()).toEqual(['H-10', 'H-8', 'H-6', 'H-4']);
    await userEvent.click(screen.getByRole('button', { name: 'Size' }));
    expect(ids()).toEqual(['H-10', 'H-4', 'H-8', 'H-6']);
    expect(screen.getByRole('columnheader', { name: /Size/ }).getAttribute('aria-sort')).toBe(
      'ascending',
    );
    await userEvent.click(screen.getByRole('button', { name: /Part/ }));
    expect(ids()).toEqual(['H-4', 'H-6', 'H-8', 'H-10']);
    await userEvent.click(screen.getByRole('button', { name: /Part/ }));
    expect(ids()).toEqual(['H-10', 'H-8', 'H-6', 'H-4']);
  });

  test('a column without an order has no button', () => {
    shown(parts);
    expect(screen.queryByRole('button', { name: 'Note' })).toBeNull();
  });

  test('columns are chosen; the one that names the row stays', async () => {
    shown(parts);
    expect(screen.queryByText('ninth')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Columns' }));
    expect(screen.queryByRole('checkbox', { name: 'Part' })).toBeNull();
    await userEvent.click(screen.getByRole('checkbox', { name: 'Note' }));
    await userEvent.click(screen.getByRole('checkbox', { name: 'Size' }));
    expect(screen.getByText('ninth')).toBeTruthy();
    expect(screen.queryByText('100')).toBeNull();
  });

  test('arrows walk the rows, Home and End go to the ends', async () => {
    shown(parts);
    within(table()).getAllByRole('link')[0]!.focus();
    await userEvent.keyboard('{ArrowDown}{ArrowDown}');
    expect(document.activeElement!.textContent).toBe('H-6');
    await userEvent.keyboard('{End}{ArrowDown}');
    expect(document.activeElement!.textContent).toBe('H-4');
    await userEvent.keyboard('{Home}{ArrowUp}');
    expect(document.activeElement!.textContent).toBe('H-10');
  });

  test('a long one draws only what is in sight, and says how many there are', () => {
    const many = Array.from({ length: 400 }, (_, i) => ({ id: `P${i}`, size: i, note: '' }));
    shown(many);
    expect(table().getAttribute('aria-rowcount')).toBe('401');
    expect(within(table()).queryAllByRole('link').length).toBeLessThan(60);
  });
});

describe('the order of two values', () => {
  const value = fc.option(fc.oneof(fc.double({ noNaN: true }), fc.string()), { nil: undefined });

  test('is the same from both sides', () => {
    fc.assert(
      fc.property(value, value, (a, b) => {
        expect(Math.sign(orderOf(a, b))).toBe(-Math.sign(orderOf(b, a)) + 0);
      }),
    );
  });

  test('puts what has none last', () => {
    fc.assert(
      fc.property(fc.oneof(fc.integer(), fc.string()), (a) => {
        expect(orderOf(a, undefined)).toBeLessThan(0);
        expect(orderOf(undefined, a)).toBeGreaterThan(0);
      }),
    );
  });

  test('a row can be looked at closely: by pointer, by key, and it is told which', async () => {
    const picked: string[] = [];
    render(
      <DataTable
        label="Parts"
        rows={parts}
        columns={columns.map((c) => (c.key === 'id' ? { ...c, cell: (p: Part) => p.id } : c))}
        keyOf={(part) => part.id}
        selected="H-8"
        onSelect={(key) => picked.push(key)}
      />,
    );
    expect(screen.getByRole('button', { name: 'H-8' }).getAttribute('aria-current')).toBe('true');
    expect(screen.getByRole('button', { name: 'H-6' }).getAttribute('aria-current')).toBe('false');
    await userEvent.click(screen.getByText('9'));
    screen.getByRole('button', { name: 'H-8' }).focus();
    await userEvent.keyboard('{ArrowDown}');
    expect(picked).toEqual(['H-10', 'H-8', 'H-6']);
  });
});
