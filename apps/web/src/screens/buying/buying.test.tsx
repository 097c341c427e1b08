import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, lantern, sandpiper } from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { evaluationWork } from '../../evaluation/evaluationWork.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { BuyingScreen } from './BuyingScreen.tsx';

afterEach(cleanup);
const open = (build: BuildDocument) => renderInBuild(build, <BuyingScreen />);
/** What is to buy, as it is said above the list. */
const price = async (): Promise<number> =>
  Number(/^([\d.]+)/.exec((await screen.findByText(/^[\d.]+ [A-Z]{3}$/)).textContent ?? '')?.[1]);
const cellsOf = (row: HTMLElement) =>
  within(row)
    .getAllByRole('cell')
    .map((cell) => cell.textContent ?? '');
const rowOf = (part: string) => screen.getByRole('row', { name: new RegExp(`^${part}`) });

describe('what is bought', () => {
  test('adds up to the price above it, in the money of the build', async () => {
    open(lantern);
    const total = await price();
    const { lines } = evaluationWork.shopping(lantern);
    expect(lines.length).toBeGreaterThan(40);
    expect(lines.reduce((sum, line) => sum + line.price, 0)).toBeCloseTo(total, 2);
    // A long counter draws the rows in sight only: those say what the list says.
    const [first] = lines;
    const shown = cellsOf(rowOf(first!.item.designation));
    expect(shown).toContain(first!.price.toFixed(2));
  });

  test('is less by what lies on the shelf, and what is taken off is bought again', async () => {
    const edited = open(sandpiper);
    const before = await price();
    const wanted = evaluationWork
      .shopping(sandpiper)
      .lines.find(({ unit, buy, price: each }) => unit === 'piece' && buy > 0 && each > 1);
    const part = wanted!.item.designation;
    await userEvent.click(screen.getByLabelText('Put a part on the shelf'));
    const choice = screen.getAllByRole('option').find((each) => each.textContent === part);
    await userEvent.click(choice!);
    const [id] = Object.keys(edited.document.shelf);
    expect(edited.document.shelf[id!]!.count).toBe(1);
    await waitFor(async () => expect(await price()).toBeLessThan(before));
    await userEvent.click(screen.getByRole('button', { name: `Take ${part} off the shelf` }));
    expect(edited.document.shelf).toEqual({});
    await waitFor(async () => expect(await price()).toBeCloseTo(before, 2));
  });

  test('of a hose is less by an offcut that its longest piece is cut from', async () => {
    const edited = open(sandpiper);
    await price();
    const hoseOf = (build: BuildDocument) =>
      evaluationWork
        .shopping(build)
        .lines.find(({ item, plan }) => item.category === 'hose' && plan)!;
    const before = hoseOf(sandpiper);
    const { designation } = before.item;
    await userEvent.click(screen.getByLabelText('Write an offcut down'));
    await userEvent.click(screen.getByRole('option', { name: designation }));
    const [id] = Object.keys(edited.document.offcuts);
    const longest = Math.max(...before.pieces.map(({ length }) => length));
    const length = screen.getByRole('region', { name: 'Offcuts' }).querySelector('input')!;
    await userEvent.clear(length);
    await userEvent.type(length, `${Math.ceil(longest * 1e3) + 5} mm{Enter}`);
    const after = hoseOf(edited.document);
    expect(after.plan!.lengths.some(({ offcutId }) => offcutId === id)).toBe(true);
    expect(after.price).toBeLessThanOrEqual(before.price);
    await userEvent.click(screen.getByRole('radio', { name: 'Cutting plan' }));
    const plan = screen.getByRole('region', { name: `Cutting plan of ${designation}` });
    await waitFor(() => expect(plan.textContent).toContain('(offcut)'));
    await userEvent.click(
      screen.getByRole('button', { name: `Remove the offcut of ${designation}` }),
    );
    expect(edited.document.offcuts).toEqual({});
  });

  test('a count that is none is refused at its field', async () => {
    const edited = open({ ...lantern, shelf: {} });
    await price();
    await userEvent.click(screen.getByLabelText('Put a part on the shelf'));
    await userEvent.click(screen.getAllByRole('option')[3]!);
    const count = screen.getByRole('region', { name: 'On the shelf' }).querySelector('input')!;
    await userEvent.clear(count);
    await userEvent.type(count, 'some{Enter}');
    expect(screen.getByRole('alert').textContent).toMatch(/whole number/);
    const [id] = Object.keys(edited.document.shelf);
    expect(edited.document.shelf[id!]!.count).toBe(1);
  });
});

describe('how hoses are cut', () => {
  test('every length that is bought is a bar, and its pieces fit into it', async () => {
    open(lantern);
    await price();
    await userEvent.click(screen.getByRole('radio', { name: 'Cutting plan' }));
    const hoses = evaluationWork
      .shopping(lantern)
      .lines.filter(({ item, plan }) => item.category === 'hose' && plan);
    expect(hoses.length).toBeGreaterThan(1);
    for (const { item, plan, pieces } of hoses) {
      const drawn = screen.getByRole('region', { name: `Cutting plan of ${item.designation}` });
      expect(within(drawn).getAllByRole('listitem')).toHaveLength(plan!.lengths.length);
      const lengthOf = new Map(pieces.map(({ id, length }) => [id, length]));
      const cut = plan!.lengths.flatMap((bar) => bar.pieces);
      expect([...cut].sort()).toEqual([...lengthOf.keys()].sort());
      for (const bar of plan!.lengths) {
        const used = bar.pieces.reduce((sum, id) => sum + lengthOf.get(id)!, 0);
        expect(used + bar.rest).toBeLessThanOrEqual(bar.length + 1e-9);
      }
    }
  });
});

test('the list is taken along in the units of the reader', async () => {
  open(lantern);
  await price();
  const pdf = screen.getByRole<HTMLAnchorElement>('link', { name: 'List as PDF' });
  expect(pdf.getAttribute('href')).toMatch(/^\/api\/builds\/test\/buying\.pdf\?units=/);
  expect(screen.getByRole('link', { name: 'CSV' }).getAttribute('href')).toBe(
    '/api/builds/test/buying.csv',
  );
  expect(rowOf('P340X')).toBeTruthy();
});
