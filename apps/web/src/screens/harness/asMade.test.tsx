import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { harnessFigure, kittiwake, lantern, sandpiper, withValueAt } from '@brookrain/core';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { choose } from '../../tests/fields.ts';
import { DevicesScreen } from '../devices/DevicesScreen.tsx';
import { PlacesScreen } from '../places/PlacesScreen.tsx';
import { AddLaterScreen } from './AddLaterScreen.tsx';
import { CutListScreen } from './CutListScreen.tsx';
import { KeptPlugsScreen } from './KeptPlugsScreen.tsx';
import { LoomsScreen } from './LoomsScreen.tsx';
import { PlugsScreen } from './PlugsScreen.tsx';
import { ThreadingScreen } from './ThreadingScreen.tsx';

afterEach(cleanup);
const figureText = (key: string): string =>
  document.querySelector(`[data-figure="${key}"]`)?.textContent ?? '';
const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });

describe('bought looms', () => {
  test('a leg that is too short is told, and extended by one press', async () => {
    const short = withValueAt(sandpiper, 'harness.bought.stator-loom.legs.fuse.length', mm(700));
    const edited = renderInBuild(short, <LoomsScreen />);
    const cure = await screen.findByRole('button', { name: /^Extend it by/ });
    await userEvent.click(cure);
    expect(edited.commands).toHaveLength(1);
    const { changed } = edited.document.harness.bought['stator-loom']!.legs['fuse']!;
    expect(changed.value).toBeGreaterThan(0.16);
    expect(
      figureText(harnessFigure('leg.slack', { loom: 'stator-loom', leg: 'fuse' }).key),
    ).not.toMatch(/^[−-]/);
  });

  test('a loom and a leg are entered', async () => {
    const edited = renderInBuild(sandpiper, <LoomsScreen />);
    await choose('Connector of a new loom', 'ECU');
    await userEvent.click(screen.getByRole('button', { name: 'Add a loom' }));
    await choose('New leg of Loom from ECU', 'Handlebar');
    const [, second] = screen.getAllByRole('button', { name: 'Enter a leg' });
    await userEvent.click(second!);
    const loom = Object.values(edited.document.harness.bought).find(
      ({ placementId }) => placementId === 'ecu',
    )!;
    expect(Object.values(loom.legs)).toMatchObject([{ placementId: 'handlebar' }]);
    expect(await screen.findByRole('heading', { name: 'To handlebar' })).toBeDefined();
  });
});

describe('the cut list', () => {
  test('has nothing left to cut when all are cut, as one edit', async () => {
    const edited = renderInBuild(sandpiper, <CutListScreen />);
    await userEvent.click(await screen.findByRole('button', { name: 'All are cut' }));
    expect(edited.commands).toHaveLength(1);
    expect(await screen.findByText(/^0 of \d+ still to cut/)).toBeDefined();
  });
});

describe('kept plugs', () => {
  test('say what is done in every cavity, and follow what is typed', async () => {
    const edited = renderInBuild(lantern, <KeptPlugsScreen />, '/?of=instruments/c7');
    const table = screen.getByRole('table', { name: 'Cavities of Instrument plug' });
    expect(within(table).getAllByText('removed')).not.toHaveLength(0);
    const field = screen.getByLabelText(/^After/);
    await userEvent.type(field, 'Oil warning switch, white{Enter}');
    expect(edited.document.harness.repinned['instruments']!.cavities['c7']!.after).toBe(
      'Oil warning switch, white',
    );
    expect(await within(table).findByText('from cavity 4')).toBeDefined();
    expect(within(table).getByText('moved to cavity 7')).toBeDefined();
  });
});

describe('connectors of the harness', () => {
  test('a face is turned round, and its side is said', async () => {
    renderInBuild(lantern, <PlugsScreen />);
    expect(await screen.findByText(/^Wire side/)).toBeDefined();
    const first = () =>
      document.querySelector<SVGCircleElement>('figure svg g circle')!.getAttribute('cx');
    const before = Number(first());
    await userEvent.click(screen.getByRole('button', { name: 'Turn it round' }));
    expect(screen.getByText(/^Mating side/)).toBeDefined();
    expect(Number(first())).toBeCloseTo(-before, 9);
  });

  test('one is set into a hole that had a grommet, as one edit', async () => {
    const without = Object.keys(lantern.devices).reduce(
      (document, id) => withValueAt(document, `devices.${id}.ways`, {}),
      withValueAt(lantern, 'placements.cab-connector.z', mm(880)),
    );
    const edited = renderInBuild(without, <PlugsScreen />);
    const set = await screen.findAllByRole('button', { name: 'Set a connector' });
    await userEvent.click(set[0]!);
    expect(edited.commands).toMatchObject([{ name: 'put-connector' }]);
    const added = Object.keys(edited.document.devices).find((id) => !(id in without.devices))!;
    expect(edited.document.devices[added]!.part).toMatchObject({ kind: 'item' });
    expect(edited.document.placements[edited.document.devices[added]!.placementId]).toBeDefined();
  });

  test('a way is freed, and the wire is told to pass without a contact', async () => {
    const edited = renderInBuild(lantern, <DevicesScreen />, '/?of=cab-connector');
    const told = await screen.findByRole('region', { name: 'Ways' });
    const free = told.querySelector<HTMLButtonElement>('[aria-label^="Remove Crank sensor"]')!;
    await userEvent.click(free);
    const ways = Object.values(edited.document.devices['cab-connector']!.ways);
    expect(ways).toHaveLength(46);
    expect((await screen.findAllByText(/bypass a connector/)).length).toBeGreaterThan(0);
  });
});

describe('places for a part', () => {
  test('are found, told in a table, and one of them taken as one edit', async () => {
    const edited = renderInBuild(sandpiper, <PlacesScreen />);
    await userEvent.click(await screen.findByRole('button', { name: 'Look for places' }));
    const put = await screen.findByRole(
      'button',
      { name: 'Put it into region 2' },
      { timeout: 15_000 },
    );
    await userEvent.click(put);
    expect(edited.commands).toHaveLength(1);
    expect(edited.document.placements['ecu']!.x.value).not.toBe(
      sandpiper.placements['ecu']!.x.value,
    );
  }, 20_000);
});

describe('what is threaded', () => {
  test('is told step by step, with the plugs that are fitted last', async () => {
    renderInBuild(kittiwake, <ThreadingScreen />);
    const table = await screen.findByRole('table', {}, { timeout: 15_000 });
    expect(within(table).getAllByRole('row').length).toBeGreaterThan(20);
    expect(screen.getByText(/^Last, when all is threaded:/)).toBeDefined();
  }, 20_000);
});

describe('a device that comes later', () => {
  test('has ways by their work; the first is taken as one edit', async () => {
    const edited = renderInBuild(kittiwake, <AddLaterScreen />, '/?item=DV-OT&at=engine-front');
    const [first] = await screen.findAllByRole('button', { name: 'Do it so' }, { timeout: 15_000 });
    await userEvent.click(first!);
    expect(edited.commands).toMatchObject([{ name: 'set-several' }]);
    const added = Object.keys(edited.document.devices).filter((id) => !(id in kittiwake.devices));
    expect(added).toHaveLength(1);
  }, 20_000);
});
