import { firstOf, entryAt } from '../../numerics/index.ts';
import type { Build, Limits } from '../../model/index.ts';
import type { Quantity } from '../../quantities/index.ts';
import type { FuelProperties } from '../fuels/fuelProperties.ts';
import { standardAtmosphere } from '../fuels/formulas.ts';
import {
  type FigureRef,
  type Result,
  type Sourced,
  byDefault,
  derive,
  entered,
  following,
  together,
} from '../../results/index.ts';
import { type DemandMap, type EngineAir, airPoint, demandMap, highestPoint } from './demandMap.ts';
import {
  COMPRESSOR_EFFICIENCY,
  COOLER_EFFECTIVENESS,
  FUEL_TEMPERATURE_RISE,
  NATURAL_CHARGE_RISE,
  curveAt,
  defaultFullLoadLambda,
  defaultSpecificConsumption,
  fillsPerRevolution,
} from './engine.ts';
import type { EngineBrief } from './engineBrief.ts';
import { engineFigure } from '../figureNames.ts';
import * as f from './formulas.ts';

/** Conditions around the engine, with their working. */
export interface Surroundings {
  readonly ambientPressure: Result;
  readonly chargeTemperature: Result;
  readonly hottestFuel: Result;
  /** fuel, and air, of the coldest day */
  readonly coldest: Result;
  readonly results: readonly Result[];
}

/** A temperature as it was entered. */
const enteredAs = (
  figure: FigureRef,
  label: string,
  value: Quantity,
  field: keyof EngineBrief,
): Result =>
  derive({
    figure,
    label,
    formula: f.enteredTemperature,
    inputs: { entered: entered(value, ['brief', field]) },
  });

const coolerOf = (brief: EngineBrief): Sourced<number> =>
  brief.coolerEffectiveness
    ? entered(brief.coolerEffectiveness, ['brief', 'coolerEffectiveness'])
    : byDefault(COOLER_EFFECTIVENESS);

const CHARGE = {
  figure: engineFigure('engine.chargeTemperature'),
  label: 'Charge temperature',
} as const;

/** Charge temperature that nobody entered: a warm manifold, or compressor and cooler. */
function estimatedCharge(brief: EngineBrief, ambient: Sourced<number>, pressure: Result): Result[] {
  if (brief.aspiration === 'natural') {
    return [
      derive({
        ...CHARGE,
        formula: f.temperatureAboveAmbient,
        inputs: { ambient, rise: byDefault(NATURAL_CHARGE_RISE) },
      }),
    ];
  }
  const outlet = derive({
    figure: engineFigure('engine.compressorOutletTemperature'),
    label: 'Compressor outlet',
    formula: f.compressorOutlet,
    inputs: {
      ambient,
      ambientPressure: pressure,
      boost: entered(brief.boost, ['brief', 'boost']),
      efficiency: byDefault(COMPRESSOR_EFFICIENCY),
    },
  });
  const effectiveness = coolerOf(brief);
  const charge = derive({
    ...CHARGE,
    formula: f.cooledCharge,
    inputs: { outlet, ambient, effectiveness },
  });
  return [charge, outlet];
}

/** Ambient pressure, charge and fuel temperatures: entered, or by the defaults of the trade. */
export function surroundings(brief: EngineBrief): Surroundings {
  const ambient = entered(brief.ambientHot, ['brief', 'ambientHot']);
  const ambientPressure = derive({
    figure: engineFigure('ambient.pressureAbsolute'),
    label: 'Ambient pressure',
    formula: standardAtmosphere,
    inputs: { altitude: entered(brief.altitude, ['brief', 'altitude']) },
  });
  const charge = brief.chargeTemperature
    ? [enteredAs(CHARGE.figure, CHARGE.label, brief.chargeTemperature, 'chargeTemperature')]
    : estimatedCharge(brief, ambient, ambientPressure);
  const hottestFuel = brief.fuelTemperatureHot
    ? enteredAs(
        engineFigure('fuel.hottestTemperature'),
        'Hottest fuel',
        brief.fuelTemperatureHot,
        'fuelTemperatureHot',
      )
    : derive({
        figure: engineFigure('fuel.hottestTemperature'),
        label: 'Hottest fuel',
        formula: f.temperatureAboveAmbient,
        inputs: { ambient, rise: byDefault(FUEL_TEMPERATURE_RISE) },
      });
  const coldest = enteredAs(
    engineFigure('fuel.coldestTemperature'),
    'Coldest fuel',
    brief.ambientCold,
    'ambientCold',
  );
  return {
    ambientPressure,
    chargeTemperature: firstOf(charge),
    hottestFuel,
    coldest,
    results: [ambientPressure, ...charge, hottestFuel, coldest],
  };
}

export interface Demand {
  readonly engine: EngineAir;
  /** nominal map carried forward */
  readonly map: DemandMap;
  /** multiplies flow by air to give the flow carried forward */
  readonly scale: number;
  readonly peak: {
    readonly speed: number;
    readonly load: number;
    readonly manifoldGauge: number;
    readonly massFlow: number;
    readonly designMassFlow: number;
  };
  readonly results: readonly Result[];
}

/** What of a build decides the fuel it needs. */
export interface DemandBuild {
  readonly brief: EngineBrief;
  readonly demand: Pick<Build['demand'], 'school'>;
  readonly limits: Pick<Limits, 'designFactor'>;
  readonly injectorRows: Build['injectorRows'];
}

function fullLoadLambda(document: DemandBuild, fuels: readonly FuelProperties[]): Sourced<number> {
  const typed = document.brief.lambdaFullLoad;
  if (typed) return entered(typed, ['brief', 'lambdaFullLoad']);
  const mostlyAlcohol = fuels.every(
    (p) => p.fuel.kind === 'methanol' || p.fuel.ethanol.value >= 0.5,
  );
  return byDefault(defaultFullLoadLambda(document.brief.aspiration, mostlyAlcohol));
}

/** The boost that would reconcile the schools; a charge that nobody entered warms with it. */
function impliedBoost(
  brief: EngineBrief,
  around: Surroundings,
  compared: { manifoldAbsolute: Result; byPower: Result; byAir: Result },
): Result {
  const named = {
    figure: engineFigure('demand.implied.boost'),
    label: 'Boost that would reconcile them',
  };
  const ambient = around.ambientPressure;
  if (brief.chargeTemperature || brief.aspiration === 'natural') {
    return derive({ ...named, formula: f.impliedBoost, inputs: { ambient, ...compared } });
  }
  return derive({
    ...named,
    formula: f.impliedBoostCooled,
    inputs: {
      ...compared,
      ambient,
      chargeTemperature: around.chargeTemperature,
      ambientTemperature: entered(brief.ambientHot, ['brief', 'ambientHot']),
      efficiency: byDefault(COMPRESSOR_EFFICIENCY),
      effectiveness: coolerOf(brief),
    },
  });
}

/** Fuel demand by both schools, the pick, and the map. `rowFuels` follows the injector rows. */
export function demandStage(input: {
  document: DemandBuild;
  around: Surroundings;
  rowFuels: readonly FuelProperties[];
}): Demand {
  const { document, around, rowFuels } = input;
  const { brief } = document;
  const shares = together(
    document.injectorRows.map((row) => entered(row.airShare, ['injectorRows', row.id, 'airShare'])),
  );
  const lambda = fullLoadLambda(document, rowFuels);
  const stoich = derive({
    figure: engineFigure('demand.stoichAirFuelRatio'),
    label: 'Stoichiometric ratio over the rows',
    formula: f.effectiveStoich,
    inputs: {
      shares,
      ratios: together(rowFuels.map((p) => p.figures.stoich)),
    },
  });
  const factor = derive({
    figure: engineFigure('demand.fuelFactor'),
    label: 'Consumption against E0',
    formula: f.fuelFactor,
    inputs: {
      shares,
      factors: together(rowFuels.map((p) => p.figures.consumptionFactor)),
    },
  });
  const power = entered(brief.power, ['brief', 'power']);
  const byPower = derive({
    figure: engineFigure('demand.byPower.peak.massFlow'),
    label: 'Fuel need from power',
    formula: f.demandByPower,
    inputs: {
      power,
      specificConsumption: brief.specificConsumption
        ? entered(brief.specificConsumption, ['brief', 'specificConsumption'])
        : byDefault(defaultSpecificConsumption(brief.aspiration, brief.cycle)),
      fuelFactor: factor,
    },
  });

  const engine: EngineAir = {
    brief,
    ambientPressure: around.ambientPressure.value,
    chargeTemperature: around.chargeTemperature.value,
    coldTemperature: around.coldest.value,
    stoichAirFuelRatio: stoich.value,
    fullLoadLambda: lambda.value,
  };
  const fullLoadAt = (where: 'atPower' | 'peak', label: string, at: Sourced<number>) => {
    const speed = at.value;
    const pressure = derive({
      figure: engineFigure('demand.byAir.manifoldAbsolute', { at: where }),
      label: `Manifold pressure, ${label}`,
      formula: f.manifoldAbsolute,
      inputs: {
        ambient: around.ambientPressure,
        boost: entered(brief.boost, ['brief', 'boost']),
        boostShare: following(curveAt(brief.boostCurve, speed), ['brief', 'boostCurve']),
      },
    });
    const volumetricEfficiency = following(curveAt(brief.volumetricEfficiencyCurve, speed), [
      'brief',
      'volumetricEfficiencyCurve',
    ]);
    const air = derive({
      figure: engineFigure('demand.byAir.airFlow', { at: where }),
      label: `Air flow, ${label}`,
      formula: f.airFlow,
      inputs: {
        volumetricEfficiency,
        manifoldAbsolute: pressure,
        chargeTemperature: around.chargeTemperature,
        displacement: entered(brief.displacement, ['brief', 'displacement']),
        fillsPerRevolution: following(fillsPerRevolution[brief.cycle], ['brief', 'cycle']),
        speed: at,
      },
    });
    const fuel = derive({
      figure: engineFigure('demand.byAir.massFlow', { at: where }),
      label: `Fuel need from air, ${label}`,
      formula: f.demandByAir,
      inputs: { airFlow: air, stoichAirFuelRatio: stoich, lambda },
    });
    return { pressure, air, fuel, volumetricEfficiency };
  };

  const unscaled = demandMap(engine, 1);
  const peakAt = highestPoint(unscaled.massFlow);
  const peakSpeed = entryAt(unscaled.speeds, peakAt.speedIndex);
  const atPower = fullLoadAt(
    'atPower',
    'at the power speed',
    entered(brief.powerSpeed, ['brief', 'powerSpeed']),
  );
  const atPeak = fullLoadAt(
    'peak',
    'highest of the map',
    following(peakSpeed, ['brief', 'limiterSpeed']),
  );

  const pick = { larger: 0, power: 1, air: 2 }[document.demand.school];
  const carried = derive({
    figure: engineFigure('demand.carried.massFlow'),
    label: 'Fuel need carried forward',
    formula: f.carried,
    inputs: { byPower, byAir: atPower.fuel, pick: following(pick, ['demand', 'school']) },
  });
  const peak = derive({
    figure: engineFigure('demand.peak.massFlow'),
    label: 'Peak fuel need',
    formula: f.scaled,
    inputs: { mapPeak: atPeak.fuel, carried, byAirAtPower: atPower.fuel },
  });
  const design = derive({
    figure: engineFigure('demand.design.massFlow'),
    label: 'Design fuel need',
    formula: f.designDemand,
    inputs: {
      peak,
      designFactor: entered(document.limits.designFactor, ['limits', 'designFactor']),
    },
  });
  const compared = { byPower, byAir: atPower.fuel };
  const scale = carried.value / atPower.fuel.value;
  return {
    engine,
    scale,
    map: demandMap(engine, scale),
    peak: {
      speed: peakSpeed,
      load: entryAt(unscaled.loads, peakAt.loadIndex),
      manifoldGauge: airPoint(engine, peakSpeed, entryAt(unscaled.loads, peakAt.loadIndex))
        .manifoldGauge,
      massFlow: peak.value,
      designMassFlow: design.value,
    },
    results: [
      stoich,
      factor,
      byPower,
      atPower.pressure,
      atPower.air,
      atPower.fuel,
      atPeak.pressure,
      atPeak.air,
      atPeak.fuel,
      derive({
        figure: engineFigure('demand.disagreement'),
        label: 'Difference of the two schools',
        formula: f.disagreement,
        inputs: compared,
      }),
      derive({
        figure: engineFigure('demand.implied.specificConsumption'),
        label: 'Consumption that would reconcile them',
        formula: f.impliedConsumption,
        inputs: { byAir: atPower.fuel, power, fuelFactor: factor },
      }),
      derive({
        figure: engineFigure('demand.implied.volumetricEfficiency'),
        label: 'Volumetric efficiency that would reconcile them',
        formula: f.impliedEfficiency,
        inputs: { volumetricEfficiency: atPower.volumetricEfficiency, ...compared },
      }),
      impliedBoost(brief, around, { manifoldAbsolute: atPower.pressure, ...compared }),
      carried,
      peak,
      design,
    ],
  };
}
