import type { Connection, Device } from '../../model/index.ts';
import { place } from './shorthand.ts';
import {
  type DemoWiring,
  at,
  boltFuse,
  controller,
  ecu,
  fitted,
  found,
  fuse,
  ground,
  groundAt,
  injector,
  out,
  relay,
  seated,
  seat,
  signal,
} from './wiringShorthand.ts';

const block = ground('engine-block');
const blockLeft = ground('engine-block-left');
const panel = ground('panel-stud');
const tail = ground('tail-stud');
const besidePumps = { left: ground('pump-ground-left'), right: ground('pump-ground') };
const sluice = (pin: string) => ecu(pin, 'sluice');
const inputs = (pin: string) => ecu(pin, 'inputs');
const six = [1, 2, 3, 4, 5, 6] as const;
const corners = ['front left', 'front right', 'rear left', 'rear right'] as const;
const cornerPlaces = ['wheel-fl', 'wheel-fr', 'wheel-rl', 'wheel-rr'] as const;

/** Cavity n of a plug. */
const cavity = (plug: string, n: number): string => `${plug}${String(n).padStart(2, '0')}`;

/** Three-wire sensors on 5 V, on analogue inputs one after another. */
const onFive = (
  unit: (pin: string) => ReturnType<typeof ecu>,
  pins: {
    readonly five: string;
    readonly ground: string;
    readonly first: number;
    readonly plug: string;
  },
  sensors: readonly (readonly [id: string, name: string, item: string, placeId: string])[],
): Device[] =>
  sensors.map(([id, name, item, placeId], i) =>
    fitted(id, name, item, placeId, {
      '1': unit(pins.five),
      '2': unit(pins.ground),
      '3': unit(cavity(pins.plug, pins.first + i)),
    }),
  );

/** One feed for each bank comes through the firewall, and parts at its first cylinder. */
const onBank = (
  n: number,
  feed: (side: 'left' | 'right') => Connection,
  besideFirst: (first: number) => Connection,
): Connection => {
  const side = n % 2 === 1 ? 'left' : 'right';
  return n <= 2 ? feed(side) : besideFirst(side === 'left' ? 1 : 2);
};

const temperatures = (
  sensors: readonly (readonly [id: string, name: string, item: string, placeId: string])[],
): Device[] =>
  sensors.map(([id, name, item, placeId], i) =>
    fitted(id, name, item, placeId, { '1': ecu(cavity('B', 1 + i)), '2': ecu('A07') }),
  );

/** Modules on the bus in a chain: each hangs on the one before it. */
function onBus(
  modules: readonly (readonly [
    id: string,
    name: string,
    item: string,
    placeId: string,
    feed: ReturnType<typeof ecu>,
  ])[],
): Device[] {
  return modules.map(([id, name, item, placeId, feed], i) => {
    const before = modules[i - 1]?.[0];
    const high = before === undefined ? ecu('B09') : at(before, '3');
    const low = before === undefined ? ecu('B10') : at(before, '4');
    // The power module stands in the chain behind the thermocouples.
    const behindModule = before === 'thermocouples';
    return fitted(id, name, item, placeId, {
      '1': feed,
      '2': panel,
      '3': behindModule ? sluice('A03') : high,
      '4': behindModule ? sluice('A04') : low,
    });
  });
}

/** Kittiwake: engine, chassis and bus of the single-seater, with its module and input unit. */
export const kittiwakeWiring: DemoWiring = {
  placements: [
    seat('engine-front', 'Front of the engine', [1020, 60, 420]),
    seat('engine-left', 'Left bank', [650, 220, 520]),
    seat('engine-right', 'Right bank', [650, -220, 520]),
    seat('plenum', 'Plenum', [650, 0, 760]),
    seat('throttle-seat', 'Throttle body', [980, 0, 720]),
    seat('block-stud', 'Ground stud on the block', [900, -200, 620]),
    seat('block-stud-left', 'Ground stud on the block, left', [900, 200, 620]),
    seat('gearbox-top', 'Gearbox, top', [-50, 0, 420]),
    seat('starter-seat', 'Starter', [230, -160, 260]),
    seat('alternator-seat', 'Alternator', [960, 180, 260]),
    seat('turbo-left', 'Left turbo', [560, 360, 430]),
    seat('turbo-right', 'Right turbo', [560, -360, 430]),
    place('cooler-left', 'Left cooler', [900, 620, 320], 'outside'),
    place('cooler-right', 'Right cooler', [900, -620, 320], 'outside'),
    place('wheel-fl', 'Front left upright', [2620, 700, 260], 'outside'),
    place('wheel-fr', 'Front right upright', [2620, -700, 260], 'outside'),
    place('wheel-rl', 'Rear left upright', [0, 700, 260], 'outside'),
    place('wheel-rr', 'Rear right upright', [0, -700, 260], 'outside'),
    place('dash', 'Dash', [2150, 0, 620], 'body'),
    place('pedal-box', 'Pedals', [2700, 0, 250], 'body'),
    place('cockpit', 'Cockpit side', [1800, -260, 420], 'body'),
    place('input-unit', 'Input unit, ahead of the dash', [2300, 0, 520], 'body'),
    place('tail', 'Tail', [-500, 0, 420], 'outside'),
    place('tail-stud', 'Ground stud at the tail', [-360, 60, 620], 'outside'),
    place('panel-stud-place', 'Ground stud at the panel', [1380, -330, 380], 'body'),
    place('battery-stud', 'Ground stud at the battery', [1560, -400, 160], 'body'),
  ],
  grounds: [
    groundAt('battery-stud', 'Frame at the battery', 'chassis', 'battery-stud'),
    groundAt('panel-stud', 'Stud at the panel', 'chassis', 'panel-stud-place'),
    groundAt('tail-stud', 'Frame at the tail', 'chassis', 'tail-stud'),
    groundAt('pump-ground-left', 'Pump ground, left', 'chassis', 'pump-ground-left'),
    groundAt('engine-block', 'Engine block', 'engine', 'block-stud', 'battery-stud'),
    groundAt('engine-block-left', 'Engine block, left', 'engine', 'block-stud-left'),
  ],
  vehicleSignals: [
    signal('start-button', 'Start button', 'start request', 'dash', [0, 0, 0, 10.4], { fuse: 10 }),
    signal('ignition', 'Ignition switch', 'ignition feed', 'dash', [0, 0, 12.7, 10.4], {
      fuse: 10,
    }),
  ],
  ecuConnections: {
    A01: out('fuse-ecu-constant'),
    A02: out('fuse-ecu'),
    A03: out('fuse-ecu'),
    C21: block,
    C22: block,
    C23: block,
    C24: block,
    D09: block,
    D10: block,
  },
  controllers: [
    controller('sluice', 'Power module', 'SLUICE16', 'panel', {
      A01: out('fuse-sluice'),
      A02: panel,
      A03: at('thermocouples', '3'),
      A04: at('thermocouples', '4'),
    }),
    controller('inputs', 'Input unit', 'EDDY24', 'input-unit', {
      A01: sluice('B15'),
      A02: panel,
      A08: at('dash', '3'),
      A09: at('dash', '4'),
    }),
  ],
  devices: seated(
    [
      fitted('crank', 'Crank sensor', 'DV-CRANK-I', 'engine-front', {
        '1': ecu('A10'),
        '2': ecu('A11'),
        S: ecu('A04'),
      }),
      ...(['left', 'right'] as const).map((side, i) =>
        fitted(`cam-${side}`, `Cam sensor, ${side}`, 'DV-CAM-H', `engine-${side}`, {
          '1': out('fuse-sensors'),
          '2': ecu('A04'),
          '3': ecu(cavity('A', 14 + i)),
        }),
      ),
      fitted('ethanol', 'Ethanol content', 'DV-ETH', 'fine-filter', {
        '1': out('fuse-sensors'),
        '2': ecu('A04'),
        '3': ecu('A16'),
      }),
      fitted('electronic-throttle', 'Throttle', 'DV-ETB', 'throttle-seat', {
        '1': ecu('D07'),
        '2': ecu('D08'),
        '3': ecu('A08'),
        '4': ecu('A05'),
        '5': ecu('A20'),
        '6': ecu('A21'),
      }),
      fitted('pedal', 'Pedal', 'DV-PEDAL', 'pedal-box', {
        '1': ecu('A08'),
        '2': ecu('A05'),
        '3': ecu('A22'),
        '4': ecu('A09'),
        '5': ecu('A06'),
        '6': ecu('A23'),
      }),
      ...(['left', 'right'] as const).map((side, i) =>
        fitted(`knock-${side}`, `Knock sensor, ${side}`, 'DV-KNOCK1', `engine-${side}`, {
          '1': ecu(cavity('A', 33 + i)),
          '2': ecu('A04'),
          S: ecu('A04'),
        }),
      ),
      ...onFive(ecu, { five: 'A09', ground: 'A06', plug: 'A', first: 24 }, [
        ['manifold-pressure', 'Manifold pressure', 'DV-MAP4', 'plenum'],
        ['barometer', 'Barometric pressure', 'DV-BARO', 'cockpit'],
        ['boost-left', 'Boost, left', 'DV-MAP4', 'turbo-left'],
        ['boost-right', 'Boost, right', 'DV-MAP4', 'turbo-right'],
        ['fuel-pressure', 'Fuel pressure, E85', 'DV-P10', 'rail-end'],
        ['methanol-pressure', 'Fuel pressure, methanol', 'DV-P10', 'methanol-rail-end'],
        ['oil-pressure', 'Oil pressure', 'DV-OP10', 'engine-left'],
        ['coolant-pressure', 'Coolant pressure', 'DV-CP5', 'engine-front'],
      ]),
      ...temperatures([
        ['fuel-temperature', 'Fuel temperature, E85', 'DV-FT', 'rail-end'],
        ['methanol-temperature', 'Fuel temperature, methanol', 'DV-FT', 'methanol-rail-end'],
        ['oil-temperature', 'Oil temperature', 'DV-OT', 'engine-left'],
        ['coolant', 'Coolant temperature', 'DV-CLT', 'engine-front'],
        ['gearbox-oil', 'Gearbox oil temperature', 'DV-GT', 'gearbox-top'],
        ['charge-air-left', 'Charge air, left', 'DV-IAT', 'cooler-left'],
        ['charge-air-right', 'Charge air, right', 'DV-IAT', 'cooler-right'],
      ]),
      ...six.map((n) =>
        injector(
          `injector-${n}`,
          `Injector ${n}, E85`,
          'primary',
          n,
          n % 2 === 1 ? 'engine-left' : 'engine-right',
          {
            '1': onBank(
              n,
              (side) => out(`fuse-bank-${side}`),
              (first) => at(`injector-${first}`, '1'),
            ),
            '2': ecu(cavity('C', n)),
          },
        ),
      ),
      ...six.map((n) =>
        injector(`methanol-injector-${n}`, `Injector ${n}, methanol`, 'secondary', n, 'plenum', {
          '1': n === 1 ? out('fuse-methanol') : at('methanol-injector-1', '1'),
          '2': ecu(cavity('C', 6 + n)),
        }),
      ),
      ...six.map((n) =>
        fitted(
          `coil-${n}`,
          `Coil ${n}`,
          'DV-COIL-S',
          n % 2 === 1 ? 'engine-left' : 'engine-right',
          {
            A: onBank(
              n,
              (side) => out(`fuse-coils-${side}`),
              (first) => at(`coil-${first}`, 'A'),
            ),
            B: ecu(cavity('D', n)),
            C: ecu('A04'),
            D: n % 2 === 1 ? blockLeft : block,
          },
          { cylinder: n },
        ),
      ),
      ...(['left', 'right'] as const).flatMap((side, i) => [
        fitted(`wastegate-${side}`, `Wastegate, ${side}`, 'DV-BOOST', `turbo-${side}`, {
          '1': out('fuse-valves'),
          '2': ecu(cavity('B', 19 + i)),
        }),
        fitted(`cam-valve-${side}`, `Cam timing, ${side}`, 'DV-VVT', `engine-${side}`, {
          '1': out('fuse-valves'),
          '2': ecu(cavity('B', 23 + i)),
        }),
        fitted(
          `fan-${side}`,
          `Fan, ${side}`,
          'DV-FAN-B',
          `cooler-${side}`,
          { '1': out(`fuse-fan-${side}`), '2': besidePumps[side], '3': ecu(cavity('B', 25 + i)) },
          { loadedTogether: 2 },
        ),
        fitted(
          `water-pump-${side}`,
          `Water pump, ${side}`,
          'DV-WP',
          `cooler-${side}`,
          { '+': sluice(cavity('B', 1 + i)), '−': besidePumps[side] },
          { loadedTogether: 2 },
        ),
      ]),
      ...(['C13', 'C15'] as const).map((pin, i) =>
        fitted(`gearbox-${i + 1}`, `Gearbox actuator ${i + 1}`, 'DV-SHIFT', 'gearbox-top', {
          '1': out('fuse-actuators'),
          '2': ecu(pin),
        }),
      ),
      fitted(
        'oil-fan',
        'Oil cooler fan',
        'DV-OILFAN',
        'tail',
        { '+': sluice('B03'), '−': tail },
        { loadedTogether: 2 },
      ),
      fitted('rain-light', 'Rain light', 'DV-LAMP-R', 'tail', { '+': sluice('B09'), '−': tail }),
      fitted(
        'starter',
        'Starter',
        'DV-STARTER',
        'starter-seat',
        {
          '30': out('isolator'),
          '50': at('starter-relay', '87'),
        },
        { loadedTogether: 1 },
      ),
      fitted(
        'alternator',
        'Alternator',
        'DV-ALT-2',
        'alternator-seat',
        {
          'B+': out('fuse-alternator'),
          L: sluice('B16'),
        },
        { loadedTogether: 1 },
      ),
      // The bus, in the order of its chain
      ...onBus([
        ['lambda-left', 'Wideband module, left', 'DV-LAMBDA-C', 'turbo-left', sluice('B12')],
        ['lambda-right', 'Wideband module, right', 'DV-LAMBDA-C', 'turbo-right', sluice('B13')],
        ['thermocouples', 'Thermocouple module', 'DV-TC', 'engine-right', sluice('B14')],
        ['logger', 'Data logger', 'DV-LOGGER', 'cockpit', sluice('B11')],
        ['telemetry', 'Telemetry', 'DV-TELE', 'cockpit', sluice('B11')],
        ['keypad', 'Keypad', 'DV-KEYPAD', 'cockpit', sluice('B11')],
        ['dash', 'Dash', 'DV-DASH', 'dash', sluice('B10')],
      ]),
      fitted('terminator-engine', 'Terminator at the ECU', 'DV-TERM', 'ecu', {
        '1': ecu('B09'),
        '2': ecu('B10'),
      }),
      fitted('terminator-nose', 'Terminator at the input unit', 'DV-TERM', 'input-unit', {
        '1': inputs('A08'),
        '2': inputs('A09'),
      }),
      fitted('diagnostic-socket', 'Diagnostic socket', 'DV-SOCKET', 'cockpit', {
        '16': out('fuse-socket'),
        '4': panel,
        '5': panel,
        '6': at('keypad', '3'),
        '14': at('keypad', '4'),
      }),
      // Chassis, on the input unit
      ...corners.map((corner, i) =>
        fitted(
          `wheel-speed-${i + 1}`,
          `Wheel speed, ${corner}`,
          'DV-WS',
          cornerPlaces[i] ?? 'tail',
          {
            '1': sluice('B15'),
            '2': inputs('A03'),
            '3': inputs(cavity('A', 10 + i)),
          },
        ),
      ),
      ...onFive(inputs, { five: 'A06', ground: 'A04', plug: 'A', first: 18 }, [
        ['travel-1', 'Travel, front left', 'DV-TRAVEL', 'wheel-fl'],
        ['travel-2', 'Travel, front right', 'DV-TRAVEL', 'wheel-fr'],
        ['travel-3', 'Travel, rear left', 'DV-TRAVEL', 'wheel-rl'],
        ['travel-4', 'Travel, rear right', 'DV-TRAVEL', 'wheel-rr'],
      ]),
      ...onFive(inputs, { five: 'A07', ground: 'A05', plug: 'A', first: 22 }, [
        ['brake-front', 'Brake pressure, front', 'DV-BP200', 'pedal-box'],
        ['brake-rear', 'Brake pressure, rear', 'DV-BP200', 'pedal-box'],
        ['steering', 'Steering angle', 'DV-STEER', 'dash'],
        ['gear', 'Gear position', 'DV-GEAR', 'gearbox-top'],
      ]),
      fitted('clutch', 'Clutch switch', 'DV-SW', 'pedal-box', {
        '1': inputs('A14'),
        '2': inputs('A05'),
      }),
      fitted('extinguisher', 'Extinguisher trigger', 'DV-EXT', 'cockpit', {}),
      // Supplies
      fitted(
        'isolator',
        'Isolator',
        'DV-ISO-2',
        'main-fuse',
        { in: at('battery', '+'), a: found('ignition') },
        { loadedTogether: 1 },
      ),
      boltFuse('fuse-sluice', 'Fuse, power module', 'FM50', at('battery', '+'), 'main-fuse'),
      boltFuse('fuse-fan-left', 'Fuse, left fan', 'FM40', at('stud', 'stud'), 'panel'),
      boltFuse('fuse-fan-right', 'Fuse, right fan', 'FM40', at('stud', 'stud'), 'panel'),
      boltFuse('fuse-alternator', 'Fuse, alternator', 'FM200', at('battery', '+'), 'main-fuse'),
      relay('main-relay', 'Main relay', 'RL70', {
        '30': out('fuse-main-relay'),
        '86': at('isolator', 'b'),
        '85': ecu('C18'),
      }),
      relay('starter-relay', 'Relay, starter', 'RL30', {
        '30': out('fuse-starter'),
        '86': found('start-button'),
        '85': panel,
      }),
      fuse('fuse-main-relay', 'Fuse, main relay', at('stud', 'stud')),
      fuse('fuse-ecu-constant', 'Fuse, ECU constant', at('stud', 'stud')),
      fuse('fuse-starter', 'Fuse, starter solenoid', at('stud', 'stud')),
      fuse('fuse-socket', 'Fuse, diagnostic socket', at('stud', 'stud')),
      fuse('fuse-ecu', 'Fuse, ECU', at('main-relay', '87')),
      fuse('fuse-sensors', 'Fuse, sensors', at('main-relay', '87')),
      fuse('fuse-bank-left', 'Fuse, injectors left', at('main-relay', '87')),
      fuse('fuse-bank-right', 'Fuse, injectors right', at('main-relay', '87')),
      fuse('fuse-methanol', 'Fuse, methanol injectors', at('main-relay', '87')),
      fuse('fuse-coils-left', 'Fuse, coils left', at('main-relay', '87')),
      fuse('fuse-coils-right', 'Fuse, coils right', at('main-relay', '87')),
      fuse('fuse-actuators', 'Fuse, gearbox actuators', at('main-relay', '87')),
      fuse('fuse-valves', 'Fuse, valves', at('main-relay', '87')),
    ],
    {
      'lambda-left': 'boss',
      'lambda-right': 'boss',
      'charge-air-left': 'boss',
      'charge-air-right': 'boss',
      'oil-temperature': 'tapped',
      'coolant-pressure': 'tapped',
      'gearbox-oil': 'tapped',
    },
  ),
};
