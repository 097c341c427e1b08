import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { sandpiper } from '@brookrain/core';
import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, test } from 'vitest';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { ListsScreen } from './ListsScreen.tsx';

afterEach(cleanup);

const kindsOf = (name: RegExp): readonly string[] =>
  within(screen.getByRole('row', { name }))
    .getAllByRole('link')
    .map((link) => link.getAttribute('href') ?? '');

describe('lists of the harness', () => {
  test('each is taken away as a table and on paper; reels for a spreadsheet only', () => {
    renderInBuild(sandpiper, <ListsScreen />);
    expect(kindsOf(/^Cut list/u).map((href) => href.split('/').at(-1))).toEqual([
      'cut-list.csv',
      'cut-list.pdf',
    ]);
    expect(kindsOf(/^Reels/u).map((href) => href.split('/').at(-1))).toEqual(['reels.csv']);
    expect(kindsOf(/^Pin lists/u).every((href) => href.includes('/lists/pins.'))).toBe(true);
    expect(screen.getAllByRole('row')).toHaveLength(8);
  });

  test('no address is asked for twice, and all are of the open build', () => {
    renderInBuild(sandpiper, <ListsScreen />);
    const table = screen.getByRole('table', { name: 'Lists of the harness' });
    const addresses = within(table)
      .getAllByRole('link')
      .map((link) => link.getAttribute('href') ?? '');
    expect(new Set(addresses).size).toBe(addresses.length);
    for (const address of addresses) expect(address).toMatch(/^\/api\/builds\/[^/]+\//u);
  });
});
