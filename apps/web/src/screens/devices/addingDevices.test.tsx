import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, lantern, readBuild } from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { light } from '../../build/lit.ts';
import { choose, field, problems, type } from '../../tests/fields.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { DevicesScreen } from './DevicesScreen.tsx';

beforeEach(() => light({}));
afterEach(cleanup);
const open = (build: BuildDocument, address = '/') =>
  renderInBuild(build, <DevicesScreen />, address);
const added = (before: BuildDocument, after: BuildDocument) =>
  readBuild(after).devices.filter(({ id }) => !(id in before.devices));

describe('devices of a build', () => {
  test('are shown by what becomes of them; the counts add up', async () => {
    open(lantern);
    const counts = ['All', 'New', 'Kept', 'Removed'].map((name) =>
      Number(
        screen.getByRole('radio', { name: new RegExp(`^${name}`) }).textContent.replace(/\D/g, ''),
      ),
    );
    const devices = Object.values(lantern.devices);
    expect(counts).toEqual([
      devices.length,
      ...(['new', 'kept', 'removed'] as const).map(
        (state) => devices.filter((each) => each.state === state).length,
      ),
    ]);
    await userEvent.click(screen.getByRole('radio', { name: /^Removed/ }));
    const table = within(screen.getByRole('table', { name: 'Devices' }));
    expect(table.getAllByRole('row')).toHaveLength(1 + counts[3]!);
  });

  test('one that goes keeps its place in the list', async () => {
    const edited = open(lantern, '/?of=fan-2');
    await choose('In this conversion', /goes|going|removed|taken/i);
    expect(edited.document.devices['fan-2']!.state).toBe('removed');
    expect(Object.keys(edited.document.devices)).toHaveLength(Object.keys(lantern.devices).length);
  });

  test('one is taken off the list', async () => {
    const edited = open(lantern, '/?of=fan-2');
    await userEvent.click(screen.getByRole('button', { name: 'Remove it from the list' }));
    expect(edited.document.devices['fan-2']).toBeUndefined();
    expect(edited.commands).toHaveLength(1);
  });

  test('sits where it is put', async () => {
    const edited = open(lantern, '/?of=fan-1');
    const places = Object.values(lantern.placements).map(({ name }) => name);
    const other = places.find((name) => /battery/i.test(name))!;
    await choose('Sits at', other);
    const { placementId } = edited.document.devices['fan-1']!;
    expect(lantern.placements[placementId!]!.name).toBe(other);
  });

  test.each(['', '   '])('a name of "%s" is none', async (text) => {
    const edited = open(lantern, '/?of=fan-1');
    await userEvent.clear(field('Name'));
    await userEvent.type(field('Name'), `${text}{Enter}`);
    expect(problems().length).toBeGreaterThan(0);
    expect(edited.document.devices['fan-1']!.name).toBe(lantern.devices['fan-1']!.name);
  });

  test('wires loaded in its bundle are a number', async () => {
    const edited = open(lantern, '/?of=fan-1');
    await type('Wires loaded in its bundle', '6');
    expect(edited.document.devices['fan-1']!.loadedTogether).toBe(6);
    await type('Wires loaded in its bundle', 'some');
    expect(problems()).toHaveLength(1);
    expect(edited.document.devices['fan-1']!.loadedTogether).toBe(6);
  });
});

describe('a device that is added', () => {
  const part = () => within(screen.getByRole('region', { name: 'Add a device' }));

  test('is put where it sits and fed from where it is said, with what it needs for that', async () => {
    const edited = open(lantern);
    await choose('What it is', /^Radiator fan, 16 A/);
    await userEvent.click(part().getByRole('button', { name: 'Add it' }));
    const devices = added(lantern, edited.document);
    expect(edited.commands).toHaveLength(1);
    expect(devices.length).toBeGreaterThan(0);
    const fan = devices.find(({ part: { kind } }) => kind === 'item')!;
    expect(fan.connections['+'] ?? Object.values(fan.connections)[0]).toBeDefined();
    // It is looked at next.
    await waitFor(() =>
      expect(
        screen.getAllByLabelText<HTMLInputElement>('Name').map(({ value }) => value),
      ).toContain(fan.name),
    );
  });

  test('twice is two of them, each of its own name', async () => {
    const edited = open(lantern);
    for (const _ of [1, 2]) {
      await choose('What it is', /^Radiator fan, 16 A/);
      await userEvent.click(part().getByRole('button', { name: 'Add it' }));
    }
    const names = readBuild(edited.document).devices.map(({ id }) => id);
    expect(new Set(names).size).toBe(names.length);
    expect(edited.commands).toHaveLength(2);
  });

  test('is not added before it is said what it is', async () => {
    const edited = open(lantern);
    const add = part().getByRole<HTMLButtonElement>('button', { name: 'Add it' });
    if (!add.disabled) await userEvent.click(add);
    expect(edited.commands).toEqual([]);
  });
});

describe('a wire that was found', () => {
  test('is written down as one edit', async () => {
    const edited = open(lantern);
    const count = Object.keys(lantern.vehicleSignals).length;
    await userEvent.click(screen.getByRole('button', { name: 'Write a wire down' }));
    expect(Object.keys(edited.document.vehicleSignals)).toHaveLength(count + 1);
    expect(edited.commands).toHaveLength(1);
  });
});
