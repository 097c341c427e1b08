import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, kittiwake, lantern, sandpiper } from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { light } from '../../build/lit.ts';
import { choose, field, offered, problems, type } from '../../tests/fields.ts';
import { numberShown } from '../../tests/figureShown.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { WiringScreen } from './WiringScreen.tsx';

beforeEach(() => light({}));
afterEach(cleanup);

async function open(build: BuildDocument) {
  const edited = renderInBuild(build, <WiringScreen />);
  await screen.findByRole('listbox', { name: 'Wires of the pump circuit' });
  return edited;
}
const drawn = () =>
  within(screen.getByRole('listbox', { name: 'Wires of the pump circuit' })).getAllByRole('option');
const look = (name: RegExp) =>
  userEvent.click(
    within(screen.getByRole('listbox', { name: 'Wires of the pump circuit' })).getByRole('option', {
      name,
    }),
  );
const drop = 'wire.pumpFeed.drop';
const volts = 'case.peakPower.pump.1.voltage';
const resistance = 'wire.pumpFeed.seriesResistance';

describe('the feed of a pump as it is drawn', () => {
  test.each([
    ['Lantern', lantern],
    ['Sandpiper', sandpiper],
    ['Kittiwake', kittiwake],
  ])('of %s: every wire with its size and length, each in the list too', async (_, build) => {
    await open(build);
    const table = within(screen.getByRole('table', { name: 'Wires of the pump feeds' }));
    const listed = table.getAllByRole('button').map((each) => each.textContent);
    for (const option of drawn()) {
      const [, name] = /^(.+), [\d.]+ mm²(?:, .+)?$/.exec(option.getAttribute('aria-label')!)!;
      expect(listed).toContain(name!.replace(/, [\d.]+ mm²$/, ''));
    }
  });

  test('what is picked is told beside it', async () => {
    await open(lantern);
    await look(/^Relay, fuel pump, 85/);
    const inspector = within(screen.getByRole('complementary', { name: 'Inspector' }));
    expect(inspector.getAllByRole('heading', { level: 2 })[0]!.textContent).toBe(
      'Relay, fuel pump, 85',
    );
  });
});

describe('what is lost on the way to the pump', () => {
  test('is battery volts less current times all that lies between', async () => {
    await open(lantern);
    const current =
      (lantern.limits.voltageLow.value - numberShown(volts)) / (numberShown(resistance) / 1000);
    // 8.3 A at peak: what the pump's own page says.
    expect(current).toBeGreaterThan(7.5);
    expect(current).toBeLessThan(9);
  });

  test('is less on thicker wire, and the pump gives more', async () => {
    await open(lantern);
    await look(/^Fuel pump, supply, 4 mm²/);
    const before = [drop, volts, 'case.peakPower.pump.1.flowAvailable'].map(numberShown);
    await choose('Size', '10 mm²');
    await waitFor(() => expect(numberShown(drop)).toBeLessThan(before[0]!));
    expect(numberShown(volts)).toBeGreaterThanOrEqual(before[1]!);
    expect(numberShown('case.peakPower.pump.1.flowAvailable')).toBeGreaterThanOrEqual(before[2]!);
  });

  test('grows with the length that is measured, by its share', async () => {
    const edited = await open(lantern);
    await look(/^Fuel pump, supply, 4 mm²/);
    const before = numberShown(resistance);
    await type('Length', '12 m');
    expect(edited.document.power.wireDecisions['pump~+']!.length.typed!.value).toBeCloseTo(12, 9);
    await waitFor(() => expect(numberShown(resistance)).toBeGreaterThan(before));
  });

  test('sizes are offered from thin to thick, those in mm² first', async () => {
    await open(lantern);
    await look(/^Fuel pump, supply, 4 mm²/);
    const texts = (await offered('Size')).slice(1);
    const metric = texts.filter((text) => text.endsWith('mm²')).map((text) => parseFloat(text));
    expect(metric.length).toBeGreaterThan(10);
    expect(metric).toEqual([...metric].sort((a, b) => a - b));
    expect(texts.slice(metric.length).every((text) => text.endsWith('AWG'))).toBe(true);
    // Of gauges the larger number is the thinner wire.
    const gauges = texts.slice(metric.length).map((text) => parseFloat(text));
    expect(gauges).toEqual([...gauges].sort((a, b) => b - a));
  });

  test('less allowed is thicker wire by the rules', async () => {
    const edited = await open(lantern);
    const areas = () =>
      drawn().map((each) => Number(/, ([\d.]+) mm²/.exec(each.getAttribute('aria-label')!)![1]));
    const before = areas();
    await type('Drop allowed in wire', '0.12 V');
    expect(edited.document.limits.pumpFeedDrop.value).toBeCloseTo(0.12, 12);
    // 6 mm² is the most that its terminals take: it drops 0.136 V, and that is told.
    await waitFor(() => expect(numberShown(drop)).toBeLessThan(0.15));
    expect(await screen.findByText('Voltage drop is too high')).toBeTruthy();
    areas().forEach((area, k) => expect(area).toBeGreaterThanOrEqual(before[k]!));
    expect(Math.max(...areas())).toBeGreaterThanOrEqual(Math.max(...before));
    await look(/^Fuel pump, supply, 6 mm²/);
    expect(await screen.findByText(/^No size in the catalogue passes everything/)).toBeTruthy();
  });

  test.each(['0 V', '-1 V', '3 A'])('a drop of "%s" is refused at the field', async (text) => {
    const edited = await open(lantern);
    await type('Drop allowed in wire', text);
    expect(problems()).toHaveLength(1);
    expect(field('Drop allowed in wire').value).toBe(text);
    expect(edited.commands).toEqual([]);
  });
});

describe('what protects it', () => {
  test('a fuse that is too small for the pump is told at once', async () => {
    await open(lantern);
    const fuses = await offered('Pump fuse');
    expect(fuses[0]).toMatch(/^rules/);
    await choose('Pump fuse', /^10 A/);
    expect(await screen.findByText('Pump fuse is too small for the load')).toBeTruthy();
    await choose('Pump fuse', /rules/);
    await waitFor(() =>
      expect(screen.queryByText('Pump fuse is too small for the load')).toBeNull(),
    );
  });

  test('a thin wire behind a large fuse is a stop, in words', async () => {
    await open(lantern);
    await look(/^Fuel pump, supply, 4 mm²/);
    await choose('Size', '0.5 mm²');
    expect(await screen.findByText('Wire is too thin for its fuse')).toBeTruthy();
  });

  test('an inertia switch that is left out is told as what it is on a road', async () => {
    const edited = await open(lantern);
    await choose('Inertia switch', /none|not|without/i);
    expect(edited.commands).toHaveLength(1);
    expect(
      await screen.findByText('No inertia or tip-over switch in the pump circuit'),
    ).toBeTruthy();
    await userEvent.click(
      await screen.findByRole('button', { name: 'Fit an inertia switch in the coil feed' }),
    );
    await waitFor(() =>
      expect(screen.queryByText('No inertia or tip-over switch in the pump circuit')).toBeNull(),
    );
  });
});
