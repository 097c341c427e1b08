import '../../tests/radixInJsdom.ts';
import type { BuildSummary } from '@brookrain/contract';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router';
import { Toaster } from 'sonner';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { refused, served } from '../../tests/served.ts';
import { BuildsScreen } from './BuildsScreen.tsx';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const build = (name: string, more: Partial<BuildSummary> = {}): BuildSummary => ({
  id: name.toLowerCase().replace(/\W+/g, '-'),
  name,
  description: `${name}, a test vehicle`,
  revision: 1,
  updatedAt: '2026-03-04T10:00:00.000Z',
  demo: false,
  archived: false,
  ...more,
});
const state = { stops: 0, warnings: 0 };

function open(builds: readonly BuildSummary[], more: Record<string, unknown> = {}) {
  const states = Object.fromEntries(builds.map(({ id }) => [`GET /builds/${id}/state`, state]));
  const asked = served({
    'GET /builds': builds,
    'GET /snapshots': { snapshots: [], lost: null },
    ...states,
    ...more,
  });
  render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <MemoryRouter>
        <Routes>
          <Route path="/" element={<BuildsScreen />} />
          <Route path="/builds/:id/brief" element={<p>opened</p>} />
        </Routes>
        <Toaster />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return asked;
}
const lines = () => within(screen.getByRole('list', { name: 'Builds' })).queryAllByRole('listitem');
const names = async (count: number): Promise<readonly string[]> => {
  await waitFor(() => expect(lines()).toHaveLength(count));
  return lines().map((line) => within(line).getByRole('link').querySelector('span')!.textContent);
};
const many = ['Wren 10', 'Wren 2', 'Alder', 'Dunlin', 'Heron', 'Plover', 'Teal'];

describe('the builds', () => {
  test('stand by name, numbers in it read as numbers', async () => {
    open(many.map((name) => build(name)));
    expect(await names(7)).toEqual([
      'Alder',
      'Dunlin',
      'Heron',
      'Plover',
      'Teal',
      'Wren 2',
      'Wren 10',
    ]);
  });

  test('or the last changed first', async () => {
    open(
      many.map((name, k) =>
        build(name, { updatedAt: `2026-03-${String(10 + k).padStart(2, '0')}T10:00:00.000Z` }),
      ),
    );
    await names(7);
    await userEvent.click(screen.getByRole('radio', { name: 'Last changed first' }));
    expect(await names(7)).toEqual([...many].reverse());
  });

  test('are found by all of a few words, in name or description', async () => {
    open(many.map((name) => build(name, { description: name === 'Teal' ? 'a Wren again' : '' })));
    await names(7);
    const find = screen.getByLabelText('Find a build');
    await userEvent.type(find, 'wren');
    expect(await names(3)).toEqual(['Teal', 'Wren 2', 'Wren 10']);
    expect(screen.getByText('3 of 7 builds')).toBeTruthy();
    await userEvent.type(find, ' AGAIN');
    expect(await names(1)).toEqual(['Teal']);
    await userEvent.type(find, ' zebra');
    expect(await screen.findByText('No build has these words in it.')).toBeTruthy();
  });

  test('few of them need no finding', async () => {
    open([build('Alder'), build('Heron')]);
    await names(2);
    expect(screen.queryByLabelText('Find a build')).toBeNull();
  });

  test('say what stands against them', async () => {
    open([build('Alder')], { 'GET /builds/alder/state': { stops: 2, warnings: 1 } });
    await names(1);
    expect(await screen.findByText(/2 stops/)).toBeTruthy();
  });

  test('none at all: what to do about it', async () => {
    open([]);
    expect(await screen.findByText(/^No builds yet\./)).toBeTruthy();
  });

  test('a server that does not answer is told', async () => {
    open([], { 'GET /builds': refused(500, 'The disk does not answer') });
    expect(await screen.findByText('The disk does not answer')).toBeTruthy();
  });
});

describe('a build', () => {
  test('is archived, and found in the archive', async () => {
    const asked = open([build('Alder'), build('Heron', { archived: true })], {
      'POST /builds/alder/archive': {},
    });
    expect(await names(1)).toEqual(['Alder']);
    await userEvent.click(screen.getByRole('button', { name: 'Archive: 1' }));
    expect(await names(1)).toEqual(['Heron']);
    expect(screen.getByRole('button', { name: 'Restore Heron' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Back to the builds in work' }));
    await userEvent.click(screen.getByRole('button', { name: 'Archive Alder' }));
    await waitFor(() =>
      expect(asked.filter(({ method }) => method === 'POST')).toEqual([
        { method: 'POST', path: '/builds/alder/archive', body: { archived: true } },
      ]),
    );
    await userEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() =>
      expect(asked.filter(({ method }) => method === 'POST').at(-1)!.body).toEqual({
        archived: false,
      }),
    );
  });

  test('is copied under the next name that is free, and the copy is opened', async () => {
    const asked = open([build('Alder'), build('Alder 2')], {
      'POST /builds/alder/copy': { id: 'alder-3' },
    });
    await names(2);
    await userEvent.click(screen.getByRole('button', { name: 'Copy Alder' }));
    expect(await screen.findByText('opened')).toBeTruthy();
    const { body } = asked.find(({ method }) => method === 'POST')!;
    expect(body).toMatchObject({ name: 'Alder 3' });
  });

  test('out of a file is opened', async () => {
    const asked = open([], { 'POST /builds/import': { id: 'from-file' } });
    await userEvent.upload(
      await screen.findByLabelText('Build file'),
      new File(['{"a": 1}'], 'a.json', { type: 'application/json' }),
    );
    expect(await screen.findByText('opened')).toBeTruthy();
    expect(asked.find(({ method }) => method === 'POST')!.body).toEqual({ a: 1 });
  });

  test('out of a file that is refused changes nothing, and its faults are listed', async () => {
    const issues = ['one', 'two', 'three'].map((path) => ({ path, message: 'is wrong' }));
    open([], { 'POST /builds/import': refused(400, 'one is wrong', issues) });
    await userEvent.upload(
      await screen.findByLabelText('Build file'),
      new File(['{}'], 'a.json', { type: 'application/json' }),
    );
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain('nothing was changed. one is wrong');
    expect(within(alert).getAllByRole('listitem')).toHaveLength(2);
  });
});
