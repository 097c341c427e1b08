import { entryAt, findRoot } from '../../numerics/index.ts';
import { defineFormula } from '../../results/index.ts';

/** Specific gas constant of air, J/(kg·K). */
export const GAS_CONSTANT_AIR = 287.05;
/** Exponent (κ − 1) / κ of air. */
const COMPRESSION_EXPONENT = 0.286;

export const demandByPower = defineFormula({
  name: 'fuel flow from power',
  notation: 'ṁ_f = P · BSFC · k_fuel',
  kind: 'massFlow',
  inputKinds: { power: 'power', specificConsumption: 'specificConsumption', fuelFactor: 'ratio' },
  source: 'brake-specific fuel consumption at full load',
  compute: (i) => i.power * i.specificConsumption * i.fuelFactor,
});

export const fuelFactor = defineFormula({
  name: 'consumption factor of a fuel against E0',
  notation: 'k = Σ share · (1 + 0.88 · (LHV_E0 / LHV − 1)), methanol 2.18',
  kind: 'ratio',
  inputKinds: { shares: 'ratio', factors: 'ratio' },
  source: 'such engines run more timing: 1.43 for E85 against 1.49 by energy alone',
  compute: (i: { shares: readonly number[]; factors: readonly number[] }) =>
    i.shares.reduce((sum, share, n) => sum + share * entryAt(i.factors, n), 0),
});

export const airFlow = defineFormula({
  name: 'air flow',
  notation: 'ṁ_air = η_v · p_man,abs / (R · T_man) · V_d · fills · n',
  kind: 'massFlow',
  inputKinds: {
    volumetricEfficiency: 'ratio',
    manifoldAbsolute: 'pressure',
    chargeTemperature: 'temperature',
    displacement: 'volume',
    fillsPerRevolution: 'ratio',
    speed: 'rotation',
  },
  source: 'speed-density, R = 287.05 J/(kg·K)',
  compute: (i) =>
    ((i.volumetricEfficiency * i.manifoldAbsolute) / (GAS_CONSTANT_AIR * i.chargeTemperature)) *
    i.displacement *
    i.fillsPerRevolution *
    i.speed,
});

export const demandByAir = defineFormula({
  name: 'fuel flow from air',
  notation: 'ṁ_f = ṁ_air / (AFR_stoich · λ)',
  kind: 'massFlow',
  inputKinds: { airFlow: 'massFlow', stoichAirFuelRatio: 'ratio', lambda: 'ratio' },
  source: 'what the ECU meters',
  compute: (i) => i.airFlow / (i.stoichAirFuelRatio * i.lambda),
});

export const effectiveStoich = defineFormula({
  name: 'stoichiometric ratio over the rows',
  notation: 'AFR = 1 / Σ (share / AFR_row)',
  kind: 'ratio',
  inputKinds: { shares: 'ratio', ratios: 'ratio' },
  source: 'each row fuels its share of the air',
  compute: (i: { shares: readonly number[]; ratios: readonly number[] }) =>
    1 / i.shares.reduce((sum, share, n) => sum + share / entryAt(i.ratios, n), 0),
});

export const disagreement = defineFormula({
  name: 'disagreement of the two schools',
  notation: '|A − B| / max(A, B)',
  kind: 'ratio',
  inputKinds: { byPower: 'massFlow', byAir: 'massFlow' },
  source: 'above 15 % one input is wrong',
  compute: (i) => Math.abs(i.byPower - i.byAir) / Math.max(i.byPower, i.byAir),
});

export const scaled = defineFormula({
  name: 'scaled flow',
  notation: 'ṁ = ṁ_map · ṁ_carried / ṁ_air(power speed)',
  kind: 'massFlow',
  inputKinds: { mapPeak: 'massFlow', carried: 'massFlow', byAirAtPower: 'massFlow' },
  source: 'the air map is scaled to the school that is carried forward',
  compute: (i) => (i.mapPeak * i.carried) / i.byAirAtPower,
});

export const carried = defineFormula({
  name: 'demand carried forward',
  notation: 'ṁ = A, B or max(A, B), by the pick (1, 2, 0)',
  kind: 'massFlow',
  inputKinds: { byPower: 'massFlow', byAir: 'massFlow', pick: 'count' },
  source: 'the larger of the two unless the technician picks one',
  compute: (i) =>
    i.pick === 1 ? i.byPower : i.pick === 2 ? i.byAir : Math.max(i.byPower, i.byAir),
});

export const designDemand = defineFormula({
  name: 'design demand',
  notation: 'ṁ_design = ṁ_peak · factor',
  kind: 'massFlow',
  inputKinds: { peak: 'massFlow', designFactor: 'ratio' },
  source: 'worst case carried downstream, default × 1.10',
  compute: (i) => i.peak * i.designFactor,
});

export const manifoldAbsolute = defineFormula({
  name: 'absolute manifold pressure',
  notation: 'p_man,abs = p_amb + p_boost · share',
  kind: 'pressure',
  inputKinds: { ambient: 'pressure', boost: 'pressure', boostShare: 'ratio' },
  source: 'typed boost is gauge to local ambient',
  compute: (i) => i.ambient + i.boost * i.boostShare,
});

export const impliedConsumption = defineFormula({
  name: 'implied specific consumption',
  notation: 'BSFC = B / (P · k_fuel)',
  kind: 'specificConsumption',
  inputKinds: { byAir: 'massFlow', power: 'power', fuelFactor: 'ratio' },
  source: 'the value that makes A agree with B',
  compute: (i) => i.byAir / (i.power * i.fuelFactor),
});

export const impliedEfficiency = defineFormula({
  name: 'implied volumetric efficiency',
  notation: 'η_v · A / B',
  kind: 'ratio',
  inputKinds: { volumetricEfficiency: 'ratio', byPower: 'massFlow', byAir: 'massFlow' },
  source: 'the value at the power speed that makes B agree with A',
  compute: (i) => (i.volumetricEfficiency * i.byPower) / i.byAir,
});

export const impliedBoost = defineFormula({
  name: 'implied manifold pressure',
  notation: 'p_man,abs · A / B − p_amb',
  kind: 'pressure',
  inputKinds: {
    manifoldAbsolute: 'pressure',
    ambient: 'pressure',
    byPower: 'massFlow',
    byAir: 'massFlow',
  },
  source: 'the gauge pressure at the power speed that makes B agree with A',
  compute: (i) => (i.manifoldAbsolute * i.byPower) / i.byAir - i.ambient,
});

/** Charge temperature K behind compressor and cooler at a boost Pa. */
const chargeAt = (
  boost: number,
  i: { ambientTemperature: number; ambient: number; efficiency: number; effectiveness: number },
): number => {
  const rise =
    (i.ambientTemperature * ((1 + boost / i.ambient) ** COMPRESSION_EXPONENT - 1)) / i.efficiency;
  return i.ambientTemperature + (1 - i.effectiveness) * rise;
};

export const impliedBoostCooled = defineFormula({
  name: 'implied manifold pressure, charge heated by the compressor',
  notation: 'p such that p_man,abs(p) / T(p) = A / B · p_man,abs / T',
  kind: 'pressure',
  inputKinds: {
    manifoldAbsolute: 'pressure',
    chargeTemperature: 'temperature',
    ambient: 'pressure',
    ambientTemperature: 'temperature',
    efficiency: 'ratio',
    effectiveness: 'ratio',
    byPower: 'massFlow',
    byAir: 'massFlow',
  },
  source: 'the gauge pressure at the power speed that makes B agree with A',
  compute(i) {
    const wanted = ((i.manifoldAbsolute / i.chargeTemperature) * i.byPower) / i.byAir;
    const over = (boost: number): number => (i.ambient + boost) / chargeAt(boost, i) - wanted;
    let high = i.ambient;
    while (over(high) < 0 && high < 1e9) high *= 2;
    return findRoot({ low: -0.999 * i.ambient, high, of: over });
  },
});

export const temperatureAboveAmbient = defineFormula({
  name: 'temperature above ambient',
  notation: 'T = T_ambient + rise',
  kind: 'temperature',
  inputKinds: { ambient: 'temperature', rise: 'temperatureDifference' },
  source: 'default rise of the trade; type a value to replace it',
  compute: (i) => i.ambient + i.rise,
});

export const compressorOutlet = defineFormula({
  name: 'compressor outlet temperature',
  notation: 'T2 = T1 · (1 + (r^0.286 − 1) / η), r = (p_amb + p_boost) / p_amb',
  kind: 'temperature',
  inputKinds: {
    ambient: 'temperature',
    ambientPressure: 'pressure',
    boost: 'pressure',
    efficiency: 'ratio',
  },
  source: 'isentropic compression of air, efficiency 0.70 by default',
  compute: (i) =>
    i.ambient *
    (1 +
      (((i.ambientPressure + i.boost) / i.ambientPressure) ** COMPRESSION_EXPONENT - 1) /
        i.efficiency),
});

export const cooledCharge = defineFormula({
  name: 'charge temperature behind a cooler',
  notation: 'T = T2 − ε · (T2 − T1)',
  kind: 'temperature',
  inputKinds: { outlet: 'temperature', ambient: 'temperature', effectiveness: 'ratio' },
  source: 'cooler of effectiveness 0.70 unless said; 0 without one',
  compute: (i) => i.outlet - i.effectiveness * (i.outlet - i.ambient),
});

export const enteredTemperature = defineFormula({
  name: 'temperature as entered',
  notation: 'T = entered T',
  kind: 'temperature',
  inputKinds: { entered: 'temperature' },
  source: 'the brief',
  compute: (i) => i.entered,
});

export const demandFormulas = [
  demandByPower,
  fuelFactor,
  airFlow,
  demandByAir,
  effectiveStoich,
  disagreement,
  scaled,
  carried,
  designDemand,
  manifoldAbsolute,
  impliedConsumption,
  impliedEfficiency,
  impliedBoost,
  impliedBoostCooled,
  temperatureAboveAmbient,
  enteredTemperature,
  compressorOutlet,
  cooledCharge,
];
