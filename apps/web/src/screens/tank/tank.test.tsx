import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, kittiwake, lantern, readBuild } from '@brookrain/core';
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { choose, field, offered, problems, type } from '../../tests/fields.ts';
import { figureShown, numberShown } from '../../tests/figureShown.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { TankScreen } from './TankScreen.tsx';

afterEach(cleanup);
const open = (build: BuildDocument, address = '/') => renderInBuild(build, <TankScreen />, address);
const tankOf = (build: BuildDocument) =>
  readBuild(build).tanks.find(({ circuitId }) => circuitId === 'main')!;
const drive = (how: string) => userEvent.click(screen.getByRole('radio', { name: how }));
const drawing = () => screen.getByRole('img', { name: /^Tank with a quarter of its fuel/ });
const pickupIsDry = (): boolean =>
  /: the pickup is dry$/.test(drawing().getAttribute('aria-label')!);

describe('a tank that is driven', () => {
  const ways = [
    ['Braking', 'braking', 'From the right'],
    ['Accelerating', 'accelerating', 'From the right'],
    ['Climbing', 'climbing', 'From the right'],
    ['In a left turn', 'leftTurn', 'From behind'],
    ['In a right turn', 'rightTurn', 'From behind'],
  ] as const;

  test.each(ways)('%s: a quarter tank is dry just where its figure says so', async (...way) => {
    const [name, key, seen] = way;
    open(lantern);
    await drive(name);
    expect(screen.getByText(new RegExp(`^${seen}`))).toBeTruthy();
    // Deep in a push is what is left of what can be used: a quarter of it is what is drawn.
    const tank = readBuild(lantern).fuelCircuits[0]!.elements.find(({ kind }) => kind === 'tank')!;
    const quarter = 'usableVolume' in tank ? (1000 * tank.usableVolume.value) / 4 : 0;
    expect(quarter).toBeCloseTo(19.5, 9);
    expect(pickupIsDry()).toBe(numberShown(`tank.starve.${key}`) > quarter);
  });

  test('the drawing holds a quarter of the box, however it is pushed', async () => {
    open(lantern);
    const area = (points: readonly (readonly [number, number])[]): number =>
      Math.abs(
        points.reduce((sum, [x, y], i) => {
          const [u, v] = points[(i + 1) % points.length]!;
          return sum + (x * v - u * y) / 2;
        }, 0),
      );
    for (const [name] of ways) {
      await drive(name);
      const fuel = drawing().querySelector('path')!.getAttribute('d')!;
      const corners = fuel
        .slice(1, -1)
        .split('L')
        .map((corner) => corner.split(' ').map(Number) as [number, number]);
      const box = drawing().querySelector('rect')!;
      const whole = Number(box.getAttribute('width')) * Number(box.getAttribute('height'));
      expect(area(corners) / whole).toBeCloseTo(0.25, 6);
    }
  });
});

describe('what is in a tank and on it', () => {
  test('a larger swirl pot lasts longer in proportion', async () => {
    const edited = open(lantern);
    const before = numberShown('tank.swirlLasts');
    await type('Swirl pot or baffled volume', '2 L');
    expect(tankOf(edited.document).swirl!.value).toBeCloseTo(0.002, 12);
    await waitFor(() => expect(numberShown('tank.swirlLasts') / before).toBeCloseTo(2, 2));
  });

  test('a pickup that stands higher leaves more behind, in proportion on a level floor', async () => {
    open(lantern);
    const litres = numberShown('tank.belowPickup');
    await type('Pickup above the bottom', '20 mm');
    await waitFor(() => expect(numberShown('tank.belowPickup') / litres).toBeCloseTo(2, 2));
  });

  test.each([
    ['Sock on the pickup', 'sock'],
    ['Baffles', 'baffle'],
    ['Vent closes when it rolls over', 'rollOver'],
    ['Drain at the lowest place', 'drain'],
  ] as const)('%s is ticked and unticked', async (label, key) => {
    const edited = open(lantern);
    const before = tankOf(lantern)[key];
    await userEvent.click(screen.getByRole('checkbox', { name: label }));
    expect(tankOf(edited.document)[key]).toBe(!before);
    await userEvent.click(screen.getByRole('checkbox', { name: label }));
    expect(tankOf(edited.document)[key]).toBe(before);
  });

  test.each([
    ['Pickup above the bottom', '-5 mm'],
    ['Usable volume', 'full'],
    ['Usable volume', '3 m'],
  ])('%s of "%s" is refused, and stays in the field', async (label, text) => {
    const edited = open(lantern);
    await type(label, text);
    expect(problems()).toHaveLength(1);
    expect(field(label).value).toBe(text);
    expect(edited.commands).toEqual([]);
  });
});

describe('the box of a tank', () => {
  test('is one of the tanks on the map; without it there is nothing to look at', async () => {
    const edited = open(lantern);
    const boxes = readBuild(lantern).solids.filter(({ part }) => part === 'tank');
    expect(await offered('Its box on the map')).toEqual([
      'not said',
      ...boxes.map(({ name }) => name),
    ]);
    await choose('Its box on the map', 'not said');
    expect(readBuild(edited.document).tanks).toEqual([]);
    expect(screen.queryByRole('img')).toBeNull();
    expect(screen.getByText(/Say which box on the map it is/)).toBeTruthy();
    expect(screen.queryByLabelText('Pickup above the bottom')).toBeNull();
  });

  test('said again it is a tank as one finds it', async () => {
    const { circuitId, elementId, solidId } = tankOf(lantern);
    const edited = open(lantern);
    await choose('Its box on the map', 'not said');
    await choose('Its box on the map', 'Fuel tank');
    expect(tankOf(edited.document)).toMatchObject({ circuitId, elementId, solidId });
    expect(drawing()).toBeTruthy();
    expect(figureShown('tank.belowPickup')).toMatch(/ L$/);
  });
});

test('each circuit has its own tank', async () => {
  open(kittiwake);
  const names = readBuild(kittiwake).fuelCircuits.map(
    ({ elements }) => elements.find(({ kind }) => kind === 'tank')!.name,
  );
  expect(screen.getByRole('heading', { level: 2, name: names[0]! })).toBeTruthy();
  const [, second] = readBuild(kittiwake).fuelCircuits;
  await userEvent.click(screen.getByRole('radio', { name: second!.name }));
  expect(screen.getByRole('heading', { level: 2, name: names[1]! })).toBeTruthy();
  expect(figureShown('tank.methanol.belowPickup')).toMatch(/ L$/);
});
