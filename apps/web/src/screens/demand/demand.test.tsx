import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, kittiwake, lantern, sandpiper } from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { cellsOf, problems, press, stroke, type } from '../../tests/fields.ts';
import { numberShown } from '../../tests/figureShown.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { DemandScreen } from './DemandScreen.tsx';

afterEach(cleanup);
const open = (build: BuildDocument) => renderInBuild(build, <DemandScreen />);
const byPower = 'demand.byPower.peak.massFlow';
const byAir = 'demand.byAir.atPower.massFlow';
const reason = () => screen.getByLabelText<HTMLTextAreaElement>(/^Reason/);
const pick = (school: string) => userEvent.click(screen.getByRole('radio', { name: school }));

describe('two schools', () => {
  test.each([
    ['Lantern', lantern],
    ['Sandpiper', sandpiper],
    ['Kittiwake', kittiwake],
  ] as const)('of %s: the larger is carried, times the design factor', (_, build) => {
    open(build);
    const [power, air] = [numberShown(byPower), numberShown(byAir)];
    const peak = numberShown('demand.peak.massFlow');
    expect(peak).toBe(Math.max(power, air));
    expect(numberShown('demand.design.massFlow') / peak).toBeCloseTo(
      build.limits.designFactor.value,
      2,
    );
    // Apart by a share of the larger one.
    const apart = Math.abs(power - air) / Math.max(power, air);
    expect(numberShown('demand.disagreement') / 100).toBeCloseTo(apart, 2);
  });

  test('power counts in proportion, and not for the air', async () => {
    open(lantern);
    const [power, air] = [numberShown(byPower), numberShown(byAir)];
    await type('Design factor', '120 %');
    await waitFor(() =>
      expect(
        numberShown('demand.design.massFlow') / numberShown('demand.peak.massFlow'),
      ).toBeCloseTo(1.2, 2),
    );
    expect([numberShown(byPower), numberShown(byAir)]).toEqual([power, air]);
  });

  test('the words say what would make them agree', () => {
    open(lantern);
    expect(document.body.textContent).toMatch(
      /They would agree with a consumption of [\d.]+ \S+, or a volumetric efficiency of [\d.]+ % at the power speed, or a boost of −?[\d.]+ \S+\./,
    );
  });
});

describe('the pick', () => {
  test('of one school asks why; with a reason it is one edit', async () => {
    const edited = open(lantern);
    await pick('B, from air');
    await press('Record the pick');
    expect(problems()).toHaveLength(1);
    expect(edited.commands).toEqual([]);
    await userEvent.type(reason(), 'measured air on a flow bench');
    await press('Record the pick');
    expect(problems()).toEqual([]);
    expect(edited.document.demand).toEqual({
      school: 'air',
      reason: 'measured air on a flow bench',
    });
    // Less than the larger is carried now.
    await waitFor(() => expect(numberShown('demand.peak.massFlow')).toBe(numberShown(byAir)));
    expect(numberShown(byAir)).toBeLessThan(numberShown(byPower));
  });

  test('back to the larger needs none', async () => {
    const edited = open({ ...lantern, demand: { school: 'air', reason: 'flow bench' } });
    await pick('the larger of the two');
    await userEvent.clear(reason());
    await press('Record the pick');
    expect(edited.document.demand).toEqual({ school: 'larger', reason: '' });
  });

  test('cannot be recorded while nothing is changed', async () => {
    const edited = open(lantern);
    const record = screen.getByRole<HTMLButtonElement>('button', { name: 'Record the pick' });
    expect(record.disabled).toBe(true);
    await pick('A, from power');
    expect(record.disabled).toBe(false);
    await pick('the larger of the two');
    expect(record.disabled).toBe(true);
    expect(edited.commands).toEqual([]);
  });
});

describe('the demand map', () => {
  const map = () => screen.getByRole('application', { name: /^Demand map/ });
  const read = () => {
    const text = document.querySelector('figcaption [aria-live]')!.textContent;
    const [, speed, gauge, flow] = /^(\d+) rpm, manifold (.+):\s*([\d.]+) /.exec(text)!;
    return { speed: Number(speed), gauge: gauge!, flow: Number(flow) };
  };

  test('begins at its peak; nowhere is more', () => {
    open(lantern);
    const peak = read();
    for (const [key, times] of [
      ['ArrowLeft', 4],
      ['ArrowDown', 3],
    ] as const) {
      for (let k = 0; k < times; k++) {
        stroke(map(), key);
        expect(read().flow).toBeLessThanOrEqual(peak.flow);
      }
    }
  });

  test('is walked with the arrow keys: across by speed, up and down by load', () => {
    open(lantern);
    const peak = read();
    stroke(map(), 'ArrowLeft');
    expect(read().speed).toBeLessThan(peak.speed);
    expect(read().gauge).not.toBe('');
    stroke(map(), 'ArrowRight');
    expect(read()).toEqual(peak);
    stroke(map(), 'ArrowDown');
    expect(read().speed).toBe(peak.speed);
    expect(read().gauge).not.toBe(peak.gauge);
    expect(read().flow).toBeLessThan(peak.flow);
  });

  test('ends at its edges', () => {
    open(lantern);
    for (let k = 0; k < 60; k++) stroke(map(), 'ArrowLeft');
    const edge = read();
    stroke(map(), 'ArrowLeft');
    expect(read()).toEqual(edge);
    for (let k = 0; k < 60; k++) stroke(map(), 'ArrowRight');
    expect(read().speed * 60).toBeGreaterThan(edge.speed);
    expect(read().speed).toBeCloseTo(lantern.brief.limiterSpeed.value * 60, -2);
  });
});

describe('fuels compared', () => {
  const rows = async () => {
    await screen.findByRole('row', { name: /^M100/ });
    return within(screen.getByRole('table', { name: 'Fuels compared' }))
      .getAllByRole('row')
      .slice(1)
      .map((row) => {
        const cells = within(row)
          .getAllByRole('cell')
          .map((cell) => cell.textContent);
        return {
          label: cells[0]!,
          airFuel: Number(cells[1]),
          need: parseFloat(cells[2]!),
          range: parseFloat(cells[4]!),
        };
      });
  };

  test('the less air a fuel takes, the more of it is needed, and the less far it goes', async () => {
    open(lantern);
    const all = await rows();
    // As every table of fuels prints it.
    const of = new Map(all.map(({ label, airFuel }) => [label, airFuel]));
    expect(of.get('M100')).toBeCloseTo(6.46, 1);
    expect(of.get('E0')).toBeCloseTo(14.7, 1);
    const byAirFuel = all.sort((a, b) => b.airFuel - a.airFuel);
    expect(byAirFuel.length).toBeGreaterThan(4);
    for (let i = 1; i < byAirFuel.length; i++) {
      expect(byAirFuel[i]!.need).toBeGreaterThan(byAirFuel[i - 1]!.need);
      expect(byAirFuel[i]!.range).toBeLessThan(byAirFuel[i - 1]!.range);
    }
  });

  test('half the power at cruise is about twice the range', async () => {
    const edited = open(lantern);
    await rows();
    const range = () => parseFloat(cellsOf('Fuels compared', /^E10/)[3]!);
    const before = range();
    await type('Power to keep cruising', '12 kW');
    expect(edited.document.brief.cruisePower!.value).toBeCloseTo(12_000, 6);
    await waitFor(() => expect(range()).toBeGreaterThan(before));
    // Not quite: at half the power an engine takes more fuel for each kilowatt hour.
    expect(range() / before).toBeGreaterThan(1.3);
    expect(range() / before).toBeLessThan(2.01);
  });

  test('the least ethanol of the year is for blends only', () => {
    open(kittiwake);
    // One blend and one methanol: one field.
    expect(screen.getAllByLabelText('Least ethanol of the year')).toHaveLength(1);
  });

  test('more ethanol in winter than in the blend is refused', async () => {
    const edited = open(lantern);
    await type('Least ethanol of the year', '140 %');
    expect(problems()).toHaveLength(1);
    expect(edited.commands).toEqual([]);
  });
});
