import type { Fuel } from '../../model/index.ts';
import {
  type FigureRef,
  type Result,
  byDefault,
  derive,
  entered,
  following,
} from '../../results/index.ts';
import { type FuelScope, engineFigure } from '../figureNames.ts';
import {
  METHANOL_CONSUMPTION,
  blendByMass,
  blendConsumption,
  blendDensity,
  blendViscosity,
  densityAtTemperature,
  ethanolMassFraction,
  methanolViscosity,
  petrolReid,
  tabulatedConsumption,
  tabulatedStoich,
  tabulatedDensity,
  tabulatedHeatingValue,
  vapourPressureOfBlend,
  vapourPressureOfMethanol,
} from './formulas.ts';
import { seasonalShift } from './consumption.ts';
import { ethanol, methanol, petrolE0 } from './pureFuels.ts';

/** What later stages need of a fuel. Density at 15 °C unless named otherwise. */
export interface FuelProperties {
  readonly fuel: Fuel;
  readonly density15: number;
  readonly stoichAirFuelRatio: number;
  readonly lowerHeatingValue: number;
  /** the hottest fuel of the brief */
  readonly hot: FluidState;
  /** the fuel of the coldest day */
  readonly cold: FluidState;
  /** the figures behind these values, for the workings of others */
  readonly figures: {
    readonly density: Result;
    readonly stoich: Result;
    readonly heatingValue: Result;
    readonly consumptionFactor: Result;
  };
  readonly results: readonly Result[];
}

/** Short name of a fuel by what is in it: E10, M100. */
export function fuelLabel(fuel: Fuel): string {
  return fuel.kind === 'methanol' ? 'M100' : `E${Number((100 * fuel.ethanol.value).toFixed(1))}`;
}

/** A fuel at one temperature: kg/m³, Pa·s, absolute Pa, with the figures behind them. */
export interface FluidState {
  readonly temperature: number;
  readonly density: number;
  readonly viscosity: number;
  readonly vapourPressureAbsolute: number;
  readonly figures: {
    readonly density: Result;
    readonly viscosity: Result;
    readonly vapour: Result;
  };
}

const TABLE = 'pure-fuel table';
const table = (value: number) => byDefault(value, TABLE);

/** A fuel before it is brought to a temperature: figures that hold at any. */
interface Constants {
  readonly density: Result;
  readonly stoich: Result;
  readonly heatingValue: Result;
  readonly consumptionFactor: Result;
  readonly expansion: number;
  readonly others: readonly Result[];
  readonly viscosityAt: (figure: FigureRef, label: string, temperature: Result) => Result;
  readonly vapourAt: (figure: FigureRef, label: string, temperature: Result) => Result;
}

/** Stoichiometric ratio of a petrol-ethanol blend by volume share, by mass. */
export function stoichOfBlend(ethanolShare: number): number {
  const alcohol = ethanolShare * ethanol.density;
  const fraction = alcohol / (alcohol + (1 - ethanolShare) * petrolE0.density);
  return fraction * ethanol.stoichAirFuelRatio + (1 - fraction) * petrolE0.stoichAirFuelRatio;
}

function blendConstants(
  fuel: Extract<Fuel, { kind: 'petrol-ethanol' }>,
  scope: FuelScope,
): Constants {
  const at = ['fuels', fuel.id];
  const e = fuel.ethanol.value;
  const ethanolShare = entered(fuel.ethanol, [...at, 'ethanol']);
  const density = derive({
    figure: engineFigure('fuel.density', scope),
    label: 'Fuel density at 15 °C',
    formula: blendDensity,
    inputs: {
      ethanolShare,
      ethanolDensity: table(ethanol.density),
      petrolDensity: table(petrolE0.density),
    },
  });
  const fraction = derive({
    figure: engineFigure('fuel.ethanolMassFraction', scope),
    label: 'Ethanol mass fraction',
    formula: ethanolMassFraction,
    inputs: { ethanolShare, ethanolDensity: table(ethanol.density), blendDensity: density },
  });
  const stoich = derive({
    figure: engineFigure('fuel.stoichAirFuelRatio', scope),
    label: 'Stoichiometric air-fuel ratio',
    formula: blendByMass.stoich,
    inputs: {
      ethanolMassFraction: fraction,
      ofEthanol: table(ethanol.stoichAirFuelRatio),
      ofPetrol: table(petrolE0.stoichAirFuelRatio),
    },
  });
  const heatingValue = derive({
    figure: engineFigure('fuel.lowerHeatingValue', scope),
    label: 'Lower heating value',
    formula: blendByMass.heatingValue,
    inputs: {
      ethanolMassFraction: fraction,
      ofEthanol: table(ethanol.lowerHeatingValue),
      ofPetrol: table(petrolE0.lowerHeatingValue),
    },
  });
  const ofPetrol = derive({
    figure: engineFigure('fuel.petrolReidVapourPressure', scope),
    label: 'Reid vapour pressure of the petrol in it',
    formula: petrolReid,
    inputs: {
      reidVapourPressure: entered(fuel.reidVapourPressure, [...at, 'reidVapourPressure']),
      ethanolShare,
    },
  });
  const lowest = fuel.ethanolLowest;
  const season = lowest
    ? [
        derive({
          figure: engineFigure('fuel.seasonalShift', scope),
          label: 'Shift of λ with the least ethanol of the year',
          formula: seasonalShift,
          inputs: {
            planned: stoich,
            lowest: following(stoichOfBlend(lowest.value), [...at, 'ethanolLowest']),
          },
        }),
      ]
    : [];
  return {
    density,
    stoich,
    heatingValue,
    consumptionFactor: derive({
      figure: engineFigure('fuel.consumptionFactor', scope),
      label: 'Consumption against E0',
      formula: blendConsumption,
      inputs: { heatingValue, petrolHeatingValue: table(petrolE0.lowerHeatingValue) },
    }),
    expansion: e * ethanol.expansion + (1 - e) * petrolE0.expansion,
    others: [fraction, ofPetrol, ...season],
    viscosityAt: (figure, label, temperature) =>
      derive({
        figure,
        label,
        formula: blendViscosity,
        inputs: { ethanolMassFraction: fraction, temperature },
      }),
    vapourAt: (figure, label, temperature) =>
      derive({
        figure,
        label,
        formula: vapourPressureOfBlend,
        inputs: { temperature, petrolReid: ofPetrol, ethanolShare, ethanolMassFraction: fraction },
      }),
  };
}

function methanolConstants(scope: FuelScope): Constants {
  return {
    density: derive({
      figure: engineFigure('fuel.density', scope),
      label: 'Fuel density at 15 °C',
      formula: tabulatedDensity,
      inputs: { tabulated: table(methanol.density) },
    }),
    stoich: derive({
      figure: engineFigure('fuel.stoichAirFuelRatio', scope),
      label: 'Stoichiometric air-fuel ratio',
      formula: tabulatedStoich,
      inputs: { tabulated: table(methanol.stoichAirFuelRatio) },
    }),
    heatingValue: derive({
      figure: engineFigure('fuel.lowerHeatingValue', scope),
      label: 'Lower heating value',
      formula: tabulatedHeatingValue,
      inputs: { tabulated: table(methanol.lowerHeatingValue) },
    }),
    consumptionFactor: derive({
      figure: engineFigure('fuel.consumptionFactor', scope),
      label: 'Consumption against E0',
      formula: tabulatedConsumption,
      inputs: { tabulated: byDefault(METHANOL_CONSUMPTION, 'methanol') },
    }),
    expansion: methanol.expansion,
    others: [],
    viscosityAt: (figure, label, temperature) =>
      derive({ figure, label, formula: methanolViscosity, inputs: { temperature } }),
    vapourAt: (figure, label, temperature) =>
      derive({ figure, label, formula: vapourPressureOfMethanol, inputs: { temperature } }),
  };
}

/** A fuel's figures at one temperature, and its words. */
interface StateFigures {
  readonly density: FigureRef;
  readonly viscosity: FigureRef;
  readonly vapour: FigureRef;
  readonly words: string;
}

function stateAt(constants: Constants, temperature: Result, named: StateFigures): FluidState {
  const density = derive({
    figure: named.density,
    label: `Fuel density, ${named.words}`,
    formula: densityAtTemperature,
    inputs: {
      density15: constants.density,
      expansion: table(constants.expansion),
      temperature,
    },
  });
  const { viscosityAt, vapourAt } = constants;
  const viscosity = viscosityAt(named.viscosity, `Fuel viscosity, ${named.words}`, temperature);
  const vapour = vapourAt(named.vapour, `Vapour pressure, ${named.words}`, temperature);
  return {
    temperature: temperature.value,
    density: density.value,
    viscosity: viscosity.value,
    vapourPressureAbsolute: vapour.value,
    figures: { density, viscosity, vapour },
  };
}

/** Vapour pressure of a fuel at a temperature, Pa absolute, with its working. */
export const vapourPressureAt = (input: {
  fuel: Fuel;
  scope: FuelScope;
  figure: FigureRef;
  label: string;
  temperature: Result;
}): Result =>
  constantsOf(input.fuel, input.scope).vapourAt(input.figure, input.label, input.temperature);

/** A fuel at the hottest temperature of the brief. */
export function hotFuel(input: { fuel: Fuel; scope: FuelScope; hottest: Result }): FluidState {
  return stateAt(constantsOf(input.fuel, input.scope), input.hottest, hotFigures(input.scope));
}

const hotFigures = (scope: FuelScope): StateFigures => ({
  density: engineFigure('fuel.hot.density', scope),
  viscosity: engineFigure('fuel.hot.viscosity', scope),
  vapour: engineFigure('fuel.hot.vapourPressureAbsolute', scope),
  words: 'hottest fuel',
});

const constantsOf = (fuel: Fuel, scope: FuelScope): Constants =>
  fuel.kind === 'methanol' ? methanolConstants(scope) : blendConstants(fuel, scope);

/** Properties of a fuel with their working; `scope` names the fuel unless it is the first. */
export function fuelProperties(input: {
  fuel: Fuel;
  scope: FuelScope;
  hottest: Result;
  coldest: Result;
}): FuelProperties {
  const { fuel, scope } = input;
  const constants = constantsOf(fuel, scope);
  const { density, stoich, heatingValue, consumptionFactor } = constants;
  const hot = stateAt(constants, input.hottest, hotFigures(scope));
  const cold = stateAt(constants, input.coldest, {
    density: engineFigure('fuel.cold.density', scope),
    viscosity: engineFigure('fuel.cold.viscosity', scope),
    vapour: engineFigure('fuel.cold.vapourPressureAbsolute', scope),
    words: 'coldest day',
  });
  return {
    fuel,
    density15: density.value,
    stoichAirFuelRatio: stoich.value,
    lowerHeatingValue: heatingValue.value,
    hot,
    cold,
    figures: { density, stoich, heatingValue, consumptionFactor },
    results: [
      density,
      ...constants.others,
      stoich,
      heatingValue,
      consumptionFactor,
      ...Object.values(hot.figures),
      ...Object.values(cold.figures),
    ],
  };
}
