import { describe, expect, test } from 'vitest';
import { applyCommand, referenceProblems } from '../../evaluation/index.ts';
import { demoBuilds, lantern, sampleCatalogue, switchingList } from '../../exchange/index.ts';
import { type BuildDocument, readBuild, withValueAt } from '../../model/index.ts';
import { buildNetlist } from '../netlist/buildNetlist.ts';
import { type Condition, isOnBy, waysInWords } from './conditions.ts';
import { switchTable } from './switchTable.ts';
import { LEFT, stateIn } from './vehicleState.ts';
import { evaluated } from '../../tests/evaluated.ts';

const celsius = (value: number) => ({ value: value + 273.15, unit: '°C' });
const thermal = (on: number, off: number): Condition => ({
  kind: 'temperature',
  order: 0,
  deviceId: 'coolant',
  on: celsius(on),
  off: celsius(off),
});
const key = (position: 'acc' | 'run' | 'crank'): Condition => ({ kind: 'key', order: 0, position });
const at = (degrees: number) => ({ ...stateIn.idle, temperature: degrees + 273.15 });

const tableOf = (document: BuildDocument) => {
  const build = readBuild(document);
  return switchTable({
    netlist: buildNetlist({ document: build, catalogue: sampleCatalogue }),
    switching: build.switching,
    thermostatOpens: build.limits.thermostatOpens.value,
  });
};
const rowOf = (document: BuildDocument, wanted: string) =>
  tableOf(document).rows.find((row) => row.key === wanted);

describe('conditions', () => {
  test('one way is enough, and all of its conditions have to hold', () => {
    const ways = [[key('run'), thermal(95, 90)], [key('crank')]];
    expect(isOnBy(ways, at(96))).toBe(true);
    expect(isOnBy(ways, at(94))).toBe(false);
    expect(isOnBy(ways, stateIn.cranking)).toBe(true);
    expect(isOnBy(ways, { ...at(120), key: 'off' })).toBe(false);
  });
  test('no way is never, a way without a condition always', () => {
    expect(isOnBy([], stateIn.worst)).toBe(false);
    expect(isOnBy([[]], LEFT)).toBe(true);
  });
  test('what goes off above where it goes on is on below', () => {
    expect(isOnBy([[thermal(5, 8)]], at(4))).toBe(true);
    expect(isOnBy([[thermal(5, 8)]], at(6))).toBe(false);
  });
  test('RUN counts while cranking, ACC does not', () => {
    expect(isOnBy([[key('run')]], stateIn.cranking)).toBe(true);
    expect(isOnBy([[key('acc')]], stateIn.cranking)).toBe(false);
    expect(isOnBy([[key('acc')]], stateIn.keyOn)).toBe(true);
  });
  test('are told in words', () => {
    const words = {
      nameOf: (id: string) => id.toUpperCase(),
      quantityText: ({ value }: { value: number }) => `${(value - 273.15).toFixed(0)}°`,
    };
    expect(waysInWords([[key('run'), thermal(95, 90)], []], words)).toBe(
      'key in RUN and COOLANT above 95° until 90°, or always',
    );
    expect(waysInWords([], words)).toBe('never');
  });
});

describe('the table', () => {
  test('has every relay once, and no switch twice', () => {
    for (const { document } of demoBuilds) {
      const { rows, parked } = tableOf(document);
      const keys = rows.map((row) => row.key);
      expect(new Set(keys).size).toBe(keys.length);
      const relays = Object.entries(document.devices)
        .filter(([, { part, state }]) => part.kind === 'relay' && state !== 'removed')
        .map(([id]) => id);
      expect(keys).toEqual(expect.arrayContaining(relays));
      expect(parked).toEqual([]);
    }
  });
  test('says which side of a coil its output is on', () => {
    const sideOf = (document: BuildDocument, wanted: string) => {
      const command = rowOf(document, wanted)?.of.command;
      return command?.by === 'output' ? command.output.side : command?.by;
    };
    expect(sideOf(lantern, 'pump-relay')).toBe('low-side');
    expect(sideOf(lantern, 'fan-1-relay')).toBe('high-side');
    expect(sideOf(lantern, 'starter-relay')).toBe('wiring');
    expect(sideOf(lantern, 'cooler-fan-relay')).toBe('unassigned');
  });
  test('takes pumps to prime and fans to come one after another where nobody said', () => {
    const bare = { ...lantern, switching: {} };
    const pump = rowOf(bare, 'pump-relay')!;
    expect([pump.source, pump.prime]).toEqual(['taken', 2]);
    expect(isOnBy(pump.ways, stateIn.keyOn)).toBe(false);
    const on = ['fan-1-relay', 'fan-2-relay'].map((id) => {
      const condition = rowOf(bare, id)!.ways[0]!.find(({ kind }) => kind === 'temperature');
      return condition?.kind === 'temperature' ? condition.on.value - 273.15 : NaN;
    });
    expect(on[0]).toBeCloseTo(95, 9);
    expect(on[1]).toBeCloseTo(100, 9);
  });
  test('keeps a row whose relay is gone apart', () => {
    const gone = withValueAt(lantern, ['devices', 'fan-2-relay', 'state'], 'removed');
    expect(tableOf(gone).parked.map(({ id }) => id)).toEqual(['fan-2-relay']);
  });
  test('decides what is on in a case, in the solved circuit', () => {
    const total = (document: BuildDocument) =>
      evaluated(document).results.find(({ key: k }) => k === 'load.cruiseHot.total')!.value;
    const path = ['switching', 'fan-1-relay', 'ways', 'way-1', 'conditions', 'condition-2'];
    const late = withValueAt(
      withValueAt(lantern, [...path, 'on'], celsius(130)),
      [...path, 'off'],
      celsius(124),
    );
    // One fan of 16 A and its coil stay off.
    const less = total(lantern) - total(late);
    expect(less).toBeGreaterThan(15.5);
    expect(less).toBeLessThan(17);
    const { results } = evaluated(late);
    expect(results.some(({ key: k }) => k === 'voltage.fan-1.cruiseHot')).toBe(false);
    expect(results.some(({ key: k }) => k === 'voltage.fan-2.cruiseHot')).toBe(true);
  });
  test('a sensor that is taken out takes its rows along: they are as usual again', () => {
    const { document } = applyCommand(lantern, { name: 'remove-device', deviceId: 'coolant' });
    expect(Object.keys(document.switching).sort()).toEqual([
      'cooler-fan-relay',
      'main-relay',
      'pump-relay',
    ]);
    expect(referenceProblems(document, sampleCatalogue)).toEqual([]);
  });
  test('goes out as a list in which every switch has a line', () => {
    const { switching, electrics } = evaluated(lantern);
    const lines = switchingList(switching, electrics.netlist);
    expect(lines).toHaveLength(switching.rows.length);
    expect(lines.find(({ relay }) => relay === 'Relay, fan 2')).toMatchObject({
      controller: 'Leat 34',
      side: 'sources',
      'on when': 'key in RUN and Coolant sensor above 101 °C until 95 °C',
      idle: 'off',
      'cruise, hot': 'on',
    });
  });
});
