import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, kittiwake, lantern, sandpiper } from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { CircuitScreen } from './CircuitScreen.tsx';

afterEach(cleanup);
const open = (build: BuildDocument, address = '/') =>
  renderInBuild(build, <CircuitScreen />, address);
const drawing = () => screen.getByRole('listbox', { name: 'Fuel run from tank to engine' });
const drawn = (name: string) => within(drawing()).getByRole('option', { name });
const inspected = () => screen.getByRole('complementary', { name: 'Inspector' });
const inCase = () => within(inspected()).queryByRole('region', { name: 'In the case shown' });
const names = (build: BuildDocument, circuitId: string) =>
  Object.values(build.fuelCircuits[circuitId]!.elements).map(({ name }) => name);

describe('the fuel run as it is drawn', () => {
  test.each([
    ['Lantern', lantern],
    ['Sandpiper', sandpiper],
    ['Kittiwake', kittiwake],
  ])('has every element of the first circuit of %s', (_, build) => {
    open(build);
    const [circuitId] = Object.keys(build.fuelCircuits);
    const shown = within(drawing())
      .getAllByRole('option')
      .map((each) => each.getAttribute('aria-label'));
    expect([...new Set(shown)].sort()).toEqual(names(build, circuitId!).sort());
  });

  test('is walked with arrows: what is reached is told beside it', async () => {
    open(lantern, '/?element=suction');
    expect(drawn('Suction hose').getAttribute('aria-selected')).toBe('true');
    drawing().focus();
    await userEvent.keyboard('{ArrowRight}');
    expect(drawn('Coarse filter').getAttribute('aria-selected')).toBe('true');
    expect(within(inspected()).getByRole('heading', { level: 2 }).textContent).toBe(
      'Coarse filter',
    );
    await userEvent.keyboard('{Home}');
    expect(drawn(names(lantern, 'main')[0]!).getAttribute('aria-selected')).toBe('true');
  });

  test('of a second fuel is one press away', async () => {
    open(kittiwake);
    await userEvent.click(screen.getByRole('radio', { name: 'Methanol circuit' }));
    await waitFor(() => expect(drawn('Methanol pump')).toBeTruthy());
    expect(within(drawing()).queryByRole('option', { name: 'Second pump' })).toBeNull();
  });
});

describe('a case that is looked at', () => {
  test('is told beside the element: a lost pump stands, the other gives all of it', async () => {
    open(kittiwake, '/?element=pump');
    expect(inCase()).toBeNull();
    await userEvent.click(screen.getByRole('radio', { name: 'Pump lost' }));
    expect(inCase()?.textContent).toContain('nothing flows');
    expect(inCase()?.textContent).toContain('stands still');
    await userEvent.click(drawn('Second pump'));
    expect(inCase()?.textContent).not.toContain('stands still');
    expect(inCase()?.textContent).toMatch(/Flow\d+ L\/h/);
    expect(inCase()?.textContent).toMatch(/Voltage1[0-3](\.\d)? V/);
  });

  test('asks less of the pump at idle than at peak, and says so at the gauge', async () => {
    open(lantern, '/?element=feed');
    const gauge = () => Number(/should read (\d+) kPa/.exec(document.body.textContent)?.[1]);
    const atPeak = gauge();
    await userEvent.click(screen.getByRole('radio', { name: 'Hot idle' }));
    // Regulated above a manifold that is below the air: the gauge falls with it.
    expect(gauge()).toBeLessThan(atPeak);
    expect(gauge()).toBeGreaterThan(100);
    expect(inCase()?.textContent).toContain('Hot idle');
  });
});

describe('the run changed from the screen', () => {
  test('takes a filter out, and it is drawn no more', async () => {
    const edited = open(lantern, '/?element=fine');
    await userEvent.click(screen.getByRole('button', { name: 'Remove Fine filter' }));
    expect(edited.commands.map(({ name }) => name)).toEqual(['remove-element']);
    expect(names(edited.document, 'main')).not.toContain('Fine filter');
    await waitFor(() =>
      expect(within(drawing()).queryByRole('option', { name: 'Fine filter' })).toBeNull(),
    );
  });

  test('puts a filter in behind what is looked at, and looks at it', async () => {
    const edited = open(lantern, '/?element=feed');
    const before = names(lantern, 'main').length;
    await userEvent.click(screen.getByRole('button', { name: 'Insert after Feed line' }));
    const menu = await screen.findByRole('menu');
    await userEvent.click(within(menu).getByRole('menuitem', { name: /filter/i }));
    expect(names(edited.document, 'main')).toHaveLength(before + 1);
    const [command] = edited.commands;
    if (command?.name !== 'insert-element') throw new Error('nothing was put in');
    expect(command.afterId).toBe('feed');
    await waitFor(() =>
      expect(drawn(command.element.name).getAttribute('aria-selected')).toBe('true'),
    );
  });

  test('refuses to move the first hose out of the tank, in words', async () => {
    const edited = open(lantern, '/?element=tank-bung');
    await userEvent.click(screen.getByRole('button', { name: /towards the tank$/ }));
    expect(edited.commands).toEqual([]);
    expect(screen.getByRole('alert').textContent?.length).toBeGreaterThan(10);
  });

  test('takes another part, whose loss is another', async () => {
    const edited = open(lantern, '/?element=feed');
    const loss = () => /Loss([\d.]+) kPa/.exec(inspected().textContent ?? '')?.[1];
    const before = Number(loss());
    await userEvent.click(screen.getByLabelText('Part'));
    await userEvent.click(screen.getByRole('option', { name: /HBR −8/ }));
    const [command] = edited.commands;
    expect(command).toMatchObject({ name: 'choose-part', elementId: 'feed' });
    await waitFor(() => expect(Number(loss())).toBeLessThan(before));
  });

  test('keeps what was typed wrongly, and says why', async () => {
    const edited = open(lantern, '/?element=pump');
    const wear = screen.getByLabelText('Wear');
    await userEvent.clear(wear);
    await userEvent.type(wear, 'much{Enter}');
    expect(edited.commands).toEqual([]);
    expect((wear as HTMLInputElement).value).toBe('much');
    expect(screen.getByRole('alert').textContent).toMatch(/number|%/);
  });
});
