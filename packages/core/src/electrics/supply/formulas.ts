import { defineFormula } from '../../results/index.ts';
import { alternatorOutput, coveredFor, daysUntilFlat, supplyMargin } from './budget.ts';
import { sum } from '../../numerics/index.ts';

export const totalLoad = defineFormula({
  name: 'total load',
  notation: 'I = Σ I_source',
  kind: 'current',
  inputKinds: { sources: 'current' },
  source: 'what every source gives in the solved circuit of that case',
  compute: (i: { sources: readonly number[] }) => sum(i.sources),
});

export const available = defineFormula({
  name: 'what the alternator gives',
  notation: 'I = Σ I_rated · Π share',
  kind: 'current',
  inputKinds: { rated: 'current', shares: 'ratio' },
  source: 'rated at full speed and cold; less at idle, less hot, multiplied',
  compute: (i: { rated: readonly number[]; shares: readonly number[] }) => alternatorOutput(i),
});

export const margin = defineFormula({
  name: 'margin of the alternator',
  notation: 'I_available / I_load − 1',
  kind: 'ratio',
  inputKinds: { available: 'current', load: 'current' },
  source: 'balance of currents at the battery',
  compute: (i) => supplyMargin(i),
});

export const covers = defineFormula({
  name: 'how long the battery makes up',
  notation: 't = C · usable / (I_load − I_available)',
  kind: 'endurance',
  inputKinds: { capacity: 'charge', usable: 'ratio', load: 'current', available: 'current' },
  source: 'time from full charge until the battery no longer cranks the engine',
  compute: (i) => coveredFor(i),
});

export const drain = defineFormula({
  name: 'drain with the key off',
  notation: 'I = Σ I of what takes current always',
  kind: 'drain',
  inputKinds: { loads: 'drain' },
  source: 'loads that no relay, switch or controller parts from the battery',
  compute: (i: { loads: readonly number[] }) => sum(i.loads),
});

export const untilFlat = defineFormula({
  name: 'days until flat',
  notation: 't = C · usable / I_drain',
  kind: 'days',
  inputKinds: { capacity: 'charge', usable: 'ratio', drain: 'drain' },
  source:
    'time from full charge until the battery no longer cranks the engine, self-discharge left out',
  compute: (i) => daysUntilFlat(i),
});

export const supplyFormulas = [totalLoad, available, margin, covers, drain, untilFlat];
