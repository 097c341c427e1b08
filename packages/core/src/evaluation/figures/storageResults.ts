import {
  type LineElement,
  beforePump,
  leadsTo,
  lookUp,
  pumpDuties,
  tankOf,
} from '../../build/index.ts';
import {
  petrolE0,
  PART_LOAD_CONSUMPTION,
  cruiseMassFlow,
  drivingRange,
  specificHeat,
  volumePerDistance,
  volumePerTime,
} from '../../fuels/index.ts';
import {
  FUEL_BULK_MODULUS,
  compliance,
  emptyPrimeTime,
  flowAtDensity,
  hourlyRise,
  liftRatio,
  lineVolume,
  pressureKeeperOf,
  primeCount,
  primeTime,
  surgeReserve,
  wallModulus,
} from '../../hydraulics/index.ts';
import { type Result, derive, given } from '../../results/index.ts';
import { deliverable } from '../deliverable.ts';
import type { FluidResult } from '../fluidStage.ts';
import { rowMassFlow } from '../rowShare.ts';
import { circuitMassFlow } from '../solvePoint.ts';
import { type FigureContext, SOLVED } from './figureContext.ts';

/** The ECU runs the pump so long at key-on, s. */
const KEY_ON_TIME = 2;
/** Heat picked up at the engine where fuel comes back from there, W. */
const RAIL_HEAT = 150;
/** Share of the usable volume that is left in the tank when heating is judged. */
const QUARTER = 0.25;

/** Lines that stand under pressure: behind a main pump and on the way to the engine. */
function pressureLines({ circuit }: FigureContext): LineElement[] {
  const { main } = pumpDuties(circuit.circuit);
  return circuit.circuit.elements.filter(
    (e): e is LineElement =>
      e.kind === 'line' &&
      e.role !== 'return' &&
      !beforePump(circuit.circuit, e.to) &&
      main.some((pump) => leadsTo(circuit.circuit, pump.to, e.from)),
  );
}

/** How long the pump needs at key-on: line full, and line empty. */
function primeResults(context: FigureContext, result: FluidResult): Result[] {
  const { circuit, design, suffix } = context;
  const keeper = pressureKeeperOf(circuit.circuit, design.catalogue);
  const flow = deliverable(design, circuit, result.cases.keyOnPrime.point);
  const lines = pressureLines(context);
  if (!keeper || !flow || lines.length === 0) return [];
  const hoses = lines.map((line) => lookUp(design.catalogue, 'hose', line.item, line.id));
  const volumes = lines.map((line, i) => lineVolume(hoses[i]!.bore, circuit.lengths[line.id]!));
  const primeFlow = given(flow.available, 'case:keyOnPrime');
  const stiffness = derive({
    key: `prime${suffix}.compliance`,
    label: 'Compliance of the pressure side',
    formula: compliance,
    inputs: {
      volumes: given(volumes, 'result:line lengths'),
      wallModuli: given(hoses.map(wallModulus), 'default'),
      fuelModulus: given(FUEL_BULK_MODULUS, 'default'),
    },
  });
  const empty = derive({
    key: `prime${suffix}.emptyTime`,
    label: 'Prime time, empty line',
    formula: emptyPrimeTime,
    inputs: {
      volume: given(
        volumes.reduce((sum, v) => sum + v, 0),
        'result:line lengths',
      ),
      flow: primeFlow,
    },
  });
  return [
    stiffness,
    derive({
      key: `prime${suffix}.time`,
      label: 'Prime time, full line',
      formula: primeTime,
      inputs: {
        compliance: stiffness,
        setPressure: given(keeper.setPressure, 'document:setPressure'),
        flow: primeFlow,
      },
    }),
    empty,
    derive({
      key: `prime${suffix}.count`,
      label: 'Primes to fill an empty line',
      formula: primeCount,
      inputs: { emptyTime: empty, keyOnTime: given(KEY_ON_TIME, 'default') },
    }),
  ];
}

/** How long a surge tank lasts, and what its lift pump gives against what the engine takes. */
function surgeResults(context: FigureContext, result: FluidResult): Result[] {
  const { circuit, suffix } = context;
  const { surge, lift } = pumpDuties(circuit.circuit);
  const { point, solution } = result.cases.peakPower;
  if (!surge || solution.state === 'failed') return [];
  const engine = circuitMassFlow(circuit, point);
  const flow = derive({
    key: `surge${suffix}.flow`,
    label: 'Peak flow out of the surge tank to the engine',
    formula: flowAtDensity,
    inputs: {
      massFlow: given(engine, 'result:demand.design.massFlow'),
      density: given(circuit.fuel.hot.density, 'result:fuel.hot.density'),
    },
  });
  return [
    flow,
    derive({
      key: `surge${suffix}.seconds`,
      label: 'Surge tank lasts at peak flow',
      formula: surgeReserve,
      inputs: { volume: given(surge.volume.value, `document:${surge.id}.volume`), flow },
    }),
    derive({
      key: `surge${suffix}.liftRatio`,
      label: 'Lift pump against the engine',
      formula: liftRatio,
      inputs: {
        lift: given(
          lift.reduce((sum, pump) => sum + solution.elements[pump.id]!.massFlow, 0),
          SOLVED,
        ),
        engine: given(engine, 'result:demand.design.massFlow'),
      },
    }),
  ];
}

/** What the pumps do to the temperature of a quarter tank in an hour of cruising. */
function heatingResults(context: FigureContext, result: FluidResult): Result[] {
  const { circuit, suffix } = context;
  const tank = tankOf(circuit.circuit);
  const { solution } = result.cases.cruise;
  if (!tank || solution.state === 'failed') return [];
  const electrical = Object.values(solution.pumps).reduce(
    (sum, p) => sum + p.voltage * p.current,
    0,
  );
  const rail = circuit.circuit.elements.find((e) => e.kind === 'injectors');
  const comesBack =
    rail?.kind === 'injectors' && leadsTo(circuit.circuit, rail.node, tank.returnNode);
  return [
    derive({
      key: `tank${suffix}.heatingPerHour`,
      label: 'Tank fuel warms in an hour of cruising, quarter tank',
      formula: hourlyRise,
      inputs: {
        electricalPower: given(electrical, 'case:cruise'),
        railHeat: given(comesBack ? RAIL_HEAT : 0, 'default'),
        volume: given(QUARTER * tank.usableVolume.value, `document:${tank.id}.usableVolume`),
        density: given(circuit.fuel.hot.density, 'result:fuel.hot.density'),
        specificHeat: given(specificHeat(circuit.fuel.fuel), 'default'),
      },
    }),
  ];
}

/** Consumption at the cruise point and range on the usable volume. */
function rangeResults(context: FigureContext, result: FluidResult): Result[] {
  const { circuit, design, suffix } = context;
  const { brief } = design.document;
  const tank = tankOf(circuit.circuit);
  const { point } = result.cases.cruise;
  // Rows share the energy of the cruise as they share its fuel.
  const energy = design.circuits.flatMap((c) =>
    c.rows.map((row) => ({
      circuit: c,
      energy: rowMassFlow(row, point) * c.fuel.lowerHeatingValue,
    })),
  );
  const total = energy.reduce((sum, e) => sum + e.energy, 0);
  const own = energy.filter((e) => e.circuit === circuit).reduce((sum, e) => sum + e.energy, 0);
  if (!tank || own <= 0) return [];
  const massFlow = brief.cruisePower
    ? derive({
        key: `consumption${suffix}.massFlow`,
        label: 'Fuel at cruise',
        formula: cruiseMassFlow,
        inputs: {
          power: given(brief.cruisePower.value, 'document:brief.cruisePower'),
          partLoadConsumption: given(PART_LOAD_CONSUMPTION, 'default'),
          petrolHeatingValue: given(petrolE0.lowerHeatingValue, 'default: pure-fuel table'),
          heatingValue: given(circuit.fuel.lowerHeatingValue, 'result:fuel.lowerHeatingValue'),
          share: given(own / total, 'case:cruise'),
        },
      })
    : given(circuitMassFlow(circuit, point), 'case:cruise');
  const density = given(circuit.fuel.density15, 'result:fuel.density');
  const roadSpeed = given(brief.cruiseRoadSpeed.value, 'document:brief.cruiseRoadSpeed');
  const consumption = derive({
    key: `consumption${suffix}.flow`,
    label: 'Consumption at cruise',
    formula: volumePerTime,
    inputs: { massFlow, density },
  });
  return [
    ...('key' in massFlow ? [massFlow] : []),
    consumption,
    derive({
      key: `consumption${suffix}.perDistance`,
      label: 'Consumption at cruise, by distance',
      formula: volumePerDistance,
      inputs: { consumption, roadSpeed },
    }),
    derive({
      key: `range${suffix}.distance`,
      label: 'Range at cruise',
      formula: drivingRange,
      inputs: {
        usableVolume: given(tank.usableVolume.value, `document:${tank.id}.usableVolume`),
        roadSpeed,
        consumption,
      },
    }),
  ];
}

/** What is stored in lines and tanks: prime time, surge reserve, warming, range. */
export const storageResults = (context: FigureContext, result: FluidResult): Result[] => [
  ...primeResults(context, result),
  ...surgeResults(context, result),
  ...heatingResults(context, result),
  ...rangeResults(context, result),
];
