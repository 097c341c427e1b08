import type { Catalogue } from '../catalogue/index.ts';
import { type BuildDocument, withValueAt } from '../model/index.ts';
import { lantern, sampleCatalogue } from '../exchange/index.ts';

/** A build that trips a finding, beside one that does not. */
export interface TrippedBuild {
  readonly rule: string;
  readonly finding: string;
  readonly build: BuildDocument;
  readonly soundBuild: BuildDocument;
  /** where the finding comes from a part that no one would sell */
  readonly catalogue?: Catalogue;
  /** at least one cure can be applied with one click */
  readonly curable: boolean;
}

/** A value put in a place of Lantern. */
export type Change = readonly [path: string, value: unknown];
/** The coarse filter higher than the pump: its fuel is nearest to boiling there. */
export const highFilter: Change = ['placements.coarse-filter.z', { value: 0.62, unit: 'mm' }];

/** Lantern with some values put in their places. */
export const changed = (...changes: readonly Change[]): BuildDocument =>
  changes.reduce((doc, [path, value]) => withValueAt(doc, path, value), lantern);

const ref = (id: string) => ({ id, revision: 1 });
const element = (id: string, field: string): string => `fuelCircuits.main.elements.${id}.${field}`;
const share = (value: number) => ({ value, unit: '%' });
const metres = (value: number) => ({ typed: { value, unit: 'm' }, measured: null });

/** Cool fuel in a tank that stays as cool: takes boiling out of the way of other checks. */
export const cool: readonly Change[] = [
  ['brief.fuelTemperatureHot', { value: 303.15, unit: '°C' }],
  [element('tank', 'heatLoss'), { value: 500, unit: 'W/K' }],
];
const sound = changed(...cool);
const decision = (wireId: string, size: string): Change => [
  'power.wireDecisions',
  { [wireId]: { size: ref(size), length: { typed: null, measured: null } } },
];
const e85: Change = ['fuels.pump-fuel.ethanol', share(0.85)];

/** A build that a few changes trip, beside one that stands sound. */
export const trip = (
  rule: string,
  finding: string,
  changes: readonly Change[],
  curable = true,
): TrippedBuild => ({
  rule,
  finding,
  build: changed(...cool, ...changes),
  soundBuild: sound,
  curable,
});

/** The catalogue with some data of one part replaced. */
export const withPart = (id: string, data: object): Catalogue => ({
  items: sampleCatalogue.items.map((i) => (i.id === id ? ({ ...i, ...data } as typeof i) : i)),
});

/** One build for every finding that can be tripped on the demo. */
export const tripped: readonly TrippedBuild[] = [
  trip('induction.boost', 'induction.boost-without-compressor', [['brief.aspiration', 'natural']]),
  trip('induction.boost', 'induction.no-boost', [['brief.boost', { value: 0, unit: 'bar' }]]),
  trip('induction.boost', 'induction.boost-never-comes', [
    ['brief.boostCurve.p1.value', share(0)],
    ['brief.boostCurve.p2.value', share(0)],
    ['brief.boostCurve.p3.value', share(0)],
    ['brief.boostCurve.p4.value', share(0)],
    ['brief.boostCurve.p5.value', share(0)],
    ['brief.boostCurve.p6.value', share(0)],
  ]),
  trip('demand.disagreement', 'demand.disagreement', [
    ['brief.power', { value: 260e3, unit: 'kW' }],
    ['injectorRows.primary.item', ref('I1050')],
    [element('pump', 'item'), ref('P520X')],
  ]),
  trip('injector.duty', 'injector.duty:primary', [['injectorRows.primary.item', ref('I360')]]),
  trip('injector.idle-pulse', 'injector.idle-pulse:primary', [
    ['injectorRows.primary.item', ref('I2200')],
    ['brief.idleManifoldAbsolute', { value: 24e3, unit: 'kPa' }],
  ]),
  trip('injector.driver', 'injector.driver:primary', [['injectorRows.primary.item', ref('I650L')]]),
  trip('injector.outputs', 'injector.outputs', [
    ['brief.cylinders', 6],
    ['injectorRows.primary.count', 6],
  ]),
  trip('injector.outputs', 'injector.count:primary', [['injectorRows.primary.count', 3]]),
  trip('injector.air-share', 'injector.air-share', [
    ['injectorRows.primary.airShare', share(0.98)],
    ['brief.boost', { value: 83e3, unit: 'kPa' }],
  ]),
  trip('hose.rating', 'hose.service:return', [[element('return', 'item'), ref('HHY-6')]]),
  trip('hose.rating', 'hose.service:feed', [[element('feed', 'item'), ref('HVT-6')]]),
  trip('rail.sag', 'rail.sag:primary', [
    [element('feed', 'item'), ref('HBP-4')],
    [element('feed', 'length'), metres(30)],
    ['brief.power', { value: 190e3, unit: 'kW' }],
    ['injectorRows.primary.item', ref('I850')],
  ]),
  trip('prime.reach', 'prime.reach:main', [[element('pump', 'item'), ref('P120')]]),
  trip(
    'flow.transitional',
    'flow.transitional:feed',
    [[element('feed', 'item'), ref('HBR-16')]],
    false,
  ),
  trip('pump.margin', 'pump.margin:main', [
    ['fuelCircuits.main.elements.pump.wear', share(0.42)],
    ['limits.pumpMargin', share(0.1)],
  ]),
  trip('pump.mounting', 'pump.mounting:pump', [[element('pump', 'item'), ref('P340')]]),
  trip(
    'pump.outside-data',
    'pump.outside-data:pump/crankingCold',
    [['limits.voltageCranking', { value: 7, unit: 'V' }]],
    false,
  ),
  trip(
    'suction.head',
    'suction.head:pump',
    [['brief.fuelTemperatureHot', { value: 323.15, unit: '°C' }]],
    false,
  ),
  trip('suction.velocity', 'suction.velocity:suction', [
    [element('suction', 'item'), ref('HBR-4')],
  ]),
  trip('feed.velocity', 'feed.velocity:feed', [
    [element('feed', 'item'), ref('HBP-4')],
    [element('feed', 'length'), metres(0.5)],
    [element('pump', 'item'), ref('P900T')],
    ['brief.boost', { value: 0, unit: 'bar' }],
    ['brief.power', { value: 100e3, unit: 'kW' }],
  ]),
  trip(
    'vapour.run',
    'vapour.run:main',
    [['brief.fuelTemperatureHot', { value: 321, unit: '°C' }], highFilter],
    false,
  ),
  trip(
    'vapour.return',
    'vapour.return:main',
    [['brief.fuelTemperatureHot', { value: 330, unit: '°C' }]],
    false,
  ),
  trip('return.hotIdle', 'return.hotIdle:main', [
    [element('return', 'item'), ref('HBR-4')],
    [element('return', 'length'), metres(24)],
    [element('return', 'fittings'), {}],
    [element('pump', 'item'), ref('P520X')],
  ]),
  trip('return.overrun', 'return.overrun:main', [
    [element('return', 'item'), ref('HBR-4')],
    [element('return', 'length'), metres(24)],
    [element('return', 'fittings'), {}],
    [element('pump', 'item'), ref('P520X')],
  ]),
  trip('regulator.range', 'regulator.range:regulator', [
    [element('regulator', 'setPressure'), { value: 220e3, unit: 'kPa' }],
  ]),
  trip(
    'regulator.range',
    'regulator.bypass:regulator',
    [[element('regulator', 'item'), ref('RR-S')]],
    false,
  ),
  trip(
    'filter.choice',
    'filter.drop:fine',
    [
      [element('fine', 'item'), ref('F10A')],
      [element('pump', 'item'), ref('P900T')],
      ['fuels.pump-fuel.ethanol', share(1)],
      ['brief.fuelTemperatureHot', { value: 253.15, unit: '°C' }],
      ['brief.boost', { value: 0, unit: 'bar' }],
    ],
    false,
  ),
  trip('filter.choice', 'filter.before-pump:coarse', [[element('coarse', 'item'), ref('F10')]]),
  trip('filter.choice', 'filter.media:fine', [e85, ['injectorRows.primary.item', ref('I850')]]),
  trip('hose.rating', 'hose.fuel:feed', [e85, ['injectorRows.primary.item', ref('I850')]]),
  trip('hose.rating', 'rating.pressure:feed', [[element('feed', 'item'), ref('HLP-6')]]),
  trip('wire.size', 'wire.fuse:pump~+', [decision('pump~+', 'W0_5')]),
  trip('wire.size', 'wire.current:pump~+', [decision('pump~+', 'W0_35')]),
  trip('wire.size', 'wire.voltage-drop:pump-relay~30', [decision('pump~+', 'W2_5')]),
  trip('wire.size', 'wire.mechanical-minimum:pump~+', [decision('pump~+', 'W0_5')]),
  trip('wire.size', 'wire.terminal-fit:pump~+', [decision('pump~+', 'W16')]),
  trip('fuse.load', 'fuse.load:pump', [['devices.pump-fuse.part.item', ref('FB10')]]),
  trip('fuse.load', 'fuse.inrush:pump', [['devices.pump-fuse.part.item', ref('FB75')]]),
  trip('main-fuse', 'main-fuse.distance:battery-+~main-fuse', [
    ['placements.main-fuse.x', { value: 3, unit: 'mm' }],
  ]),
  trip('main-fuse', 'main-fuse.load', [['power.mainFuse', ref('FM60')]]),
  trip('pump.trigger', 'pump.trigger-side:pump', [
    [
      'devices.pump-relay.connections',
      {
        '30': { to: 'part', partId: 'pump-fuse', pin: 'out' },
        '86': { to: 'controller', controllerId: 'ecu', pin: '', locked: false },
        '85': { to: 'part', partId: 'inertia-switch', pin: 'in' },
      },
    ],
    ['devices.inertia-switch.connections', { out: { to: 'ground', groundId: 'pump-ground' } }],
  ]),
  trip('device.relay', 'relay.contact:pump', [
    [element('pump', 'item'), ref('P900T')],
    ['devices.pump-relay.part.item', ref('RL30')],
    ['power.mainFuse', ref('FM60')],
  ]),
  {
    ...trip('injector.impedance', 'injector.impedance:primary', [], false),
    catalogue: withPart('I650', { resistance: 5 }),
  },
  {
    ...trip('circuit.unsolved', 'circuit.unsolved:main/keyOnPrime', [], false),
    catalogue: withPart('HBR-6', { bore: 1e-5 }),
  },
  trip('pump.inertia-switch', 'pump.inertia-switch:pump', [
    ['devices.pump-relay.connections.86', { to: 'part', partId: 'keyed-feed', pin: 'wire' }],
  ]),
];
