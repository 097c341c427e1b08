import type { LoadTime } from '../../catalogue/index.ts';

/** States of the vehicle in which its circuit is solved. */
export const electricCases = ['keyOn', 'cranking', 'idle', 'cruiseHot', 'worst'] as const;
export type ElectricCase = (typeof electricCases)[number];

/** The cases in words. */
export const electricCaseWords: Readonly<Record<ElectricCase, string>> = {
  keyOn: 'key on',
  cranking: 'cranking',
  idle: 'idle',
  cruiseHot: 'cruise, hot',
  worst: 'all at once',
};

const running: readonly LoadTime[] = ['always', 'key on', 'engine turning'];
const on: Readonly<Record<ElectricCase, ReadonlySet<LoadTime>>> = {
  keyOn: new Set(['always', 'key on']),
  cranking: new Set([...running, 'cranking']),
  idle: new Set(running),
  cruiseHot: new Set([...running, 'hot', 'lights']),
  worst: new Set([...running, 'hot', 'lights', 'at times']),
};

/** The share of the time for which a load takes its current in a case in which it is on. */
export const dutyIn = (
  load: { readonly duty: number; readonly dutyAtIdle?: number },
  inCase: ElectricCase,
): number => (inCase === 'idle' ? (load.dutyAtIdle ?? load.duty) : load.duty);

/** Whether a load is on in a case. */
export const isOn = (when: LoadTime, inCase: ElectricCase): boolean => on[inCase].has(when);
