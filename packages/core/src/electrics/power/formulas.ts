import { entryAt } from '../../numerics/index.ts';
import { defineFormula } from '../../results/index.ts';
import { conductorTemperature, permissibleCurrent, resistanceAt } from './heatBalance.ts';
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
  compute: (i) => permissibleCurrent(i, i.limit),
});

export const wireTemperature = defineFormula({
  name: 'conductor temperature',
  notation: 'I²·R(T) = k_bundle² · q′(T)',
  kind: 'temperature',
  inputKinds: { ...wireInputs, current: 'current' },
  source: 'heat balance of a horizontal cylinder: Churchill-Chu and radiation, ε 0.9',
  compute: (i) => conductorTemperature(i, i.current),
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
  notation: 'R = Σ R_wire + Σ R_fuse + R_relay + Σ R_contact',
  kind: 'resistance',
  inputKinds: {
    wires: 'resistance',
    fuses: 'resistance',
    relay: 'resistance',
    contacts: 'resistance',
  },
  source: 'wires at conductor temperature; fuse 0.1 V / rating; contact and crimp defaults',
  compute: (i: {
    wires: readonly number[];
    fuses: readonly number[];
    relay: number;
    contacts: readonly number[];
  }) => [...i.wires, ...i.fuses, i.relay, ...i.contacts].reduce((a, b) => a + b, 0),
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
];
