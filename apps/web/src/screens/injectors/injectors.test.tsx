import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type BuildDocument, kittiwake, lantern, readBuild, withValueAt } from '@brookrain/core';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { choose, field, offered, problems, type } from '../../tests/fields.ts';
import { numberShown } from '../../tests/figureShown.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { InjectorsScreen } from './InjectorsScreen.tsx';

afterEach(cleanup);

async function open(build: BuildDocument) {
  const edited = renderInBuild(build, <InjectorsScreen />);
  await screen.findByRole('listbox', { name: 'Injectors, best first' });
  return edited;
}
const rowOf = (build: BuildDocument, index = 0) => readBuild(build).injectorRows[index]!;
const options = () =>
  within(screen.getByRole('listbox', { name: 'Injectors, best first' })).getAllByRole('option');
const inspector = () => screen.getByRole('complementary', { name: 'Inspector' });
describe('injectors side by side', () => {
  const told = () =>
    options().map((option) => {
      const [designation = '', verdict = '', duty = ''] = option
        .getAttribute('aria-label')!
        .split(', ');
      return { designation, verdict, duty: parseFloat(duty.replace('duty ', '')) / 100 };
    });

  test.each([
    ['Lantern', lantern],
    ['Kittiwake', kittiwake],
  ] as const)('of %s: what fits stays within the limit of duty', async (_, build) => {
    await open(build);
    const limit = build.limits.injectorDuty.value;
    const fitting = told().filter(({ verdict }) => verdict === 'fits');
    expect(fitting.length).toBeGreaterThan(0);
    for (const { duty } of fitting) expect(duty).toBeLessThanOrEqual(limit + 5e-3);
    // All that fit come before all that do not.
    const verdicts = told().map(({ verdict }) => verdict);
    expect(verdicts.lastIndexOf('fits')).toBeLessThan(verdicts.indexOf('does not fit'));
  });

  test('the more one flows the less of the time it is open', async () => {
    await open(lantern);
    const flowOf = (designation: string) => Number(designation.replace(/\D/g, ''));
    const saturated = told().filter(({ designation }) => /^I\d+$/.test(designation));
    const byFlow = [...saturated].sort((a, b) => flowOf(a.designation) - flowOf(b.designation));
    expect(byFlow.length).toBeGreaterThan(3);
    for (let i = 1; i < byFlow.length; i++) {
      expect(byFlow[i]!.duty).toBeLessThan(byFlow[i - 1]!.duty);
    }
  });

  test('arrow keys walk them; the inspector is about the one that is picked', async () => {
    await open(lantern);
    const list = screen.getByRole('listbox', { name: 'Injectors, best first' });
    const names = told().map(({ designation }) => designation);
    const picked = () =>
      options().findIndex((option) => option.getAttribute('aria-selected') === 'true');
    list.focus();
    fireEvent.keyDown(list, { key: 'Home' });
    expect(picked()).toBe(0);
    fireEvent.keyDown(list, { key: 'ArrowDown' });
    expect(picked()).toBe(1);
    expect(within(inspector()).getByRole('heading', { name: names[1]! })).toBeTruthy();
    fireEvent.keyDown(list, { key: 'End' });
    expect(picked()).toBe(names.length - 1);
    fireEvent.keyDown(list, { key: 'ArrowDown' });
    expect(picked()).toBe(names.length - 1);
  });
});

describe('how a row fires', () => {
  test('in batches is chosen as one edit; the other way is told beside it', async () => {
    const edited = await open(lantern);
    expect(inspector().textContent).toContain('the same in batches');
    await choose('Fires', 'in batches');
    expect(edited.commands).toHaveLength(1);
    expect(rowOf(edited.document).shotsPerCycle).toBe(2);
    await waitFor(() => expect(inspector().textContent).toContain('the same once a cycle'));
  });

  test('twice a cycle costs one more dead time a cycle', async () => {
    await open(lantern);
    const once = numberShown('injector.peak.duty');
    cleanup();
    const twice = withValueAt(lantern, 'injectorRows.primary.shotsPerCycle', 2);
    await open(twice);
    // 120 / n seconds are a cycle; a dead time of some 1 ms is 5 % of one at 6000 rpm.
    const more = numberShown('injector.peak.duty') - once;
    expect(more).toBeGreaterThan(2);
    expect(more).toBeLessThan(12);
  });

  test('a school of duty is a limit; one of his own stands beside the schools', async () => {
    const edited = await open(lantern);
    await choose('Duty school', '90 %');
    expect(edited.document.limits.injectorDuty).toEqual({ value: 0.9, unit: '%' });
    await waitFor(() => expect(screen.getByText('limit 90 %')).toBeTruthy());
    await type('Duty limit', '77 %');
    expect(edited.document.limits.injectorDuty.value).toBeCloseTo(0.77, 12);
    await waitFor(() => expect(screen.getByLabelText('Duty school').textContent).toContain('77 %'));
    expect(await offered('Duty school')).toEqual(['80 %', '85 %', '90 %', '77 %']);
  });

  test.each(['0', '1.5', 'six'])('"%s" injectors are refused at the field', async (text) => {
    const edited = await open(lantern);
    await type('Injectors', text);
    expect(problems()).toHaveLength(1);
    expect(field('Injectors').value).toBe(text);
    expect(edited.commands).toEqual([]);
  });
});

describe('what a row fuels', () => {
  const part = () => screen.getByRole('region', { name: 'What the row fuels' });

  test('a row alone has nothing to join, and is told where a second one is added', async () => {
    await open(lantern);
    expect(within(part()).queryByLabelText('Works')).toBeNull();
    expect(part().textContent).toContain('A second row');
  });

  test('a staged row works always, or again above a share of the first', async () => {
    const edited = await open(kittiwake);
    await userEvent.click(screen.getByRole('radio', { name: 'Second row, methanol' }));
    expect(field('Joins above first-row duty').value).toBe('55 %');
    await choose('Works', 'always');
    expect(rowOf(edited.document, 1).staging).toBeNull();
    expect(screen.queryByLabelText('Joins above first-row duty')).toBeNull();
    await choose('Works', 'staged');
    expect(rowOf(edited.document, 1).staging).toEqual({
      aboveDuty: { value: 0.6, unit: '%' },
      blend: { value: 0.1, unit: '%' },
    });
  });

  test('ballast lowers the current that holds a coil open, by Ohm’s law', async () => {
    const edited = await open(lantern);
    const key = 'injector.primary.coilCurrent';
    const bare = numberShown(key);
    const resistance = lantern.limits.voltageRunning.value / bare;
    await type('Ballast in series', '6 Ω');
    expect(rowOf(edited.document).ballast).toEqual({ value: 6, unit: 'Ω' });
    const expected = lantern.limits.voltageRunning.value / (resistance + 6);
    await waitFor(() => expect(numberShown(key) / expected).toBeCloseTo(1, 1));
    expect(numberShown(key)).toBeLessThan(bare);
    await type('Ballast in series', '');
    expect(rowOf(edited.document).ballast).toBeNull();
  });
});

describe('a measured set', () => {
  const flows = () => screen.getByLabelText<HTMLTextAreaElement>(/Flow of each injector/);
  const set = () => screen.getByRole('region', { name: 'Measured set' });
  const enter = (text: string): void => {
    fireEvent.change(flows(), { target: { value: text } });
    fireEvent.blur(flows());
  };
  const cc = 1e-6 / 60;

  test('is kept by number, with its mean and spread', async () => {
    const edited = await open(lantern);
    enter('640\n650\n660 cc/min\n650');
    const kept = rowOf(edited.document).measuredFlows.map(({ value }) => value / cc);
    kept.forEach((value, i) => expect(value).toBeCloseTo([640, 650, 660, 650][i]!, 6));
    expect(set().textContent).toContain('650 cc/min');
    // (660 − 640) / 650
    expect(set().textContent).toContain('3.08 %');
    expect(edited.commands).toHaveLength(1);
  });

  test('banks are as even as they can be: 640 with 660 against 650 with 650', async () => {
    await open(lantern);
    enter('640; 650; 660; 650');
    const banks = within(set()).getByText('One bank, other bank').nextSibling!.textContent!;
    const sides = banks.split(' | ').map((side) => side.split(', ').map(Number));
    const flowsOf = [640, 650, 660, 650];
    const sums = sides.map((side) => side.reduce((sum, n) => sum + flowsOf[n - 1]!, 0));
    expect(sums).toEqual([1300, 1300]);
    expect(sides.flat().sort()).toEqual([1, 2, 3, 4]);
  });

  test('a line that cannot be read is named; what was typed stays', async () => {
    const edited = await open(lantern);
    enter('640\nabout 650\n660');
    expect(within(set()).getByRole('alert').textContent).toMatch(/^line 2: /);
    expect(flows().value).toBe('640\nabout 650\n660');
    expect(flows().getAttribute('aria-invalid')).toBe('true');
    expect(edited.commands).toEqual([]);
  });

  test('more flows than there are injectors are kept, and found', async () => {
    const edited = await open(lantern);
    enter('640\n650\n660\n650\n655');
    expect(rowOf(edited.document).measuredFlows).toHaveLength(5);
    expect(await screen.findByText(/^5 flows are entered for 4 injectors/)).toBeTruthy();
  });

  test('emptied it is not measured any more', async () => {
    const edited = await open(kittiwake);
    expect(rowOf(kittiwake).measuredFlows.length).toBeGreaterThan(0);
    enter('');
    expect(rowOf(edited.document).measuredFlows).toEqual([]);
    expect(within(set()).queryByText('Mean')).toBeNull();
  });
});

describe('how injectors sit', () => {
  const panel = () => screen.getByRole('region', { name: 'How they sit' });

  test('what was measured is taken out, and begun again with what the injector asks', async () => {
    const edited = await open(lantern);
    await userEvent.click(within(panel()).getByRole('button', { name: 'Not measured after all' }));
    expect(rowOf(edited.document).seating).toBeNull();
    expect(panel().textContent).toContain('are not measured yet');
    await userEvent.click(within(panel()).getByRole('button', { name: /^Begin with what I650/ }));
    expect(rowOf(edited.document).seating).toMatchObject({ retention: 'both', bossSpacing: null });
    // As it asks: nothing is left beyond its seals.
    await waitFor(() => expect(numberShown('injector.seatGap')).toBe(0));
    expect(numberShown('injector.topGap')).toBe(0);
  });

  test('seats further apart than the injector is long leave a gap of just that much', async () => {
    const edited = await open(lantern);
    await type('From seat to seat', '49.2 mm');
    expect(rowOf(edited.document).seating!.seatDistance.value).toBeCloseTo(0.0492, 9);
    const before = lantern.injectorRows['primary']!.seating!.seatDistance.value;
    await waitFor(() =>
      expect(numberShown('injector.seatGap')).toBeCloseTo((0.0492 - before) * 1000, 6),
    );
  });
});
