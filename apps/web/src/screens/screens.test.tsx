import '../tests/inlineWorker.ts';
import { type BuildDocument, demoBuilds, readBuild, withValueAt } from '@brookrain/core';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { afterEach, describe, expect, test } from 'vitest';
import { renderInBuild } from '../tests/renderInBuild.tsx';
import { BriefScreen } from './brief/BriefScreen.tsx';
import { CircuitScreen } from './circuit/CircuitScreen.tsx';
import { DemandScreen } from './demand/DemandScreen.tsx';
import { DevicesScreen } from './devices/DevicesScreen.tsx';
import { FindingsScreen } from './findings/FindingsScreen.tsx';
import { InjectorsScreen } from './injectors/InjectorsScreen.tsx';
import { MarginsScreen } from './margins/MarginsScreen.tsx';
import { PanelScreen } from './panel/PanelScreen.tsx';
import { PinsScreen } from './pins/PinsScreen.tsx';
import { SupplyScreen } from './supply/SupplyScreen.tsx';
import { PumpScreen } from './pump/PumpScreen.tsx';
import { WiresScreen } from './wires/WiresScreen.tsx';
import { WiringScreen } from './wiring/WiringScreen.tsx';

afterEach(cleanup);

const screens: readonly [title: string, page: ReactNode][] = [
  ['Brief', <BriefScreen key="brief" />],
  ['Fuel need', <DemandScreen key="demand" />],
  ['Injectors', <InjectorsScreen key="injectors" />],
  ['Fuel circuit', <CircuitScreen key="circuit" />],
  ['Pump', <PumpScreen key="pump" />],
  ['Devices', <DevicesScreen key="devices" />],
  ['Panel', <PanelScreen key="panel" />],
  ['Pins', <PinsScreen key="pins" />],
  ['Charging and loads', <SupplyScreen key="supply" />],
  ['Pump wiring', <WiringScreen key="wiring" />],
  ['Wires', <WiresScreen key="wires" />],
  ['Margins', <MarginsScreen key="margins" />],
  ['Findings', <FindingsScreen key="findings" />],
];
const builds: readonly [string, BuildDocument][] = [
  ...demoBuilds.map(({ id, document }) => [id, document] as [string, BuildDocument]),
];

describe.each(builds)('of %s', (_name, build) => {
  test.each(screens)(
    '%s shows numbers, not holes, and names its fields and buttons',
    async (title, page) => {
      renderInBuild(build, page);
      expect(await screen.findByRole('heading', { level: 1, name: title })).toBeTruthy();
      const text = document.body.textContent;
      expect(text).not.toMatch(/NaN|undefined|Infinity|\[object/);
      expect(text).not.toMatch(/\{\w+\}/);
      expect(text).not.toContain('not solved');
      const controls = [
        ...screen.queryAllByRole('textbox'),
        ...screen.queryAllByRole('combobox'),
        ...screen.queryAllByRole('button'),
      ];
      for (const list of screen.queryAllByRole('combobox')) {
        expect(list.textContent.trim(), list.outerHTML).not.toBe('');
      }
      const nameless = controls.filter((control) => {
        const label = 'labels' in control ? (control as HTMLInputElement).labels?.[0] : undefined;
        const named =
          control.getAttribute('aria-label') ?? label?.textContent ?? control.textContent;
        return named?.trim() === '';
      });
      expect(nameless.map((control) => control.outerHTML)).toEqual([]);
    },
  );
});

describe('a fuse against its wire', () => {
  const lantern = demoBuilds.find((d) => d.id === 'lantern')!.document;

  test.each([
    [
      'as the rules choose',
      null,
      /20 A fuse opens before the wire is damaged.* Inrush uses up \d+ %/,
    ],
    ['too small for its load', { id: 'FB10', revision: 1 }, /Inrush may open it/],
  ] as const)('%s is told in words', async (_what, fuse, words) => {
    renderInBuild(withValueAt(lantern, 'devices.pump-fuse.part.item', fuse), <WiringScreen />);
    const chart = await screen.findByRole('region', { name: 'Fuse against wire' });
    expect(chart.textContent).toMatch(words);
  });
});

describe('choosing', () => {
  const lantern = demoBuilds.find((d) => d.id === 'lantern')!.document;

  const partIn = (build: BuildDocument, list: 'pump' | 'injectors') => {
    const { fuelCircuits, injectorRows } = readBuild(build);
    const pump = fuelCircuits[0]!.elements.find((e) => e.kind === 'pump')!;
    return list === 'pump' ? pump.item : injectorRows[0]!.item;
  };

  test.each([
    ['pump', 'Pumps, best first', <PumpScreen key="pump" />],
    ['injectors', 'Injectors, best first', <InjectorsScreen key="injectors" />],
  ] as const)('other %s writes them into the build, and the screen follows', async (...row) => {
    const [list, name, page] = row;
    const edited = renderInBuild(lantern, page);
    const offered = within(await screen.findByRole('listbox', { name })).getAllByRole('option');
    expect(offered.length).toBeGreaterThan(3);
    const other = offered.find((option) => option.getAttribute('aria-selected') !== 'true')!;
    await userEvent.click(other);
    await userEvent.click(screen.getByRole('button', { name: /^Use / }));
    expect(edited.commands).toHaveLength(1);
    expect(partIn(edited.document, list)).not.toEqual(partIn(lantern, list));
    const inBuild = await screen.findByRole<HTMLButtonElement>('button', { name: 'In this build' });
    expect(inBuild.disabled).toBe(true);
  });

  test('a school is recorded only with a reason', async () => {
    const edited = renderInBuild(lantern, <DemandScreen />);
    const record = await screen.findByRole('button', { name: 'Record the pick' });
    await userEvent.click(record);
    expect(edited.commands).toEqual([]);
  });
});
