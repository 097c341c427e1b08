import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import {
  type BuildDocument,
  kittiwake,
  lantern,
  quantity,
  sampleCatalogue,
  startBuild,
  withValueAt,
} from '@brookrain/core';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { InjectorsScreen } from '../injectors/InjectorsScreen.tsx';
import { TankScreen } from '../tank/TankScreen.tsx';
import { MapScreen } from './MapScreen.tsx';

afterEach(cleanup);
const open = (build: BuildDocument, of: string) =>
  renderInBuild(build, <MapScreen />, `/?of=${encodeURIComponent(of)}`);
const type = async (box: HTMLElement, text: string): Promise<void> => {
  await userEvent.clear(box);
  await userEvent.type(box, `${text}{Enter}`);
};

describe('a map that holds nothing yet but places', () => {
  const { document: started } = startBuild(
    {
      name: 'Own van',
      vehicle: '',
      engine: '',
      use: 'road',
      displacement: quantity(2, 'volume', 'L'),
      cylinders: 4,
      aspiration: 'natural',
      boost: quantity(0, 'pressure', 'bar'),
      power: quantity(100, 'power', 'kW'),
      powerSpeed: quantity(5800, 'rotation', 'rpm'),
      limiterSpeed: quantity(6500, 'rotation', 'rpm'),
      fuelKind: 'petrol-ethanol',
      ethanol: quantity(10, 'ratio', '%'),
      pumpMounting: 'external',
      runLength: quantity(3.5, 'length', 'm'),
    },
    sampleCatalogue,
  );

  test('opens at the vehicle, whose first layout is one press away', async () => {
    const edited = renderInBuild(started, <MapScreen />);
    await userEvent.click(await screen.findByRole('button', { name: 'Lay out a first vehicle' }));
    expect(edited.commands.map(({ name }) => name)).toEqual(['lay-out-vehicle']);
    expect(Object.keys(edited.document.solids).length).toBeGreaterThan(0);
    expect(screen.queryByRole('button', { name: 'Lay out a first vehicle' })).toBeNull();
    expect(screen.getByLabelText('Wheelbase')).toBeTruthy();
  });

  test('one with a vehicle on it opens at what is the matter, or at a line', async () => {
    renderInBuild(lantern, <MapScreen />);
    expect(await screen.findByRole('button', { name: /Propose routes/ })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Lay out a first vehicle' })).toBeNull();
  });
});

describe('a part on the map', () => {
  test('is told with its size, its ports stand out in every view', async () => {
    open(lantern, 'placements:pump');
    const part = await screen.findByRole('region', { name: 'Part: Fuel pump' });
    expect(part.textContent).toContain('190 mm × 60 mm × 60 mm');
    expect(part.textContent).toContain('from any one side');
    for (const view of ['Map, from the right', 'Map, from above, left side up']) {
      const drawing = screen.getByRole('group', { name: view });
      expect(within(drawing).getAllByText('Fuel pump').length).toBeGreaterThan(0);
    }
  });

  test('a place where nothing sits and no line ends is not asked where it looks', async () => {
    open(lantern, 'placements:inertia');
    expect(await screen.findByLabelText('Name')).toBeTruthy();
    expect(screen.queryByLabelText('Its front looks')).toBeNull();
  });

  test('is turned by typing, as one edit', async () => {
    const edited = open(lantern, 'placements:ecu');
    await type(await screen.findByLabelText('Its front looks'), '180');
    expect(edited.document.placements['ecu']!.heading!.value).toBeCloseTo(Math.PI, 9);
    expect(edited.commands).toHaveLength(1);
  });

  test('is fastened to what carries it, its plate drawn with its measures', async () => {
    const loose = withValueAt(lantern, 'placements.fine-filter.fixing', null);
    const edited = open(loose, 'placements:fine-filter');
    const offered = await screen.findAllByRole('button', { name: /^Fasten it to right leg/ });
    await userEvent.click(offered.at(-1)!);
    expect(edited.document.placements['fine-filter']!.fixing).toMatchObject({
      means: 'bracket',
      onto: { kind: 'mounting-line', mountingLineId: 'leg-right' },
    });
    const plate = await screen.findByRole('region', { name: 'Plate of the fine filter' });
    expect(within(plate).getByRole('link', { name: 'DXF' }).getAttribute('href')).toBe(
      '/api/builds/test/fixings/fine.dxf',
    );
    expect(plate.textContent).toContain('steel, 3 mm');
    const drawn = [...plate.querySelectorAll('svg[role=img] text')].map((t) => t.textContent);
    expect(drawn).toContain('140');
  });

  test('keeps where it sat when it was drilled, until a new one is made', async () => {
    const edited = open(lantern, 'placements:fine-filter');
    await userEvent.click(await screen.findByRole('button', { name: 'It is drilled, here' }));
    const { x, y, z, fixing } = edited.document.placements['fine-filter']!;
    expect(fixing!.drilled).toEqual({ x, y, z });
    const anew = await screen.findByRole('button', { name: /^A new one is made/ });
    await userEvent.click(anew);
    expect(edited.document.placements['fine-filter']!.fixing!.drilled).toBeNull();
    expect(edited.commands).toHaveLength(2);
  });

  test('an absurd plate is refused at its field', async () => {
    const edited = open(lantern, 'placements:pump');
    await type(await screen.findByLabelText('Plate thickness'), '90 mm');
    expect(await screen.findByText(/a plate must be from 0.5 to 20 mm thick/i)).toBeTruthy();
    expect(edited.commands).toHaveLength(0);
  });

  test('bolts that are not made leave no plate, and a finding says so', async () => {
    const edited = open(lantern, 'placements:ecu');
    await type(await screen.findByLabelText('Air behind the part'), '195 mm');
    expect(await screen.findAllByText('Bolts of that length are not made')).not.toHaveLength(0);
    expect(screen.queryByRole('region', { name: 'Plate of the ecu' })).toBeNull();
    expect(edited.commands).toHaveLength(1);
  });
});

describe('what lies over a line and holds it', () => {
  test('a cover is put on, said to bear less, and taken off', async () => {
    const edited = open(lantern, 'feed');
    await userEvent.click(await screen.findByRole('button', { name: 'Put a cover over it' }));
    const covers = () => Object.values(edited.document.routes['feed']!.covers);
    expect(covers()).toMatchObject([{ kind: 'heat-sleeve', from: null, to: null }]);
    await type(await screen.findByLabelText('Bears beside it'), '200 °C');
    expect(await screen.findAllByText('Cover is not rated for the heat')).not.toHaveLength(0);
    await userEvent.click(screen.getByRole('button', { name: 'Remove it' }));
    expect(covers()).toEqual([]);
  });

  test('clamps are placed as the rule has them, and given back to it', async () => {
    const edited = open(lantern, 'return');
    await userEvent.click(await screen.findByRole('button', { name: 'Place them myself' }));
    const clamps = () => Object.values(edited.document.routes['return']!.clamps);
    expect(clamps().map(({ at }) => at.value)[0]).toBeCloseTo(0.12, 9);
    expect(clamps().length).toBeGreaterThan(8);
    await userEvent.click(await screen.findByRole('button', { name: 'By the rule again' }));
    expect(clamps()).toEqual([]);
  });

  test('two angled ends are told on a clock face, a straight one is not', async () => {
    open(lantern, 'pump-inlet');
    const face = await screen.findByRole('region', { name: 'Clocking' });
    expect(face.textContent).toContain('6 o’clock');
    cleanup();
    open(lantern, 'pump-outlet');
    expect(await screen.findByRole('region', { name: 'Clamps' })).toBeTruthy();
    expect(screen.queryByRole('region', { name: 'Clocking' })).toBeNull();
  });
});

describe('the tank', () => {
  test('is chosen by its circuit, with its own fields and the caution on hot work', async () => {
    renderInBuild(kittiwake, <TankScreen />, '/?circuit=methanol');
    expect(await screen.findByRole('heading', { level: 2, name: /20 L stainless/ })).toBeTruthy();
    expect(document.body.textContent).toContain('An "empty" tank is the dangerous one');
    expect(document.body.textContent).not.toMatch(/NaN|undefined|\{\w+\}/);
  });

  test('without a box on the map says so, and takes the one that is chosen', async () => {
    const edited = renderInBuild(withValueAt(lantern, 'tanks', {}), <TankScreen />);
    expect(await screen.findByText(/Say which box on the map it is/)).toBeTruthy();
    await userEvent.click(screen.getByLabelText('Its box on the map'));
    await userEvent.click(screen.getByRole('option', { name: 'Fuel tank' }));
    expect(edited.document.tanks['tank']).toMatchObject({ solidId: 'tank', rollOver: false });
    expect(await screen.findAllByText('Vent stays open in a roll-over')).not.toHaveLength(0);
  });

  test('shows its pickup dry where the push drives the fuel away', async () => {
    renderInBuild(lantern, <TankScreen />);
    expect(await screen.findByRole('img', { name: /braking$/ })).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: 'Accelerating' }));
    expect(
      await screen.findByRole('img', { name: /accelerating: the pickup is dry$/ }),
    ).toBeTruthy();
  });
});

describe('how injectors sit', () => {
  test('is begun with what the injector asks, and judged', async () => {
    const none = withValueAt(lantern, 'injectorRows.primary.seating', null);
    const edited = renderInBuild(none, <InjectorsScreen />);
    await userEvent.click(await screen.findByRole('button', { name: 'Begin with what I650 asks' }));
    expect(edited.document.injectorRows['primary']!.seating).toMatchObject({
      retention: 'both',
      bossSpacing: null,
    });
    await type(await screen.findByLabelText('From seat to seat'), '52 mm');
    expect(await screen.findAllByText('Injector is too short for its seats')).not.toHaveLength(0);
  });
});
