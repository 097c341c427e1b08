import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { kittiwake, sandpiper } from '@brookrain/core';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { SupplyScreen } from './SupplyScreen.tsx';

afterEach(cleanup);
const tree = () => screen.findByRole('navigation', { name: 'What feeds what' });

describe('supply', () => {
  test('tells loads, alternator and battery of every case, each with its working', async () => {
    renderInBuild(sandpiper, <SupplyScreen />);
    const table = await screen.findByRole('table', { name: 'Loads and alternator' });
    const row = within(table).getByRole('row', { name: /^all at once/ });
    expect(within(row).getAllByRole('button', { name: /Show the working/ })).toHaveLength(4);
    const cranking = within(table).getByRole('row', { name: /^cranking/ });
    expect(within(cranking).getAllByRole('button')).toHaveLength(1);
    expect(screen.getByText('Alternator cannot carry the load: all at once')).toBeTruthy();
  });

  test('the tree holds the load behind its fuse and relay, and hides what takes nothing', async () => {
    renderInBuild(sandpiper, <SupplyScreen />);
    const fan = await within(await tree()).findByRole('link', { name: 'Radiator fan' });
    const names: string[] = [];
    for (let at: Element | null = fan.closest('li'); at; at = at.parentElement!.closest('li')) {
      names.unshift(at.querySelector('a')!.textContent);
    }
    expect(names).toEqual([
      'Battery',
      'Main fuse',
      'Power stud',
      'Fuse, fan',
      'Relay, fan',
      'Radiator fan',
    ]);
    await userEvent.click(screen.getByRole('radio', { name: 'idle' }));
    await userEvent.click(screen.getByRole('checkbox', { name: 'show branches without current' }));
    expect(within(await tree()).queryByRole('link', { name: 'Radiator fan' })).toBeNull();
    expect(within(await tree()).getByRole('link', { name: 'Fuel pump' })).toBeTruthy();
  });

  test('arrows walk it', async () => {
    renderInBuild(sandpiper, <SupplyScreen />);
    const first = within(await tree()).getByRole('link', { name: 'Battery' });
    first.focus();
    await userEvent.keyboard('{ArrowDown}{ArrowDown}');
    expect(document.activeElement?.textContent).toBe('Power stud');
    await userEvent.keyboard('{ArrowUp}');
    expect(document.activeElement?.textContent).toBe('Main fuse');
  });

  test('with the key off says what is live, what is dead and what takes current', async () => {
    renderInBuild(kittiwake, <SupplyScreen />);
    await userEvent.click(await screen.findByRole('radio', { name: 'key off' }));
    const rows = [...(await tree()).querySelectorAll('li > div')].map((row) => row.textContent);
    expect(rows.find((row) => row.startsWith('Relay, first pump 30'))).toMatch(/live$/);
    expect(rows.find((row) => row.startsWith('First pump +'))).toMatch(/dead$/);
    expect(rows.some((row) => row.endsWith('takes 4 mA'))).toBe(true);
  });

  test('a share is typed in any way, and the balance follows', async () => {
    const edited = renderInBuild(sandpiper, <SupplyScreen />);
    const field = await screen.findByLabelText('Alternator output, hot');
    await userEvent.clear(field);
    await userEvent.type(field, '80 %{Enter}');
    expect(edited.document.limits.alternatorHot.value).toBeCloseTo(0.8, 12);
    expect(await screen.findByText('Alternator cannot carry the load: cruise, hot')).toBeTruthy();
  });

  test('says what one failure stops, and sorts by how much', async () => {
    renderInBuild(sandpiper, <SupplyScreen />);
    const table = await screen.findByRole('table', { name: 'Single failures' });
    const horn = within(table).getByRole('row', { name: /^Fuse, horn/ });
    expect(horn.textContent).toBe('Fuse, hornfuse out1Horn');
    await userEvent.click(within(table).getByRole('button', { name: /^Stops/ }));
    await userEvent.click(within(table).getByRole('button', { name: /^Stops/ }));
    const counts = within(table)
      .getAllByRole('row')
      .slice(1)
      .map((row) => Number(within(row).getAllByRole('cell')[2]?.textContent));
    expect([...counts].sort((a, b) => b - a)).toEqual(counts);
    expect(counts[0]).toBeGreaterThan(10);
  });
});
