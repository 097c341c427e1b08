import type { BuildDocument, LengthKnowledge, Placement, Zone } from '../../build/index.ts';
import { quantity } from '../../quantities/index.ts';

const ref = (id: string) => ({ id, revision: 1 });
const q = quantity;
const typed = (metres: number): LengthKnowledge => ({
  typed: q(metres, 'length', 'm'),
  measured: null,
});
const measured = (metres: number): LengthKnowledge => ({
  typed: null,
  measured: q(metres, 'length', 'm'),
});
const byMap: LengthKnowledge = { typed: null, measured: null };

const place = (
  id: string,
  name: string,
  [x, y, z]: [number, number, number],
  zone: Zone,
): Placement => ({
  id,
  name,
  x: q(x, 'length', 'mm'),
  y: q(y, 'length', 'mm'),
  z: q(z, 'length', 'mm'),
  zone,
});

const points = (rows: [rpm: number, percent: number][]) =>
  rows.map(([rpm, percent]) => ({
    speed: q(rpm, 'rotation', 'rpm'),
    value: q(percent, 'ratio', '%'),
  }));

/** Lantern: a mobile library van with a 2.4-litre turbocharged four. */
export const lantern: BuildDocument = {
  format: 'brookrain-build',
  version: 1,
  name: 'Lantern',
  description:
    'Forward-control mobile library van given a 2.4-litre turbocharged four under the cab floor. E10 now, E85 maybe next year. Tank kept, its outlet is too small for injection.',
  brief: {
    vehicle: 'Forward-control mobile library van, 5.6 m',
    engine: '2.4-litre turbocharged four, automatic gearbox',
    use: 'road',
    cycle: 'four-stroke',
    aspiration: 'turbo',
    displacement: q(2.4, 'volume', 'L'),
    cylinders: 4,
    power: q(168, 'power', 'kW'),
    powerSpeed: q(5400, 'rotation', 'rpm'),
    idleSpeed: q(850, 'rotation', 'rpm'),
    limiterSpeed: q(6200, 'rotation', 'rpm'),
    boost: q(0.85, 'pressure', 'bar'),
    idleManifoldAbsolute: q(35, 'pressure', 'kPa'),
    altitude: q(900, 'length', 'm'),
    ambientHot: q(38, 'temperature', '°C'),
    chargeTemperature: null,
    fuelTemperatureHot: null,
    lambdaFullLoad: null,
    specificConsumption: null,
    volumetricEfficiencyCurve: points([
      [850, 55],
      [2000, 78],
      [3200, 90],
      [4400, 94],
      [5400, 91],
      [6200, 77],
    ]),
    boostCurve: points([
      [850, 0],
      [2000, 30],
      [3000, 90],
      [3600, 100],
      [5400, 100],
      [6200, 92],
    ]),
  },
  demand: { school: 'larger', reason: '' },
  fuels: [
    {
      id: 'pump-fuel',
      kind: 'petrol-ethanol',
      name: 'E10, summer grade',
      ethanol: q(10, 'ratio', '%'),
      reidVapourPressure: q(60, 'pressure', 'kPa'),
    },
  ],
  fuelCircuits: [
    {
      id: 'main',
      name: 'Main fuel circuit',
      fuelId: 'pump-fuel',
      architecture: 'return-after-rail',
      nodes: [
        { id: 'tank-out', placementId: 'tank-outlet' },
        { id: 'outlet', placementId: 'tank-outlet' },
        { id: 'coarse-in', placementId: 'coarse-filter' },
        { id: 'coarse-out', placementId: 'coarse-filter' },
        { id: 'pump-in', placementId: 'pump' },
        { id: 'pump-out', placementId: 'pump' },
        { id: 'fine-in', placementId: 'fine-filter' },
        { id: 'fine-out', placementId: 'fine-filter' },
        { id: 'rail-in', placementId: 'rail' },
        { id: 'rail-out', placementId: 'rail' },
        { id: 'regulator-out', placementId: 'regulator' },
        { id: 'tank-return', placementId: 'tank-return' },
      ],
      elements: [
        { kind: 'tank', id: 'tank', name: 'Tank, 85 L steel', outlet: 'tank-out', returnNode: 'tank-return', pressure: q(0, 'pressure', 'kPa'), fuelLevel: q(80, 'length', 'mm') },
        { kind: 'fitting', id: 'tank-bung', name: 'Tank outlet', from: 'tank-out', to: 'outlet', item: ref('B12') },
        { kind: 'line', id: 'suction', name: 'Suction hose', role: 'suction', from: 'outlet', to: 'coarse-in', item: ref('HBR-10'), length: measured(0.42), fittings: [{ item: ref('E10-0'), count: 1 }, { item: ref('E10-45'), count: 1 }] },
        { kind: 'filter', id: 'coarse', name: 'Coarse filter', from: 'coarse-in', to: 'coarse-out', item: ref('F100'), state: 'clean' },
        { kind: 'line', id: 'pump-inlet', name: 'Pump inlet hose', role: 'suction', from: 'coarse-out', to: 'pump-in', item: ref('HBR-10'), length: typed(0.18), fittings: [{ item: ref('E10-0'), count: 2 }] },
        { kind: 'pump', id: 'pump', name: 'Fuel pump', from: 'pump-in', to: 'pump-out', item: ref('P340X'), mounting: 'external', wear: q(10, 'ratio', '%') },
        { kind: 'line', id: 'pump-outlet', name: 'Pump outlet hose', role: 'feed', from: 'pump-out', to: 'fine-in', item: ref('HBR-6'), length: byMap, fittings: [{ item: ref('E6-0'), count: 1 }, { item: ref('E6-90'), count: 1 }] },
        { kind: 'filter', id: 'fine', name: 'Fine filter', from: 'fine-in', to: 'fine-out', item: ref('F10'), state: 'clean' },
        { kind: 'line', id: 'feed', name: 'Feed line', role: 'feed', from: 'fine-out', to: 'rail-in', item: ref('HBR-6'), length: typed(4.4), fittings: [{ item: ref('E6-0'), count: 1 }, { item: ref('E6-90'), count: 2 }] },
        { kind: 'line', id: 'rail', name: 'Fuel rail', role: 'other', from: 'rail-in', to: 'rail-out', item: ref('TAL-8'), length: typed(0.38), fittings: [] },
        { kind: 'injectors', id: 'injectors', name: 'Injectors', node: 'rail-out', rowId: 'primary' },
        { kind: 'regulator', id: 'regulator', name: 'Pressure regulator', from: 'rail-out', to: 'regulator-out', item: ref('RR-M'), setPressure: q(300, 'pressure', 'kPa'), manifoldRatio: q(1, 'ratio', '') },
        { kind: 'line', id: 'return', name: 'Return line', role: 'return', from: 'regulator-out', to: 'tank-return', item: ref('HBR-6'), length: byMap, fittings: [{ item: ref('E6-0'), count: 1 }, { item: ref('E6-90'), count: 1 }] },
      ],
    },
  ],
  injectorRows: [
    { id: 'primary', name: 'Primary injectors', circuitId: 'main', item: ref('I650'), count: 4, shotsPerCycle: 1, airShare: q(100, 'ratio', '%') },
  ],
  placements: [
    place('tank-outlet', 'Tank outlet', [-450, -550, 430], 'outside'),
    place('tank-return', 'Tank return', [-450, -350, 700], 'outside'),
    place('coarse-filter', 'Coarse filter', [-180, -560, 400], 'outside'),
    place('pump', 'Fuel pump', [-40, -560, 360], 'outside'),
    place('fine-filter', 'Fine filter', [220, -560, 440], 'outside'),
    place('rail', 'Fuel rail', [2950, -120, 880], 'engine-bay'),
    place('regulator', 'Regulator', [3050, -150, 900], 'engine-bay'),
    place('battery', 'Battery box', [2250, 560, 620], 'cabin'),
    place('main-fuse', 'Main fuse', [2250, 500, 690], 'cabin'),
    place('panel', 'Relay and fuse panel', [2420, 240, 780], 'cabin'),
    place('ecu', 'ECU', [2380, -180, 820], 'cabin'),
    place('inertia', 'Inertia switch', [2620, 620, 900], 'cabin'),
    place('pump-ground', 'Pump ground on the frame', [60, -430, 520], 'outside'),
  ],
  power: {
    wireSystem: 'metric',
    battery: ref('BT70'),
    batteryPlacementId: 'battery',
    mainFuse: ref('FM40'),
    mainFusePlacementId: 'main-fuse',
    studPlacementId: 'panel',
    ecu: ref('LEAT34'),
    ecuPlacementId: 'ecu',
    keyedFeedPlacementId: 'panel',
    pumpFeeds: [
      { id: 'pump-feed', circuitId: 'main', elementId: 'pump', pumpPlacementId: 'pump', fuse: null, fusePlacementId: 'panel', relay: ref('RL40'), relayPlacementId: 'panel', groundPlacementId: 'pump-ground', inertiaSwitch: true, inertiaPlacementId: 'inertia', trigger: 'low-side', loadedTogether: 2 },
    ],
    wireDecisions: [],
  },
  limits: {
    designFactor: q(110, 'ratio', '%'),
    injectorDuty: q(80, 'ratio', '%'),
    pumpMargin: q(20, 'ratio', '%'),
    voltageRunning: q(13.8, 'voltage', 'V'),
    voltageLow: q(12.2, 'voltage', 'V'),
    voltageCranking: q(10.5, 'voltage', 'V'),
    pumpFeedDrop: q(0.25, 'voltage', 'V'),
  },
  options: [
    {
      id: 'tank-outlet',
      title: 'Tank outlet',
      chosen: 'new',
      alternatives: [
        {
          id: 'new',
          name: 'New −12 bung, external pump',
          reason: 'Large bore and gravity feed; the tank must be emptied and made safe first.',
          values: [{ path: 'fuelCircuits.0.elements.1.item', value: ref('B12') }],
        },
        {
          id: 'existing',
          name: 'Keep the 8 mm outlet with its draw tube',
          reason: 'No hot work on the tank; the narrow draw tube costs inlet pressure.',
          values: [{ path: 'fuelCircuits.0.elements.1.item', value: ref('OLD8') }],
        },
      ],
    },
  ],
};
