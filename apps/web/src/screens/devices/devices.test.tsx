import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, kittiwake, lantern } from '@brookrain/core';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { choose } from '../../tests/fields.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { PinsScreen } from '../pins/PinsScreen.tsx';
import { WiresScreen } from '../wires/WiresScreen.tsx';
import { DevicesScreen } from './DevicesScreen.tsx';

afterEach(cleanup);

describe('devices', () => {
  test('show the way of each pin to battery, ground or controller', async () => {
    renderInBuild(lantern, <DevicesScreen />, '/?of=fan-1');
    const supply = await screen.findByRole('list', { name: 'Route of Supply' });
    for (const step of ['Relay, fan 1', 'Fuse, fan 1', 'Power stud', 'Main fuse', 'Battery']) {
      expect(supply.textContent).toContain(step);
    }
    const ground = screen.getByRole('list', { name: 'Route of Ground' });
    expect(ground.textContent).toContain('Frame, front');
  });

  test('are wired elsewhere as one edit that says what it is', async () => {
    const edited = renderInBuild(lantern, <DevicesScreen />, '/?of=fan-1');
    await choose('Fan 1, Ground', 'Stud at the panel');
    expect(edited.commands).toHaveLength(1);
    expect(edited.document.devices['fan-1']?.connections['−']).toEqual({
      to: 'ground',
      groundId: 'panel-stud',
    });
  });

  test('are proposed for a build that has none, and have pins', async () => {
    const bare: BuildDocument = { ...lantern, devices: {}, controllers: {}, switching: {} };
    const edited = renderInBuild(bare, <DevicesScreen />);
    await userEvent.click(
      await screen.findByRole('button', { name: 'Put in what an engine like this usually has' }),
    );
    expect(edited.commands).toHaveLength(1);
    expect(edited.document.devices['coolant']?.connections['1']).toMatchObject({
      to: 'controller',
      pin: expect.stringMatching(/^A1[67]$/),
    });
    expect(await screen.findByRole('button', { name: 'Crank sensor' })).toBeTruthy();
  });

  test('found wires take what was measured, in any unit', async () => {
    const edited = renderInBuild(lantern, <DevicesScreen />);
    await userEvent.click(await screen.findByRole('button', { name: 'Permanent red' }));
    const field = await screen.findByLabelText('CRANK');
    await userEvent.clear(field);
    await userEvent.type(field, '9800 mV{Enter}');
    expect(edited.document.vehicleSignals['permanent']?.crank?.value).toBeCloseTo(9.8, 9);
  });
});

describe('a pump among the devices', () => {
  test('is renamed in its circuit too, as one edit', async () => {
    const edited = renderInBuild(lantern, <DevicesScreen />, '/?of=pump');
    const field = await screen.findByLabelText('Name');
    await userEvent.clear(field);
    await userEvent.type(field, 'Left pump{Enter}');
    expect(edited.commands).toHaveLength(1);
    expect(edited.document.devices['pump']?.name).toBe('Left pump');
    expect(edited.document.fuelCircuits['main']?.elements['pump']?.name).toBe('Left pump');
  });
});

describe('a sensor that is screwed in', () => {
  test('says what its seat asks, and is put into a boss instead', async () => {
    const edited = renderInBuild(lantern, <DevicesScreen />, '/?of=oil-pressure');
    const seat = await screen.findByRole('region', { name: 'Seat' });
    expect(seat.textContent).toContain('Sits in 1/8-27 NPT');
    expect(seat.textContent).toContain('Tapping drill 8.6 mm into at least 6.7 mm of metal');
    expect(seat.textContent).toContain('1/8-28 BSPT looks alike and does not fit');
    await choose('Its seat', 'boss');
    expect(edited.document.devices['oil-pressure']?.seat).toBe('boss');
    expect(seat.textContent).not.toContain('Tapping drill');
  });

  test('what is not screwed in has none', async () => {
    renderInBuild(lantern, <DevicesScreen />, '/?of=fan-1');
    await screen.findByRole('list', { name: 'Route of Supply' });
    expect(screen.queryByRole('region', { name: 'Seat' })).toBeNull();
  });
});

describe('a bus', () => {
  test('is told with what a meter reads across it, and runs slower where it is said', async () => {
    const edited = renderInBuild(kittiwake, <DevicesScreen />);
    const buses = await screen.findByRole('region', { name: 'Buses' });
    expect(buses.textContent).toContain('Terminated at its two ends');
    expect(buses.textContent).toContain('60 Ω');
    expect(buses.textContent).toContain('at most 300 mm');
    await choose('Vehicle bus', '500 kbit/s');
    expect(edited.document.buses['bus-1']?.rate).toBe('500 kbit/s');
    expect(buses.textContent).toContain('at most 600 mm');
  });

  test('of which the build says nothing is written down with the first rate that is chosen', async () => {
    const edited = renderInBuild({ ...kittiwake, buses: {} }, <DevicesScreen />);
    await choose(/^Bus of/, '250 kbit/s');
    const [bus] = Object.values(edited.document.buses);
    expect(bus).toMatchObject({ rate: '250 kbit/s' });
  });
});

describe('pins', () => {
  test('are shown by plug, told when they are looked at, and chosen by hand', async () => {
    const edited = renderInBuild(lantern, <PinsScreen />);
    const plug = await screen.findByRole('listbox', { name: 'Cavities of connector A' });
    expect(within(plug).getAllByRole('option')).toHaveLength(18);
    await userEvent.click(within(plug).getByRole('option', { name: /^A16/ }));
    const pin = screen.getByRole('region', { name: 'Pin A16' });
    expect(pin.textContent).toContain('Coolant sensor, Signal');
    await choose('Pin of Coolant sensor, Signal', 'none yet');
    expect(edited.document.devices['coolant']?.connections['1']).toMatchObject({ pin: '' });
    expect(await screen.findByText('Signal without a pin')).toBeTruthy();
  });

  test('seen from the other side are the other way round', async () => {
    renderInBuild(lantern, <PinsScreen />);
    const first = async (): Promise<number> => {
      const plug = await screen.findByRole('listbox', { name: 'Cavities of connector A' });
      const cavity = within(plug).getByRole('option', { name: /^A01/ });
      return Number(cavity.querySelector('rect')?.getAttribute('x'));
    };
    const fromWires = await first();
    await userEvent.click(screen.getByRole('radio', { name: 'Mating side' }));
    expect(await first()).toBeLessThan(fromWires);
  });

  test('that are settled stay so', async () => {
    const edited = renderInBuild(lantern, <PinsScreen />);
    await userEvent.click(
      await screen.findByRole('checkbox', { name: 'Coolant sensor, Signal stays on A16' }),
    );
    expect(edited.document.devices['coolant']?.connections['1']).toMatchObject({
      pin: 'A16',
      locked: true,
    });
  });
});

describe('wires', () => {
  test('are found by what they belong to, and told with what decided them', async () => {
    renderInBuild(lantern, <WiresScreen />, '/?part=fan-1');
    expect(await screen.findByText(/^2 wires/)).toBeTruthy();
    const inspector = screen.getByRole('complementary');
    expect(await within(inspector).findByText(/Decided by/)).toBeTruthy();
  });
});
