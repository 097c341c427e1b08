import { describe, expect, test } from 'vitest';
import { applyCommand } from '../../evaluation/index.ts';
import {
  demoBuilds,
  kittiwake,
  lantern,
  sampleCatalogue,
  sandpiper,
} from '../../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../../model/index.ts';
import { electricsFigure } from '../figureNames.ts';
import { electricCases } from '../network/electricCases.ts';
import { alternatorOutput, coveredFor, daysUntilFlat, supplyMargin } from './budget.ts';
import { liveWithKeyOff } from './liveWithKeyOff.ts';
import { type SupplyBranch, supplyTree } from './supplyTree.ts';
import { evaluated } from '../../tests/evaluated.ts';

const valueOf = (document: BuildDocument, key: string): number =>
  evaluated(document).results.find((result) => result.key === key)!.value;
const flat = (branches: readonly SupplyBranch[]): SupplyBranch[] =>
  branches.flatMap((branch) => [branch, ...flat(branch.branches)]);

describe('balance of alternator and battery', () => {
  test('an alternator gives its rating by what holds at once, multiplied', () => {
    expect(alternatorOutput({ rated: [120], shares: [] })).toBe(120);
    expect(alternatorOutput({ rated: [120], shares: [0.45, 0.85] })).toBeCloseTo(45.9, 9);
    expect(alternatorOutput({ rated: [60, 40], shares: [0.5] })).toBeCloseTo(50, 9);
    expect(supplyMargin({ available: 45, load: 60 })).toBeCloseTo(-0.25, 12);
  });

  test('a battery makes up for its usable charge over what is short', () => {
    // 70 A·h, half of it, 20 A short: an hour and three quarters.
    const covered = coveredFor({ capacity: 70 * 3600, usable: 0.5, load: 60, available: 40 });
    expect(covered / 3600).toBeCloseTo(1.75, 9);
    // 35 A·h at 35 mA: a thousand hours.
    const days = daysUntilFlat({ capacity: 70 * 3600, usable: 0.5, drain: 0.035 });
    expect(days * 24).toBeCloseTo(1000, 6);
  });

  test.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
    '%s takes more the more is on, and its alternator gives least at idle and hot',
    (_name, document) => {
      const load = (inCase: string) => valueOf(document, `load.${inCase}.total`);
      const given = (inCase: string) => valueOf(document, `alternator.${inCase}.available`);
      expect(load('keyOn')).toBeLessThan(load('idle'));
      expect(load('idle')).toBeLessThan(load('cruiseHot'));
      expect(load('cruiseHot')).toBeLessThan(load('worst'));
      expect(given('worst')).toBeLessThan(given('idle'));
      expect(given('idle')).toBeLessThan(given('cruiseHot'));
      expect(load('cranking')).toBeGreaterThan(100);
    },
  );

  test('pump, fan and lamps of the runabout are more than its stator gives at idle, for minutes', () => {
    const { findings, results } = evaluated(sandpiper);
    const found = findings.find(({ id }) => id === 'alternator.budget:worst')!;
    expect(found.severity).toBe('note');
    const short =
      valueOf(sandpiper, 'load.worst.total') - valueOf(sandpiper, 'alternator.worst.available');
    // Half of 12 A·h.
    const covers = results.find(
      ({ key }) => key === electricsFigure('battery.covers', { case: 'worst' }).key,
    )!;
    expect(covers.value).toBeCloseTo((6 * 3600) / short, 6);
    expect(covers.value / 60).toBeGreaterThan(10);
    expect(findings.map(({ id }) => id)).not.toContain('alternator.budget:idle');
  });

  test('a pump that stands until it is wanted takes nothing at idle', () => {
    const at = (inCase: 'idle' | 'worst') =>
      flat(supplyTree(evaluated(kittiwake).electrics, inCase)).find(
        ({ partId, pin }) => partId === 'pump-2' && pin === '+',
      )!;
    expect(at('idle').takes).toBeLessThan(1e-9);
    expect(at('worst').takes).toBeGreaterThan(10);
  });

  test('without an alternator nothing is balanced, and no battery is said to last without a drain', () => {
    const none = applyCommand(sandpiper, { name: 'remove-device', deviceId: 'stator' }).document;
    const keys = evaluated(none).results.map(({ key }) => key);
    expect(keys).toContain('load.idle.total');
    expect(keys.filter((key) => key.startsWith('alternator.'))).toEqual([]);
    expect(valueOf(sandpiper, 'battery.drain')).toBe(0);
    expect(keys).not.toContain('battery.daysUntilFlat');
  });

  test('a battery of which nobody said how large it is covers nothing that could be told', () => {
    const catalogue = {
      items: sampleCatalogue.items.map((item) =>
        item.id === sandpiper.power.battery.id ? ({ ...item, capacity: 0 } as typeof item) : item,
      ),
    };
    const { findings, results } = evaluated(sandpiper, catalogue);
    expect(results.some(({ key }) => key.startsWith('battery.') && key !== 'battery.drain')).toBe(
      false,
    );
    const found = findings.find(({ id }) => id === 'alternator.budget:worst')!;
    expect(found.severity).toBe('warn');
    expect(found.because).not.toContain('{covers}');
  });
});

describe.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
  'the tree of %s',
  (_name, document) => {
    const { electrics } = evaluated(document);

    test.each(electricCases)('hands on what it gets, %s', (inCase) => {
      let compared = 0;
      for (const { name, pin, sort, wire, takes, branches } of flat(
        supplyTree(electrics, inCase),
      )) {
        // A controller shares its current among several supply pins.
        if (wire?.current === undefined || sort === 'controller') continue;
        const on = branches.reduce((sum, each) => sum + (each.wire?.current ?? 0), 0);
        expect(Math.abs(wire.current - on - (takes ?? 0)), `${name} ${pin}`).toBeLessThan(1e-6);
        compared += 1;
      }
      expect(compared).toBeGreaterThan(25);
    });

    test('loses volts from step to step, by what its wires lose', () => {
      for (const branch of flat(supplyTree(electrics, 'worst'))) {
        for (const each of branch.branches) {
          expect(each.volts!, each.name).toBeLessThanOrEqual(branch.volts! + 1e-9);
          // Contacts in the part before stand between.
          expect(branch.volts! - each.volts!, each.name).toBeGreaterThan(each.wire!.drop! - 1e-9);
        }
      }
    });

    test('holds everything that takes current from a supply once', () => {
      const nodes = flat(supplyTree(electrics, 'worst')).map(({ node }) => node);
      expect(new Set(nodes).size).toBe(nodes.length);
      const fed = electrics.netlist.wires
        .filter(({ role }) => role === 'supply')
        .map(({ partId }) => partId);
      const shown = new Set(flat(supplyTree(electrics, 'worst')).map(({ partId }) => partId));
      expect(fed.filter((partId) => !shown.has(partId))).toEqual([]);
    });

    test('with the key off is dead behind every relay', () => {
      const { nodes } = liveWithKeyOff(electrics.netlist);
      const behind = electrics.netlist.parts
        .filter(({ sort }) => sort === 'relay')
        .map(({ id }) => `${id}:87`);
      expect(behind.length).toBeGreaterThan(1);
      expect(behind.filter((node) => nodes.has(node))).toEqual([]);
      expect(nodes.has('main-fuse:out')).toBe(true);
    });
  },
);

describe('drain with the key off', () => {
  test('is the memory of the controllers that have one, while their feed is constant', () => {
    const drain = valueOf(lantern, 'battery.drain');
    expect(drain).toBeCloseTo(0.008, 9);
    expect(valueOf(lantern, 'battery.daysUntilFlat')).toBeCloseTo(35 / 0.008 / 24, 6);
    const supply = Object.entries(lantern.power.ecuConnections).find(([pin]) => pin === 'A01')!;
    const without = withValueAt(lantern, ['power', 'ecuConnections'], {
      ...Object.fromEntries(
        Object.entries(lantern.power.ecuConnections).filter(([pin]) => pin !== supply[0]),
      ),
    });
    expect(valueOf(without, 'battery.drain')).toBeCloseTo(0.006, 9);
  });
});
