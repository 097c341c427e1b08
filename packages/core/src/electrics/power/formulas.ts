import { entryAt } from '../../numerics/index.ts';
import { defineFormula } from '../../results/index.ts';
import { permissibleFor, temperatureAfter } from './briefHeating.ts';
import { resistanceAt } from './heatBalance.ts';
import { permissibleOf, temperatureOf } from './heatBalanceMemory.ts';
import { deratedRating } from './fuseCurve.ts';

const wireInputs = {
  outsideDiameter: 'length',
  resistancePerMetre: 'resistancePerLength',
  ambient: 'temperature',
  loadedTogether: 'count',
} as const;

export const ampacity = defineFormula({
  name: 'permissible current',
  notation: 'I = √(q′(T_limit) / R(T_limit)) · k_bundle',
  kind: 'current',
  inputKinds: { ...wireInputs, limit: 'temperature' },
  source: 'heat balance of a horizontal cylinder: Churchill-Chu and radiation, ε 0.9',
  compute: (i) => permissibleOf(i, i.limit),
});

export const wireTemperature = defineFormula({
  name: 'conductor temperature',
  notation: 'I²·R(T) = k_bundle² · q′(T)',
  kind: 'temperature',
  inputKinds: { ...wireInputs, current: 'current' },
  source: 'heat balance of a horizontal cylinder: Churchill-Chu and radiation, ε 0.9',
  compute: (i) => temperatureOf(i, i.current),
});

export const wireResistance = defineFormula({
  name: 'resistance of a wire',
  notation: 'R = R20 · (1 + α (T − 20 °C)) · L',
  kind: 'resistance',
  inputKinds: {
    resistancePerMetre: 'resistancePerLength',
    temperature: 'temperature',
    length: 'length',
  },
  source: 'copper, α = 0.00393 1/K; ISO 6722 greatest resistance or AWG + 2 %',
  compute: (i) => resistanceAt(i.resistancePerMetre, i.temperature) * i.length,
});

export const wireDrop = defineFormula({
  name: 'voltage drop in wire',
  notation: 'ΔV = Σ I · R20 · (1 + α (T − 20 °C)) · L',
  kind: 'voltage',
  inputKinds: {
    currents: 'current',
    resistancesPerMetre: 'resistancePerLength',
    temperatures: 'temperature',
    lengths: 'length',
  },
  source: 'copper, α = 0.00393 1/K; ISO 6722 greatest resistance or AWG + 2 %',
  compute: (i: {
    currents: readonly number[];
    resistancesPerMetre: readonly number[];
    temperatures: readonly number[];
    lengths: readonly number[];
  }) =>
    i.lengths.reduce(
      (sum, length, n) =>
        sum +
        entryAt(i.currents, n) *
          resistanceAt(entryAt(i.resistancesPerMetre, n), entryAt(i.temperatures, n)) *
          length,
      0,
    ),
});

export const seriesResistance = defineFormula({
  name: 'resistance from battery to pump and back',
  notation: 'R = R_own + Σ R_shared · I_other / I_own',
  kind: 'resistance',
  inputKinds: {
    own: 'resistance',
    shared: 'resistance',
    others: 'current',
    current: 'current',
  },
  source:
    'circuit of all wires at conductor temperature, fuses, relays, contacts and grounds: what an ampere of each pump takes of this one’s voltage',
  compute: (i: {
    own: number;
    shared: readonly number[];
    others: readonly number[];
    current: number;
  }) => i.shared.reduce((sum, each, n) => sum + (each * entryAt(i.others, n)) / i.current, i.own),
});

export const catalogueRating = defineFormula({
  name: 'fuse rating',
  notation: 'rating of the chosen fuse',
  kind: 'current',
  inputKinds: { rating: 'current' },
  source: 'smallest that carries 1.25 × the load when hot and rides through the inrush',
  compute: (i) => i.rating,
});

export const fuseWhenHot = defineFormula({
  name: 'fuse rating when hot',
  notation: 'I = rating · (1 − 0.0015 · (T − 25 °C))',
  kind: 'current',
  inputKinds: { rating: 'current', ambient: 'temperature' },
  source: 'derating of blade fuses',
  compute: (i) => deratedRating(i.rating, i.ambient),
});

export const wireArea = defineFormula({
  name: 'conductor area',
  notation: 'A of the chosen size',
  kind: 'area',
  inputKinds: { area: 'area' },
  source: 'smallest size that passes all six criteria, or the size chosen by hand',
  compute: (i) => i.area,
});

export const decidingCriterion = defineFormula({
  name: 'deciding criterion',
  notation:
    '1 current, 2 voltage drop, 3 mechanical minimum, 4 short circuit, 5 terminal fit, 6 fuse',
  kind: 'count',
  inputKinds: { failing: 'count' },
  source: 'what the next smaller size of the catalogue fails first; 0: there is none',
  compute: (i: { failing: readonly number[] }) => i.failing[0] ?? 0,
});

export const briefTemperature = defineFormula({
  name: 'conductor temperature after a start',
  notation: 'T = (T0 + 234.5) · e^((I / 226·A)² · t) − 234.5',
  kind: 'temperature',
  inputKinds: { area: 'area', ambient: 'temperature', current: 'current', seconds: 'duration' },
  source: 'adiabatic heating of copper; at most 1500 K above ambient',
  compute: (i) => temperatureAfter(i),
});

export const briefAmpacity = defineFormula({
  name: 'permissible current for a start',
  notation: 'I = 226 · A · √(ln((T_limit + 234.5) / (T0 + 234.5)) / t)',
  kind: 'current',
  inputKinds: { area: 'area', ambient: 'temperature', limit: 'temperature', seconds: 'duration' },
  source: 'adiabatic heating of copper',
  compute: (i) => permissibleFor(i),
});

export const oneDrop = defineFormula({
  name: 'drop along one wire',
  notation: 'ΔV = I · R',
  kind: 'voltage',
  inputKinds: { current: 'current', resistance: 'resistance' },
  source: 'Ohm, wire at conductor temperature',
  compute: (i) => i.current * i.resistance,
});

export const solvedVoltage = defineFormula({
  name: 'voltage at a device',
  notation: 'V of its supply − V of its return',
  kind: 'voltage',
  inputKinds: { supply: 'voltage', back: 'voltage' },
  source: 'nodal analysis of the whole circuit in that case',
  compute: (i) => i.supply - i.back,
});

export const coilCurrent = defineFormula({
  name: 'relay coil current',
  notation: 'I = V / R_coil',
  kind: 'current',
  inputKinds: { voltage: 'voltage', coilResistance: 'resistance' },
  source: 'Ohm',
  compute: (i) => i.voltage / i.coilResistance,
});

export const powerFormulas = [
  ampacity,
  wireTemperature,
  wireResistance,
  wireDrop,
  seriesResistance,
  catalogueRating,
  fuseWhenHot,
  wireArea,
  coilCurrent,
  briefTemperature,
  briefAmpacity,
  decidingCriterion,
  oneDrop,
  solvedVoltage,
];
