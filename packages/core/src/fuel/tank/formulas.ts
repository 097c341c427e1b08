import { frictionFactor } from '../hydraulics/friction.ts';
import { defineFormula } from '../../results/index.ts';
import { boxShareBeyond, distanceBetween, unflat } from '../../vehicle/index.ts';

export const starveVolume = defineFormula({
  name: 'fuel at which the pickup falls dry',
  notation:
    'V = usable · share of the tank’s box that lies deeper than the pickup, along gravity and push',
  kind: 'volume',
  inputKinds: {
    box: 'length',
    pickup: 'length',
    height: 'length',
    forward: 'ratio',
    left: 'ratio',
    usable: 'volume',
  },
  source:
    'a steady push and a plain box without baffles; fuel stands across gravity and push; the pickup under its outlet, so high above the bottom',
  compute: (i: {
    box: readonly number[];
    pickup: readonly number[];
    height: number;
    forward: number;
    left: number;
    usable: number;
  }) => {
    const [low, high] = unflat(i.box);
    const [outlet] = unflat(i.pickup);
    if (!low || !high || !outlet) return 0;
    const pickup = [outlet[0], outlet[1], Math.min(high[2], low[2] + i.height)] as const;
    return i.usable * boxShareBeyond({ low, high }, pickup, [i.forward, i.left, -1]);
  },
});

type BoxOf = { box: readonly number[]; height: number };
const sidesOf = (box: readonly number[]): readonly [number, number, number] => {
  const [low, high] = unflat(box);
  return low && high ? [high[0] - low[0], high[1] - low[1], high[2] - low[2]] : [0, 0, 0];
};

export const belowPickup = defineFormula({
  name: 'fuel that is never drawn',
  notation: 'V = length · width · height of the pickup above the bottom',
  kind: 'volume',
  inputKinds: { box: 'length', height: 'length' },
  source: 'box of the tank on the map, level',
  compute: (i: BoxOf) => {
    const [x, y, z] = sidesOf(i.box);
    return x * y * Math.min(z, i.height);
  },
});

export const abovePickup = defineFormula({
  name: 'room of the tank above its pickup',
  notation: 'V = length · width · (height − height of the pickup)',
  kind: 'volume',
  inputKinds: { box: 'length', height: 'length' },
  source: 'outside of the box of the tank on the map: what can be used is less',
  compute: (i: BoxOf) => {
    const [x, y, z] = sidesOf(i.box);
    return x * y * Math.max(0, z - i.height);
  },
});

export const returnApart = defineFormula({
  name: 'return from the pickup',
  notation: 'distance of their places',
  kind: 'length',
  inputKinds: { outlet: 'length', back: 'length' },
  source: 'returning fuel is hot and full of bubbles: it is kept away from the pickup',
  compute: (i: { outlet: readonly number[]; back: readonly number[] }) => {
    const [outlet] = unflat(i.outlet);
    const [back] = unflat(i.back);
    return outlet && back ? distanceBetween(outlet, back) : 0;
  },
});

/** Air of a hot day: density kg/m³, viscosity Pa·s. */
const AIR = { density: 1.15, viscosity: 1.9e-5 };
/** Fuel grows by so much of itself per kelvin, and warms by so many kelvin an hour at most. */
const GROWS = 1.1e-3;
const WARMS = 20 / 3600;
/** Relative roughness of a smooth bore. */
const SMOOTH = 1e-6;
/** Entry, exit and a roll-over valve, in velocity heads. */
const ENDS = 4;

export const ventFlow = defineFormula({
  name: 'air through a vent',
  notation: 'Q = engine’s flow + V · 1.1 · 10⁻³/K · 20 K/h',
  kind: 'volumeFlow',
  inputKinds: { outflow: 'volumeFlow', volume: 'volume' },
  source: 'what the engine takes out, and what warming fuel grows by',
  compute: (i) => i.outflow + i.volume * GROWS * WARMS,
});

export const ventLoss = defineFormula({
  name: 'pressure that a vent leaves in the tank',
  notation: 'Δp = (f · L/d + 4) · ρ v²/2',
  kind: 'pressure',
  inputKinds: { flow: 'volumeFlow', bore: 'length', length: 'length' },
  source:
    'air of 1.15 kg/m³ in a smooth bore; entry, exit and valve four velocity heads (estimate)',
  compute: (i) => {
    const v = i.flow / ((Math.PI / 4) * i.bore ** 2);
    const re = (AIR.density * v * i.bore) / AIR.viscosity;
    const f = frictionFactor(Math.max(re, 1e-9), SMOOTH).factor;
    return (((f * i.length) / i.bore + ENDS) * AIR.density * v * v) / 2;
  },
});

export const tankFormulas = [
  starveVolume,
  belowPickup,
  abovePickup,
  returnApart,
  ventFlow,
  ventLoss,
];
