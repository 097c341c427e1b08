import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, lantern, sandpiper, withValueAt } from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { choose, offered } from '../../tests/fields.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { refused, served } from '../../tests/served.ts';
import { CompareScreen } from './CompareScreen.tsx';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const stronger = withValueAt(lantern, 'brief.power', { value: 190e3, unit: 'kW' });
const revision = (number: number, words: string) => ({
  number,
  words,
  author: 'A. Person',
  time: '2026-03-04T10:00:00.000Z',
  kind: 'edit',
});
const summary = (id: string, name: string, day: number) => ({
  id,
  name,
  description: '',
  revision: 1,
  updatedAt: `2026-03-${String(day).padStart(2, '0')}T10:00:00.000Z`,
  demo: false,
  archived: false,
});
const answers = {
  'GET /builds': [
    summary('test', 'Lantern', 9),
    summary('old', 'Old one', 2),
    summary('sandpiper', 'Sandpiper', 5),
  ],
  'GET /builds/test/revisions': [
    revision(3, 'Power 190 kW'),
    revision(2, 'Boost'),
    revision(1, 'made'),
  ],
  'GET /builds/test/revisions/1': { number: 1, document: lantern },
  'GET /builds/sandpiper': { id: 'sandpiper', revision: 1, document: sandpiper },
};

function open(build: BuildDocument = stronger, address = '/', more: Record<string, unknown> = {}) {
  served({ ...answers, ...more });
  renderInBuild(build, <CompareScreen />, address, { revision: 3 });
}
const cells = (row: HTMLElement) =>
  within(row)
    .getAllByRole('cell')
    .map((cell) => cell.textContent);
const entered = async () =>
  within(await screen.findByRole('table', { name: 'Inputs that differ' }))
    .getAllByRole('row')
    .slice(1)
    .map(cells);
const figures = async () =>
  within(await screen.findByRole('table', { name: 'Figures that differ' }))
    .getAllByRole('row')
    .slice(1)
    .map(cells);

describe('two versions side by side', () => {
  test('a revision against now: what was entered, and all that comes of it', async () => {
    open(stronger, '/?left=revision:1&right=now');
    expect(await entered()).toEqual([[expect.stringMatching(/power/i), '168 kW', '190 kW']]);
    const moved = await figures();
    const need = moved.find(([label]) => label === 'Fuel need from power')!;
    expect(need[1]).toBe('16.9 g/s');
    expect(need[2]).toBe('19.2 g/s');
    // A share of the larger one.
    expect(parseFloat(need[3]!)).toBeCloseTo(100 * (1 - 168 / 190), 0);
  });

  test('stand with the greatest difference first', async () => {
    open(stronger, '/?left=revision:1&right=now');
    const shares = (await figures()).map(([, , , share]) => parseFloat(share!));
    expect(shares.length).toBeGreaterThan(10);
    // What passes through nought has no share that compares; the others fall.
    const falling = shares.filter((share) => share < 100);
    expect(falling).toEqual([...falling].sort((a, b) => b - a));
  });

  test('findings that come, go or change stand before figures', async () => {
    open(stronger, '/?left=revision:1&right=now');
    const table = await screen.findByRole('table', { name: 'Findings that differ' });
    for (const row of within(table).getAllByRole('row').slice(1)) {
      const [, before, after] = cells(row);
      expect(before).not.toBe(after);
      expect(['stop', 'warning', 'note', 'not found']).toContain(before);
    }
  });

  test('the same on both sides is said so', async () => {
    open(lantern, '/?left=revision:1&right=now');
    expect(await screen.findByText('Nothing is entered differently.')).toBeTruthy();
    expect(await screen.findByText('Downstream nothing is different.')).toBeTruthy();
  });

  test('without a choice it is now against the other way of the first decision', async () => {
    open(lantern);
    const [option] = Object.values(lantern.options);
    const other = Object.entries(option!.alternatives).find(([id]) => id !== option!.chosen)![1];
    expect(screen.getByLabelText('Left').textContent).toBe('This build now');
    expect(screen.getByLabelText('Right').textContent).toContain(other.name);
    expect((await entered()).length).toBeGreaterThan(0);
  });
});

describe('what can be compared', () => {
  test('is this build, its decisions, its earlier revisions, and other builds', async () => {
    open();
    await waitFor(async () => expect(await offered('Left')).toContain('Old one'));
    const all = await offered('Left');
    expect(all[0]).toBe('This build now');
    expect(all).toEqual(expect.arrayContaining(['2: after Boost', '1: after made']));
    // Not the revision that is open, nor this build; those worked on last come first.
    expect(all).not.toContain('3: after Power 190 kW');
    expect(all.slice(-2)).toEqual(['Sandpiper', 'Old one']);
  });

  test('another build is fetched when it is chosen', async () => {
    open(lantern, '/?left=now&right=now');
    await waitFor(async () => expect(await offered('Right')).toContain('Sandpiper'));
    await choose('Right', 'Sandpiper');
    const inputs = await entered();
    expect(inputs.length).toBeGreaterThan(50);
    expect(inputs.flat().join(' ')).not.toMatch(/\[object|undefined/);
    expect((await figures()).length).toBe(40);
    await userEvent.click(screen.getByRole('button', { name: /^All \d+ figures$/ }));
    expect((await figures()).length).toBeGreaterThan(40);
  });

  test('one that is not there any more is told', async () => {
    open(lantern, '/?left=now&right=build:gone', {
      'GET /builds/gone': refused(404, 'There is no build "gone"'),
    });
    expect((await screen.findByRole('alert')).textContent).toBe('There is no build "gone"');
  });
});
