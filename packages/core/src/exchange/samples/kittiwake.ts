import {
  type Assembly,
  type BuildDocument,
  type FuelCircuit,
  writeBuild,
} from '../../model/index.ts';
import { pumpDevices } from '../../electrics/index.ts';
import { returnAfterRail, twinPumps, withPrefix } from '../../fuel/index.ts';
import { kittiwakeConnectorPlaces, kittiwakeConnectors } from './kittiwakeConnectors.ts';
import { kittiwakeHarness } from './kittiwakeHarness.ts';
import { kittiwakeVehicle } from './kittiwakeVehicle.ts';
import { kittiwakeSwitching } from './demoSwitching.ts';
import { kittiwakeWiring } from './kittiwakeWiring.ts';
import { assembly, byMap, end, otherAssembly, placedAt, points, q, ref } from './shorthand.ts';

const typedPart = { pressure: q(0, 'pressure', 'kPa'), fuelLevel: q(60, 'length', 'mm') };

const lines = {
  suction: { item: ref('HBP-16'), length: byMap, fittings: [] },
  pumpInlet: { item: ref('HBP-12'), length: byMap, fittings: [] },
  pumpOutlet: { item: ref('HBP-10'), length: byMap, fittings: [] },
  pumpHose: { item: ref('HBP-8'), length: byMap, fittings: [] },
  feed: { item: ref('HBP-10'), length: byMap, fittings: [] },
  branch: { item: ref('HBP-8'), length: byMap, fittings: [] },
  rail: { item: ref('TSS-8'), length: byMap, fittings: [] },
  back: { item: ref('HBP-10'), length: byMap, fittings: [] },
};

/** What both circuits are made of. */
const parts = {
  ...lines,
  outlet: ref('B16'),
  coarseFilter: ref('F100L'),
  strainer: ref('FS100'),
  hanger: ref('HG8'),
  pump: ref('P520X'),
  inTankPump: ref('P340'),
  liftPump: ref('P120'),
  mounting: 'external',
  wear: q(5, 'ratio', '%'),
  fineFilter: ref('F40L'),
  filterRegulator: ref('FR-300'),
  regulator: ref('RR-L'),
  lowRegulator: ref('RR-T'),
  setPressure: q(250, 'pressure', 'kPa'),
  lowPressure: q(100, 'pressure', 'kPa'),
  manifoldRatio: q(1, 'ratio', ''),
  surgeVolume: q(2, 'volume', 'L'),
  leastShare: q(35, 'ratio', '%'),
  yBlock: ref('Y10'),
  inletYBlock: ref('Y12'),
} as const;

/** The second pump comes in on demand: one is enough below it. */
const onDemand = {
  kind: 'stepped',
  lowShare: q(0, 'ratio', '%'),
  above: q(200, 'volumeFlow', 'L/h'),
  below: q(160, 'volumeFlow', 'L/h'),
} as const;

/** Cells of 0.6 m² in ducted air. */
const ductedCell = q(20, 'thermalConductance', 'W/K');

/** E85 for the primaries: twin pumps to a Y-block, two rails side by side. */
const twins = placedAt(
  twinPumps({
    ...parts,
    id: 'main',
    name: 'E85 circuit',
    fuelId: 'e85',
    rowId: 'primary',
    tank: {
      name: 'Cell, 30 L stainless',
      ...typedPart,
      usableVolume: q(28, 'volume', 'L'),
      heatLoss: ductedCell,
    },
    rails: 2,
  }),
  {
    'suction-leg-1': 'inlet-y',
    'suction-leg-2': 'inlet-y',
    'y-in-1': 'pump-y',
    'y-in-2': 'pump-y',
    pumped: 'pump-y',
    'rail-out-1': 'rail-end',
    'rail-out-2': 'rail-2-end',
  },
);
const primaryCircuit: FuelCircuit = {
  ...twins,
  elements: twins.elements.map((element) =>
    element.kind === 'pump' && element.id === 'pump-2'
      ? { ...element, control: onDemand }
      : element,
  ),
};

/** Methanol for the second row, from a cell of its own. */
const methanolCircuit = (() => {
  const circuit = withPrefix(
    returnAfterRail({
      ...parts,
      id: 'methanol',
      name: 'Methanol circuit',
      fuelId: 'methanol',
      rowId: 'secondary',
      tank: {
        name: 'Cell, 20 L stainless',
        ...typedPart,
        usableVolume: q(18, 'volume', 'L'),
        heatLoss: ductedCell,
      },
      suction: lines.suction,
    }),
    'methanol-',
  );
  const nodes = circuit.nodes.map((n) => ({ ...n, placementId: `methanol-${n.placementId}` }));
  const elements = circuit.elements.map((element) =>
    element.kind === 'pump' ? { ...element, name: 'Methanol pump' } : element,
  );
  return placedAt({ ...circuit, nodes, elements }, { 'methanol-rail-out': 'methanol-rail-end' });
})();

const pump = (id: string, name: string, circuitId: string, triggerPin = '') => ({
  id,
  name,
  circuitId,
  elementId: id,
  placementId: id,
  triggerPin,
});
/** Three pumps, each with an output of its own. */
const pumpWiring = pumpDevices({
  pumps: [
    pump('pump', 'First pump', 'main'),
    pump('pump-2', 'Second pump', 'main', 'C16'),
    pump('methanol-pump', 'Methanol pump', 'methanol', 'C17'),
  ],
  fuse: ref('FB30'),
  relay: ref('RL70'),
  panelPlacementId: 'panel',
  groundPlacementId: 'pump-ground',
  trigger: 'low-side',
  cutOff: { part: { kind: 'item', item: ref('DV-INERTIA') }, placementId: 'inertia' },
  loadedTogether: 6,
});

/** Rails have O-ring ports, cells male nuts on what is welded into their tops. */
const intoRail = (angle: number, dash = 8) =>
  end(`EP${dash}-${angle}`, [dash === 8 ? 'AB8' : `AB8-${dash}`], 'boss-8-female');
const intoCell = end('EP10-0', [], 'flare-10-male');
const ontoVent = end('EP6-0', [], 'flare-6-male');
const fromRegulator = end('EP10-90', ['AB8-10']);

/** Every hose of both circuits with its ends; the branches alike on both sides. */
const assemblies: readonly Assembly[] = [
  assembly('main', 'suction', end('EP16-0'), end('EP16-90', ['AB16'])),
  ...[1, 2].flatMap((which) => [
    assembly('main', `pump-inlet-${which}`, end('EP12-0'), end('EP12-0', ['AB12'])),
    assembly('main', `pump-hose-${which}`, end('EP8-0', ['AB8']), end('EP8-0', ['AD10-8'])),
    assembly('main', `branch-${which}`, end('EP8-0', ['AD10-8']), intoRail(60)),
    assembly('main', `rail-link-${which}`, intoRail(90), end('EP8-90', ['AB8'])),
  ]),
  assembly('main', 'pump-outlet', end('EP10-0'), end('EP10-0', ['AB10'])),
  assembly('main', 'feed', end('EP10-90', ['AB10']), end('EP10-0')),
  assembly('main', 'return', fromRegulator, intoCell),
  assembly('methanol', 'methanol-suction', end('EP16-0'), end('EP16-90', ['AB16'])),
  assembly('methanol', 'methanol-pump-inlet', end('EP12-0', ['AB12']), end('EP12-0', ['AB12'])),
  assembly('methanol', 'methanol-pump-outlet', end('EP10-0', ['AB8-10']), end('EP10-0', ['AB10'])),
  assembly('methanol', 'methanol-feed', end('EP10-90', ['AB10']), intoRail(90, 10)),
  assembly('methanol', 'methanol-return', fromRegulator, intoCell),
  otherAssembly('vent', ontoVent, ontoVent),
  otherAssembly('methanol-vent', ontoVent, ontoVent),
];

/**
 * Kittiwake: a hill-climb single-seater with a 3.1-litre twin-turbo V6: E85 on the primaries over
 * twin pumps and two rails, methanol on a staged second row from a tank of its own.
 */
export const kittiwake: BuildDocument = writeBuild({
  name: 'Kittiwake',
  description:
    'Hill-climb single-seater on a tube frame, 3.1-litre twin-turbo V6: E85 on the primaries over twin pumps and two rails, methanol on a staged second row with its own tank, pump and circuit.',
  brief: {
    vehicle: 'Hill-climb single-seater, tube frame',
    engine: '3.1-litre twin-turbo V6',
    use: 'competition',
    cycle: 'four-stroke',
    aspiration: 'turbo',
    displacement: q(3.1, 'volume', 'L'),
    cylinders: 6,
    firingOrder: '1-2-3-4-5-6',
    power: q(520, 'power', 'kW'),
    powerSpeed: q(7600, 'rotation', 'rpm'),
    idleSpeed: q(1100, 'rotation', 'rpm'),
    limiterSpeed: q(8200, 'rotation', 'rpm'),
    boost: q(1.9, 'pressure', 'bar'),
    idleManifoldAbsolute: q(45, 'pressure', 'kPa'),
    altitude: q(600, 'length', 'm'),
    ambientHot: q(30, 'temperature', '°C'),
    ambientCold: q(-10, 'temperature', '°C'),
    chargeTemperature: q(45, 'temperature', '°C'),
    coolerEffectiveness: null,
    fuelTemperatureHot: null,
    lambdaFullLoad: null,
    specificConsumption: null,
    cruisePower: null,
    cruiseRoadSpeed: q(80, 'roadSpeed', 'km/h'),
    volumetricEfficiencyCurve: points([
      [1100, 55],
      [3000, 80],
      [4500, 96],
      [6000, 102],
      [7600, 98],
      [8200, 90],
    ]),
    boostCurve: points([
      [1100, 0],
      [3000, 30],
      [4200, 90],
      [4800, 100],
      [7600, 100],
      [8200, 95],
    ]),
  },
  demand: { school: 'larger', reason: '' },
  fuels: [
    {
      id: 'e85',
      kind: 'petrol-ethanol',
      name: 'E85',
      ethanol: q(85, 'ratio', '%'),
      reidVapourPressure: q(38, 'pressure', 'kPa'),
      ethanolLowest: q(51, 'ratio', '%'),
    },
    { id: 'methanol', kind: 'methanol', name: 'Methanol' },
  ],
  fuelCircuits: [primaryCircuit, methanolCircuit],
  injectorRows: [
    {
      id: 'primary',
      name: 'Primary injectors, E85',
      circuitId: 'main',
      item: ref('I1700'),
      count: 6,
      shotsPerCycle: 1,
      airShare: q(67, 'ratio', '%'),
      staging: null,
      ballast: null,
      seating: {
        retention: 'both',
        railBore: q(14, 'length', 'mm'),
        portBore: q(14, 'length', 'mm'),
        seatDistance: q(48, 'length', 'mm'),
        bossSpacing: q(92, 'length', 'mm'),
        plug: 'round',
      },
      measuredFlows: [1694, 1702, 1711, 1698, 1689, 1706].map((cc) =>
        q(cc, 'volumeFlow', 'cc/min'),
      ),
    },
    {
      id: 'secondary',
      name: 'Second row, methanol',
      circuitId: 'methanol',
      item: ref('I2200'),
      count: 6,
      shotsPerCycle: 1,
      airShare: q(33, 'ratio', '%'),
      staging: { aboveDuty: q(55, 'ratio', '%'), blend: q(15, 'ratio', '%') },
      ballast: null,
      seating: {
        retention: 'both',
        railBore: q(14, 'length', 'mm'),
        portBore: q(14, 'length', 'mm'),
        seatDistance: q(48, 'length', 'mm'),
        bossSpacing: q(60, 'length', 'mm'),
        plug: 'round',
      },
      measuredFlows: [],
    },
  ],
  ...kittiwakeVehicle,
  placements: [
    ...kittiwakeVehicle.placements,
    ...kittiwakeWiring.placements,
    ...kittiwakeConnectorPlaces,
  ],
  power: {
    wireSystem: 'metric',
    battery: ref('BT70'),
    batteryPlacementId: 'battery',
    mainFuse: ref('FM200'),
    mainFusePlacementId: 'main-fuse',
    studPlacementId: 'panel',
    ecu: ref('WEIR60'),
    ecuPlacementId: 'ecu',
    keyedFeedPlacementId: 'panel',
    wireDecisions: [],
    ecuConnections: kittiwakeWiring.ecuConnections,
    negativeGroundId: 'battery-stud',
  },
  // On the left, away from the ground of the other two: it has one of its own.
  devices: [
    ...pumpWiring.devices.map((device) =>
      device.id === 'methanol-pump'
        ? {
            ...device,
            connections: {
              ...device.connections,
              '−': { to: 'ground' as const, groundId: 'pump-ground-left' },
            },
          }
        : device,
    ),
    ...kittiwakeWiring.devices,
    ...kittiwakeConnectors,
  ],
  controllers: kittiwakeWiring.controllers,
  vehicleSignals: kittiwakeWiring.vehicleSignals,
  grounds: [...kittiwakeWiring.grounds, ...pumpWiring.grounds],
  panels: [],
  harness: kittiwakeHarness,
  switching: kittiwakeSwitching,
  buses: [{ id: 'bus-1', name: 'Vehicle bus', partId: 'ecu', pin: 'B09', rate: '1 Mbit/s' }],
  limits: {
    designFactor: q(110, 'ratio', '%'),
    injectorDuty: q(85, 'ratio', '%'),
    pumpMargin: q(20, 'ratio', '%'),
    voltageRunning: q(13.8, 'voltage', 'V'),
    voltageLow: q(12.8, 'voltage', 'V'),
    voltageCranking: q(10.5, 'voltage', 'V'),
    pumpFeedDrop: q(0.35, 'voltage', 'V'),
    alternatorAtIdle: q(45, 'ratio', '%'),
    alternatorHot: q(85, 'ratio', '%'),
    batteryUsable: q(50, 'ratio', '%'),
    thermostatOpens: q(82, 'temperature', '°C'),
  },
  options: [],
  acceptances: [],
  assemblies,
  shelf: [],
  offcuts: [],
  displayUnits: null,
  currency: 'EUR',
});
