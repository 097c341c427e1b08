import type { JudgedCircuit, UnitKind } from '@brookrain/core';

/** One line of the comparison: what is read, its kind, and which way is better. */
export interface JudgedRow {
  readonly label: string;
  readonly kind: UnitKind | 'money';
  readonly better: 'lower' | 'higher' | 'none';
  readonly read: (judged: JudgedCircuit) => number | undefined;
}

export const judgedRows: readonly JudgedRow[] = [
  { label: 'Δp at hot idle', kind: 'pressure', better: 'none', read: (j) => j.differenceIdle },
  { label: 'Δp at peak', kind: 'pressure', better: 'higher', read: (j) => j.differencePeak },
  { label: 'Sag at peak', kind: 'ratio', better: 'lower', read: (j) => j.sag },
  { label: 'Pump margin', kind: 'ratio', better: 'higher', read: (j) => j.pumpMargin },
  { label: 'Inlet above boiling', kind: 'pressure', better: 'higher', read: (j) => j.inletHead },
  { label: 'Rails apart', kind: 'ratio', better: 'lower', read: (j) => j.railBalance },
  { label: 'Pump current', kind: 'current', better: 'lower', read: (j) => j.pumpCurrent },
  { label: 'Prime, full line', kind: 'duration', better: 'lower', read: (j) => j.primeTime },
  {
    label: 'Tank warms in an hour',
    kind: 'temperatureDifference',
    better: 'lower',
    read: (j) => j.heatingPerHour,
  },
  { label: 'Joints', kind: 'count', better: 'lower', read: (j) => j.joints },
  { label: 'Mass', kind: 'mass', better: 'lower', read: (j) => j.mass },
  { label: 'Parts, price', kind: 'money', better: 'lower', read: (j) => j.price },
];
