import '../../tests/inlineWorker.ts';
import '../../tests/radixInJsdom.ts';
import { createEvaluator, kittiwake, lantern, sampleCatalogue, wiresOf } from '@brookrain/core';
import { type BuildDocument, applyCommand, toldEvaluation } from '@brookrain/core';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { choose } from '../../tests/fields.ts';
import { renderInBuild } from '../../tests/renderInBuild.tsx';
import { WiringScreen } from './WiringScreen.tsx';
import { H, feedMarks, feedWidth } from './feedSheet.ts';

// A canvas has no context here; what the chart says stands in words beside it.
vi.mock('../../ui/LogChart.tsx', () => ({ default: () => null }));

afterEach(cleanup);
const feedsOf = (document: BuildDocument) =>
  toldEvaluation(createEvaluator().evaluate(document, sampleCatalogue)).feeds;
const coil = (document: BuildDocument, side: 'low-side' | 'high-side', cutOff: boolean) =>
  applyCommand(document, { name: 'wire-pump-coil', pumpId: 'pump', side, cutOff }).document;

describe('the pump’s circuit', () => {
  test('is switched from the other side, with its inertia switch, as one edit each', async () => {
    const edited = renderInBuild(lantern, <WiringScreen />);
    await choose('Coil switched', 'high side');
    expect(edited.commands).toHaveLength(1);
    expect(edited.document.devices['pump-relay']?.connections['86']).toMatchObject({
      to: 'controller',
    });
    expect((await screen.findAllByText('ECU pin switches the other side of the coil')).length).toBe(
      1,
    );
    await choose('Inertia switch', 'none');
    expect(edited.document.devices['inertia-switch']).toBeUndefined();
    expect(
      (await screen.findAllByText('No inertia or tip-over switch in the pump circuit')).length,
    ).toBe(1);
  });

  test('takes a fuse by hand, and leaves it to the rules again', async () => {
    const edited = renderInBuild(lantern, <WiringScreen />);
    await choose('Pump fuse', '25 A');
    expect(edited.document.devices['pump-fuse']?.part).toMatchObject({ item: { id: 'FB25' } });
    await choose('Pump fuse', 'by the rules');
    expect(edited.document.devices['pump-fuse']?.part).toMatchObject({ item: null });
  });

  test('shows every wire of the feed once, and each of several pumps by itself', async () => {
    renderInBuild(kittiwake, <WiringScreen />);
    const sheet = await screen.findByRole('listbox', { name: 'Wires of the pump circuit' });
    const wires = within(sheet).getAllByRole('option');
    const [first] = feedsOf(kittiwake);
    expect(wires).toHaveLength(wiresOf([first!]).length);
    expect(sheet.textContent).toContain('Relay RL70');
    await userEvent.click(screen.getByRole('radio', { name: 'Methanol pump' }));
    // It leads through the firewall over a stud: two wires of one feed.
    expect(
      within(screen.getByRole('listbox', { name: 'Wires of the pump circuit' })).getAllByRole(
        'option',
        { name: /^Methanol pump, supply/ },
      ),
    ).toHaveLength(2);
  });
});

describe('the sheet', () => {
  test.each([
    ['of Lantern', lantern],
    ['of Kittiwake, whose coils share a switch', kittiwake],
    ['with the coil fed by the ECU', coil(lantern, 'high-side', true)],
    ['without a switch', coil(lantern, 'low-side', false)],
  ])(
    '%s has a place for both ends of every wire, no two ends of one at the same',
    (_what, build) => {
      for (const feed of feedsOf(build)) {
        const wires = wiresOf([feed]);
        const marks = feedMarks(feed, wires, 'ECU');
        for (const { wire } of wires) {
          const [from, to] = [marks.get(wire.from.node), marks.get(wire.to.node)];
          for (const mark of [from, to]) {
            const [x, y] = mark!.at;
            expect(x).toBeGreaterThan(0);
            expect(x).toBeLessThan(feedWidth(feed).width);
            expect(y).toBeGreaterThan(0);
            expect(y).toBeLessThan(H);
          }
          expect(from!.at, wire.id).not.toEqual(to!.at);
        }
        expect([...marks.values()].filter(({ kind }) => kind === 'controller')).toHaveLength(1);
      }
    },
  );

  test('a fuse that feeds the pump without a relay is drawn too', () => {
    const { pump } = lantern.devices;
    const direct: BuildDocument = {
      ...lantern,
      devices: {
        ...lantern.devices,
        pump: {
          ...pump!,
          connections: {
            ...pump!.connections,
            '+': { to: 'part', partId: 'pump-fuse', pin: 'out' },
          },
        },
      },
    };
    const [feed] = feedsOf(direct);
    expect(feed!.relay).toBeUndefined();
    expect(feed!.coil).toEqual([]);
    renderInBuild(direct, <WiringScreen />);
    expect(screen.queryByText(/^Relay /)).toBeNull();
  });
});
