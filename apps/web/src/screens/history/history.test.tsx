import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import type { RevisionReply } from '@brookrain/contract';
import { lantern, withValueAt } from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { type Asked, served } from '../../tests/served.ts';
import { HistoryScreen } from './HistoryScreen.tsx';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const revision = (number: number, words: string, more: Partial<RevisionReply> = {}) => ({
  number,
  words,
  author: 'A. Person',
  time: '2026-03-04T10:00:00.000Z',
  kind: 'edit',
  ...more,
});
const some = [
  revision(3, 'Power 150 kW', { kind: 'undo' }),
  revision(2, 'Power 190 kW'),
  revision(1, 'made', { kind: 'create' }),
];
const stronger = withValueAt(lantern, 'brief.power', { value: 190e3, unit: 'kW' });
const documents = {
  'GET /builds/test/revisions/1': { number: 1, document: lantern },
  'GET /builds/test/revisions/2': { number: 2, document: stronger },
  'GET /builds/test/revisions/3': { number: 3, document: lantern },
};
const inspector = () => within(screen.getByRole('complementary', { name: 'Inspector' }));
const rows = () =>
  within(screen.getByRole('table', { name: 'Revisions, newest first' }))
    .getAllByRole('row')
    .slice(1);

function open(list: readonly object[] = some, more: Record<string, unknown> = {}) {
  const asked = served({ 'GET /builds/test/revisions': list, ...documents, ...more });
  renderInBuild(lantern, <HistoryScreen />);
  return asked;
}

describe('the history', () => {
  test('stands newest first, with who did what, and how', async () => {
    open();
    await waitFor(() => expect(rows()).toHaveLength(3));
    const words = rows().map((row) => row.textContent);
    expect(words[0]).toMatch(/^3Power 150 kW.*A\. Person, undone/);
    expect(words[1]).toMatch(/^2Power 190 kWA\. Person/);
    expect(words[2]).toMatch(/A\. Person, made/);
  });

  test('marks the one that is open', async () => {
    open();
    await waitFor(() => expect(rows()).toHaveLength(3));
    const open_ = rows().filter((row) => within(row).queryByText('now'));
    expect(open_.map((row) => row.textContent[0])).toEqual(['1']);
  });

  test('is searched on the server', async () => {
    const asked = open(some, {
      'GET /builds/test/revisions': ({ path }: Asked) =>
        path.includes('find=power') ? some.slice(0, 2) : some,
    });
    await waitFor(() => expect(rows()).toHaveLength(3));
    await userEvent.type(screen.getByLabelText('Find in the history'), 'power');
    await waitFor(() => expect(rows()).toHaveLength(2));
    expect(asked.some(({ path }) => path === '/builds/test/revisions?find=power')).toBe(true);
  });

  test('says so when nothing has these words', async () => {
    open(some, {
      'GET /builds/test/revisions': ({ path }: Asked) => (path.includes('find=') ? [] : some),
    });
    await waitFor(() => expect(rows()).toHaveLength(3));
    await userEvent.type(screen.getByLabelText('Find in the history'), 'zebra');
    expect(await screen.findByText('No revision has these words in it.')).toBeTruthy();
  });
});

describe('one revision', () => {
  test('is told with what it changed, and what that moved', async () => {
    open();
    await waitFor(() => expect(rows()).toHaveLength(3));
    await userEvent.click(rows()[1]!);
    expect(inspector().getByRole('heading', { level: 2 }).textContent).toBe('Revision 2');
    const changed = await inspector().findByRole('table', { name: 'Inputs that differ' });
    expect(changed.textContent).toMatch(/168 kW.*190 kW/);
    const moved = await inspector().findByRole('list', { name: 'Moved downstream' });
    expect(within(moved).getAllByRole('listitem').length).toBeGreaterThan(2);
    expect(moved.textContent).toMatch(/Difference of the two schools6\.92 % → 17\.7 %/);
  });

  test('the first one changed nothing', async () => {
    open();
    await waitFor(() => expect(rows()).toHaveLength(3));
    await userEvent.click(rows()[2]!);
    expect(inspector().getByRole('heading', { level: 2 }).textContent).toBe('Revision 1');
    expect(inspector().queryByText('What it changed')).toBeNull();
    const back = inspector().getByRole<HTMLButtonElement>('button', { name: 'Go back to this' });
    expect(back.disabled).toBe(true);
  });

  test('can be compared with what holds now', async () => {
    open();
    await waitFor(() => expect(rows()).toHaveLength(3));
    await userEvent.click(rows()[1]!);
    expect(inspector().getByRole('link', { name: 'Compare with now' }).getAttribute('href')).toBe(
      '/builds/test/compare?left=revision:2&right=now',
    );
  });

  test('a branch is a build of its own, by the name it is given', async () => {
    const asked = open(some, { 'POST /builds/test/copy': { id: 'branch' } });
    await waitFor(() => expect(rows()).toHaveLength(3));
    await userEvent.click(rows()[1]!);
    const name = inspector().getByLabelText('Name of the branch');
    await userEvent.clear(name);
    await userEvent.type(name, 'Lantern on the dyno');
    await userEvent.click(inspector().getByRole('button', { name: 'Branch off' }));
    await waitFor(() => expect(asked.some(({ method }) => method === 'POST')).toBe(true));
    const made = asked.find(({ method }) => method === 'POST')!;
    expect(made.path).toBe('/builds/test/copy');
    expect(made.body).toMatchObject({ name: 'Lantern on the dyno', revision: 2 });
  });
});
