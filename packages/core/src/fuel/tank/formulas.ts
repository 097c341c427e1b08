import { defineFormula } from '../../results/index.ts';
import { boxShareBeyond, unflat } from '../../vehicle/index.ts';

export const starveVolume = defineFormula({
  name: 'fuel at which the pickup falls dry',
  notation:
    'V = usable · share of the tank’s box that lies deeper than the pickup, along gravity and push',
  kind: 'volume',
  inputKinds: {
    box: 'length',
    pickup: 'length',
    forward: 'ratio',
    left: 'ratio',
    usable: 'volume',
  },
  source: 'a steady push and a plain box without baffles; fuel stands across gravity and push',
  compute: (i: {
    box: readonly number[];
    pickup: readonly number[];
    forward: number;
    left: number;
    usable: number;
  }) => {
    const [low, high] = unflat(i.box);
    const [pickup] = unflat(i.pickup);
    if (!low || !high || !pickup) return 0;
    return i.usable * boxShareBeyond({ low, high }, pickup, [i.forward, i.left, -1]);
  },
});

export const tankFormulas = [starveVolume];
