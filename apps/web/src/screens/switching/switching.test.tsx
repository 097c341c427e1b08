import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { kittiwake, lantern } from '@brookrain/core';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { light } from '../../build/lit.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { SwitchingScreen } from './SwitchingScreen.tsx';

beforeEach(() => light({}));
afterEach(cleanup);
const table = () => screen.findByRole('table', { name: 'What is switched' });
const rowOf = async (name: RegExp) => within(await table()).getByRole('row', { name });
const looked = () => screen.findByRole('region', { name: 'The switch that is looked at' });

describe('switching', () => {
  test('tells of every switch what commands it, when it is on, and in which cases', async () => {
    renderInBuild(lantern, <SwitchingScreen />);
    expect((await rowOf(/^Relay, fan 1/)).textContent).toContain('Leat 34 B11, sources');
    expect((await rowOf(/^Relay, fan 1/)).textContent).toContain(
      'key in RUN and Coolant sensor above 95 °C until 90 °C',
    );
    expect((await rowOf(/^Relay, fuel pump/)).textContent).toContain('sinks');
    expect((await rowOf(/^Relay, starter/)).textContent).toContain('as its coil is wired');
    const file = screen.getByRole('link', { name: 'CSV' });
    expect(file.getAttribute('href')).toBe('/api/builds/test/switching.csv');
  });

  test('a temperature is changed as one edit; too narrow a band is told, and put right at a press', async () => {
    const edited = renderInBuild(lantern, <SwitchingScreen />);
    await userEvent.click(within(await rowOf(/^Relay, fan 2/)).getByRole('button'));
    const field = await within(await looked()).findByLabelText('Off at');
    await userEvent.clear(field);
    await userEvent.type(field, '100 °C{Enter}');
    expect(edited.commands).toHaveLength(1);
    expect(await screen.findByText('On and off temperatures are too close')).toBeTruthy();
    await userEvent.click(await screen.findByRole('button', { name: 'Set off 5 K from on' }));
    expect(screen.queryByText('On and off temperatures are too close')).toBeNull();
    const way = edited.document.switching['fan-2-relay']!.ways['way-1']!;
    const condition = way.conditions['condition-2']!;
    expect(condition.kind === 'temperature' && condition.off.value - 273.15).toBeCloseTo(96, 6);
  });

  test('what is usual is taken over, given another way and another condition, and is as usual again', async () => {
    const edited = renderInBuild(kittiwake, <SwitchingScreen />);
    await userEvent.click(within(await rowOf(/^Dash/)).getByRole('button'));
    await userEvent.click(within(await looked()).getByRole('button', { name: 'Say when' }));
    const row = () => edited.document.switching['sluice-B10'];
    expect(row()).toMatchObject({ partId: 'sluice', pin: 'B10' });
    await userEvent.click(within(await looked()).getByRole('button', { name: 'Or when …' }));
    expect(Object.keys(row()!.ways)).toHaveLength(2);
    const [add] = within(await looked()).getAllByRole('button', { name: 'Add a condition' });
    await userEvent.click(add!);
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Engine' }));
    const kinds = Object.values(row()!.ways).flatMap(({ conditions }) =>
      Object.values(conditions).map(({ kind }) => kind),
    );
    expect(kinds.sort()).toEqual(['engine', 'key', 'key']);
    await userEvent.click(within(await looked()).getByRole('button', { name: 'As usual again' }));
    expect(row()).toBeUndefined();
  });

  test('shows the way of what comes alive when a ground is open, and what leaves the pump on', async () => {
    renderInBuild(lantern, <SwitchingScreen />);
    const proof = await screen.findByRole('region', { name: 'Sneak paths' });
    expect(within(proof).getByText('None: what is off is dead.')).toBeTruthy();
    const [way] = within(proof).getAllByRole('list', { name: 'Path to Temperature gauge sender' });
    expect(within(way!).getAllByRole('link').length).toBeGreaterThan(1);
    const stuck = within(proof).getByRole('table', { name: 'Failures that leave a pump running' });
    expect(within(stuck).getAllByRole('row')).toHaveLength(2);
    expect(stuck.textContent).toContain('Relay, fuel pump');
  });

  test('opens on what is lit elsewhere', async () => {
    light({ partId: 'fan-2-relay' });
    renderInBuild(lantern, <SwitchingScreen />);
    expect(within(await looked()).getByRole('heading', { name: 'Relay, fan 2' })).toBeTruthy();
  });
});
