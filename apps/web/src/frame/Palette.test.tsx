import '../tests/radixInJsdom.ts';
import { evaluate, lantern, sampleCatalogue, toldEvaluation } from '@brookrain/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, useLocation } from 'react-router';
import { afterEach, beforeAll, beforeEach, describe, expect, test, vi } from 'vitest';
import { type KnownBuild, tellOpenBuild } from '../build/openBuildStore.ts';
import { served } from '../tests/served.ts';
import { Palette } from './Palette.tsx';
import { screenList } from './stages.ts';

let evaluation: KnownBuild['evaluation'];
beforeAll(() => {
  evaluation = toldEvaluation(evaluate(lantern, sampleCatalogue));
});
beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  tellOpenBuild(undefined);
  vi.unstubAllGlobals();
});

const builds = [
  { id: 'lantern', name: 'Lantern', archived: false },
  { id: 'heron', name: 'Heron', archived: true },
];

function Address() {
  const { pathname, search, hash } = useLocation();
  return <output>{`${pathname}${search}${hash}`}</output>;
}

function open(address = '/builds/lantern/brief') {
  served({ 'GET /builds': builds, 'GET /catalogue': sampleCatalogue });
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  queries.setQueryData(['build', 'lantern'], { id: 'lantern', document: lantern });
  const close = vi.fn();
  render(
    <QueryClientProvider client={queries}>
      <MemoryRouter initialEntries={[address]}>
        <Palette close={close} />
        <Address />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return close;
}
async function find(words: string): Promise<void> {
  await userEvent.click(screen.getByPlaceholderText(/^Page, part, figure/));
  await userEvent.paste(words);
}
const first = () => screen.getAllByRole('option')[0]!.textContent;
const found = () => screen.getAllByRole('option').map((each) => each.textContent);
const address = () => document.querySelector('output')!.textContent;

describe('finding by a few letters', () => {
  test.each(screenList.slice(0, 1).map(({ name, id }) => [name, id] as const))(
    'the page %s',
    async (name, id) => {
      const close = open();
      await find(name);
      await waitFor(() => expect(first()).toContain(name));
      await userEvent.keyboard('{Enter}');
      expect(close).toHaveBeenCalledTimes(1);
      expect(address()).toBe(`/builds/lantern/${id}`);
    },
  );

  test('an element of the circuit, which is then looked at', async () => {
    open();
    await find('coarse filter');
    await waitFor(() => expect(first()).toContain('Coarse filter'));
    await userEvent.keyboard('{Enter}');
    expect(address()).toBe('/builds/lantern/circuit?element=coarse');
  });

  test('a figure with what it is now, whose working is then shown', async () => {
    tellOpenBuild({ id: 'lantern', evaluation, undo: null, redo: null, step: vi.fn() });
    open();
    await find('difference of the two schools');
    await waitFor(() => expect(first()).toMatch(/^Difference of the two schools6\.92 %/));
    await userEvent.keyboard('{Enter}');
    expect(address()).toBe('/builds/lantern/brief?figure=demand.disagreement');
  });

  test('figures only from three letters on, and of no build none', async () => {
    open();
    await find('difference of the two schools');
    await waitFor(() => expect(screen.getByText('Nothing here by that name.')).toBeTruthy());
  });

  test('another build, also one that is archived', async () => {
    open();
    await find('heron');
    await waitFor(() => expect(first()).toBe('Heronarchived'));
    await userEvent.keyboard('{Enter}');
    expect(address()).toBe('/builds/heron/brief');
  });

  test('a part of the catalogue, once for all of its revisions', async () => {
    open();
    await find('I1050');
    await waitFor(() => expect(found().filter((each) => each.startsWith('I1050'))).toHaveLength(1));
    await userEvent.keyboard('{Enter}');
    expect(address()).toBe('/catalogue/injector/I1050');
  });

  test('a word of the trade, with what it means', async () => {
    open();
    await find('dead time');
    await waitFor(() => expect(found().some((each) => /^dead time/i.test(each))).toBe(true));
  });

  test('nothing by that name is said so', async () => {
    open();
    await find('zzzz');
    expect(await screen.findByText('Nothing here by that name.')).toBeTruthy();
  });
});

describe('doing by a few letters', () => {
  test('undo says what it takes back', async () => {
    const step = vi.fn();
    tellOpenBuild({ id: 'lantern', evaluation, undo: 'Power 190 kW', redo: null, step });
    open();
    await find('undo');
    await waitFor(() => expect(first()).toContain('Undo: Power 190 kW'));
    await userEvent.keyboard('{Enter}');
    expect(step).toHaveBeenCalledWith('undo');
  });

  test('there is no undo where nothing was done', async () => {
    tellOpenBuild({ id: 'lantern', evaluation, undo: null, redo: null, step: vi.fn() });
    open();
    await find('undo');
    await waitFor(() => expect(screen.queryByText(/^Undo:/)).toBeNull());
  });

  test('units are chosen', async () => {
    open();
    await find('units us');
    await waitFor(() => expect(first()).toMatch(/^Units: US/));
    await userEvent.keyboard('{Enter}');
    expect(JSON.stringify({ ...localStorage })).toMatch(/US/i);
  });

  test('a paper is fetched from the server', async () => {
    const assign = vi.fn();
    vi.stubGlobal('location', { ...globalThis.location, assign });
    open();
    await find('work order');
    await waitFor(() => expect(first()).toContain('Work order (PDF)'));
    await userEvent.keyboard('{Enter}');
    expect(assign).toHaveBeenCalledWith('/api/builds/lantern/work-sheet.pdf');
  });
});

test('outside of a build there are no pages of one', async () => {
  open('/');
  await find('injectors');
  await waitFor(() =>
    expect(screen.queryAllByRole('option').every((each) => each.textContent !== 'Injectors')).toBe(
      true,
    ),
  );
});
