import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, evaluate, lantern, sampleCatalogue } from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { choose, field, press, problems, type } from '../../tests/fields.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { PartsScreen } from './PartsScreen.tsx';

afterEach(cleanup);
const open = (build: BuildDocument) => renderInBuild(build, <PartsScreen />);
const shelf = () => within(screen.getByRole('region', { name: 'On the shelf' }));
async function putOnShelf(name: string): Promise<void> {
  await press('Put a part on the shelf …');
  await userEvent.click(await screen.findByRole('menuitem', { name }));
}

describe('what the parts are good for', () => {
  const table = () =>
    within(screen.getByRole('region', { name: 'What the parts are good for' })).getByRole('table');
  const row = (name: RegExp) =>
    within(within(table()).getByRole('row', { name }))
      .getAllByRole('cell')
      .map((cell) => cell.textContent);

  test('the smallest that does it does no less than is asked', async () => {
    open(lantern);
    await waitFor(() => expect(row(/^Fuel pump/)[3]).toMatch(/^P\S+, margin/));
    const [, own, goodFor, least] = row(/^Fuel pump/);
    expect(own).toBe('P340X');
    expect(goodFor).toMatch(/kW/);
    expect(parseFloat(least!.split('margin ')[1]!)).toBeGreaterThanOrEqual(0);
    expect(row(/^Primary injectors/)[3]).toMatch(/^I\d+/);
  });

  test('each line has the smallest hose of its family that makes nothing worse', async () => {
    open(lantern);
    await waitFor(() => expect(row(/^Feed line/)).toHaveLength(4));
    const [, own, bore, least] = row(/^Feed line/);
    expect(own).toBe('HBR −6');
    const smallest =
      least === 'this one'
        ? parseFloat(bore!.split(' ')[1]!)
        : parseFloat(least!.split('bore ')[1]!);
    expect(smallest).toBeLessThanOrEqual(parseFloat(bore!.split(' ')[1]!));
  });
});

describe('the shelf', () => {
  test('takes parts on, and gives them back', async () => {
    const edited = open(lantern);
    expect(shelf().getByText('Nothing is written down yet.')).toBeTruthy();
    await putOnShelf('pump: P520X');
    expect(edited.document.shelf).toEqual({
      P520X: { item: { id: 'P520X', revision: 1 }, count: 1 },
    });
    expect(shelf().getByText('P520X')).toBeTruthy();
    await press('Take P520X off the shelf');
    expect(edited.document.shelf).toEqual({});
  });
});

describe('the cheapest set', () => {
  const part = () => within(screen.getByRole('region', { name: 'Cheapest set' }));

  test.each(['-5 %', '400 %', 'some'])('of a margin of "%s" is not looked for', async (text) => {
    open(lantern);
    await type('Pump margin of at least', text);
    expect(problems()).toHaveLength(1);
    expect(field('Pump margin of at least').value).toBe(text);
  });

  test('holds the wish, costs no more than what is there, and is taken as one edit', async () => {
    const edited = open(lantern);
    await type('Pump margin of at least', '10 %');
    await press('Look for it');
    const found = await part().findByRole('table', { name: 'The cheapest set' });
    const prices = within(found)
      .getAllByRole('row')
      .slice(1)
      .map((row) => parseFloat(within(row).getAllByRole('cell')[2]!.textContent));
    const words = part().getByText(/^Together/).textContent;
    const [, together, now, margin] =
      /Together (\d+), these places cost (\d+) now\. Pump margin ([\d.]+) %/.exec(words)!;
    expect(prices.reduce((sum, price) => sum + price, 0)).toBeCloseTo(Number(together), 0);
    expect(Number(together)).toBeLessThanOrEqual(Number(now));
    expect(Number(margin)).toBeGreaterThanOrEqual(10);
    const take = part().getByRole<HTMLButtonElement>('button', {
      name: /^(Use this set|The build has it already)$/,
    });
    if (take.disabled) {
      expect(Number(together)).toBe(Number(now));
    } else {
      await userEvent.click(take);
      expect(edited.commands).toHaveLength(1);
      const { findings } = evaluate(edited.document, sampleCatalogue);
      const before = new Set(evaluate(lantern, sampleCatalogue).findings.map(({ id }) => id));
      const fluid = findings.filter(
        ({ id, severity, where }) =>
          severity === 'stop' &&
          !before.has(id) &&
          ['injectors', 'pump', 'circuit'].includes(where.stage),
      );
      expect(fluid).toEqual([]);
    }
  });

  test('out of the shelf takes only what lies there or is in the build', async () => {
    open(lantern);
    await choose('Parts from', 'shelf and build');
    await press('Look for it');
    const found = await part().findByRole('table', { name: 'The cheapest set' });
    expect(found.textContent).toContain('as it is');
    expect(
      part().getByRole<HTMLButtonElement>('button', { name: 'The build has it already' }).disabled,
    ).toBe(true);
  });
});
