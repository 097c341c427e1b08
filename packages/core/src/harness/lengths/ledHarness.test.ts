import { describe, expect, test } from 'vitest';
import { demoBuilds, sandpiper } from '../../exchange/index.ts';
import { applyCommand } from '../../evaluation/index.ts';
import { type BuildDocument, readBuild, withValueAt } from '../../model/index.ts';
import { wireCutTo } from '../repairs/cutWires.ts';
import { LAY, TWIST, isCable } from './allowances.ts';
import { movedHarness } from './movedHarness.ts';
import { evaluated } from '../../tests/evaluated.ts';

const mm = (value: number) => ({ value: value / 1e3, unit: 'mm' });
const figure = (document: BuildDocument, key: string): number =>
  evaluated(document).results.find((result) => result.key === key)!.value;
const length = (wire: string): string => `wire.${wire}.length`;

describe('a wire in the harness', () => {
  const base = evaluated(sandpiper);
  const value = (key: string): number => base.results.find((result) => result.key === key)!.value;

  test('is as long as its way, what its ends take, and its loops, up to the next centimetre', () => {
    // Coolant sensor to the ECU: six segments, one of them onto the engine with a loop of 80 mm.
    const way = base.led.wires.find(({ wireId }) => wireId === 'coolant~1')!;
    const ids = way.parts.map(({ segmentId }) => segmentId);
    expect(new Set(ids)).toEqual(new Set(['ecu', 'cross', 'over', 'coolant']));
    const along = ids.reduce((sum, id) => sum + value(`segment.${id}.length`), 0);
    const known = 1.02 * along + 0.08 + (0.06 + 0.15) + 0.015 * 3;
    expect(value(length('coolant~1'))).toBeCloseTo(Math.ceil(known * 100 - 1e-7) / 100, 9);
  });

  test('is longer where it is twisted with another', () => {
    const crank = base.led.wires.find(({ wireId }) => wireId === 'crank~1')!;
    const twist = base.results
      .find(({ key }) => key === 'wire.crank~1.harnessLength')!
      .working.inputs.find(({ name }) => name === 'twist')!;
    expect(twist.value).toBe(TWIST);
    expect(TWIST).toBeGreaterThan(1.02);
    expect(TWIST).toBeLessThan(1.05);
    expect(crank.parts.length).toBeGreaterThan(2);
  });

  test('grows with a loop on its way and with what was measured there; others stay as they are', () => {
    const looped = withValueAt(sandpiper, 'harness.segments.coolant.loop', mm(200));
    expect(figure(looped, length('coolant~1'))).toBeCloseTo(value(length('coolant~1')) + 0.2, 2);
    expect(figure(looped, length('throttle~1'))).toBe(value(length('throttle~1')));
    const measured = withValueAt(sandpiper, 'harness.segments.coolant.measured', {
      value: value('segment.coolant.length') + 0.5,
      unit: 'mm',
    });
    expect(figure(measured, length('coolant~1'))).toBeCloseTo(value(length('coolant~1')) + 0.51, 1);
  });

  test('follows a breakout that is moved, in length, copper and drop', () => {
    const moved = withValueAt(sandpiper, 'harness.breakouts.seat.y', mm(-480));
    expect(figure(moved, length('head-lamp~+'))).not.toBe(value(length('head-lamp~+')));
    expect(figure(moved, 'wire.head-lamp~+.drop')).not.toBe(value('wire.head-lamp~+.drop'));
    expect(figure(moved, 'harness.copperLength')).not.toBe(value('harness.copperLength'));
  });

  test('that was measured at the vehicle keeps that length', () => {
    const { document } = applyCommand(sandpiper, {
      name: 'set-wire-length',
      wireId: 'coolant~1',
      wireName: 'The wire',
      length: { typed: null, measured: { value: 1.234, unit: 'm' } },
    });
    expect(figure(document, length('coolant~1'))).toBe(1.234);
  });
});

describe.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
  '%s',
  (_name, document) => {
    const { led, electrics, results } = evaluated(document);
    const segments = new Map(led.segments.map((segment) => [segment.id, segment]));

    test('leads every wire but those within one place and cables that are bolted at both ends', () => {
      expect(led.unled).toEqual([]);
      expect(led.loops).toEqual([]);
      expect(led.broken).toEqual([]);
      const wires = new Set(led.wires.map(({ wireId }) => wireId));
      const placed = new Set(
        Object.keys(document.harness.splices).flatMap((id) =>
          electrics.netlist.parts
            .filter((p) => p.id === id)
            .flatMap((p) => p.pins.map((x) => x.node)),
        ),
      );
      for (const wire of electrics.netlist.wires) {
        const within =
          wire.from.placementId === wire.to.placementId &&
          !placed.has(wire.from.node) &&
          !placed.has(wire.to.node);
        expect(wires.has(wire.id), wire.id).toBe(!within && !isCable(wire));
      }
    });

    test('every wire lies in exactly the segments of its way, one after the other', () => {
      for (const { wireId, parts } of led.wires) {
        const ids = parts.map(({ segmentId }) => segmentId);
        expect(new Set(ids).size, wireId).toBe(ids.length);
        for (let i = 1; i < parts.length; i++) {
          const [a, b] = [
            segments.get(parts[i - 1]!.segmentId)!,
            segments.get(parts[i]!.segmentId)!,
          ];
          const leaves = parts[i - 1]!.to === 1 ? a.to : a.from;
          const enters = parts[i]!.from === 0 ? b.from : b.to;
          expect(leaves, wireId).toBe(enters);
        }
      }
    });

    test('no wire is shorter than straight from end to end, and layers make it longer', () => {
      const lay = document.harness.school === 'sealed' ? LAY : 1;
      for (const { wireId, straight, wayLength, length: made } of led.wires) {
        expect(wayLength, wireId).toBeGreaterThanOrEqual(straight - 1e-9);
        expect(made.value, wireId).toBeGreaterThan(1.02 * lay * wayLength);
      }
      const ratio = results.find(({ key }) => key === 'harness.lowerBoundRatio')!.value;
      expect(ratio).toBeGreaterThanOrEqual(1);
      expect(ratio).toBeLessThan(2.2);
    });
  },
);

describe('a harness while a place of it is held elsewhere', () => {
  test.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
    '%s comes to what it comes to once that is an edit',
    (_, document) => {
      const before = evaluated(document);
      const [id] = Object.keys(document.harness.breakouts);
      const edited = withValueAt(document, `harness.breakouts.${id}.z`, {
        value: document.harness.breakouts[id!]!.z.value + 0.12,
        unit: 'mm',
      });
      const after = evaluated(edited);
      const { harness, placements, hardPoints } = readBuild(edited);
      const { netlist } = before.electrics;
      const moved = movedHarness(before.led, { netlist, harness, placements, hardPoints });
      const copper = after.results.find(({ key }) => key === 'harness.copperLength')!.value;
      expect(moved.copperLength).toBeCloseTo(copper, 9);
      const lengthIn = ({ results }: typeof before, segment: string): number =>
        results.find(({ key }) => key === `segment.${segment}.length`)!.value;
      const changed = harness.segments
        .map((segment) => segment.id)
        .filter((segment) => Math.abs(lengthIn(before, segment) - lengthIn(after, segment)) > 1e-9);
      expect(moved.segments.map((segment) => segment.id).sort()).toEqual(changed.sort());
      expect(changed.length).toBeGreaterThan(0);
      for (const segment of moved.segments) {
        expect(segment.length).toBeCloseTo(lengthIn(after, segment.id), 9);
      }
    },
  );

  test('tells the wires that were cut and no longer reach', () => {
    const document = demoBuilds[0]!.document;
    const before = evaluated(document);
    const [wire] = before.led.wires;
    const cut = withValueAt(document, `harness.cut`, {
      [wire!.wireId]: wireCutTo({ value: wire!.length.value - 0.1, unit: 'mm' }),
    });
    const { harness, placements, hardPoints } = readBuild(cut);
    const { netlist } = before.electrics;
    expect(movedHarness(before.led, { netlist, harness, placements, hardPoints }).short).toBe(1);
  });
});
