import type { Catalogue, CatalogueItem } from '../catalogue/index.ts';
import { kittiwake, lantern, sampleCatalogue, sandpiper } from '../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../model/index.ts';
import type { TrippedBuild } from './trippedBuilds.ts';

type Change = readonly [path: readonly string[], value: unknown];
const changed = (build: BuildDocument, ...changes: readonly Change[]): BuildDocument =>
  changes.reduce((document, [path, value]) => withValueAt(document, path, value), build);

const item = (id: string) => ({ kind: 'item', item: { id, revision: 1 } });
const ecu = (pin: string) => ({ to: 'controller', controllerId: 'ecu', pin, locked: false });
const part = (partId: string, pin: string) => ({ to: 'part', partId, pin });
const ground = (groundId: string) => ({ to: 'ground', groundId });
const signal = (signalId: string) => ({ to: 'signal', signalId });
const connection = (device: string, pin: string): readonly string[] => [
  'devices',
  device,
  'connections',
  pin,
];

const inMm = (metres: number) => ({ value: metres, unit: 'mm' });
/** What is decided about the panel of Sandpiper. */
const panelWith = (positions: object, height: object | null = null) => ({
  order: 1000,
  placementId: sandpiper.power.studPlacementId,
  width: null,
  height,
  positions,
});
const coolerFan = ['devices', 'cooler-fan-relay', 'connections'];
const idleValve = ['devices', 'idle-valve'];
const alternator = ['devices', 'alternator'];

/** Lantern with everything settled that its electrics are stopped by. */
export const settledLantern: BuildDocument = changed(
  lantern,
  [['power', 'ecuConnections', 'A10'], signal('ign-brown')],
  [
    coolerFan,
    {
      '30': part('fuse-cooler-fan', 'out'),
      '86': part('fuse-cooler-fan', 'out'),
      '85': ecu('B15'),
    },
  ],
  [[...idleValve, 'part'], item('DV-IDLE2')],
  [[...idleValve, 'connections'], { '1': part('fuse-valves', 'out'), '2': ecu('B14') }],
  [[...alternator, 'part'], item('DV-ALT-1')],
  [[...alternator, 'connections'], { 'B+': part('fuse-alternator', 'out') }],
);

const withPart = (id: string, values: object): Catalogue => ({
  items: sampleCatalogue.items.map((each) =>
    each.id === id ? ({ ...each, ...values } as CatalogueItem) : each,
  ),
});

const trip = (
  rule: string,
  finding: string,
  changes: readonly Change[],
  curable = true,
): TrippedBuild => ({
  rule,
  finding,
  build: changed(settledLantern, ...changes),
  soundBuild: settledLantern,
  curable,
});

const celsius = (value: number) => ({ value: value + 273.15, unit: '°C' });
const inWay = (row: string, ...keys: readonly string[]): readonly string[] => [
  'switching',
  row,
  'ways',
  'way-1',
  'conditions',
  ...keys,
];
const keyIn = (position: string) => ({
  'condition-1': { kind: 'key', order: 1000, position },
});
const isolatorOfOnePole: readonly Change[] = [
  [['devices', 'isolator', 'part'], item('DV-ISO')],
  [['devices', 'isolator', 'connections'], { in: part('battery', '+') }],
  [connection('main-relay', '85'), ground('panel-stud')],
];
const fanTwo = (on: number, off: number): readonly Change[] => [
  [inWay('fan-2-relay', 'condition-2', 'on'), celsius(on)],
  [inWay('fan-2-relay', 'condition-2', 'off'), celsius(off)],
];

/** Builds in which something is on when it should not be, or alive where it should be dead. */
const trippedSwitching: readonly TrippedBuild[] = [
  trip('switching.pump-stops', 'switching.pump-stops:pump-relay', [
    [inWay('pump-relay'), keyIn('run')],
  ]),
  trip('switching.dead-in-crank', 'switching.dead-in-crank:main-relay', [
    [inWay('main-relay'), keyIn('acc')],
  ]),
  trip('switching.shared-output', 'switching.shared-output:fan-2-relay', [
    [connection('fan-2-relay', '86'), ecu('B11')],
  ]),
  trip('switching.hysteresis', 'switching.hysteresis:fan-2-relay', fanTwo(101, 99)),
  trip('switching.fan-never-off', 'switching.fan-never-off:fan-2-relay', fanTwo(101, 82)),
  trip(
    'switching.fan-after-protection',
    'switching.fan-after-protection:fan-2-relay',
    fanTwo(112, 105),
  ),
  trip('switching.fans-together', 'switching.fans-together:fan-2-relay', fanTwo(95, 90)),
  trip(
    'sneak.path',
    'sneak.path:fan-1',
    [[connection('cooler-fan-motor', '−'), part('fan-1-relay', '87')]],
    false,
  ),
  trip('backfeed.key-off', 'backfeed.key-off:gearbox-controller', [
    [['vehicleSignals', 'ign-black', 'crank'], { value: 10.2, unit: 'V' }],
    [['devices', 'tachometer', 'part'], item('DV-LAMP-T')],
    [
      ['devices', 'tachometer', 'connections'],
      { '+': signal('ign-brown'), '−': part('alternator', 'L') },
    ],
  ]),
  trip('isolator.runs-on', 'isolator.runs-on', isolatorOfOnePole),
  trip('isolator.load-dump', 'isolator.load-dump', [
    [connection('fuse-alternator', 'in'), part('isolator', 'out')],
  ]),
  {
    ...trip('battery.load-dump', 'battery.load-dump', []),
    build: sandpiper,
    soundBuild: changed(sandpiper, [['power', 'battery'], { id: 'BM12', revision: 1 }]),
  },
  trip(
    'pump.runs-on',
    'pump.runs-on:pump',
    [[connection('pump', '+'), part('fuse-socket', 'out')]],
    false,
  ),
  trip('starter.interlock', 'starter.interlock:starter-relay', [
    [connection('starter-relay', '86'), signal('start-wire')],
  ]),
  {
    ...trip('controller.one-box', 'controller.one-box:sluice', [], false),
    build: kittiwake,
    soundBuild: lantern,
  },
  {
    ...trip('sneak.broken', 'sneak.broken:engine-block', [], false),
    build: sandpiper,
    soundBuild: changed(sandpiper, [['devices', 'tachometer', 'state'], 'removed']),
  },
];

/** Builds in which controller, coils or sensors are fed or grounded in a wrong way. */
const trippedFeeds: readonly TrippedBuild[] = [
  trip('controller.constant-feed', 'controller.constant-feed:A01', [
    [['power', 'ecuConnections', 'A01'], part('fuse-ecu', 'out')],
  ]),
  trip('controller.grounds', 'controller.grounds', [
    [['power', 'ecuConnections', 'A04'], ground('front-frame')],
  ]),
  trip(
    'feed.shared',
    'feed.shared:fuse-ecu',
    ['1', '2', '3', '4'].map((n) => [connection(`injector-${n}`, '1'), part('fuse-ecu', 'out')]),
  ),
  trip('fuse.in-return', 'fuse.in-return:fuse-socket', [
    [['devices', 'fuse-socket', 'connections'], { out: ground('panel-stud') }],
    [connection('diagnostic-socket', '16'), part('fuse-valves', 'out')],
    [connection('diagnostic-socket', '4'), part('fuse-socket', 'in')],
  ]),
  trip('reference.on-supply', 'reference.on-supply:throttle~1', [
    [connection('throttle', '1'), part('fuse-valves', 'out')],
  ]),
  trip('reference.on-supply', 'reference.on-supply:cam~1', [[connection('cam', '1'), ecu('A06')]]),
];

/** Builds whose devices, pins or wires are wrong in one way. */
export const trippedElectrics: readonly TrippedBuild[] = [
  trip('signal.dead-in-crank', 'signal.dead-in-crank:ign-black', [
    [['power', 'ecuConnections', 'A10'], signal('ign-black')],
  ]),
  trip('pin.too-few', 'pin.too-few:ecu/high-side', [
    [
      coolerFan,
      { '30': part('fuse-cooler-fan', 'out'), '86': ecu(''), '85': ground('panel-stud') },
    ],
  ]),
  trip('pin.sequence', 'pin.sequence:ecu/injector-1~2', [
    [connection('injector-2', '2'), ecu('B03')],
    [connection('injector-3', '2'), ecu('B02')],
  ]),
  {
    ...trip('pin.sequence', 'pin.sequence-unknown:ecu', [], false),
    build: changed(kittiwake, [['brief', 'firingOrder'], '']),
    soundBuild: kittiwake,
  },
  trip('pin.too-few', 'pin.three-wire-valve:idle-valve', [
    [[...idleValve, 'part'], item('DV-IDLE3')],
    [
      [...idleValve, 'connections'],
      { '1': ecu(''), '2': part('fuse-valves', 'out'), '3': ecu('') },
    ],
  ]),
  {
    rule: 'alternator.budget',
    finding: 'alternator.budget:cruiseHot',
    build: changed(sandpiper, [['limits', 'alternatorHot'], { value: 0.8, unit: '%' }]),
    soundBuild: sandpiper,
    curable: true,
  },
  {
    rule: 'panel.room',
    finding: 'panel.overlap:pump-relay/fan-relay',
    build: changed(sandpiper, [
      ['panels'],
      { 'panel-1': panelWith({ 'pump-relay': { x: inMm(0.081), y: inMm(0.175) } }) },
    ]),
    soundBuild: sandpiper,
    curable: true,
  },
  {
    rule: 'panel.room',
    finding: 'panel.outside:plug-1',
    build: changed(sandpiper, [['panels'], { 'panel-1': panelWith({}, inMm(0.12)) }]),
    soundBuild: sandpiper,
    curable: true,
  },
  {
    ...trip('battery.drain', 'battery.drain', [], false),
    catalogue: withPart('LEAT34', { standbyCurrent: 0.2 }),
  },
  ...trippedSwitching,
  ...trippedFeeds,
  trip('pin.fault', 'pin.unassigned:coolant~1', [[connection('coolant', '1'), ecu('')]]),
  trip('pin.fault', 'pin.capability:coolant~1', [[connection('coolant', '1'), ecu('B16')]]),
  {
    ...trip('reference.overload', 'reference.overload:ecu', [], false),
    catalogue: withPart('LEAT34', { referenceTotal: 0.02 }),
  },
  trip('alternator.unled', 'alternator.unled:alternator', [
    [[...alternator, 'part'], item('DV-ALT-P')],
    [[...alternator, 'connections'], { 'B+': part('fuse-alternator', 'out') }],
  ]),
  trip(
    'device.unwired',
    'device.unwired:fan-1',
    [[['devices', 'fan-1', 'connections'], { '+': part('fan-1-relay', '87') }]],
    false,
  ),
  trip('ground.sensor-to-chassis', 'ground.sensor-to-chassis:coolant', [
    [connection('coolant', '2'), ground('engine-block')],
  ]),
  trip('supply.unprotected', 'supply.unprotected:fan-1~+', [
    [connection('fan-1', '+'), part('battery', '+')],
  ]),
  trip('supply.unprotected', 'supply.unprotected:starter~30', [
    [connection('starter', '30'), part('battery', '+')],
  ]),
  trip('ground.strap', 'ground.strap:engine-block', [
    [['grounds', 'engine-block', 'strapTo'], null],
  ]),
  trip('device.fuse', 'device.fuse:fuse-fan-1', [
    [['devices', 'fuse-fan-1', 'part', 'item'], { id: 'FB10', revision: 1 }],
  ]),
  trip('device.fuse', 'device.fuse-inrush:fuse-fan-1', [
    [['devices', 'fuse-fan-1', 'part', 'item'], { id: 'FB25', revision: 1 }],
  ]),
  trip('fuse.position', 'fuse.position:fuse-fan-1', [
    [['devices', 'fuse-fan-1', 'positionLimit'], { value: 20, unit: 'A' }],
  ]),
  trip('fuse.position', 'fuse.position:fuse-ecu', [
    [['devices', 'fuse-ecu', 'part', 'item'], { id: 'FB30', revision: 1 }],
    [['devices', 'fuse-ecu', 'positionLimit'], { value: 20, unit: 'A' }],
  ]),
  {
    ...trip('device.relay', 'device.relay:fan-1-relay', [
      [['devices', 'fan-1-relay', 'part', 'item'], { id: 'RL22', revision: 1 }],
    ]),
    catalogue: {
      items: [
        ...sampleCatalogue.items,
        ...sampleCatalogue.items.flatMap((each) =>
          each.category === 'relay' && each.id === 'RL30'
            ? [{ ...each, id: 'RL22', motorRating: 15 }]
            : [],
        ),
      ],
    },
  },
  trip('device.relay', 'device.relay:fan-1-relay', [
    [connection('fan-2', '+'), part('fan-1-relay', '87')],
  ]),
  {
    ...trip('can.termination', 'can.termination:lambda-left', [], false),
    build: changed(kittiwake, [['devices', 'terminator-nose', 'state'], 'removed']),
    soundBuild: kittiwake,
  },
  {
    ...trip('can.stub', 'can.stub:diagnostic-socket', [], false),
    build: changed(kittiwake, [['devices', 'diagnostic-socket', 'placementId'], 'tail']),
    soundBuild: kittiwake,
  },
];
