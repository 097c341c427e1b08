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
const panel = ground('panel-stud');
const front = ground('front-frame');
const reference = ecu('A06');
const sensorGround = ecu('A05');

const cylinders = [1, 2, 3, 4] as const;
/** Outputs of the ECU for the coils: B07 between them is the pump’s. */
const coilPins = ['B05', 'B06', 'B08', 'B09'] as const;

/** Lantern: sensors, actuators, relays and fuses of the van, what stays, and what was found on it. */
export const lanternWiring: DemoWiring = {
  placements: [
    seat('crank-seat', 'Crank sensor, on the bell housing', [2640, -160, 470]),
    seat('cam-seat', 'Cam sensor, front of the head', [3240, 60, 930]),
    seat('coolant-seat', 'Coolant sensor, thermostat housing', [3260, -60, 860]),
    seat('charge-air-seat', 'Charge air sensor, behind the cooler', [3160, -260, 700]),
    seat('throttle-seat', 'Throttle body', [3120, -240, 900]),
    seat('knock-seat', 'Knock sensor, on the block', [2950, -200, 620]),
    place('lambda-seat', 'Lambda sensor, in the downpipe', [2960, 330, 520], 'near-exhaust'),
    seat('oil-seat', 'Oil gallery', [2800, 200, 560]),
    seat('coil-seat', 'Coils, on the head', [2950, 0, 1000]),
    seat('idle-seat', 'Idle valve', [3060, -260, 930]),
    seat('starter-seat', 'Starter', [2680, 220, 480]),
    seat('alternator-seat', 'Alternator', [3280, 200, 560]),
    seat('block-stud', 'Ground stud on the block', [2720, -180, 560]),
    seat('gearbox-loom', 'Gearbox connector', [2250, -200, 520]),
    place('fan-left', 'Left radiator fan', [3900, 170, 680], 'engine-bay'),
    place('fan-right', 'Right radiator fan', [3900, -170, 680], 'engine-bay'),
    place('cooler-fan', 'Gearbox cooler fan', [3800, -330, 560], 'engine-bay'),
    place('frame-front', 'Ground on the frame, front', [3700, -400, 560], 'outside'),
    place('panel-stud-place', 'Ground stud beside the panel', [2260, -500, 860], 'cabin'),
    place('battery-frame', 'Ground on the frame, at the battery', [2350, 430, 570], 'outside'),
    place('dash', 'Behind the instruments', [3650, 420, 1150], 'cabin'),
    place('pedal-box', 'Pedals', [3600, 380, 900], 'cabin'),
    place(
      'gearbox-unit',
      'Gearbox controller, under the passenger seat',
      [2500, -620, 850],
      'cabin',
    ),
  ],
  grounds: [
    groundAt('battery-ground', 'Frame at the battery', 'chassis', 'battery-frame'),
    groundAt('engine-block', 'Engine block', 'engine', 'block-stud', 'battery-ground'),
    groundAt('panel-stud', 'Stud at the panel', 'chassis', 'panel-stud-place'),
    groundAt('front-frame', 'Frame, front', 'chassis', 'frame-front'),
  ],
  vehicleSignals: [
    signal('ign-brown', 'Ignition lock, brown', 'ignition feed', 'dash', [0, 0, 12.4, 10.2], {
      colour: 'brown',
      base: 'brown',
      fuse: 15,
    }),
    signal('ign-black', 'Ignition lock, black/white', 'ignition feed', 'dash', [0, 0, 12.4, 0], {
      colour: 'black/white',
      base: 'black',
      stripe: 'white',
      fuse: 10,
    }),
    signal('permanent', 'Permanent red', 'constant feed', 'dash', [12.6, 12.6, 12.5, 10.3], {
      colour: 'red',
      base: 'red',
      fuse: 20,
    }),
    signal('brake-wire', 'Brake, green/white', 'brake', 'pedal-box', [0, 0, 12.3, 10.1], {
      colour: 'green/white',
      base: 'green',
      stripe: 'white',
      fuse: 10,
    }),
    signal('start-wire', 'Start request, violet', 'start request', 'dash', [0, 0, 0, 10.2], {
      colour: 'violet',
      base: 'violet',
      fuse: 10,
    }),
  ],
  ecuConnections: {
    A01: out('fuse-ecu-constant'),
    A02: out('fuse-ecu'),
    A03: block,
    A04: block,
    A10: found('ign-black'),
  },
  controllers: [
    controller(
      'gearbox-controller',
      'Gearbox controller',
      'FERRY26',
      'gearbox-unit',
      {
        A01: out('fuse-gearbox'),
        A02: at('gearbox-relay', '87'),
        A03: panel,
        A04: panel,
        A08: ecu('B16'),
      },
      'kept',
    ),
  ],
  devices: seated(
    [
      // Sensors of the engine
      fitted('crank', 'Crank sensor', 'DV-CRANK-I', 'crank-seat', {
        '1': ecu('A07'),
        '2': ecu('A08'),
        S: sensorGround,
      }),
      fitted('cam', 'Cam sensor', 'DV-CAM-H', 'cam-seat', {
        '1': out('fuse-valves'),
        '2': sensorGround,
        '3': ecu('A09'),
      }),
      fitted('coolant', 'Coolant sensor', 'DV-CLT', 'coolant-seat', {
        '1': ecu('A16'),
        '2': sensorGround,
      }),
      fitted('charge-air', 'Charge air sensor', 'DV-IAT', 'charge-air-seat', {
        '1': ecu('A17'),
        '2': sensorGround,
      }),
      fitted('manifold-pressure', 'Manifold pressure sensor', 'DV-MAP3', 'manifold', {
        '1': reference,
        '2': sensorGround,
        '3': ecu('A11'),
      }),
      fitted('throttle', 'Throttle position', 'DV-TPS', 'throttle-seat', {
        '1': reference,
        '2': sensorGround,
        '3': ecu('A12'),
      }),
      fitted('knock', 'Knock sensor', 'DV-KNOCK1', 'knock-seat', {
        '1': ecu('A18'),
        '2': sensorGround,
        S: sensorGround,
      }),
      fitted('wideband', 'Wideband module', 'DV-LAMBDA-A', 'lambda-seat', {
        '1': out('fuse-lambda'),
        '2': block,
        '3': ecu('A13'),
        '4': sensorGround,
      }),
      fitted('fuel-pressure', 'Fuel pressure sensor', 'DV-P10', 'rail-end', {
        '1': reference,
        '2': sensorGround,
        '3': ecu('A14'),
      }),
      fitted('oil-pressure', 'Oil pressure sender', 'DV-OP10', 'oil-seat', {
        '1': reference,
        '2': sensorGround,
        '3': ecu('A15'),
      }),
      fitted(
        'oil-switch',
        'Oil pressure switch',
        'DV-OILSW',
        'oil-seat',
        {},
        {
          state: 'removed',
          replacedBy: 'Oil pressure sender, which allows a protection rule',
        },
      ),
      // What the engine is driven by
      ...cylinders.map((n) =>
        injector(`injector-${n}`, `Injector ${n}`, 'primary', n, 'rail', {
          '1': out('fuse-injectors'),
          '2': ecu(`B0${n}`),
        }),
      ),
      ...cylinders.map((n, i) =>
        fitted(
          `coil-${n}`,
          `Coil ${n}`,
          'DV-COIL-S',
          'coil-seat',
          {
            A: out('fuse-coils'),
            B: ecu(coilPins[i] ?? ''),
            C: sensorGround,
            D: block,
          },
          { cylinder: n },
        ),
      ),
      fitted('boost', 'Boost solenoid', 'DV-BOOST-G', 'charge-air-seat', { '1': ecu('B13') }),
      fitted(
        'idle-valve',
        'Idle valve',
        'DV-IDLE3',
        'idle-seat',
        {
          '1': ecu(''),
          '2': out('fuse-valves'),
          '3': ecu(''),
        },
        { state: 'kept' },
      ),
      fitted(
        'fan-1',
        'Fan 1',
        'DV-FAN16',
        'fan-left',
        {
          '+': at('fan-1-relay', '87'),
          '−': front,
        },
        { loadedTogether: 2 },
      ),
      fitted(
        'fan-2',
        'Fan 2',
        'DV-FAN16',
        'fan-right',
        {
          '+': at('fan-2-relay', '87'),
          '−': front,
        },
        { loadedTogether: 2 },
      ),
      fitted('cooler-fan-motor', 'Gearbox cooler fan', 'DV-FAN9', 'cooler-fan', {
        '+': at('cooler-fan-relay', '87'),
        '−': front,
      }),
      fitted(
        'starter',
        'Starter',
        'DV-STARTER',
        'starter-seat',
        {
          '30': out('isolator'),
          '50': at('starter-relay', '87'),
        },
        { state: 'kept', loadedTogether: 1 },
      ),
      fitted(
        'alternator',
        'Alternator',
        'DV-ALT-P',
        'alternator-seat',
        {
          'B+': out('fuse-alternator'),
        },
        { loadedTogether: 1 },
      ),
      // The gearbox, on its own controller
      fitted(
        'park-neutral',
        'Park/neutral switch',
        'DV-PN',
        'gearbox-loom',
        {
          in: found('start-wire'),
        },
        { state: 'kept' },
      ),
      fitted(
        'output-speed',
        'Output speed sensor',
        'DV-OSS',
        'gearbox-loom',
        {
          '1': ecu('A06', 'gearbox-controller'),
          '2': ecu('A07', 'gearbox-controller'),
          S: ecu('A05', 'gearbox-controller'),
        },
        { state: 'kept' },
      ),
      fitted(
        'kickdown',
        'Kickdown switch',
        'DV-SW',
        'pedal-box',
        {
          '1': ecu('A09', 'gearbox-controller'),
          '2': ecu('A05', 'gearbox-controller'),
        },
        { state: 'kept' },
      ),
      fitted(
        'gearbox-oil-temperature',
        'Gearbox oil sensor',
        'DV-GT',
        'gearbox-loom',
        {
          '1': ecu('A16', 'gearbox-controller'),
          '2': ecu('A05', 'gearbox-controller'),
        },
        { state: 'kept' },
      ),
      ...(['A18', 'A19'] as const).map((pin, i) =>
        fitted(
          `shift-${i + 1}`,
          `Shift solenoid ${i + 1}`,
          'DV-SHIFT',
          'gearbox-loom',
          {
            '1': at('gearbox-relay', '87'),
            '2': ecu(pin, 'gearbox-controller'),
          },
          { state: 'kept' },
        ),
      ),
      fitted(
        'lock-up',
        'Lock-up solenoid',
        'DV-LOCKUP',
        'gearbox-loom',
        {
          '1': at('gearbox-relay', '87'),
          '2': ecu('A20', 'gearbox-controller'),
        },
        { state: 'kept' },
      ),
      // What the van keeps
      fitted(
        'brake-switch',
        'Brake switch',
        'DV-BRAKE',
        'pedal-box',
        {
          in: found('permanent'),
        },
        { state: 'kept' },
      ),
      fitted(
        'temperature-sender',
        'Temperature gauge sender',
        'DV-GAUGE-S',
        'coolant-seat',
        {
          '1': out('fuse-gauges'),
        },
        { state: 'kept' },
      ),
      fitted(
        'tachometer',
        'Tachometer',
        'DV-TACH',
        'dash',
        {
          '1': out('fuse-gauges'),
          '2': panel,
        },
        { state: 'kept' },
      ),
      fitted(
        'diagnostic-socket',
        'Diagnostic socket',
        'DV-SOCKET',
        'dash',
        {
          '16': out('fuse-socket'),
          '4': panel,
          '5': panel,
        },
        { state: 'kept' },
      ),
      // Supplies
      fuse('fuse-ecu-constant', 'Fuse, ECU constant', at('stud', 'stud')),
      fuse('fuse-main-relay', 'Fuse, main relay', at('stud', 'stud')),
      fuse('fuse-ecu', 'Fuse, ECU', at('main-relay', '87')),
      fuse('fuse-injectors', 'Fuse, injectors', at('main-relay', '87')),
      fuse('fuse-coils', 'Fuse, coils', at('main-relay', '87')),
      fuse('fuse-lambda', 'Fuse, wideband', at('main-relay', '87')),
      fuse('fuse-valves', 'Fuse, valves and sensors', at('main-relay', '87')),
      fuse('fuse-fan-1', 'Fuse, fan 1', at('stud', 'stud')),
      fuse('fuse-fan-2', 'Fuse, fan 2', at('stud', 'stud')),
      fuse('fuse-cooler-fan', 'Fuse, gearbox cooler fan', at('stud', 'stud')),
      fuse('fuse-gearbox', 'Fuse, gearbox', at('stud', 'stud')),
      fuse('fuse-starter', 'Fuse, starter solenoid', at('stud', 'stud')),
      fuse('fuse-socket', 'Fuse, diagnostic socket', at('stud', 'stud')),
      fuse('fuse-gauges', 'Fuse, gauges', found('ign-brown'), 'dash'),
      boltFuse('fuse-alternator', 'Fuse, alternator', 'FM175', at('battery', '+'), 'main-fuse'),
      fitted(
        'isolator',
        'Isolator',
        'DV-ISO-2',
        'main-fuse',
        { in: at('battery', '+'), a: panel },
        { loadedTogether: 1 },
      ),
      relay('main-relay', 'Main relay', 'RL70', {
        '30': out('fuse-main-relay'),
        '86': ecu('B10'),
        '85': at('isolator', 'b'),
      }),
      relay('fan-1-relay', 'Relay, fan 1', 'RL30', {
        '30': out('fuse-fan-1'),
        '86': ecu('B11'),
        '85': panel,
      }),
      relay('fan-2-relay', 'Relay, fan 2', 'RL30', {
        '30': out('fuse-fan-2'),
        '86': ecu('B12'),
        '85': panel,
      }),
      relay('cooler-fan-relay', 'Relay, gearbox cooler fan', 'RL30', {
        '30': out('fuse-cooler-fan'),
        '86': ecu(''),
        '85': panel,
      }),
      relay('gearbox-relay', 'Relay, gearbox', 'RL30', {
        '30': out('fuse-gearbox'),
        '86': found('ign-brown'),
        '85': panel,
      }),
      relay('starter-relay', 'Relay, starter', 'RL30', {
        '30': out('fuse-starter'),
        '86': at('park-neutral', 'out'),
        '85': panel,
      }),
    ],
    { 'charge-air': 'boss', wideband: 'boss', 'oil-pressure': 'tapped' },
  ),
};
