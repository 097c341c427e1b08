import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { type LayoutEngine, lantern } from '@brookrain/core';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { light } from '../../build/lit.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { PanelScreen } from '../panel/PanelScreen.tsx';
import { WiresScreen } from '../wires/WiresScreen.tsx';
import { SchematicScreen } from './SchematicScreen.tsx';

// The layout without a worker of its own: there are none here.
vi.mock('./layoutInWorker.ts', async () => {
  const { default: Elk } = await import('elkjs/lib/elk.bundled.js');
  const elk = new (Elk as unknown as new () => { layout: LayoutEngine })();
  return { layoutInWorker: (graph: object) => elk.layout(structuredClone(graph) as never) };
});

beforeEach(() => light({}));
afterEach(cleanup);
const sheet = (name: RegExp) => screen.findByRole('img', { name });
const lit = (drawing: HTMLElement): string[] =>
  [...drawing.querySelectorAll('[data-lit] text')].map((text) => text.textContent);

describe('the schematic', () => {
  test('opens on a sheet, says how often wires cross, and goes to another', async () => {
    renderInBuild(lantern, <SchematicScreen />);
    await sheet(/^Supply and grounds: 14 wires/);
    expect(screen.getByText(/no wires cross/)).toBeTruthy();
    await userEvent.click(screen.getByRole('combobox', { name: 'Sheet' }));
    await userEvent.click(await screen.findByRole('option', { name: 'Cooling' }));
    const drawing = await sheet(/^Cooling: 20 wires/);
    expect(drawing.textContent).toContain('Relay, fan 1');
    expect(screen.getByRole('link', { name: 'SVG' }).getAttribute('href')).toBe(
      '/api/builds/test/schematic/cooling.svg',
    );
  });

  test('a part that is pressed is lit, with the ways to where it is lit too', async () => {
    light({ partId: 'fan-1' });
    renderInBuild(lantern, <SchematicScreen />);
    const drawing = await sheet(/^Cooling/);
    expect(lit(drawing)).toContain('Fan 1');
    fireEvent.click(within(drawing).getByText('Relay, fan 2'));
    expect(lit(await sheet(/^Cooling/))).toContain('Relay, fan 2');
    expect(screen.getByRole('link', { name: 'Devices' }).getAttribute('href')).toContain(
      'devices?of=fan-2-relay',
    );
  });

  test('the wires are walked by arrows and lit by keyboard', async () => {
    light({ partId: 'fan-1' });
    renderInBuild(lantern, <SchematicScreen />);
    await sheet(/^Cooling/);
    const table = screen.getByRole('table', { name: 'Wires of this sheet' });
    const rows = within(table).getAllByRole('row').slice(1);
    const [first, second] = rows.map((row) => within(row).getByRole('button'));
    const number = within(rows[1]!).getAllByRole('cell')[1]!.textContent;
    expect(number).toMatch(/^\d+$/);
    first!.focus();
    await userEvent.keyboard('{ArrowDown}{Enter}');
    expect(document.activeElement).toBe(second);
    expect(lit(await sheet(/^Cooling/))).toContain(number);
  });

  test('by device it shows all that feeds it', async () => {
    light({ partId: 'fan-1' });
    renderInBuild(lantern, <SchematicScreen />);
    await userEvent.click(await screen.findByRole('radio', { name: 'By device' }));
    const drawing = await sheet(/^Fan 1: 9 wires/);
    for (const name of ['Main fuse', 'Power stud', 'Fuse, fan 1', 'Relay, fan 1', 'Leat 34']) {
      expect(drawing.textContent).toContain(name);
    }
  });

  test('what is lit here is lit on the panel and in the list of wires', async () => {
    light({ partId: 'fan-2-relay' });
    renderInBuild(lantern, <PanelScreen />);
    const holder = await screen.findByRole('region', { name: 'The holder that is looked at' });
    expect(holder.textContent).toContain('Relay, fan 2');
    cleanup();
    light({ wireId: 'fan-1~+' });
    renderInBuild(lantern, <WiresScreen />);
    expect(await screen.findByRole('heading', { name: 'Fan 1, Supply' })).toBeTruthy();
  });
});
