import { sum } from '../../numerics/index.ts';
import { defineFormula } from '../../results/index.ts';
import { LIES_LONGER } from '../lengths/formulas.ts';

export const legNeed = defineFormula({
  name: 'length that a leg needs',
  notation: 'L = 1.02 · (Σ l + 2 · max(0, b − d)) + Σ loops',
  kind: 'length',
  inputKinds: { segments: 'length', leavesAt: 'length', shared: 'length', loops: 'length' },
  source:
    'its way from the plug; a leg that leaves the trunk at b, behind where its way turns off at d, comes back that far',
  compute: (i: {
    segments: readonly number[];
    leavesAt: number;
    shared: number;
    loops: readonly number[];
  }) => LIES_LONGER * (sum(i.segments) + 2 * Math.max(0, i.leavesAt - i.shared)) + sum(i.loops),
});

export const legLength = defineFormula({
  name: 'length of a leg',
  notation: 'L = as bought + changed',
  kind: 'length',
  inputKinds: { bought: 'length', changed: 'length' },
  source: 'a leg has the length that it has, until it is extended or shortened',
  compute: (i) => i.bought + i.changed,
});

export const legSlack = defineFormula({
  name: 'slack of a leg',
  notation: 'Δ = L − L needed; below 0 it does not reach',
  kind: 'length',
  inputKinds: { length: 'length', needed: 'length' },
  source: 'what is left is folded away flat, what is missing is put in with a splice',
  compute: (i) => i.length - i.needed,
});

export const legFormulas = [legNeed, legLength, legSlack];
