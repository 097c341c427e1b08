import { describe, expect, test } from 'vitest';
import { lantern } from '../../exchange/index.ts';
import { type BuildCommand, withValueAt } from '../../model/index.ts';
import { editInWords } from './editInWords.ts';

const words = (command: BuildCommand): string => editInWords(lantern, command);
const place = lantern.placements['battery']!;

describe('an edit in words', () => {
  test.each<[BuildCommand, string]>([
    [
      { name: 'set', path: ['brief', 'boost'], value: { value: 110e3, unit: 'bar' } },
      'Boost 0.85 → 1.1 bar',
    ],
    [
      { name: 'set', path: ['brief', 'boost'], value: { value: 137895.14586336722, unit: 'psi' } },
      'Boost 0.85 bar → 20 psi',
    ],
    [{ name: 'set', path: ['brief', 'aspiration'], value: 'natural' }, 'Induction turbo → natural'],
    [{ name: 'set', path: ['brief', 'cylinders'], value: 5 }, 'Cylinders 4 → 5'],
    [
      {
        name: 'set',
        path: ['brief', 'specificConsumption'],
        value: { value: 9e-8, unit: 'g/kWh' },
      },
      'Specific consumption usual → 324 g/kWh',
    ],
    [
      {
        name: 'choose-part',
        circuitId: 'main',
        elementId: 'feed',
        item: { id: 'HBR-8', revision: 1 },
      },
      'Feed line, part HBR-6 → HBR-8',
    ],
    [
      { name: 'choose-injector', rowId: 'primary', item: { id: 'I850', revision: 2 } },
      'Primary injectors, part I650 → I850, revision 2',
    ],
    [
      { name: 'remove-element', circuitId: 'main', elementId: 'fine', assemblies: {} },
      'Fine filter removed',
    ],
    [
      {
        name: 'move-element',
        circuitId: 'main',
        elementId: 'fine',
        direction: 'towards-tank',
        assemblies: {},
      },
      'Fine filter moved towards the tank',
    ],
    [{ name: 'choose-induction', aspiration: 'natural' }, 'Change induction to natural'],
    [{ name: 'remove', path: ['devices', 'fan-2'] }, 'Fan 2 removed'],
    [{ name: 'remove', path: ['shelf', 'HBR-6'] }, 'Removed from shelf'],
    [
      { name: 'set', path: ['placements', 'jack'], value: { ...place, name: 'Jack point' } },
      'Jack point put in',
    ],
    [
      { name: 'set', path: ['placements', 'battery'], value: { ...place, name: 'Battery' } },
      'Change Battery box',
    ],
    [
      {
        name: 'set',
        path: ['devices', 'idle-valve', 'connections', '2', 'partId'],
        value: 'crank',
      },
      'Idle valve, connections, part Fuse, valves and sensors → Crank sensor',
    ],
    [{ name: 'remove-device', deviceId: 'fan-2' }, 'Fan 2 taken off the list of devices'],
    [
      {
        name: 'connect-pin',
        owner: { kind: 'device', id: 'fan-2' },
        pin: '−',
        connection: { to: 'ground', groundId: 'panel-stud' },
      },
      `Fan 2 − wired to ${lantern.grounds['panel-stud']!.name}`,
    ],
    [
      {
        name: 'connect-pin',
        owner: { kind: 'ecu', id: 'ecu' },
        pin: 'A01',
        connection: { to: 'part', partId: 'fuse-valves', pin: 'out' },
      },
      'The ECU A01 wired to Fuse, valves and sensors out',
    ],
    [
      {
        name: 'connect-pin',
        owner: { kind: 'device', id: 'fan-2' },
        pin: '+',
        connection: null,
      },
      'Fan 2 + wired to nothing',
    ],
    [
      {
        name: 'connect-pin',
        owner: { kind: 'controller', id: 'gearbox-controller' },
        pin: 'A01',
        connection: { to: 'signal', signalId: 'ign-brown' },
      },
      `Gearbox controller A01 wired to ${lantern.vehicleSignals['ign-brown']!.name}`,
    ],
    [
      { name: 'assign-pins', controllerId: 'ecu', devices: { coolant: { '1': 'A17' } } },
      'Pins of the ECU assigned',
    ],
    [
      { name: 'choose-fuse', deviceId: 'fuse-valves', item: null },
      'Fuse, valves and sensors: by the rules',
    ],
    [
      { name: 'mark-cut', wireId: 'air~1', wireName: 'Air temperature, signal', cut: null },
      'Air temperature, signal is not cut after all',
    ],
    [
      {
        name: 'choose-wire',
        wireId: 'pump~+',
        wireName: 'Fuel pump, supply',
        size: { id: 'W6', revision: 1 },
      },
      'Fuel pump, supply: size W6',
    ],
  ])('%j', (command, text) => {
    expect(words(command)).toBe(text);
  });

  test('what has many fields or many letters is told without its values', () => {
    const long = 'x'.repeat(300);
    expect(words({ name: 'set', path: ['description'], value: long })).toBe('Change description');
    const curve = withValueAt(lantern, 'brief.boostCurve.p1.value', { value: 0, unit: '%' }).brief
      .boostCurve;
    expect(words({ name: 'set', path: ['brief', 'boostCurve'], value: curve })).toBe(
      'Change boost curve',
    );
  });
});
