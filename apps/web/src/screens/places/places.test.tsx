import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, lantern, readBuild, sandpiper } from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { choose, offered, press } from '../../tests/fields.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { PlacesScreen } from './PlacesScreen.tsx';
import { wiredPlaces } from './wiredPlaces.ts';

afterEach(cleanup);
const open = (build: BuildDocument, address = '/') =>
  renderInBuild(build, <PlacesScreen />, address);
const regions = async () =>
  within(await screen.findByRole('table', { name: 'Regions' }, { timeout: 30_000 }))
    .getAllByRole('row')
    .slice(1);

describe('what looks for a place', () => {
  test('is anything that wires end at; at first it is the ECU', async () => {
    open(sandpiper);
    const build = readBuild(sandpiper);
    expect(await offered('What looks for a place')).toEqual(
      wiredPlaces(build).map(({ name }) => name),
    );
    const ecu = build.placements.find(({ id }) => id === build.power.ecuPlacementId)!;
    expect(screen.getByRole('combobox', { name: 'What looks for a place' }).textContent).toBe(
      ecu.name,
    );
  });

  test('another one is asked for by its address, and none is found for it yet', async () => {
    open(sandpiper);
    const [, other] = wiredPlaces(readBuild(sandpiper));
    await choose('What looks for a place', other!.name);
    expect(screen.getByRole('combobox', { name: 'What looks for a place' }).textContent).toBe(
      other!.name,
    );
    expect(screen.queryByRole('table', { name: 'Regions' })).toBeNull();
  });
});

describe('places that are found', () => {
  test('come with what they are carried by, and what they do to the wire', async () => {
    open(sandpiper);
    await press('Look for places');
    const rows = await regions();
    expect(rows.length).toBeGreaterThan(0);
    for (const row of rows) {
      const [number, carrier, wire] = within(row)
        .getAllByRole('cell')
        .map((cell) => cell.textContent);
      expect(Number(number)).toBeGreaterThan(0);
      expect(carrier).not.toBe('');
      expect(wire).toMatch(/^[+−]\d/);
    }
  });

  test('one is taken as one edit, with the zone that it is in', async () => {
    const edited = open(sandpiper);
    await press('Look for places');
    await regions();
    await press('Put it into region 1');
    const { ecuPlacementId } = sandpiper.power;
    const [before, after] = [sandpiper, edited.document].map(
      (build) => build.placements[ecuPlacementId]!,
    );
    expect(edited.commands).toHaveLength(1);
    const moved = (['x', 'y', 'z'] as const).some(
      (axis) => Math.abs(after![axis].value - before![axis].value) > 1e-4,
    );
    expect(moved).toBe(true);
    expect(after!.zone).toBeTruthy();
    // What was found was found for what stood there before.
    await waitFor(() => expect(screen.queryByRole('table', { name: 'Regions' })).toBeNull());
  });

  test('where nothing can carry it, that is said', async () => {
    const bare = { ...sandpiper, mountingLines: {}, sheets: {}, solids: {} };
    open(bare);
    await press('Look for places');
    expect(
      await screen.findByText(/^Nothing carries it/, undefined, { timeout: 30_000 }),
    ).toBeTruthy();
  });

  test('a search that is left does not come back', async () => {
    open(lantern);
    await press('Look for places');
    expect(screen.getByRole('status').textContent).toMatch(/^Looking/);
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }));
    await waitFor(() =>
      expect(screen.getByRole('button', { name: 'Look for places' })).toBeTruthy(),
    );
    expect(screen.queryByRole('table', { name: 'Regions' })).toBeNull();
  });
});
