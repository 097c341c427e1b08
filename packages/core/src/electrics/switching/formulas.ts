import { defineFormula } from '../../results/index.ts';

export const temperatureBand = defineFormula({
  name: 'temperature between on and off',
  notation: 'ΔT = |T_on − T_off|',
  kind: 'temperatureDifference',
  inputKinds: { on: 'temperature', off: 'temperature' },
  source: 'as entered',
  compute: (i) => Math.abs(i.on - i.off),
});

export const pressureBand = defineFormula({
  name: 'pressure between on and off',
  notation: 'Δp = |p_on − p_off|',
  kind: 'pressure',
  inputKinds: { on: 'pressure', off: 'pressure' },
  source: 'as entered',
  compute: (i) => Math.abs(i.on - i.off),
});

export const chargeTaken = defineFormula({
  name: 'charge taken from the battery',
  notation: 'Q = I · t',
  kind: 'charge',
  inputKinds: { current: 'current', time: 'time' },
  source: 'nothing charges while the engine stands',
  compute: (i) => i.current * i.time,
});

export const switchingFormulas = [temperatureBand, pressureBand, chargeTaken];
