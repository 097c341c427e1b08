import { stateOf } from '../hydraulics/solveCircuit.ts';
import { entryAt, valueUnder } from '../../numerics/index.ts';
import type { LineElement } from '../../model/index.ts';
import { beforePump, elementPath, leadsTo, pumpDuties, tankOf } from '../circuits/circuitRun.ts';
import { lookUp } from '../../catalogue/index.ts';
import {
  petrolE0,
  PART_LOAD_CONSUMPTION,
  cruiseMassFlow,
  drivingRange,
  volumePerDistance,
  volumePerTime,
} from '../../engine/index.ts';
import {
  FUEL_BULK_MODULUS,
  compliance,
  emptyPrimeTime,
  liftRatio,
  lineVolume,
  primeCount,
  primeTime,
  surgeReserve,
  wallModulus,
} from '../hydraulics/storage.ts';
import { flowAtDensity } from '../hydraulics/formulas.ts';
import { pressureKeeperOf } from '../hydraulics/pressureKeeper.ts';
import {
  type Result,
  byDefault,
  derive,
  entered,
  following,
  fromItem,
  solvedIn,
  together,
} from '../../results/index.ts';
import type { FluidResult } from '../running/fluidStage.ts';
import { rowMassFlow } from '../running/rowShare.ts';
import { circuitMassFlow } from '../running/solvePoint.ts';
import { fuelFigure } from '../figureNames.ts';
import { type FigureContext, SOLVED } from './figureContext.ts';

/** The ECU runs the pump so long at key-on, s. */
const KEY_ON_TIME = 2;

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

/**
 * How long the pump needs at key-on: line empty, and line full. A pump that cannot reach the set
 * pressure has no time; a finding says so.
 */
function primeResults(context: FigureContext, result: FluidResult): Result[] {
  const { circuit, design, scope } = context;
  const { point } = result.cases.keyOnPrime;
  const keeper = pressureKeeperOf(circuit.circuit, design.catalogue);
  const { filling, delivered } = result;
  const flow = delivered.keyOnPrime;
  const lines = pressureLines(context);
  if (!keeper || !flow || !filling || lines.length === 0) return [];
  const hoses = lines.map((line) => lookUp(design.catalogue, 'hose', line.item, line.id));
  const volumes = lines.map((line, i) =>
    lineVolume(entryAt(hoses, i).bore, valueUnder(circuit.lengths, line.id)),
  );
  const stiffness = derive({
    figure: fuelFigure('prime.compliance', scope),
    label: 'Compliance of the pressure side',
    formula: compliance,
    inputs: {
      volumes: together(
        volumes.map((v, i) => following(v, elementPath(circuit.circuit, entryAt(lines, i)))),
      ),
      wallModuli: together(hoses.map((hose) => fromItem(wallModulus(hose), hose))),
      fuelModulus: byDefault(FUEL_BULK_MODULUS, 'an estimate'),
    },
  });
  const empty = derive({
    figure: fuelFigure('prime.emptyTime', scope),
    label: 'Prime time, empty line',
    formula: emptyPrimeTime,
    inputs: {
      volume: following(
        volumes.reduce((sum, v) => sum + v, 0),
        ['fuelCircuits', circuit.circuit.id, 'elements'],
      ),
      flow: solvedIn(filling, point.name),
    },
  });
  if (flow.available === 0) return [stiffness, empty];
  const full = derive({
    figure: fuelFigure('prime.time', scope),
    label: 'Prime time, full line',
    formula: primeTime,
    inputs: {
      compliance: stiffness,
      setPressure: following(
        keeper.setPressure,
        elementPath(circuit.circuit, { id: keeper.elementId }),
      ),
      flow: solvedIn(flow.available, point.name),
    },
  });
  return [
    stiffness,
    full,
    empty,
    derive({
      figure: fuelFigure('prime.count', scope),
      label: 'Primes to fill an empty line and bring it to pressure',
      formula: primeCount,
      inputs: {
        emptyTime: empty,
        fullTime: full,
        keyOnTime: byDefault(KEY_ON_TIME, 'the ECU’s prime'),
      },
    }),
  ];
}

/** How long a surge tank lasts, and what its lift pump gives against what the engine takes. */
function surgeResults(context: FigureContext, result: FluidResult): Result[] {
  const { circuit, scope } = context;
  const { surge, lift } = pumpDuties(circuit.circuit);
  const { point, solution } = result.cases.peakPower;
  if (!surge || solution.state === 'failed') return [];
  const engine = circuitMassFlow(circuit, point);
  const flow = derive({
    figure: fuelFigure('surge.flow', scope),
    label: 'Peak flow out of the surge tank to the engine',
    formula: flowAtDensity,
    inputs: {
      massFlow: solvedIn(engine, SOLVED),
      density: circuit.fuel.hot.figures.density,
    },
  });
  return [
    flow,
    derive({
      figure: fuelFigure('surge.seconds', scope),
      label: 'Surge tank lasts at peak flow',
      formula: surgeReserve,
      inputs: {
        volume: entered(surge.volume, elementPath(circuit.circuit, surge, 'volume')),
        flow,
      },
    }),
    derive({
      figure: fuelFigure('surge.liftRatio', scope),
      label: 'Lift pump against the engine',
      formula: liftRatio,
      inputs: {
        lift: solvedIn(
          lift.reduce((sum, pump) => sum + stateOf(solution, pump.id).massFlow, 0),
          SOLVED,
        ),
        engine: solvedIn(engine, SOLVED),
      },
    }),
  ];
}

/** Consumption at the cruise point and range on the usable volume. */
function rangeResults(context: FigureContext, result: FluidResult): Result[] {
  const { circuit, design, scope } = context;
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
  const own = energy
    .filter((e) => e.circuit.circuit.id === circuit.circuit.id)
    .reduce((sum, e) => sum + e.energy, 0);
  if (!tank || own <= 0) return [];
  const massFlow = brief.cruisePower
    ? derive({
        figure: fuelFigure('consumption.massFlow', scope),
        label: 'Fuel at cruise',
        formula: cruiseMassFlow,
        inputs: {
          power: entered(brief.cruisePower, ['brief', 'cruisePower']),
          partLoadConsumption: byDefault(PART_LOAD_CONSUMPTION, 'an estimate'),
          petrolHeatingValue: byDefault(petrolE0.lowerHeatingValue, 'pure-fuel table'),
          heatingValue: circuit.fuel.figures.heatingValue,
          share: solvedIn(own / total, 'cruise'),
        },
      })
    : solvedIn(circuitMassFlow(circuit, point), 'cruise');
  const { density } = circuit.fuel.figures;
  const roadSpeed = entered(brief.cruiseRoadSpeed, ['brief', 'cruiseRoadSpeed']);
  const consumption = derive({
    figure: fuelFigure('consumption.flow', scope),
    label: 'Consumption at cruise',
    formula: volumePerTime,
    inputs: { massFlow, density },
  });
  return [
    ...('key' in massFlow ? [massFlow] : []),
    consumption,
    derive({
      figure: fuelFigure('consumption.perDistance', scope),
      label: 'Consumption at cruise, by distance',
      formula: volumePerDistance,
      inputs: { consumption, roadSpeed },
    }),
    derive({
      figure: fuelFigure('range.distance', scope),
      label: 'Range at cruise',
      formula: drivingRange,
      inputs: {
        usableVolume: entered(
          tank.usableVolume,
          elementPath(circuit.circuit, tank, 'usableVolume'),
        ),
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
  ...result.boiling.results,
  ...rangeResults(context, result),
];
