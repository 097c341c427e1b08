import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import {
  type BuildDocument,
  evaluate,
  lantern,
  rules,
  sampleCatalogue,
  sandpiper,
  withValueAt,
} from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { choose, offered, press, problems } from '../../tests/fields.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { FindingsScreen } from './FindingsScreen.tsx';

afterEach(cleanup);
const open = (build: BuildDocument) => renderInBuild(build, <FindingsScreen />);
const findingsOf = (build: BuildDocument) => evaluate(build, sampleCatalogue).findings;
const shown = (): readonly string[] =>
  [...document.querySelectorAll('[data-finding]')].map((each) =>
    each.getAttribute('data-finding')!,
  );
const note = (id: string) => within(document.querySelector<HTMLElement>(`[data-finding="${id}"]`)!);
const tick = (name: RegExp) => screen.getByRole<HTMLButtonElement>('checkbox', { name });
const counted = (name: RegExp): string => tick(name).labels[0]!.textContent;

describe('findings', () => {
  test('are all there, worst first', () => {
    open(lantern);
    const rank = { stop: 0, warn: 1, note: 2 };
    const all = findingsOf(lantern);
    expect([...shown()].sort()).toEqual(all.map(({ id }) => id).sort());
    const ranks = shown().map((id) => rank[all.find((f) => f.id === id)!.severity]);
    expect(ranks).toEqual([...ranks].sort());
  });

  test('are counted by kind; a kind that is unticked is hidden, and only it', async () => {
    open(lantern);
    const all = findingsOf(lantern);
    const of = (severity: string) => all.filter((f) => f.severity === severity);
    expect(counted(/^Stops/)).toBe(`Stops ${of('stop').length}`);
    expect(counted(/^Warnings/)).toBe(`Warnings ${of('warn').length}`);
    expect(counted(/^Notes/)).toBe(`Notes ${of('note').length}`);
    await userEvent.click(tick(/^Stops/));
    expect([...shown()].sort()).toEqual([...of('warn'), ...of('note')].map(({ id }) => id).sort());
    await userEvent.click(tick(/^Warnings/));
    await userEvent.click(tick(/^Notes/));
    expect(shown()).toEqual([]);
    expect(screen.getByText('None of them is of this kind.')).toBeTruthy();
  });

  test('are kept to a stage, out of those that have some', async () => {
    open(lantern);
    const stages = await offered('Stage');
    expect(stages[0]).toBe('all stages');
    expect(stages).not.toContain('Buying');
    await choose('Stage', 'Pins');
    expect([...shown()].sort()).toEqual(
      findingsOf(lantern)
        .filter(({ where }) => where.stage === 'pins')
        .map(({ id }) => id)
        .sort(),
    );
  });

  test('are found by a word of their title or reason', async () => {
    open(lantern);
    const words = screen.getByLabelText('Words in the finding');
    await userEvent.type(words, 'DOWNPIPE');
    expect(shown()).toEqual(['route.heat:feed']);
    await userEvent.clear(words);
    expect(shown()).toHaveLength(findingsOf(lantern).length);
  });

  test('say what was measured against what, and where the limit comes from', () => {
    open(lantern);
    const text = document.querySelector('[data-finding="route.heat:feed"]')!.textContent;
    expect(text).toMatch(/59\.6 mm against 100 mm/);
    const { source } = rules.find(({ id }) => id === 'route.heat')!;
    expect(text.toLowerCase()).toContain(source.toLowerCase());
  });
});

describe('a cure', () => {
  test('is one press, and takes the finding away', async () => {
    const edited = open(lantern);
    const cure = await screen.findByRole('button', { name: 'Fit a heat sleeve' });
    await userEvent.click(cure);
    expect(edited.commands).toHaveLength(1);
    await waitFor(() => expect(shown()).not.toContain('route.heat:feed'));
    expect(findingsOf(edited.document).map(({ id }) => id)).not.toContain('route.heat:feed');
  });
});

describe('a warning that is accepted', () => {
  const id = 'route.heat:feed';
  const accept = async (reason: string): Promise<void> => {
    await userEvent.click(note(id).getByRole('button', { name: 'Accept with a reason' }));
    if (reason !== '') await userEvent.type(note(id).getByLabelText(/^Why it is accepted/), reason);
    await userEvent.click(note(id).getByRole('button', { name: 'Accept it' }));
  };

  test('needs a reason', async () => {
    const edited = open(lantern);
    await accept('');
    expect(problems()).toHaveLength(1);
    expect(edited.commands).toEqual([]);
    await userEvent.click(note(id).getByRole('button', { name: 'Leave it open' }));
    expect(problems()).toEqual([]);
  });

  test('is counted apart, with who, when and why, and can be withdrawn', async () => {
    const edited = open(lantern);
    await accept('shielded by the sump, checked by hand');
    expect(edited.document.acceptances[id]).toMatchObject({
      reason: 'shielded by the sump, checked by hand',
    });
    await waitFor(() => expect(counted(/^Accepted/)).toBe('Accepted 1'));
    const text = document.querySelector(`[data-finding="${id}"]`)!.textContent;
    expect(text).toContain('shielded by the sump, checked by hand');
    await userEvent.click(note(id).getByRole('button', { name: 'Withdraw the acceptance' }));
    expect(edited.document.acceptances).toEqual({});
    await waitFor(() => expect(counted(/^Accepted/)).toBe('Accepted 0'));
  });

  test('opens again when it gets worse', async () => {
    const edited = open(lantern);
    await accept('shielded by the sump, checked by hand');
    cleanup();
    // 20 mm nearer to the downpipe.
    const nearer = ['p3', 'p4'].reduce(
      (build, point) =>
        withValueAt(build, `routes.feed.points.${point}.y`, { value: 0.281, unit: 'mm' }),
      edited.document,
    );
    open(nearer);
    expect(document.querySelector(`[data-finding="${id}"]`)!.textContent).toContain('Open again');
    expect(counted(/^Accepted/)).toBe('Accepted 0');
  });

  test('a stop cannot be accepted', () => {
    open(lantern);
    const stop = findingsOf(lantern).find(({ severity }) => severity === 'stop')!;
    expect(note(stop.id).queryByRole('button', { name: 'Accept with a reason' })).toBeNull();
  });

  test('that is found no more stays on record', () => {
    const { feed, ...others } = lantern.routes;
    expect(feed).toBeTruthy();
    const gone = {
      ...lantern,
      routes: others,
      acceptances: {
        [id]: {
          title: 'Hot pipe too near',
          reason: 'shielded',
          author: 'A. Person',
          time: '2026-01-02T03:04:05.000Z',
          measured: 0.06,
        },
      },
    };
    open(gone);
    const part = screen.getByRole('heading', {
      name: 'Accepted once, no longer found',
    }).parentElement!;
    expect(part.textContent).toContain('Hot pipe too near: shielded');
  });
});

test('columns that are hidden are shown when asked for', async () => {
  open(sandpiper);
  expect(screen.queryByRole('columnheader', { name: /Measured/ })).toBeNull();
  await press(/Columns/);
  await userEvent.click(screen.getByRole('checkbox', { name: 'Measured' }));
  expect(screen.getByRole('columnheader', { name: /Measured/ })).toBeTruthy();
});
