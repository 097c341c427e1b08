import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import {
  type BuildDocument,
  evaluate,
  expectedReadings,
  kittiwake,
  lantern,
  sampleCatalogue,
  withValueAt,
} from '@brookrain/core';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { choose, offered } from '../../tests/fields.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { ReadingsScreen } from './ReadingsScreen.tsx';

afterEach(cleanup);
const open = (build: BuildDocument, address = '/') =>
  renderInBuild(build, <ReadingsScreen />, address);
const shown = (name: string | RegExp): number =>
  parseFloat(screen.getByText(name).nextSibling!.textContent!.replace('−', '-'));
const readingsOf = (build: BuildDocument) =>
  expectedReadings(evaluate(build, sampleCatalogue).fluids[0]!);

describe('what the instruments show', () => {
  test('is told for every case that somebody can set up; faults are called so', async () => {
    open(lantern);
    expect(await offered('Case at hand')).toEqual(
      readingsOf(lantern).map(({ label, fault }) => (fault ? `${label} (a fault)` : label)),
    );
  });

  test('the gauge reads the manifold and the injectors’ Δp together', async () => {
    open(lantern);
    for (const { label, fault } of readingsOf(lantern)) {
      await choose('Case at hand', fault ? `${label} (a fault)` : label);
      const [gauge, manifold, across] = [
        shown('Gauge on the rail'),
        shown('Manifold'),
        shown('Injector Δp'),
      ];
      expect(Math.abs(gauge - manifold - across)).toBeLessThan(2);
    }
  });

  test('the pump stands below the battery by what its wiring takes', async () => {
    open(lantern);
    await choose('Case at hand', 'Key-on prime');
    expect(shown('At the pump')).toBeLessThan(shown('Battery'));
    expect(shown('Pump draws')).toBeGreaterThan(1);
  });

  test('a case in its address is the one that is open', () => {
    const hot = readingsOf(lantern).find(({ label }) => /idle/i.test(label))!;
    open(lantern, `/?case=${hot.name}`);
    expect(screen.getByLabelText('Case at hand').textContent).toBe(hot.label);
    expect(shown('Gauge on the rail')).toBeCloseTo(hot.rails![0]!.gauge / 1000, 0);
  });

  test('that a fault looks like this is said beside it', async () => {
    const faulty = readingsOf(lantern).find(({ fault }) => fault);
    if (!faulty) throw new Error('no fault can be read');
    open(lantern, `/?case=${faulty.name}`);
    expect(screen.getByRole('note').textContent).toContain('what a fault looks like');
  });

  test('of two rails and two pumps each is told by its name', () => {
    open(kittiwake);
    expect(screen.getAllByText(/^Gauge, /)).toHaveLength(2);
    expect(screen.getAllByText(/ draws$/).length).toBeGreaterThanOrEqual(2);
  });

  test('each circuit has its own', async () => {
    open(kittiwake);
    const [main, methanol] = evaluate(kittiwake, sampleCatalogue).fluids.map(
      (fluid) => expectedReadings(fluid)[0]!,
    );
    expect(screen.getAllByText(/^Gauge, /)[0]!.nextSibling!.textContent).toBe(
      `${Math.round(main!.rails![0]!.gauge / 1000)} kPa`,
    );
    await userEvent.click(screen.getByRole('radio', { name: 'Methanol circuit' }));
    expect(shown('Gauge on the rail')).toBeCloseTo(methanol!.rails![0]!.gauge / 1000, 0);
  });

  test('a thirstier battery reads lower on all of them', () => {
    open(lantern, '/?case=hotIdle');
    const before = shown('At the pump');
    cleanup();
    open(
      withValueAt(lantern, 'limits.voltageRunning', { value: 12.4, unit: 'V' }),
      '/?case=hotIdle',
    );
    expect(shown('At the pump')).toBeLessThan(before);
    expect(shown('Battery')).toBeCloseTo(12.4, 6);
  });
});
