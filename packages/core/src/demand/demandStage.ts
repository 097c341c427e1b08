import type { BuildDocument } from '../build/index.ts';
import type { FuelProperties } from '../fuels/index.ts';
import { petrolE0, standardAtmosphere } from '../fuels/index.ts';
import { derive, given, type Result, type Sourced } from '../results/index.ts';
import { type DemandMap, type EngineAir, airPoint, demandMap, highestPoint } from './demandMap.ts';
import {
  FUEL_TEMPERATURE_RISE,
  chargeTemperatureRise,
  curveAt,
  defaultFullLoadLambda,
  defaultSpecificConsumption,
  fillsPerRevolution,
} from './engine.ts';
import * as f from './formulas.ts';

/** Conditions around the engine, with their working. */
export interface Surroundings {
  readonly ambientPressure: Result;
  readonly chargeTemperature: Result;
  readonly hottestFuel: Result;
}

/** Ambient pressure, charge and fuel temperature: entered, or by the defaults of the trade. */
export function surroundings(document: BuildDocument): Surroundings {
  const { brief } = document;
  const ambient = given(brief.ambientHot.value, 'document:brief.ambientHot');
  const temperature = (
    key: string,
    label: string,
    entered: { value: number } | null,
    path: string,
    rise: number,
  ): Result =>
    entered
      ? derive({
          key,
          label,
          formula: f.enteredTemperature,
          inputs: { entered: given(entered.value, `document:${path}`) },
        })
      : derive({
          key,
          label,
          formula: f.temperatureAboveAmbient,
          inputs: { ambient, rise: given(rise, 'default') },
        });
  return {
    ambientPressure: derive({
      key: 'ambient.pressureAbsolute',
      label: 'Ambient pressure',
      formula: standardAtmosphere,
      inputs: { altitude: given(brief.altitude.value, 'document:brief.altitude') },
    }),
    chargeTemperature: temperature(
      'engine.chargeTemperature',
      'Charge temperature',
      brief.chargeTemperature,
      'brief.chargeTemperature',
      chargeTemperatureRise(brief.aspiration),
    ),
    hottestFuel: temperature(
      'fuel.hottestTemperature',
      'Hottest fuel',
      brief.fuelTemperatureHot,
      'brief.fuelTemperatureHot',
      FUEL_TEMPERATURE_RISE,
    ),
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

/** Consumption factor of one fuel against E0. */
export function consumptionFactor(fuel: FuelProperties): number {
  if (fuel.fuel.kind === 'methanol') return 2.18;
  return 1 + 0.88 * (petrolE0.lowerHeatingValue / fuel.lowerHeatingValue - 1);
}

function fullLoadLambda(
  document: BuildDocument,
  fuels: readonly FuelProperties[],
): Sourced<number> {
  const entered = document.brief.lambdaFullLoad;
  if (entered) return given(entered.value, 'document:brief.lambdaFullLoad');
  const mostlyAlcohol = fuels.every(
    (p) => p.fuel.kind === 'methanol' || p.fuel.ethanol.value >= 0.5,
  );
  return given(defaultFullLoadLambda(document.brief.aspiration, mostlyAlcohol), 'default');
}

/** Fuel demand by both schools, the pick, and the map. `rowFuels` follows the injector rows. */
export function demandStage(input: {
  document: BuildDocument;
  around: Surroundings;
  rowFuels: readonly FuelProperties[];
}): Demand {
  const { document, around, rowFuels } = input;
  const { brief } = document;
  const shares = given(
    document.injectorRows.map((row) => row.airShare.value),
    'document:injectorRows',
  );
  const lambda = fullLoadLambda(document, rowFuels);
  const stoich = derive({
    key: 'demand.stoichAirFuelRatio',
    label: 'Stoichiometric ratio over the rows',
    formula: f.effectiveStoich,
    inputs: {
      shares,
      ratios: given(
        rowFuels.map((p) => p.stoichAirFuelRatio),
        'result:fuel.stoichAirFuelRatio',
      ),
    },
  });
  const factor = derive({
    key: 'demand.fuelFactor',
    label: 'Consumption against E0',
    formula: f.fuelFactor,
    inputs: {
      shares,
      factors: given(rowFuels.map(consumptionFactor), 'result:fuel.lowerHeatingValue'),
    },
  });
  const power = given(brief.power.value, 'document:brief.power');
  const byPower = derive({
    key: 'demand.byPower.peak.massFlow',
    label: 'Fuel need from power',
    formula: f.demandByPower,
    inputs: {
      power,
      specificConsumption: brief.specificConsumption
        ? given(brief.specificConsumption.value, 'document:brief.specificConsumption')
        : given(defaultSpecificConsumption(brief.aspiration, brief.cycle), 'default'),
      fuelFactor: factor,
    },
  });

  const engine: EngineAir = {
    brief,
    ambientPressure: around.ambientPressure.value,
    chargeTemperature: around.chargeTemperature.value,
    stoichAirFuelRatio: stoich.value,
    fullLoadLambda: lambda.value,
  };
  const fullLoadAt = (key: string, label: string, speed: number) => {
    const pressure = derive({
      key: `${key}.manifoldAbsolute`,
      label: `Manifold pressure, ${label}`,
      formula: f.manifoldAbsolute,
      inputs: {
        ambient: around.ambientPressure,
        boost: given(brief.boost.value, 'document:brief.boost'),
        boostShare: given(curveAt(brief.boostCurve, speed), 'document:brief.boostCurve'),
      },
    });
    const volumetricEfficiency = given(
      curveAt(brief.volumetricEfficiencyCurve, speed),
      'document:brief.volumetricEfficiencyCurve',
    );
    const air = derive({
      key: `${key}.airFlow`,
      label: `Air flow, ${label}`,
      formula: f.airFlow,
      inputs: {
        volumetricEfficiency,
        manifoldAbsolute: pressure,
        chargeTemperature: around.chargeTemperature,
        displacement: given(brief.displacement.value, 'document:brief.displacement'),
        fillsPerRevolution: given(fillsPerRevolution[brief.cycle], 'document:brief.cycle'),
        speed: given(speed, 'document:brief.powerSpeed'),
      },
    });
    const fuel = derive({
      key: `${key}.massFlow`,
      label: `Fuel need from air, ${label}`,
      formula: f.demandByAir,
      inputs: { airFlow: air, stoichAirFuelRatio: stoich, lambda },
    });
    return { pressure, air, fuel, volumetricEfficiency };
  };

  const unscaled = demandMap(engine, 1);
  const peakAt = highestPoint(unscaled.massFlow);
  const peakSpeed = unscaled.speeds[peakAt.speedIndex]!;
  const atPower = fullLoadAt('demand.byAir.atPower', 'at the power speed', brief.powerSpeed.value);
  const atPeak = fullLoadAt('demand.byAir.peak', 'highest of the map', peakSpeed);

  const pick = { larger: 0, power: 1, air: 2 }[document.demand.school];
  const carried = derive({
    key: 'demand.carried.massFlow',
    label: 'Fuel need carried forward',
    formula: f.carried,
    inputs: { byPower, byAir: atPower.fuel, pick: given(pick, 'document:demand.school') },
  });
  const peak = derive({
    key: 'demand.peak.massFlow',
    label: 'Peak fuel need',
    formula: f.scaled,
    inputs: { mapPeak: atPeak.fuel, carried, byAirAtPower: atPower.fuel },
  });
  const design = derive({
    key: 'demand.design.massFlow',
    label: 'Design fuel need',
    formula: f.designDemand,
    inputs: {
      peak,
      designFactor: given(document.limits.designFactor.value, 'document:limits.designFactor'),
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
      load: unscaled.loads[peakAt.loadIndex]!,
      manifoldGauge: airPoint(engine, peakSpeed, unscaled.loads[peakAt.loadIndex]!).manifoldGauge,
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
        key: 'demand.disagreement',
        label: 'Disagreement of the schools',
        formula: f.disagreement,
        inputs: compared,
      }),
      derive({
        key: 'demand.implied.specificConsumption',
        label: 'Consumption that would reconcile them',
        formula: f.impliedConsumption,
        inputs: { byAir: atPower.fuel, power, fuelFactor: factor },
      }),
      derive({
        key: 'demand.implied.volumetricEfficiency',
        label: 'Volumetric efficiency that would reconcile them',
        formula: f.impliedEfficiency,
        inputs: { volumetricEfficiency: atPower.volumetricEfficiency, ...compared },
      }),
      derive({
        key: 'demand.implied.boost',
        label: 'Boost that would reconcile them',
        formula: f.impliedBoost,
        inputs: {
          manifoldAbsolute: atPower.pressure,
          ambient: around.ambientPressure,
          ...compared,
        },
      }),
      carried,
      peak,
      design,
    ],
  };
}
