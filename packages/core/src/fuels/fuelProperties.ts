import type { Fuel } from '../build/index.ts';
import { derive, given, type Result } from '../results/index.ts';
import {
  blendByMass,
  blendDensity,
  blendViscosity,
  densityAtTemperature,
  ethanolMassFraction,
  methanolViscosity,
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
  readonly hot: FluidState;
  readonly results: readonly Result[];
}

/** Short name of a fuel by what is in it: E10, M100. */
export function fuelLabel(fuel: Fuel): string {
  return fuel.kind === 'methanol' ? 'M100' : `E${Number((100 * fuel.ethanol.value).toFixed(1))}`;
}

/** A fuel at one temperature: kg/m³, Pa·s, absolute Pa. */
export interface FluidState {
  readonly temperature: number;
  readonly density: number;
  readonly viscosity: number;
  readonly vapourPressureAbsolute: number;
}

const TABLE = 'default: pure-fuel table';

function blendResults(fuel: Extract<Fuel, { kind: 'petrol-ethanol' }>, prefix: string, at: string) {
  const ethanolShare = given(fuel.ethanol.value, `document:${at}.ethanol`);
  const density = derive({
    key: `${prefix}.density`,
    label: 'Fuel density at 15 °C',
    formula: blendDensity,
    inputs: {
      ethanolShare,
      ethanolDensity: given(ethanol.density, TABLE),
      petrolDensity: given(petrolE0.density, TABLE),
    },
  });
  const fraction = derive({
    key: `${prefix}.ethanolMassFraction`,
    label: 'Ethanol mass fraction',
    formula: ethanolMassFraction,
    inputs: {
      ethanolShare,
      ethanolDensity: given(ethanol.density, TABLE),
      blendDensity: density,
    },
  });
  const stoich = derive({
    key: `${prefix}.stoichAirFuelRatio`,
    label: 'Stoichiometric air-fuel ratio',
    formula: blendByMass.stoich,
    inputs: {
      ethanolMassFraction: fraction,
      ofEthanol: given(ethanol.stoichAirFuelRatio, TABLE),
      ofPetrol: given(petrolE0.stoichAirFuelRatio, TABLE),
    },
  });
  const heatingValue = derive({
    key: `${prefix}.lowerHeatingValue`,
    label: 'Lower heating value',
    formula: blendByMass.heatingValue,
    inputs: {
      ethanolMassFraction: fraction,
      ofEthanol: given(ethanol.lowerHeatingValue, TABLE),
      ofPetrol: given(petrolE0.lowerHeatingValue, TABLE),
    },
  });
  return { density, fraction, stoich, heatingValue, ethanolShare };
}

/** What both families of fuel give before they are brought to the hottest temperature. */
interface AtFifteen {
  readonly density: Result;
  readonly stoich: Result;
  readonly heatingValue: Result;
  readonly expansion: number;
  readonly others: readonly Result[];
  readonly viscosity: Result;
  readonly vapour: Result;
}

function withHotState(fuel: Fuel, prefix: string, hottest: Result, at: AtFifteen): FuelProperties {
  const hotDensity = derive({
    key: `${prefix}.hot.density`,
    label: 'Fuel density, hottest fuel',
    formula: densityAtTemperature,
    inputs: {
      density15: at.density,
      expansion: given(at.expansion, TABLE),
      temperature: hottest,
    },
  });
  return {
    fuel,
    density15: at.density.value,
    stoichAirFuelRatio: at.stoich.value,
    lowerHeatingValue: at.heatingValue.value,
    hot: {
      temperature: hottest.value,
      density: hotDensity.value,
      viscosity: at.viscosity.value,
      vapourPressureAbsolute: at.vapour.value,
    },
    results: [
      at.density,
      ...at.others,
      at.stoich,
      at.heatingValue,
      hotDensity,
      at.viscosity,
      at.vapour,
    ],
  };
}

const hotLabels = {
  viscosity: 'Fuel viscosity, hottest fuel',
  vapour: 'Vapour pressure, hottest fuel',
} as const;

/** Stoichiometric ratio of a petrol-ethanol blend by volume share, by mass. */
export function stoichOfBlend(ethanolShare: number): number {
  const alcohol = ethanolShare * ethanol.density;
  const fraction = alcohol / (alcohol + (1 - ethanolShare) * petrolE0.density);
  return fraction * ethanol.stoichAirFuelRatio + (1 - fraction) * petrolE0.stoichAirFuelRatio;
}

function blendProperties(
  fuel: Extract<Fuel, { kind: 'petrol-ethanol' }>,
  prefix: string,
  at: string,
  hottest: Result,
): FuelProperties {
  const { fraction, ethanolShare, ...base } = blendResults(fuel, prefix, at);
  const e = fuel.ethanol.value;
  const lowest = fuel.ethanolLowest;
  const season = lowest
    ? [
        derive({
          key: `${prefix}.seasonalShift`,
          label: 'Shift of λ with the least ethanol of the year',
          formula: seasonalShift,
          inputs: {
            planned: base.stoich,
            lowest: given(stoichOfBlend(lowest.value), `document:${at}.ethanolLowest`),
          },
        }),
      ]
    : [];
  return withHotState(fuel, prefix, hottest, {
    ...base,
    others: [fraction, ...season],
    expansion: e * ethanol.expansion + (1 - e) * petrolE0.expansion,
    viscosity: derive({
      key: `${prefix}.hot.viscosity`,
      label: hotLabels.viscosity,
      formula: blendViscosity,
      inputs: { ethanolMassFraction: fraction, temperature: hottest },
    }),
    vapour: derive({
      key: `${prefix}.vapourPressureAbsolute`,
      label: hotLabels.vapour,
      formula: vapourPressureOfBlend,
      inputs: {
        temperature: hottest,
        reidVapourPressure: given(
          fuel.reidVapourPressure.value,
          `document:${at}.reidVapourPressure`,
        ),
        ethanolShare,
        ethanolMassFraction: fraction,
      },
    }),
  });
}

function methanolProperties(fuel: Fuel, prefix: string, hottest: Result): FuelProperties {
  return withHotState(fuel, prefix, hottest, {
    density: derive({
      key: `${prefix}.density`,
      label: 'Fuel density at 15 °C',
      formula: tabulatedDensity,
      inputs: { tabulated: given(methanol.density, TABLE) },
    }),
    stoich: derive({
      key: `${prefix}.stoichAirFuelRatio`,
      label: 'Stoichiometric air-fuel ratio',
      formula: tabulatedStoich,
      inputs: { tabulated: given(methanol.stoichAirFuelRatio, TABLE) },
    }),
    heatingValue: derive({
      key: `${prefix}.lowerHeatingValue`,
      label: 'Lower heating value',
      formula: tabulatedHeatingValue,
      inputs: { tabulated: given(methanol.lowerHeatingValue, TABLE) },
    }),
    expansion: methanol.expansion,
    others: [],
    viscosity: derive({
      key: `${prefix}.hot.viscosity`,
      label: hotLabels.viscosity,
      formula: methanolViscosity,
      inputs: { temperature: hottest },
    }),
    vapour: derive({
      key: `${prefix}.vapourPressureAbsolute`,
      label: hotLabels.vapour,
      formula: vapourPressureOfMethanol,
      inputs: { temperature: hottest },
    }),
  });
}

/**
 * Properties of a fuel with their working, keys under `prefix` ("fuel" for the first fuel).
 * `at` is the fuel's place in the document.
 */
export function fuelProperties(input: {
  fuel: Fuel;
  prefix: string;
  at: string;
  hottest: Result;
}): FuelProperties {
  const { fuel, prefix, at, hottest } = input;
  return fuel.kind === 'methanol'
    ? methanolProperties(fuel, prefix, hottest)
    : blendProperties(fuel, prefix, at, hottest);
}
