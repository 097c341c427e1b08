import '../../tests/radixInJsdom.ts';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { Toaster } from 'sonner';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { choose, field, press } from '../../tests/fields.ts';
import { refused, served } from '../../tests/served.ts';
import { SettingsScreen } from './SettingsScreen.tsx';

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const snapshots = {
  snapshots: Array.from({ length: 10 }, (_, k) => ({
    file: `snapshot-${k}.db`,
    time: `2026-03-${String(20 - k).padStart(2, '0')}T10:00:00.000Z`,
    bytes: 2048 * (k + 1) - 1,
  })),
  restoreCommand: 'npm run restore -- snapshot-0.db',
  lost: null,
};
const closed = { canBeClosed: true, urls: [], devices: [] };
const opened = {
  canBeClosed: true,
  urls: ['http://192.0.2.7:4477'],
  devices: [{ id: 'd1', name: 'Phone at the bench', seenAt: '2026-03-20T10:00:00.000Z' }],
};

function open(more: Record<string, unknown> = {}) {
  const asked = served({ 'GET /snapshots': snapshots, 'GET /workshop': closed, ...more });
  render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <MemoryRouter>
        <SettingsScreen />
        <Toaster />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return asked;
}
const sent = (asked: ReturnType<typeof served>) => asked.filter(({ method }) => method !== 'GET');
const example = (): string => screen.getByText(/^A figure then reads/).textContent;
const unitsField = () => screen.getAllByRole('combobox', { name: 'Units' }).at(-1)!;

describe('what is set on this device', () => {
  test('units are those of the workshop: an example says how a figure reads', async () => {
    open();
    expect(example()).toContain('168 kW');
    await userEvent.click(unitsField());
    await userEvent.click(await screen.findByRole('option', { name: /^US/ }));
    await waitFor(() => expect(example()).toContain('225 hp'));
    expect(example()).toContain('psi');
    cleanup();
    // And still, when the page is opened again.
    open();
    expect(example()).toContain('225 hp');
  });

  test('figures are written as one is used to', async () => {
    open();
    await choose('Figures', /12\.345,6/);
    await waitFor(() => expect(example()).toMatch(/1\.234,57 kPa|1234,57 kPa|1\.234,57/));
  });

  test('the screen is light or dark', async () => {
    open();
    await choose('Screen', 'dark');
    await waitFor(() => expect(document.documentElement.dataset['theme']).toBe('dark'));
    await choose('Screen', 'light');
    await waitFor(() => expect(document.documentElement.dataset['theme']).not.toBe('dark'));
  });

  test('a name in the history is kept', async () => {
    open();
    await userEvent.type(field('Your name in the history'), 'Bench two');
    cleanup();
    open();
    expect(field('Your name in the history').value).toBe('Bench two');
  });
});

describe('the data', () => {
  test('the last snapshots are listed, with how one is put back', async () => {
    open();
    const table = await screen.findByRole('table', { name: 'Snapshots' });
    const sizes = within(table)
      .getAllByRole('row')
      .slice(1)
      .map((row) => within(row).getAllByRole('cell')[1]!.textContent);
    expect(sizes).toEqual([2, 4, 6, 8, 10, 12, 14, 16].map((kB) => `${kB} kB`));
    expect(screen.getByText('npm run restore -- snapshot-0.db')).toBeTruthy();
  });

  test('one is taken when asked for, and is then in the list', async () => {
    let taken = 0;
    const asked = open({
      'POST /snapshots': () => {
        taken += 1;
        return {};
      },
      'GET /snapshots': () => ({
        ...snapshots,
        snapshots: snapshots.snapshots.slice(0, 1 + taken),
      }),
    });
    await screen.findByRole('table', { name: 'Snapshots' });
    await press('Take a snapshot now');
    await waitFor(() =>
      expect(
        within(screen.getByRole('table', { name: 'Snapshots' })).getAllByRole('row'),
      ).toHaveLength(3),
    );
    expect(sent(asked).map(({ path }) => path)).toEqual(['/snapshots']);
  });

  test('a disk that does not take it is told', async () => {
    open({ 'POST /snapshots': refused(507, 'The disk is full') });
    await screen.findByRole('table', { name: 'Snapshots' });
    await press('Take a snapshot now');
    expect((await screen.findByRole('alert')).textContent).toBe('The disk is full');
  });

  test('demo builds are as shipped again, and it can be undone in each', async () => {
    const asked = open({ 'POST /demo/reset': [] });
    await press('Reset the demo builds');
    expect(
      await screen.findByText('The demo builds are as shipped. Undo it in each of them.'),
    ).toBeTruthy();
    expect(sent(asked).map(({ path }) => path)).toEqual(['/demo/reset']);
  });
});

describe('the door to the workshop', () => {
  const part = () => within(screen.getByRole('region', { name: 'Workshop' }));

  test('is shut until it is opened', async () => {
    const asked = open({ 'PUT /workshop': opened });
    expect(part().getByText(/^Only this computer reaches it/)).toBeTruthy();
    await userEvent.click(await part().findByRole('button', { name: 'Open it to the workshop' }));
    expect(await part().findByText(/192\.0\.2\.7:4477/)).toBeTruthy();
    expect(sent(asked)).toEqual([{ method: 'PUT', path: '/workshop', body: { open: true } }]);
    expect(part().getByText(/What is sent there is not encrypted/)).toBeTruthy();
  });

  test('a device is paired by a code that holds once', async () => {
    open({
      'GET /workshop': opened,
      'POST /workshop/codes': {
        code: '481 516',
        address: 'http://192.0.2.7:4477/pair',
        picture: '<svg xmlns="http://www.w3.org/2000/svg"/>',
        until: '2026-03-20T10:10:00.000Z',
      },
    });
    await userEvent.click(await part().findByRole('button', { name: 'Pair a device' }));
    expect((await part().findByLabelText('Code')).textContent).toBe('481 516');
    expect(part().getByText('http://192.0.2.7:4477/pair')).toBeTruthy();
    await userEvent.click(part().getByRole('button', { name: 'It is paired' }));
    await waitFor(() => expect(part().queryByLabelText('Code')).toBeNull());
  });

  test('one that is lost is dropped', async () => {
    const asked = open({
      'GET /workshop': opened,
      'POST /workshop/devices/d1/drop': { ...opened, devices: [] },
    });
    await userEvent.click(await part().findByRole('button', { name: 'Drop Phone at the bench' }));
    await waitFor(() => expect(part().queryByRole('table')).toBeNull());
    expect(sent(asked).map(({ path }) => path)).toEqual(['/workshop/devices/d1/drop']);
  });

  test('a paired device decides nothing about others', async () => {
    open({ 'GET /workshop': refused(403, 'only on the computer it runs on') });
    expect(await part().findByText(/^This device is paired/)).toBeTruthy();
    expect(part().queryByRole('button')).toBeNull();
  });

  test('a door that cannot be opened says why', async () => {
    open({ 'PUT /workshop': refused(500, 'The port is taken') });
    await userEvent.click(await part().findByRole('button', { name: 'Open it to the workshop' }));
    expect((await part().findByRole('alert')).textContent).toBe('The port is taken');
  });
});
