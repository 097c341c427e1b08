import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, kittiwake, lantern, sandpiper } from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { evaluationWork } from '../../evaluation/evaluationWork.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { PinsScreen } from './PinsScreen.tsx';

afterEach(cleanup);
const open = (build: BuildDocument) => renderInBuild(build, <PinsScreen />);
const cavities = (plug: string) =>
  screen.findByRole('listbox', { name: `Cavities of connector ${plug}` });
const cavity = async (plug: string, id: string) =>
  within(await cavities(plug)).getByRole('option', { name: new RegExp(`^${id}, `) });
const onPin = () => screen.getByRole('region', { name: /^Pin / });
const ended = (build: BuildDocument, deviceId: string) =>
  Object.values(build.devices[deviceId]!.connections);

describe('the face of a controller', () => {
  test('has every cavity of the plug, and tells what is on the one that is picked', async () => {
    open(lantern);
    const plug = await cavities('A');
    expect(within(plug).getAllByRole('option')).toHaveLength(18);
    await userEvent.click(await cavity('A', 'A01'));
    expect(onPin().textContent).toContain('Pin A01');
    expect(onPin().textContent).toMatch(/Constant supply/i);
  });

  test('is walked without a mouse: what has the focus is picked with Enter', async () => {
    open(lantern);
    const second = await cavity('A', 'A02');
    second.focus();
    await userEvent.keyboard('{Enter}');
    expect(second.getAttribute('aria-selected')).toBe('true');
    expect(onPin().textContent).toContain('Pin A02');
  });

  test('seen from the mating side is the mirror of the wire side', async () => {
    open(sandpiper);
    const xs = async (): Promise<number[]> =>
      within(await cavities('A'))
        .getAllByRole('option')
        .map((each) => Number(each.querySelector('rect')!.getAttribute('x')));
    const fromWires = await xs();
    await userEvent.click(screen.getByRole('radio', { name: 'Mating side' }));
    const mating = await xs();
    const sums = fromWires.map((x, i) => x + mating[i]!);
    expect(mating).not.toEqual(fromWires);
    for (const sum of sums) expect(sum).toBeCloseTo(sums[0]!, 9);
  });

  test('another unit of the vehicle is one press away', async () => {
    open(kittiwake);
    await cavities('D');
    await userEvent.click(screen.getByRole('radio', { name: 'Power module' }));
    await waitFor(() => expect(screen.queryByRole('listbox', { name: /plug D/ })).toBeNull());
    expect(within(await cavities('B')).getAllByRole('option')).toHaveLength(16);
  });
});

describe('a signal and its pin', () => {
  const table = () => screen.findByRole('table', { name: /^Signals of / });
  test('are parted and joined by one choice each; only pins that can do it are offered', async () => {
    const edited = open(sandpiper);
    const [select] = within(await table()).getAllByRole('combobox', { name: /^Pin of Injector/ });
    const was = select!.textContent;
    const name = select!.getAttribute('aria-label')!;
    await userEvent.click(select!);
    await userEvent.click(screen.getByRole('option', { name: 'none yet' }));
    expect(edited.commands).toHaveLength(1);
    await waitFor(() => expect(screen.getByLabelText(name).textContent).toBe('none yet'));
    await userEvent.click(screen.getByLabelText(name));
    const choices = within(screen.getByRole('listbox', { name: '' })).getAllByRole('option');
    expect(choices.some((each) => each.textContent?.startsWith(was!))).toBe(true);
    await userEvent.click(choices.find((each) => each.textContent?.startsWith(was!))!);
    await waitFor(() => expect(screen.getByLabelText(name).textContent).toContain(was));
  });

  test('a pump that is left to the unit is on its own output: there is no such thing as none', async () => {
    open(sandpiper);
    const [relay] = within(await table()).getAllByRole('combobox', { name: /fuel pump/ });
    await userEvent.click(relay!);
    const choices = screen.getAllByRole('option').map((each) => each.textContent);
    expect(choices).not.toContain('none yet');
    expect(choices.filter((each) => each?.includes('its own output'))).toHaveLength(1);
  });

  test('what is settled is said so in the build', async () => {
    const edited = open(lantern);
    const [tick] = within(await table()).getAllByRole('checkbox');
    await userEvent.click(tick!);
    const [command] = edited.commands;
    if (command?.name !== 'connect-pin' || command.owner.kind !== 'device') {
      throw new Error('no pin was settled');
    }
    const locked = ended(edited.document, command.owner.id).filter(
      (each) => each.to === 'controller' && each.locked,
    );
    expect(locked.length).toBeGreaterThan(0);
  });

  test('what is left of each kind of pin is told', async () => {
    open(lantern);
    await table();
    const left = screen.getByRole('region', { name: 'Left over' });
    const counts = within(left)
      .getAllByRole('definition')
      .map((each) => Number(each.textContent));
    const sheet = evaluationWork.pins(lantern, 'ecu')!;
    expect(counts).toEqual(sheet.spare.map(({ count }) => count));
    const free = sheet.pins.filter(({ uses }) => uses.length === 0).length;
    expect(Math.max(...counts)).toBeLessThanOrEqual(free);
  });
});
