import { defineFormula } from '../../results/index.ts';

/** Keeps pulse and duty finite where no pressure is left at all, kg/s. */
const LEAST_FLOW = 1e-9;

export const staticMassFlow = defineFormula({
  name: 'static injector flow',
  notation: 'ṁ = q_ref · √(ρ_ref · ρ_fuel) · √(Δp / Δp_ref)',
  kind: 'massFlow',
  inputKinds: {
    ratedFlow: 'volumeFlow',
    ratedDensity: 'density',
    fuelDensity: 'density',
    pressureDifference: 'pressure',
    ratedPressure: 'pressure',
  },
  source: 'orifice law with the density of the test fluid',
  compute: (i) =>
    i.ratedFlow *
    Math.sqrt(i.ratedDensity * i.fuelDensity) *
    Math.sqrt(Math.max(0, i.pressureDifference) / i.ratedPressure),
});

export const shotPeriod = defineFormula({
  name: 'time between shots',
  notation: 'T = revolutions per cycle / (shots · n)',
  kind: 'time',
  inputKinds: { revolutionsPerCycle: 'count', shotsPerCycle: 'count', speed: 'rotation' },
  source: 'batch firing twice a cycle halves T',
  compute: (i) => i.revolutionsPerCycle / (i.shotsPerCycle * i.speed),
});

export const pulseWidth = defineFormula({
  name: 'pulse width',
  notation: 't = (ṁ_row · T / N) / ṁ_static + t_dead',
  kind: 'time',
  inputKinds: {
    rowMassFlow: 'massFlow',
    period: 'time',
    count: 'count',
    staticMassFlow: 'massFlow',
    deadTime: 'time',
  },
  source: 'shot mass over static flow (at least 1 µg/s, so that it stays a number) plus dead time',
  compute: (i) =>
    (i.rowMassFlow * i.period) / i.count / Math.max(i.staticMassFlow, LEAST_FLOW) + i.deadTime,
});

export const duty = defineFormula({
  name: 'injector duty',
  notation: 'duty = t / T',
  kind: 'ratio',
  inputKinds: { pulse: 'time', period: 'time' },
  source: 'share of the cycle the injector is open',
  compute: (i) => i.pulse / i.period,
});

export const effectivePulse = defineFormula({
  name: 'effective pulse',
  notation: 't_eff = t − t_dead',
  kind: 'time',
  inputKinds: { pulse: 'time', deadTime: 'time' },
  source: 'what meters fuel',
  compute: (i) => i.pulse - i.deadTime,
});

export const turnDown = defineFormula({
  name: 'turn-down',
  notation: 'ṁ_peak / (ṁ_static · t_eff,min · N / T_idle)',
  kind: 'ratio',
  inputKinds: {
    peakMassFlow: 'massFlow',
    staticMassFlow: 'massFlow',
    smallestEffectivePulse: 'time',
    count: 'count',
    idlePeriod: 'time',
  },
  source: 'peak flow over the smallest flow that repeats at idle speed',
  compute: (i) =>
    i.peakMassFlow /
    ((Math.max(i.staticMassFlow, LEAST_FLOW) * i.smallestEffectivePulse * i.count) / i.idlePeriod),
});

export const coilHoldCurrent = defineFormula({
  name: 'coil current held open',
  notation: 'I = V / (R_coil + R_ballast)',
  kind: 'current',
  inputKinds: { voltage: 'voltage', coil: 'resistance', ballast: 'resistance' },
  source: 'saturated switch, or a resistor in series; peak-and-hold is less by its driver',
  compute: (i) => i.voltage / (i.coil + i.ballast),
});

export const rowCoilCurrent = defineFormula({
  name: 'current of a row held open',
  notation: 'I_row = N · I',
  kind: 'current',
  inputKinds: { count: 'count', current: 'current' },
  source: 'every injector of the row open at once: what its fuse and wire must carry',
  compute: (i) => i.count * i.current,
});

export const stagingFlow = defineFormula({
  name: 'engine fuel at which a row joins',
  notation: 'ṁ = (duty · T − t_dead) · ṁ_static · N / T / share',
  kind: 'massFlow',
  inputKinds: {
    aboveDuty: 'ratio',
    period: 'time',
    deadTime: 'time',
    staticMassFlow: 'massFlow',
    count: 'count',
    share: 'ratio',
  },
  source: 'the first row alone reaches its duty; Δp as its regulator is set',
  compute: (i) =>
    (Math.max(0, i.aboveDuty * i.period - i.deadTime) * i.staticMassFlow * i.count) /
    i.period /
    i.share,
});

export const injectorFormulas = [
  coilHoldCurrent,
  rowCoilCurrent,
  stagingFlow,
  staticMassFlow,
  shotPeriod,
  pulseWidth,
  duty,
  effectivePulse,
  turnDown,
];
