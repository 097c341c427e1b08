import { defineFormula } from '../../results/index.ts';

/** Part-load consumption on E0, kg/J: 320 g/kWh, an estimate for cruising. */
export const PART_LOAD_CONSUMPTION = (320 * 1e-3) / 3.6e6;

export const cruiseMassFlow = defineFormula({
  name: 'fuel at cruise',
  notation: 'ṁ = P · b_part · LHV_E0 / LHV · share',
  kind: 'massFlow',
  inputKinds: {
    power: 'power',
    partLoadConsumption: 'specificConsumption',
    petrolHeatingValue: 'energyPerMass',
    heatingValue: 'energyPerMass',
    share: 'ratio',
  },
  source: 'part load by energy: 320 g/kWh on E0',
  compute: (i) =>
    ((i.power * i.partLoadConsumption * i.petrolHeatingValue) / i.heatingValue) * i.share,
});

export const volumePerTime = defineFormula({
  name: 'consumption by time',
  notation: 'Q = ṁ / ρ15',
  kind: 'volumeFlow',
  inputKinds: { massFlow: 'massFlow', density: 'density' },
  source: 'as it is filled in, at 15 °C',
  compute: (i) => i.massFlow / i.density,
});

export const volumePerDistance = defineFormula({
  name: 'consumption by distance',
  notation: 'Q / v',
  kind: 'volumePerDistance',
  inputKinds: { consumption: 'volumeFlow', roadSpeed: 'roadSpeed' },
  source: 'definition',
  compute: (i) => i.consumption / i.roadSpeed,
});

export const drivingRange = defineFormula({
  name: 'range',
  notation: 'V_usable · v / Q',
  kind: 'distance',
  inputKinds: { usableVolume: 'volume', roadSpeed: 'roadSpeed', consumption: 'volumeFlow' },
  source: 'on what can be driven from full to empty',
  compute: (i) => (i.usableVolume * i.roadSpeed) / i.consumption,
});

export const seasonalShift = defineFormula({
  name: 'shift of mixture over the seasons',
  notation: 'λ_lowest / λ_planned − 1 = AFR_planned / AFR_lowest − 1',
  kind: 'ratio',
  inputKinds: { planned: 'ratio', lowest: 'ratio' },
  source: 'same fuel mass, other stoichiometric ratio; negative is rich',
  compute: (i) => i.planned / i.lowest - 1,
});

export const consumptionFormulas = [
  cruiseMassFlow,
  volumePerTime,
  volumePerDistance,
  drivingRange,
  seasonalShift,
];
