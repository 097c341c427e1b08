import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import {
  type BuildDocument,
  kittiwake,
  lantern,
  newestOf,
  pumpsOf,
  readBuild,
  sampleCatalogue,
} from '@brookrain/core';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { choose, problems, type } from '../../tests/fields.ts';
import { numberShown } from '../../tests/figureShown.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { PumpScreen } from './PumpScreen.tsx';

afterEach(cleanup);

async function open(build: BuildDocument) {
  const edited = renderInBuild(build, <PumpScreen />);
  await screen.findByRole('listbox', { name: 'Pumps, best first' });
  return edited;
}
const pumpIn = (build: BuildDocument, circuit = 0, pump = 0) =>
  pumpsOf(readBuild(build).fuelCircuits[circuit]!)[pump]!;
const options = () =>
  within(screen.getByRole('listbox', { name: 'Pumps, best first' })).getAllByRole('option');
const inspector = () => screen.getByRole('complementary', { name: 'Inspector' });
const optionOf = (designation: string) =>
  options().find((option) => option.getAttribute('aria-label')!.startsWith(`${designation},`))!;
const figuresOf = (option: HTMLElement) => {
  const texts = [...option.querySelectorAll('text')].map((each) => each.textContent);
  return { flow: parseFloat(texts[2]!), margin: parseFloat(texts[3]!.replace('−', '-')) / 100 };
};

describe('pumps side by side', () => {
  test('are all pumps there are, those that fit first', async () => {
    await open(lantern);
    const names = options().map((each) => each.getAttribute('aria-label')!.split(', '));
    expect(names.map(([designation]) => designation).sort()).toEqual(
      newestOf(sampleCatalogue, 'pump')
        .map(({ designation }) => designation)
        .sort(),
    );
    const verdicts = names.map(([, verdict]) => verdict!);
    expect(verdicts.indexOf('does not fit')).toBeGreaterThan(verdicts.lastIndexOf('fits'));
  });

  test('the margin is the flow beyond what is needed, as a share of it', async () => {
    await open(lantern);
    const needed = numberShown('pump.peak.flowNeeded');
    for (const option of options()) {
      const { flow, margin } = figuresOf(option);
      expect(margin).toBeCloseTo(flow / needed - 1, 1);
    }
  });

  test('the one in the build reads as its solved figures do', async () => {
    await open(lantern);
    const own = figuresOf(optionOf('P340X'));
    expect(own.flow).toBeCloseTo(numberShown('case.peakPower.pump.1.flowAvailable'), 6);
    expect(100 * own.margin).toBeCloseTo(numberShown('case.peakPower.pump.1.margin'), 6);
  });

  test('are walked with the keys; the inspector says why one does not fit', async () => {
    await open(lantern);
    const list = screen.getByRole('listbox', { name: 'Pumps, best first' });
    list.focus();
    fireEvent.keyDown(list, { key: 'End' });
    const last = options().at(-1)!;
    expect(last.getAttribute('aria-selected')).toBe('true');
    const [designation] = last.getAttribute('aria-label')!.split(', ');
    expect(within(inspector()).getByRole('heading', { level: 2, name: designation! })).toBeTruthy();
    expect(inspector().textContent).toMatch(/in the tank|in-tank/);
  });
});

describe('another pump', () => {
  test('is taken as one edit and is then the one in the build', async () => {
    const edited = await open(lantern);
    await userEvent.click(optionOf('P520X'));
    await userEvent.click(screen.getByRole('button', { name: 'Use P520X' }));
    expect(edited.commands).toHaveLength(1);
    expect(pumpIn(edited.document).item.id).toBe('P520X');
    await waitFor(() => expect(optionOf('P520X').textContent).toContain('in this build'));
  });

  test('where two run side by side both are exchanged together', async () => {
    const edited = await open(kittiwake);
    const other = options().find((each) => each.getAttribute('aria-selected') !== 'true')!;
    await userEvent.click(other);
    const use = screen.getByRole('button', { name: /^Use 2 × / });
    const designation = use.textContent.replace('Use 2 × ', '');
    await userEvent.click(use);
    const now = [pumpIn(edited.document, 0, 0), pumpIn(edited.document, 0, 1)];
    expect(now.map(({ item }) => item.id)).toEqual([designation, designation]);
    expect(edited.commands).toHaveLength(1);
  });
});

describe('what a pump is judged with', () => {
  const available = 'case.peakPower.pump.1.flowAvailable';

  test('wear takes its share of the flow', async () => {
    await open(lantern);
    const worn = numberShown(available);
    await type('Wear', '0 %');
    await waitFor(() => expect(numberShown(available)).not.toBe(worn));
    // 10 % of wear is 10 % of flow at the same pressure and voltage, but for what flow costs.
    expect(worn / numberShown(available)).toBeGreaterThan(0.87);
    expect(worn / numberShown(available)).toBeLessThan(0.93);
  });

  test('more volts at the battery are more flow', async () => {
    await open(lantern);
    const before = numberShown(available);
    await type('Voltage, low', '13 V');
    await waitFor(() => expect(numberShown(available)).toBeGreaterThan(before));
  });

  test('a pump for the outside does not fit into the tank', async () => {
    const edited = await open(lantern);
    await choose('Mounted', 'in the tank');
    expect(pumpIn(edited.document).mounting).toBe('in-tank');
    await waitFor(() =>
      expect(optionOf('P340X').getAttribute('aria-label')).toBe('P340X, does not fit'),
    );
    expect(optionOf('P340').getAttribute('aria-label')).not.toBe('P340, does not fit');
  });

  test('a wish that no pump can be held to is refused', async () => {
    const edited = await open(lantern);
    await type('Wished margin', '-30 %');
    expect(problems()).toHaveLength(1);
    expect(edited.commands).toEqual([]);
  });
});

describe('what wire buys', () => {
  const rows = async () => {
    const part = await screen.findByRole('region', { name: 'Wire and flow' });
    return within(part)
      .getAllByRole('row')
      .slice(1)
      .map((row) => {
        const [size, volts, flow, against] = within(row)
          .getAllByRole('cell')
          .map((cell) => cell.textContent);
        return {
          area: parseFloat(size!),
          volts: parseFloat(volts!),
          flow: parseFloat(flow!),
          against: against!,
        };
      });
  };

  test('thicker wire leaves more volts and flow at the pump, never less', async () => {
    await open(lantern);
    const gains = await rows();
    expect(gains.length).toBeGreaterThan(2);
    for (let i = 1; i < gains.length; i++) {
      expect(gains[i]!.area).toBeGreaterThan(gains[i - 1]!.area);
      expect(gains[i]!.volts).toBeGreaterThanOrEqual(gains[i - 1]!.volts);
      expect(gains[i]!.flow).toBeGreaterThanOrEqual(gains[i - 1]!.flow);
    }
  });

  test('the wire that is there stands among them, and others are told against it', async () => {
    await open(lantern);
    const gains = await rows();
    const now = gains.findIndex(({ against }) => against === 'as it is');
    expect(now).toBeGreaterThanOrEqual(0);
    gains.forEach(({ against }, i) => {
      if (i !== now) expect(against).toMatch(i < now ? /^−/ : /^\+/);
    });
  });
});
