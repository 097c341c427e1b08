import { entryAt } from '../../numerics/index.ts';
import type { HoseItem } from '../../catalogue/index.ts';
import { defineFormula } from '../../results/index.ts';
import { boreArea } from './fluid.ts';

const HOUR = 3600;

/** Bulk modulus of motor fuel near ambient, Pa: petrol about 1.0 GPa, alcohols 0.9; an estimate. */
export const FUEL_BULK_MODULUS = 1e9;

const wallModuli: Readonly<Record<HoseItem['material'], number>> = {
  rubber: 0.1e9,
  PTFE: 0.5e9,
  nylon: 0.2e9,
  aluminium: 50e9,
  stainless: 50e9,
  steel: 50e9,
};

/**
 * How much a line resists being filled further, Pa per share of volume: metal hardline 50 GPa
 * by its wall, PTFE under braid 0.5 GPa, nylon 0.2 GPa, rubber 0.1 GPa. Estimates from expansion figures of hose makers.
 */
export const wallModulus = (hose: Pick<HoseItem, 'material'>): number => wallModuli[hose.material];

/** Volume inside a line, m³. */
export const lineVolume = (bore: number, length: number): number => boreArea(bore) * length;

export const compliance = defineFormula({
  name: 'compliance of the pressure side',
  notation: 'C = Σ V · (1/K_fuel + 1/K_wall)',
  kind: 'compliance',
  inputKinds: { volumes: 'volume', wallModuli: 'pressure', fuelModulus: 'pressure' },
  source: 'bulk moduli, estimates: rubber 0.1 GPa, PTFE 0.5 GPa, hardline 50 GPa, fuel 1 GPa',
  compute: (i: {
    volumes: readonly number[];
    wallModuli: readonly number[];
    fuelModulus: number;
  }) =>
    i.volumes.reduce(
      (sum, volume, n) => sum + volume * (1 / i.fuelModulus + 1 / entryAt(i.wallModuli, n)),
      0,
    ),
});

export const primeTime = defineFormula({
  name: 'prime time of a full line',
  notation: 't = C · 0.9 · p_set / Q',
  kind: 'duration',
  inputKinds: { compliance: 'compliance', setPressure: 'pressure', flow: 'volumeFlow' },
  source: 'to 90 % of set, with the flow the pump has against the set pressure: never shorter',
  compute: (i) => (i.compliance * 0.9 * i.setPressure) / i.flow,
});

export const emptyPrimeTime = defineFormula({
  name: 'prime time of an empty line',
  notation: 't = V / Q',
  kind: 'duration',
  inputKinds: { volume: 'volume', flow: 'volumeFlow' },
  source: 'at the flow the pump makes against the line that it fills, its far end open',
  compute: (i) => i.volume / i.flow,
});

export const primeCount = defineFormula({
  name: 'primes to fill an empty line',
  notation: 'n = (t_empty + t_full) / t_key-on, rounded up',
  kind: 'count',
  inputKinds: { emptyTime: 'duration', fullTime: 'duration', keyOnTime: 'duration' },
  source: 'filled first, then brought to pressure; the ECU runs the pump 2 s at key-on',
  compute: (i) => Math.ceil((i.emptyTime + i.fullTime) / i.keyOnTime - 1e-9),
});

export const surgeReserve = defineFormula({
  name: 'reserve of the surge tank',
  notation: 't = V / Q_engine',
  kind: 'duration',
  inputKinds: { volume: 'volume', flow: 'volumeFlow' },
  source: 'how long the pickup may starve at peak flow',
  compute: (i) => i.volume / i.flow,
});

export const liftRatio = defineFormula({
  name: 'lift flow over need',
  notation: 'Q_lift / Q_engine',
  kind: 'ratio',
  inputKinds: { lift: 'massFlow', engine: 'massFlow' },
  source: 'the lift pump gives at least 1.1 times the peak flow of the engine',
  compute: (i) => i.lift / i.engine,
});

export const hourlyRise = defineFormula({
  name: 'rise of tank temperature in an hour',
  notation: 'ΔT = (P_el + Q_rail) / UA · (1 − e^(−UA · 3600 s / (V · ρ · c_p)))',
  kind: 'temperatureDifference',
  inputKinds: {
    electricalPower: 'power',
    railHeat: 'power',
    volume: 'volume',
    density: 'density',
    specificHeat: 'specificHeat',
    heatLoss: 'thermalConductance',
  },
  source:
    'all electrical power ends in the fuel, which starts as warm as the air and loses heat to it; a quarter tank',
  compute: (i) => {
    const capacity = i.volume * i.density * i.specificHeat;
    const unlost = (HOUR * (i.electricalPower + i.railHeat)) / capacity;
    const share = (i.heatLoss * HOUR) / capacity;
    return share > 0 ? (unlost * -Math.expm1(-share)) / share : unlost;
  },
});

export const afterAnHour = defineFormula({
  name: 'tank temperature after an hour',
  notation: 'T = T_air + ΔT',
  kind: 'temperature',
  inputKinds: { ambient: 'temperature', rise: 'temperatureDifference' },
  source: 'an hour of cruising on a hot day with a quarter tank',
  compute: (i) => i.ambient + i.rise,
});

export const railSpread = defineFormula({
  name: 'spread of the rails',
  notation: '(p_highest − p_lowest) / Δp',
  kind: 'ratio',
  inputKinds: { highest: 'pressure', lowest: 'pressure', pressureDifference: 'pressure' },
  source: 'rails of a row against each other, end to end and bank to bank',
  compute: (i) => (i.highest - i.lowest) / i.pressureDifference,
});

export const storageFormulas = [
  compliance,
  primeTime,
  emptyPrimeTime,
  primeCount,
  surgeReserve,
  liftRatio,
  hourlyRise,
  afterAnHour,
  railSpread,
];
