import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, kittiwake, lantern, withValueAt } from '@brookrain/core';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { choose } from '../../tests/fields.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { BuyingScreen } from '../buying/BuyingScreen.tsx';
import { CardScreen } from './CardScreen.tsx';
import { LinesScreen } from './LinesScreen.tsx';

afterEach(cleanup);
const open = (build: BuildDocument, of: string) =>
  renderInBuild(build, <LinesScreen />, `/?of=${of}`);
const ref = (id: string) => ({ id, revision: 1 });

describe('lines', () => {
  test('are listed with ends, cut length and clocking', async () => {
    open(lantern, 'return');
    const row = (await screen.findByRole('button', { name: 'Return line' })).closest('tr')!;
    expect(row.textContent).toContain('Hose end −6 90°');
    expect(row.textContent).toContain('4195 mm');
    expect(row.textContent).toContain('264');
    expect(row.textContent).toContain('to be cut');
    const end = await screen.findByRole('region', { name: 'End A' });
    expect(end.textContent).toContain('−6 O-ring port, female, pressure regulator');
    expect(end.textContent).toContain('Adapter −6 to −6 O-ring port');
  });

  test('another end is taken with its adapters, as one edit', async () => {
    const edited = open(lantern, 'feed');
    await choose('End B', 'Hose end −6 60°');
    expect(edited.commands).toHaveLength(1);
    expect(edited.document.assemblies['feed']!.to.item).toEqual(ref('E6-60'));
    const row = (await screen.findByRole('button', { name: 'Feed line' })).closest('tr')!;
    expect(row.textContent).toContain('Hose end −6 60°');
    expect(screen.getByText('End has the wrong angle')).toBeTruthy();
  });

  test('that have no ends get them all with one press', async () => {
    const bare = withValueAt(lantern, 'assemblies', {});
    const edited = open(bare, 'feed');
    expect((await screen.findAllByText('no end chosen yet')).length).toBeGreaterThan(5);
    await userEvent.click(
      await screen.findByRole('button', { name: 'Choose ends for every line that has none' }),
    );
    expect(edited.commands).toHaveLength(1);
    const row = (await screen.findByRole('button', { name: 'Pump inlet hose' })).closest('tr')!;
    expect(row.textContent).toContain('to be cut');
    expect(edited.document.assemblies['pump-inlet']!.from.item).toEqual(ref('E10-30'));
  });

  test('once cut keep their length, and say what does not reach', async () => {
    const edited = open(lantern, 'feed');
    await userEvent.click(await screen.findByRole('button', { name: 'It is cut, to 3370 mm' }));
    expect(edited.document.assemblies['feed']!.asMade!.cut.value).toBeCloseTo(3.37, 9);
    const box = await screen.findByLabelText('Cut to');
    await userEvent.clear(box);
    await userEvent.type(box, '3200{Enter}');
    expect(await screen.findByText('Hose no longer reaches')).toBeTruthy();
    await userEvent.click(
      await screen.findByRole('button', { name: 'Make a new hose, cut to 3370 mm' }),
    );
    expect(edited.document.assemblies['feed']!.asMade).toBeNull();
  });

  test('slack beyond all measure is refused at its field', async () => {
    const edited = open(lantern, 'feed');
    const box = await screen.findByLabelText('Slack');
    await userEvent.type(box, '40{Enter}');
    expect(await screen.findByText(/slack must be from 0 to 20 %/)).toBeTruthy();
    expect(edited.commands).toHaveLength(0);
  });
});

describe('a work card', () => {
  test('shows the figures large and goes step by step', async () => {
    renderInBuild(lantern, <CardScreen />, '/?of=return');
    expect((await screen.findAllByText('4195 mm')).length).toBeGreaterThan(0);
    expect(screen.getByText('606 kPa')).toBeTruthy();
    const step = screen.getByRole('region', { name: 'Step' });
    expect(step.textContent).toContain('Step 1 of');
    expect(within(step).getByRole('button', { name: 'Back' })).toHaveProperty('disabled', true);
    await userEvent.click(within(step).getByRole('button', { name: 'Next' }));
    expect(step.textContent).toContain('Mark 4195 mm');
    for (let n = 0; n < 20; n++) {
      await userEvent.click(within(step).getByRole('button', { name: 'Next' }));
    }
    expect(step.textContent).toContain('A witness mark');
    expect(within(step).getByRole('button', { name: 'Next' })).toHaveProperty('disabled', true);
    expect(screen.getByRole('link', { name: 'Card as PDF' }).getAttribute('href')).toContain(
      '/cards/return.pdf',
    );
  });
});

describe('buying', () => {
  test('lists what is missing by counter; the shelf takes off', async () => {
    const edited = renderInBuild(kittiwake, <BuyingScreen />, '/');
    const fittings = await screen.findByRole('region', { name: 'Fittings' });
    const row = (): HTMLElement =>
      within(fittings).getByText('Hose end for PTFE −8 60°').closest('tr')!;
    expect(row().textContent).toContain('40.00');
    await choose('Put a part on the shelf', 'Hose end for PTFE −8 60°');
    expect(edited.document.shelf['EP8-60']).toEqual({ item: ref('EP8-60'), count: 1 });
    const count = await screen.findByLabelText('At hand');
    await userEvent.clear(count);
    await userEvent.type(count, '2{Enter}');
    expect(edited.document.shelf['EP8-60']!.count).toBe(2);
    expect(await within(fittings).findByText('nothing')).toBeTruthy();
    await userEvent.click(
      screen.getByRole('button', { name: 'Take Hose end for PTFE −8 60° off the shelf' }),
    );
    expect(edited.document.shelf).toEqual({});
  });

  test('draws the cutting plan, and cuts from an offcut that is written down', async () => {
    const edited = renderInBuild(kittiwake, <BuyingScreen />, '/');
    await userEvent.click(await screen.findByRole('radio', { name: 'Cutting plan' }));
    const plan = await screen.findByRole('region', { name: 'Cutting plan of HBP −10' });
    expect(plan.textContent).toContain('proven');
    expect(plan.textContent).toContain('Feed line 1045 mm');
    await choose('Write an offcut down', 'HBP −10');
    expect(Object.values(edited.document.offcuts)).toHaveLength(1);
    expect(await within(plan).findAllByText(/offcut/)).not.toHaveLength(0);
  });
});
