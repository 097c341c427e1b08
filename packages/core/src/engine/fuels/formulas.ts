import type { UnitKind } from '../../quantities/index.ts';
import { defineFormula } from '../../results/index.ts';
import { ambientPressure } from './atmosphere.ts';
import { ethanol, methanol, petrolE0 } from './pureFuels.ts';
import { blendVapourPressure, methanolVapourPressure, petrolReidOf } from './vapourPressure.ts';
import { fuelViscosity } from './viscosity.ts';

const HANDBOOK = 'volume-weighted blend; pure-fuel table';

export const blendDensity = defineFormula({
  name: 'blend density at 15 °C',
  notation: 'ρ15 = e · ρ_ethanol + (1 − e) · ρ_petrol',
  kind: 'density',
  inputKinds: { ethanolShare: 'ratio', ethanolDensity: 'density', petrolDensity: 'density' },
  source: HANDBOOK,
  compute: (i) => i.ethanolShare * i.ethanolDensity + (1 - i.ethanolShare) * i.petrolDensity,
});

export const ethanolMassFraction = defineFormula({
  name: 'ethanol mass fraction',
  notation: 'w = e · ρ_ethanol / ρ_blend',
  kind: 'ratio',
  inputKinds: { ethanolShare: 'ratio', ethanolDensity: 'density', blendDensity: 'density' },
  source: HANDBOOK,
  compute: (i) => (i.ethanolShare * i.ethanolDensity) / i.blendDensity,
});

export const blendByMass = {
  stoich: defineFormula({
    name: 'stoichiometric air-fuel ratio of a blend',
    notation: 'AFR = w · AFR_ethanol + (1 − w) · AFR_petrol',
    kind: 'ratio',
    inputKinds: { ethanolMassFraction: 'ratio', ofEthanol: 'ratio', ofPetrol: 'ratio' },
    source: 'mass-weighted blend',
    compute: (i) => i.ethanolMassFraction * i.ofEthanol + (1 - i.ethanolMassFraction) * i.ofPetrol,
  }),
  heatingValue: defineFormula({
    name: 'lower heating value of a blend',
    notation: 'LHV = w · LHV_ethanol + (1 − w) · LHV_petrol',
    kind: 'energyPerMass',
    inputKinds: {
      ethanolMassFraction: 'ratio',
      ofEthanol: 'energyPerMass',
      ofPetrol: 'energyPerMass',
    },
    source: 'mass-weighted blend',
    compute: (i) => i.ethanolMassFraction * i.ofEthanol + (1 - i.ethanolMassFraction) * i.ofPetrol,
  }),
};

export const densityAtTemperature = defineFormula({
  name: 'fuel density at temperature',
  notation: 'ρ(T) = ρ15 / (1 + β (T − 15 °C))',
  kind: 'density',
  inputKinds: { density15: 'density', expansion: 'ratio', temperature: 'temperature' },
  source: 'volumetric expansion from 15 °C; β blended by volume',
  compute: (i) => i.density15 / (1 + i.expansion * (i.temperature - 288.15)),
});

export const blendViscosity = defineFormula({
  name: 'blend viscosity',
  notation: 'ln μ = w · ln μ_ethanol(T) + (1 − w) · ln μ_petrol(T), each μ = A·exp(B/T)',
  kind: 'viscosity',
  inputKinds: { ethanolMassFraction: 'ratio', temperature: 'temperature' },
  source: 'estimate: logarithms mixed by mass fraction',
  compute: (i) =>
    Math.exp(
      i.ethanolMassFraction * Math.log(fuelViscosity(ethanol, i.temperature)) +
        (1 - i.ethanolMassFraction) * Math.log(fuelViscosity(petrolE0, i.temperature)),
    ),
});

export const methanolViscosity = defineFormula({
  name: 'methanol viscosity',
  notation: 'μ = A·exp(B/T)',
  kind: 'viscosity',
  inputKinds: { temperature: 'temperature' },
  source: 'through the table points at 20 °C and 60 °C',
  compute: (i) => fuelViscosity(methanol, i.temperature),
});

export const petrolReid = defineFormula({
  name: 'Reid value of the petrol in a blend',
  notation: 'RVP_petrol = RVP / F(e)',
  kind: 'pressure',
  inputKinds: { reidVapourPressure: 'pressure', ethanolShare: 'ratio' },
  source: 'the printed value is that of the fuel as sold, its ethanol included; F is an estimate',
  compute: (i) => petrolReidOf(i.reidVapourPressure, i.ethanolShare),
});

export const vapourPressureOfBlend = defineFormula({
  name: 'vapour pressure of a petrol-ethanol blend',
  notation: 'p = p_E0(37.8 °C) · F(e) · [(1 − w)·r_petrol(T) + w·r_ethanol(T)]',
  kind: 'pressure',
  inputKinds: {
    temperature: 'temperature',
    petrolReid: 'pressure',
    ethanolShare: 'ratio',
    ethanolMassFraction: 'ratio',
  },
  source: 'EPA AP-42 chapter 7.1 (petrol, S = 3), Antoine (ethanol); blend factor is an estimate',
  compute: blendVapourPressure,
});

export const vapourPressureOfMethanol = defineFormula({
  name: 'vapour pressure of methanol',
  notation: 'log10 p = 8.08097 − 1582.271 / (T + 239.726), p in mmHg, T in °C',
  kind: 'pressure',
  inputKinds: { temperature: 'temperature' },
  source: 'Antoine equation',
  compute: (i) => methanolVapourPressure(i.temperature),
});

export const standardAtmosphere = defineFormula({
  name: 'ambient pressure at altitude',
  notation: 'p = 101.325 kPa · (1 − 0.0065 h / 288.15)^5.25588',
  kind: 'pressure',
  inputKinds: { altitude: 'length' },
  source: 'ISO 2533',
  compute: (i) => ambientPressure(i.altitude),
});

const fromTable = (name: string, symbol: string, kind: UnitKind) =>
  defineFormula({
    name,
    notation: `${symbol} = tabulated ${symbol}`,
    kind,
    inputKinds: { tabulated: kind },
    source: 'pure-fuel table',
    compute: (i) => i.tabulated,
  });

export const tabulatedStoich = fromTable('air-fuel ratio from the fuel table', 'AFR', 'ratio');
export const tabulatedDensity = fromTable('density from the fuel table', 'ρ15', 'density');
/** Methanol engines use so many times the fuel of petrol ones. */
export const METHANOL_CONSUMPTION = 2.18;

export const blendConsumption = defineFormula({
  name: 'consumption of a blend against E0',
  notation: 'k = 1 + 0.88 · (LHV_E0 / LHV − 1)',
  kind: 'ratio',
  inputKinds: { heatingValue: 'energyPerMass', petrolHeatingValue: 'energyPerMass' },
  source: 'such engines run more timing: 1.43 for E85 against 1.49 by energy alone',
  compute: (i) => 1 + 0.88 * (i.petrolHeatingValue / i.heatingValue - 1),
});

export const tabulatedConsumption = fromTable(
  'consumption against E0 from the fuel table',
  'k',
  'ratio',
);
export const tabulatedHeatingValue = fromTable(
  'heating value from the fuel table',
  'LHV',
  'energyPerMass',
);

export const fuelFormulas = [
  blendDensity,
  ethanolMassFraction,
  blendByMass.stoich,
  blendByMass.heatingValue,
  densityAtTemperature,
  blendViscosity,
  methanolViscosity,
  petrolReid,
  vapourPressureOfBlend,
  vapourPressureOfMethanol,
  standardAtmosphere,
  tabulatedStoich,
  tabulatedDensity,
  tabulatedHeatingValue,
  tabulatedConsumption,
  blendConsumption,
];
