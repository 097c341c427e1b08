import {
  BARE_PLACE,
  type Build,
  type BuildInput,
  type Fuel,
  type FuelCircuit,
  type ItemRef,
  USUAL_CURRENCY,
  USUAL_HEAT_LOSS,
} from '../model/index.ts';
import { type Catalogue, newestOf, refOf } from '../catalogue/index.ts';
import { returnAfterRail, returnAtTank, typedLength, unknownLength } from '../fuel/index.ts';
import { NO_HARNESS } from '../harness/index.ts';
import { pumpDevices } from '../electrics/index.ts';
import { defaultCurves, reidOfBlend } from '../engine/index.ts';
import { bareVehicle } from '../vehicle/index.ts';
import { NotFound, quantity as q } from '../quantities/index.ts';
import type { StartAnswers } from './startSpec.ts';

/** The newest revision of the first of some items that the catalogue has; throws NotFound. */
function firstItem(catalogue: Catalogue, ids: readonly string[]): ItemRef {
  for (const id of ids) {
    const known = catalogue.items.filter((item) => item.id === id);
    const newest = known.sort((a, b) => b.revision - a.revision)[0];
    if (newest) return refOf(newest);
  }
  throw new NotFound(`the catalogue has none of ${ids.join(', ')}`, 'catalogue');
}

/** Reid value Pa of summer petrol before ethanol is mixed in. */
const SUMMER_PETROL = 54e3;

function fuelOf(answers: StartAnswers): Fuel {
  if (answers.fuelKind === 'methanol') return { id: 'fuel', kind: 'methanol', name: 'Methanol' };
  const share = Number((100 * answers.ethanol.value).toFixed(1));
  return {
    id: 'fuel',
    kind: 'petrol-ethanol',
    name: `E${share}, summer grade`,
    ethanol: answers.ethanol,
    reidVapourPressure: q(
      Math.round(reidOfBlend(answers.ethanol.value, SUMMER_PETROL) / 1e3),
      'pressure',
      'kPa',
    ),
    ethanolLowest: null,
  };
}

function circuitOf(answers: StartAnswers, catalogue: Catalogue): FuelCircuit {
  const fuel = fuelOf(answers);
  const alcohol = fuel.kind === 'methanol' ? 1 : fuel.ethanol.value;
  const hose = alcohol > 0.3 ? 'HBP' : 'HBR';
  const item = (...ids: string[]): ItemRef => firstItem(catalogue, ids);
  const ends = (dash: number) => [
    { item: item(`E${dash}-0`), count: 1 },
    { item: item(`E${dash}-90`), count: 1 },
  ];
  const feed = {
    item: item(`${hose}-6`),
    length: typedLength(answers.runLength),
    fittings: ends(6),
  };
  const rail = {
    item: item(alcohol > 0.3 ? 'TSS-8' : 'TAL-8'),
    length: typedLength(q(0.1 * answers.cylinders, 'length', 'm')),
    fittings: [],
  };
  const common = {
    id: 'main',
    name: 'Fuel circuit',
    fuelId: fuel.id,
    rowId: 'primary',
    tank: {
      name: 'Tank',
      pressure: q(0, 'pressure', 'kPa'),
      fuelLevel: q(80, 'length', 'mm'),
      usableVolume: q(50, 'volume', 'L'),
      heatLoss: USUAL_HEAT_LOSS,
    },
    wear: q(10, 'ratio', '%'),
    feed,
    rail,
  };
  const besideTank = {
    item: item(`${hose}-6`),
    length: typedLength(q(0.3, 'length', 'm')),
    fittings: ends(6),
  };
  if (answers.aspiration === 'natural' && answers.pumpMounting === 'in-tank') {
    return returnAtTank({
      ...common,
      strainer: item('FS100'),
      pump: item('P190'),
      hanger: item('HG6'),
      filterRegulator: item('FR-300'),
      pumpHose: {
        item: item('HSB-5'),
        length: typedLength(q(0.25, 'length', 'm')),
        fittings: [],
      },
      regulatorHose: besideTank,
      back: besideTank,
    });
  }
  const short = (dash: number) => ({
    item: item(`${hose}-${dash}`),
    length: typedLength(q(0.3, 'length', 'm')),
    fittings: [{ item: item(`E${dash}-0`), count: 2 }],
  });
  return returnAfterRail({
    ...common,
    outlet: item('B12'),
    coarseFilter: item('F100'),
    pump: item(answers.pumpMounting === 'in-tank' ? 'P255' : 'P340X'),
    mounting: answers.pumpMounting,
    fineFilter: item(alcohol > 0.2 ? 'F10A' : 'F10'),
    regulator: item('RR-M'),
    setPressure: q(300, 'pressure', 'kPa'),
    manifoldRatio: q(1, 'ratio', ''),
    suction: short(10),
    pumpInlet: short(10),
    pumpOutlet: short(6),
    back: {
      item: item(`${hose}-6`),
      length: unknownLength,
      fittings: ends(6),
    },
  });
}

/** How engines in line usually fire, by their cylinders; of others nothing is taken for granted. */
const usualFiringOrder = (cylinders: number): string =>
  ['', '1', '1-2', '1-2-3', '1-3-4-2', '1-2-4-5-3', '1-5-3-6-2-4'][cylinders] ?? '';

/** Where a pump outside of the tank usually sits, m. */
export const PUMP_OUTSIDE = [0.08, -0.3, 0.38] as const;

/** Places of a usual layout, from the length of the run. Metres: x forward, y left, z up. */
function placements(answers: StartAnswers): Build['placements'] {
  const run = answers.runLength.value;
  const place = (
    id: string,
    name: string,
    [x, y, z]: readonly [number, number, number],
    zone: Build['placements'][number]['zone'],
    movesWithEngine = false,
  ) => ({
    id,
    name,
    x: q(1000 * x, 'length', 'mm'),
    y: q(1000 * y, 'length', 'mm'),
    z: q(1000 * z, 'length', 'mm'),
    zone,
    movesWithEngine,
    ...BARE_PLACE,
  });
  const inTank = answers.pumpMounting === 'in-tank';
  const engine = Math.max(0.5, run / 1.1 - 0.3);
  return [
    place('tank-outlet', 'Tank outlet', [-0.3, -0.3, 0.45], 'outside'),
    place('tank-pump', 'Pump in the tank', [-0.3, -0.3, 0.45], 'outside'),
    place('tank-top', 'Tank top', [-0.3, -0.3, 0.65], 'outside'),
    place('tank-return', 'Tank return', [-0.3, -0.1, 0.62], 'outside'),
    place('coarse-filter', 'Coarse filter', [-0.12, -0.3, 0.42], 'outside'),
    place('pump', 'Fuel pump', inTank ? [-0.3, -0.3, 0.42] : PUMP_OUTSIDE, 'outside'),
    place('filter-regulator', 'Filter-regulator', [-0.1, -0.3, 0.6], 'outside'),
    place('fine-filter', 'Fine filter', [0.3, -0.3, 0.42], 'outside'),
    place('rail', 'Fuel rail', [engine, -0.1, 0.8], 'engine-bay', true),
    place('regulator', 'Regulator', [engine, -0.15, 0.8], 'engine-bay', true),
    place('battery', 'Battery', [engine - 0.65, 0.3, 0.7], 'body'),
    place('main-fuse', 'Main fuse', [engine - 0.63, 0.34, 0.75], 'body'),
    place('panel', 'Relay and fuse panel', [engine - 0.6, 0.3, 0.7], 'cabin'),
    place('ecu', 'ECU', [engine - 0.6, -0.2, 0.7], 'cabin'),
    place('inertia', 'Inertia switch', [engine - 0.6, 0.5, 0.7], 'cabin'),
    place('pump-ground', 'Pump ground on the frame', [0, -0.2, 0.5], 'outside'),
  ];
}

/** The build before anything was chosen by computation. */
export function rawBuild(answers: StartAnswers, catalogue: Catalogue): BuildInput {
  const item = (...ids: string[]): ItemRef => firstItem(catalogue, ids);
  const circuit = circuitOf(answers, catalogue);
  const boosted = answers.aspiration !== 'natural' && answers.boost.value > 0;
  const brief = {
    vehicle: answers.vehicle,
    engine: answers.engine,
    use: answers.use,
    cycle: 'four-stroke' as const,
    aspiration: answers.aspiration,
    displacement: answers.displacement,
    cylinders: answers.cylinders,
    firingOrder: usualFiringOrder(answers.cylinders),
    power: answers.power,
    powerSpeed: answers.powerSpeed,
    idleSpeed: q(answers.limiterSpeed.value > 130 ? 1100 : 850, 'rotation', 'rpm'),
    limiterSpeed: answers.limiterSpeed,
    boost: boosted ? answers.boost : q(0, 'pressure', 'bar'),
    idleManifoldAbsolute: q(38, 'pressure', 'kPa'),
    altitude: q(0, 'length', 'm'),
    ambientHot: q(35, 'temperature', '°C'),
    ambientCold: q(-10, 'temperature', '°C'),
    chargeTemperature: null,
    coolerEffectiveness: null,
    fuelTemperatureHot: null,
    lambdaFullLoad: null,
    specificConsumption: null,
    cruisePower: null,
    cruiseRoadSpeed: q(90, 'roadSpeed', 'km/h'),
    volumetricEfficiencyCurve: [],
    boostCurve: [],
  };
  const electrical = ['battery', 'main-fuse', 'panel', 'ecu', 'inertia', 'pump-ground'];
  const used = new Set([...circuit.nodes.map((node) => node.placementId), ...electrical]);
  const ecu = newestOf(catalogue, 'ecu').filter((e) => e.injectorOutputs >= answers.cylinders)[0];
  const outputs = ecu ? refOf(ecu) : item('WEIR60');
  const wiring = pumpDevices({
    pumps: [
      {
        id: 'pump',
        name: 'Fuel pump',
        circuitId: 'main',
        elementId: 'pump',
        placementId: circuit.architecture === 'return-at-tank' ? 'tank-pump' : 'pump',
      },
    ],
    fuse: null,
    relay: item('RL40'),
    panelPlacementId: 'panel',
    groundPlacementId: 'pump-ground',
    trigger: 'low-side',
    cutOff: { part: { kind: 'item', item: item('DV-INERTIA') }, placementId: 'inertia' },
    loadedTogether: 2,
  });
  return {
    name: answers.name,
    description: '',
    brief: { ...brief, ...defaultCurves(brief) },
    demand: { school: 'larger', reason: '' },
    fuels: [fuelOf(answers)],
    fuelCircuits: [circuit],
    injectorRows: [
      {
        id: 'primary',
        name: 'Injectors',
        circuitId: 'main',
        item: item('I440'),
        count: answers.cylinders,
        shotsPerCycle: ecu ? 1 : 2,
        airShare: q(100, 'ratio', '%'),
        staging: null,
        ballast: null,
        seating: null,
        measuredFlows: [],
      },
    ],
    placements: placements(answers).filter((place) => used.has(place.id)),
    ...bareVehicle(answers.use),
    power: {
      wireSystem: 'metric',
      battery: item('BT70'),
      batteryPlacementId: 'battery',
      mainFuse: item('FM40'),
      mainFusePlacementId: 'main-fuse',
      studPlacementId: 'panel',
      ecu: outputs,
      ecuPlacementId: 'ecu',
      keyedFeedPlacementId: 'panel',
      wireDecisions: [],
      ecuConnections: {},
      negativeGroundId: null,
    },
    ...wiring,
    controllers: [],
    vehicleSignals: [],
    buses: [],
    panels: [],
    harness: NO_HARNESS,
    switching: [],
    limits: {},
    options: [],
    acceptances: [],
    assemblies: [],
    shelf: [],
    offcuts: [],
    displayUnits: null,
    currency: USUAL_CURRENCY,
  };
}
