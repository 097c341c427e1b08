import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import {
  type BuildDocument,
  evaluate,
  lantern,
  sampleCatalogue,
  toldEvaluation,
  withValueAt,
} from '@brookrain/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test } from 'vitest';
import { choose, field, offered, problems, type } from '../../tests/fields.ts';
import { numberShown } from '../../tests/figureShown.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { WiresScreen } from './WiresScreen.tsx';

afterEach(cleanup);
const open = (build: BuildDocument, address = '/') =>
  renderInBuild(build, <WiresScreen />, address);
const wiresOf = (build: BuildDocument) => evaluate(build, sampleCatalogue).electrics.wires;
const count = (): string => screen.getByText(/wires?, .* in all$/).textContent;
const inspector = () => within(screen.getByRole('complementary', { name: 'Inspector' }));
const of = (id: string): string => `/?of=${encodeURIComponent(id)}`;

describe('the wires of a vehicle', () => {
  test('are counted, with what they are long in all', () => {
    open(lantern);
    const wires = wiresOf(lantern);
    const metres = wires.reduce((sum, { task }) => sum + task.length, 0);
    expect(count()).toContain(`${wires.length} wires`);
    const [, shown] = /, ([\d.]+) m in all$/.exec(count()) ?? [];
    expect(Number(shown) / metres).toBeCloseTo(1, 2);
  });

  test('of one part are those that end at it', async () => {
    open(lantern);
    await choose('Wires of', 'of Fuel pump');
    const told = toldEvaluation(evaluate(lantern, sampleCatalogue)).wires;
    const ending = told.filter(({ ends }) => ends.includes('pump'));
    expect(ending.length).toBeGreaterThan(1);
    expect(count()).toContain(`${ending.length} wires`);
  });

  test('with a finding are those that a check names, by how bad it is', async () => {
    const thin = withValueAt(lantern, 'power.wireDecisions', {
      ...lantern.power.wireDecisions,
      'pump~+': { size: { id: 'W0_35', revision: 1 }, length: { typed: null, measured: null } },
    });
    open(thin);
    await choose('Wires with', 'with a stop');
    expect(count()).toContain('1 wire,');
    expect(inspector().getByRole('heading', { level: 2 }).textContent).toBe('Fuel pump, supply');
    await choose('Wires of', 'of Battery');
    expect(screen.getByText('No wire is like that.')).toBeTruthy();
  });

  test('parts to choose from come by name', async () => {
    open(lantern);
    const [all, ...parts] = await offered('Wires of');
    expect(all).toBe('of everything');
    expect(parts).toEqual([...parts].sort((a, b) => a.localeCompare(b)));
    // Splices and what all share are told by name like any other.
    expect(parts).toEqual(expect.arrayContaining(['of Battery', 'of Splice of Leat 34 A05']));
    expect(parts.filter((part) => /^of [a-z-]+$|:/.test(part))).toEqual([]);
  });
});

describe('one wire', () => {
  test('is told with its ends, its fuse and its figures', () => {
    open(lantern, of('pump~+'));
    const { size, task, drop } = wiresOf(lantern).find(({ wire }) => wire.id === 'pump~+')!;
    expect(inspector().getByText(/behind the 20 A fuse/)).toBeTruthy();
    expect(numberShown('wire.pump~+.area')).toBeCloseTo(size.area * 1e6, 6);
    expect(numberShown('wire.pump~+.drop')).toBeCloseTo(drop, 3);
    expect(numberShown('wire.pump~+.ampacity')).toBeGreaterThan(task.load);
  });

  test('of a size chosen by hand is that size, and can be left to the rules again', async () => {
    const edited = open(lantern, of('pump~+'));
    await choose('Size', '6 mm²');
    expect(edited.document.power.wireDecisions['pump~+']!.size).toMatchObject({ id: 'W6' });
    await waitFor(() => expect(numberShown('wire.pump~+.area')).toBe(6));
    await choose('Size', /^by the rules/);
    expect(edited.document.power.wireDecisions['pump~+']?.size ?? null).toBeNull();
    await waitFor(() => expect(numberShown('wire.pump~+.area')).toBeLessThan(6));
  });

  test('too thin for its current is a stop at once, beside the field', async () => {
    open(lantern, of('pump~+'));
    await choose('Size', '0.35 mm²');
    expect(await screen.findByText('Wire is too thin for its current')).toBeTruthy();
    await userEvent.click(
      screen.getAllByRole('button', { name: 'Size this wire by the rules' })[0]!,
    );
    await waitFor(() => expect(screen.queryByText('Wire is too thin for its current')).toBeNull());
  });

  test('a thicker one drops less, in proportion to its copper', async () => {
    open(lantern, of('pump~+'));
    const [area, drop] = [numberShown('wire.pump~+.area'), numberShown('wire.pump~+.drop')];
    await choose('Size', '10 mm²');
    await waitFor(() => expect(numberShown('wire.pump~+.area')).toBe(10));
    const expected = (drop * area) / 10;
    // A cooler conductor and its strands: within 15 %.
    expect(numberShown('wire.pump~+.drop') / expected).toBeGreaterThan(0.85);
    expect(numberShown('wire.pump~+.drop') / expected).toBeLessThan(1.15);
  });

  test('as long as was typed, and no length that is none', async () => {
    const edited = open(lantern, of('pump~+'));
    await screen.findByLabelText('Length');
    await type('Length', '3.2 m');
    expect(edited.document.power.wireDecisions['pump~+']!.length.typed!.value).toBeCloseTo(3.2, 9);
    await type('Length', '-1 m');
    expect(problems()).toHaveLength(1);
    expect(field('Length').value).toBe('-1 m');
    expect(edited.document.power.wireDecisions['pump~+']!.length.typed!.value).toBeCloseTo(3.2, 9);
  });

  test('is judged by six criteria', async () => {
    open(lantern, of('pump~+'));
    const table = await inspector().findByRole('table');
    const names = within(table)
      .getAllByRole('row')
      .map((row) => row.textContent.toLowerCase());
    for (const criterion of [
      'current',
      'drop',
      'mechanical',
      'short circuit',
      'terminal',
      'fuse',
    ]) {
      expect(
        names.some((name) => name.includes(criterion)),
        criterion,
      ).toBe(true);
    }
  });
});
