import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import {
  type BuildDocument,
  architectureNotes,
  kittiwake,
  lantern,
  otherArchitectures,
  readBuild,
} from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { LayoutsScreen } from './LayoutsScreen.tsx';

afterEach(cleanup);
const open = (build: BuildDocument, address = '/') =>
  renderInBuild(build, <LayoutsScreen />, address);
const firstCircuit = (build: BuildDocument) => readBuild(build).fuelCircuits[0]!;
const sideBySide = () => screen.findByRole('table', { name: 'Side by side' });
const valuesOf = async (label: RegExp): Promise<readonly string[]> =>
  within(within(await sideBySide()).getByRole('row', { name: label }))
    .getAllByRole('cell')
    .slice(1)
    .map((cell) => cell.textContent ?? '');

describe('other layouts of a circuit', () => {
  test('are all but the one it has, each with when it is chosen and what it gives up', async () => {
    open(lantern);
    const others = otherArchitectures(firstCircuit(lantern));
    const offered = within(screen.getByRole('radiogroup', { name: 'Other layouts' }))
      .getAllByRole('radio')
      .map((each) => each.textContent);
    expect(offered).toEqual(others.map((architecture) => architectureNotes[architecture].name));
    for (const architecture of others) {
      const { name, chosenWhen, givesUp } = architectureNotes[architecture];
      await userEvent.click(screen.getByRole('radio', { name }));
      const told = screen.getByRole('complementary', { name: 'Inspector' }).textContent;
      expect(told).toContain(chosenWhen);
      expect(told).toContain(givesUp);
    }
  });

  test('are solved on the same demand: beside each other stand figures of both', async () => {
    open(lantern);
    const { name } = architectureNotes['return-at-tank'];
    await userEvent.click(screen.getByRole('radio', { name }));
    await waitFor(async () => {
      const [own, other] = await valuesOf(/^Δp at peak/);
      expect(own).toMatch(/\d+ kPa/);
      expect(other).toMatch(/\d+ kPa/);
    });
    // Set at the tank, pressure is lost on the way to the rail: less is left at the injectors.
    const [own, other] = (await valuesOf(/^Δp at peak/)).map(parseFloat);
    expect(other).toBeLessThan(own!);
  });

  test('one is taken as one edit; what it asks for is put beside what is there', async () => {
    const edited = open(lantern);
    const { name } = architectureNotes['return-before-rail'];
    await userEvent.click(screen.getByRole('radio', { name }));
    await userEvent.click(screen.getByRole('button', { name: 'Lay it out like this' }));
    expect(edited.commands).toHaveLength(1);
    expect(firstCircuit(edited.document).architecture).toBe('return-before-rail');
    const pumps = ({ elements }: ReturnType<typeof firstCircuit>) =>
      elements.filter(({ kind }) => kind === 'pump').length;
    expect(pumps(firstCircuit(edited.document))).toBe(pumps(firstCircuit(lantern)));
  });
});

describe('a second fuel', () => {
  test('gets a circuit, a tank and a staged row of its own, and can be taken out again', async () => {
    const edited = open(lantern);
    const form = screen.getByRole('region', { name: 'A second fuel' });
    await userEvent.click(within(form).getByRole('button', { name: 'Add a circuit for it' }));
    const build = readBuild(edited.document);
    expect(build.fuelCircuits).toHaveLength(2);
    expect(build.fuels.map(({ kind }) => kind)).toContain('methanol');
    expect(build.injectorRows).toHaveLength(2);
    expect(build.injectorRows[1]!.circuitId).toBe(build.fuelCircuits[1]!.id);
    await userEvent.click(await within(form).findByRole('button', { name: /^Take the .* out/ }));
    const back = readBuild(edited.document);
    expect(back.fuelCircuits.map(({ id }) => id)).toEqual(['main']);
    expect(back.injectorRows).toHaveLength(1);
  });

  test('a third stands beside the two that are there, which stay as they are', async () => {
    const edited = open(kittiwake);
    await userEvent.click(screen.getByRole('button', { name: 'Add a circuit for it' }));
    const { fuelCircuits, injectorRows, fuels } = edited.document;
    expect(fuelCircuits).toMatchObject(kittiwake.fuelCircuits);
    // The rows give each a part of theirs to the new one: together they still give all fuel.
    const shares = Object.values(injectorRows).map(({ airShare }) => airShare.value);
    expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
    expect(fuels).toMatchObject(kittiwake.fuels);
    expect(Object.keys(fuelCircuits)).toHaveLength(3);
    expect(new Set(Object.values(injectorRows).map(({ circuitId }) => circuitId)).size).toBe(3);
  });
});
