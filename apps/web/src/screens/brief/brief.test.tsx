import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, lantern, readBuild, sandpiper } from '@brookrain/core';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { BriefScreen } from './BriefScreen.tsx';

afterEach(cleanup);
const open = (build: BuildDocument) => renderInBuild(build, <BriefScreen />);
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);
async function type(label: string, text: string): Promise<void> {
  await userEvent.clear(field(label));
  await userEvent.type(field(label), `${text}{Enter}`);
}
const problems = () => screen.queryAllByRole('alert').map((each) => each.textContent ?? '');

describe('facts of the brief', () => {
  test.each([
    ['Power', '225 hp', 'power', 225 * 745.699872],
    ['Displacement', '146 ci', 'displacement', 146 * 1.6387064e-5],
    ['Boost, gauge', '12 psi', 'boost', 12 * 6894.757293],
    ['Altitude', '3000 ft', 'altitude', 3000 * 0.3048],
    ['Hot day', '100 °F', 'ambientHot', (100 - 32) / 1.8 + 273.15],
  ] as const)('%s typed as %s is kept in SI, and shown as typed', async (label, text, key, si) => {
    const edited = open(lantern);
    await type(label, text);
    expect(edited.document.brief[key].value / si).toBeCloseTo(1, 5);
    expect(field(label).value).toBe(text);
    expect(problems()).toEqual([]);
  });

  test.each([
    ['Power', 'many', /number/],
    ['Power', '168 kPa', /kW|unit/],
    ['Power', '1,000 kW', /in two ways: type 1\D?000 kW or 1\D?\d* kW/],
    ['Cylinders', 'four', /whole number/],
    ['Cylinders', '0', /from 1/],
  ])('%s typed as "%s" is refused at its field, and stays there', async (label, text, words) => {
    const edited = open(lantern);
    await type(label, text);
    expect(problems().join(' ')).toMatch(words);
    expect(field(label).value).toBe(text);
    expect(edited.commands).toEqual([]);
    // Escape brings back what holds.
    await userEvent.type(field(label), '{Escape}');
    expect(field(label).value).not.toBe(text);
    expect(problems()).toEqual([]);
  });

  test('an engine that becomes boosted has a boost to type before its curve is drawn', async () => {
    const edited = open(sandpiper);
    expect(screen.getByText(/No boost in this brief/)).toBeTruthy();
    await userEvent.click(screen.getByLabelText('Induction'));
    await userEvent.click(screen.getByRole('option', { name: 'turbocharged' }));
    expect(edited.document.brief.aspiration).toBe('turbo');
    await type('Boost, gauge', '0.6 bar');
    const { boost, boostCurve } = readBuild(edited.document).brief;
    expect(boost.value).toBeCloseTo(0.6e5, 6);
    // The boost reaches the engine: a curve of noughts would do nothing.
    expect(Math.max(...boostCurve.map(({ value }) => value.value))).toBeGreaterThan(0.9);
    await waitFor(() =>
      expect(screen.getAllByRole('slider', { name: /^Boost, point/ })).toBeTruthy(),
    );
  });

  test('an engine that becomes natural has no boost, and no curve of it to draw', async () => {
    const edited = open(lantern);
    expect(screen.getAllByRole('slider', { name: /^Boost, point/ }).length).toBeGreaterThan(2);
    await userEvent.click(screen.getByLabelText('Induction'));
    await userEvent.click(screen.getByRole('option', { name: 'natural' }));
    expect(edited.document.brief.boost.value).toBe(0);
    expect(screen.queryByRole('slider', { name: /^Boost, point/ })).toBeNull();
  });
});

describe('a curve of the engine', () => {
  const point = (n: number) =>
    screen.getByRole('slider', { name: `Volumetric efficiency, point ${n}` });
  const press = (n: number, key: string, shiftKey = false): void => {
    point(n).focus();
    fireEvent.keyDown(point(n), { key, shiftKey });
    fireEvent.keyUp(point(n), { key, shiftKey });
  };
  const curve = (build: BuildDocument) => readBuild(build).brief.volumetricEfficiencyCurve;

  test('is stepped with arrow keys, one edit a step', () => {
    const edited = open(lantern);
    const before = curve(lantern)[2]!;
    press(3, 'ArrowUp');
    const up = curve(edited.document)[2]!;
    expect(up.value.value).toBeCloseTo(before.value.value + 0.01, 9);
    expect(up.speed.value).toBeCloseTo(before.speed.value, 9);
    press(3, 'ArrowUp', true);
    expect(curve(edited.document)[2]!.value.value).toBeCloseTo(before.value.value + 0.06, 9);
    expect(edited.commands).toHaveLength(2);
  });

  test('keeps its points in their order, however far one is stepped', () => {
    const edited = open(lantern);
    for (let n = 0; n < 40; n++) press(3, 'ArrowRight', true);
    const speeds = curve(edited.document).map(({ speed }) => speed.value);
    expect(speeds).toHaveLength(curve(lantern).length);
    for (let i = 1; i < speeds.length; i++) expect(speeds[i]).toBeGreaterThan(speeds[i - 1]!);
  });

  test('goes no higher than an engine can', () => {
    const edited = open(lantern);
    for (let n = 0; n < 20; n++) press(1, 'ArrowUp', true);
    expect(curve(edited.document)[0]!.value.value).toBeCloseTo(1.4, 9);
  });

  test('is taken from what is usual in one press', async () => {
    const edited = open(lantern);
    await userEvent.click(
      screen.getByRole('button', { name: 'Use the usual curves of this engine type' }),
    );
    expect(edited.commands.map(({ name }) => name)).toEqual(['set-several']);
    const speeds = curve(edited.document).map(({ speed }) => speed.value);
    expect(Math.max(...speeds)).toBeCloseTo(lantern.brief.limiterSpeed.value, 0);
  });
});

test('a blend that becomes methanol is no blend any more', async () => {
  const edited = open(lantern);
  expect(field('Ethanol by volume')).toBeTruthy();
  await userEvent.click(screen.getByLabelText('Fuel'));
  await userEvent.click(screen.getByRole('option', { name: 'methanol' }));
  const [fuel] = Object.values(edited.document.fuels);
  expect(fuel).toMatchObject({ kind: 'methanol' });
  expect(fuel).not.toHaveProperty('ethanol');
  expect(screen.queryByLabelText('Ethanol by volume')).toBeNull();
});
