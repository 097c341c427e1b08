import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, kittiwake, lantern, readBuild } from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { useBuild } from '../../build/BuildContext.ts';
import { choose, stroke } from '../../tests/fields.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { OperationScreen } from './OperationScreen.tsx';

afterEach(cleanup);

async function open(build: BuildDocument) {
  const edited = renderInBuild(build, <OperationScreen />);
  await screen.findByRole('application', { name: /over the map/ });
  return edited;
}
const map = () => screen.getByRole('application', { name: /over the map/ });
const look = (name: string) => userEvent.click(screen.getByRole('radio', { name }));
const caption = () => document.querySelector('figcaption')!;
const worst = () => {
  const [, value, speed] = /^Worst (\S+ ?\S*) at (\d+) rpm/.exec(caption().textContent)!;
  return { value: parseFloat(value!.replace('−', '-')), speed: Number(speed) };
};
const here = (): string => caption().querySelector('[aria-live]')!.textContent;
const valueHere = (): number => parseFloat(here().split(': ')[1]!.replace('−', '-'));

describe('the operating map', () => {
  test.each([
    ['Sag of injector Δp', 'higher'],
    ['Injector duty', 'higher'],
    ['Pump margin', 'lower'],
    ['Injector Δp', 'lower'],
    ['Above boiling', 'lower'],
  ])('of %s begins where it is worst: no cell beside it is %s', async (name, worse) => {
    await open(lantern);
    await look(name);
    await waitFor(() => expect(map().getAttribute('aria-label')).toContain(name));
    const most = valueHere();
    expect(most).toBeCloseTo(worst().value, 6);
    for (const key of ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown']) {
      stroke(map(), key);
      const value = valueHere();
      if (Number.isFinite(value)) {
        if (worse === 'higher') expect(value).toBeLessThanOrEqual(most + 1e-9);
        else expect(value).toBeGreaterThanOrEqual(most - 1e-9);
      }
      // And back.
      const back = {
        ArrowLeft: 'ArrowRight',
        ArrowRight: 'ArrowLeft',
        ArrowUp: 'ArrowDown',
        ArrowDown: 'ArrowUp',
      };
      stroke(map(), back[key as keyof typeof back]);
    }
  });

  test('a limit that stops is told, on the side on which it is', async () => {
    await open(lantern);
    await look('Injector duty');
    await waitFor(() => expect(caption().textContent).toContain('; stop above 80 %'));
    await look('Pump margin');
    await waitFor(() => expect(caption().textContent).toMatch(/; stop below 0 ?%?/));
  });
});

describe('a point of it', () => {
  const run = () => screen.findByRole('table', { name: 'Along the run' });
  const pressures = async (): Promise<readonly number[]> =>
    within(await run())
      .getAllByRole('row')
      .slice(1)
      .map((row) => parseFloat(within(row).getAllByRole('cell')[2]!.textContent.replace('−', '-')));

  test('is solved along its run: behind the pump pressure only falls to the regulator', async () => {
    await open(lantern);
    const names = within(await run())
      .getAllByRole('row')
      .slice(1)
      .map((row) => within(row).getAllByRole('cell')[0]!.textContent);
    const values = await pressures();
    const [pump, regulator] = [names.indexOf('Fuel pump'), names.indexOf('Pressure regulator')];
    expect(pump).toBeGreaterThan(0);
    expect(regulator).toBeGreaterThan(pump);
    for (let k = pump + 1; k <= regulator; k++) {
      expect(values[k]).toBeLessThanOrEqual(values[k - 1]! + 15);
    }
  });

  test('is another one where another is looked at', async () => {
    await open(lantern);
    await run();
    const inspector = screen.getByRole('complementary', { name: 'Inspector' });
    const speed = () => within(inspector).getByRole('heading', { level: 2 }).textContent;
    const before = speed();
    stroke(map(), 'ArrowLeft');
    await waitFor(() => expect(speed()).not.toBe(before));
    expect(speed()).toBe(`${here().split(':')[0]}`);
  });

  test('belongs to the circuit that is chosen', async () => {
    await open(kittiwake);
    await choose('Circuit', 'Methanol circuit');
    await waitFor(async () => expect((await run()).textContent).toMatch(/methanol/i));
    await choose('Circuit', readBuild(kittiwake).fuelCircuits[0]!.name);
    await waitFor(async () => expect((await run()).textContent).not.toMatch(/methanol/i));
  });

  test('stays while the next is solved, also when something of its run is taken out', async () => {
    const TakeOut = () => {
      const { edit } = useBuild();
      const command = {
        name: 'remove-element',
        circuitId: 'main',
        elementId: 'coarse',
        assemblies: {},
      } as const;
      return (
        <button type="button" onClick={() => edit(command)}>
          Remove it
        </button>
      );
    };
    const edited = renderInBuild(
      lantern,
      <>
        <TakeOut />
        <OperationScreen />
      </>,
    );
    expect((await run()).textContent).toContain('Coarse filter');
    await userEvent.click(screen.getByRole('button', { name: 'Remove it' }));
    expect(edited.commands).toHaveLength(1);
    await waitFor(async () => expect((await run()).textContent).not.toContain('Coarse filter'));
  });
});
