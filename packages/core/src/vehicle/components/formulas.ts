import { defineFormula } from '../../results/index.ts';
import { cornersOfBox } from '../geometry/orientedBox.ts';
import type { ObstacleShape } from '../obstacles/obstacle.ts';
import { unflat } from '../routes/wayNumbers.ts';
import { bodyOfNumbers } from './bodyNumbers.ts';
import { bodyTo } from './componentCheck.ts';

type Body = { readonly body: readonly number[]; readonly travel: number };
const body = { body: 'length', travel: 'length' } as const;
const source =
  'least distance between the box of the part and the thing, over its full travel; below 0: how deep they overlap';

const clear = (i: Body, shape: ObstacleShape): number =>
  bodyTo(bodyOfNumbers(i.body), { shape }).distance - i.travel;

export const componentToRod = defineFormula({
  name: 'room from a part to a pipe or shaft',
  notation: 'c = distance of its box to the axis − D/2 − travel',
  kind: 'length',
  inputKinds: { ...body, rod: 'length', rodDiameter: 'length' },
  source,
  compute: (i: Body & { rod: readonly number[]; rodDiameter: number }) =>
    clear(i, { kind: 'rod', points: unflat(i.rod), radius: i.rodDiameter / 2 }),
});

export const componentToBox = defineFormula({
  name: 'room from a part to a box',
  notation: 'c = distance of the two boxes − travel',
  kind: 'length',
  inputKinds: { ...body, box: 'length' },
  source,
  compute: (i: Body & { box: readonly number[] }) => {
    const [low, high] = unflat(i.box);
    return low && high ? clear(i, { kind: 'box', box: { low, high } }) : Infinity;
  },
});

export const componentToComponent = defineFormula({
  name: 'room between two parts',
  notation: 'c = distance of the two boxes',
  kind: 'length',
  inputKinds: { ...body, other: 'length' },
  source,
  compute: (i: Body & { other: readonly number[] }) =>
    clear(i, { kind: 'body', body: bodyOfNumbers(i.other) }),
});

export const componentMargin = defineFormula({
  name: 'room beyond what is asked of a part',
  notation: 'c − c_needed',
  kind: 'length',
  inputKinds: { clearance: 'length', needed: 'length' },
  source:
    '100 mm from a bare hot pipe, twice from a turbine, none up to 60 °C; 25 mm from what moves in its place, 50 where it travels or whips; nothing into anything solid',
  compute: (i) => i.clearance - i.needed,
});

export const componentLowest = defineFormula({
  name: 'lowest corner of a part',
  notation: 'least z of its eight corners',
  kind: 'length',
  inputKinds: { body: 'length' },
  source: 'place, where it looks, and the sides of its box',
  compute: (i: { body: readonly number[] }) =>
    Math.min(...cornersOfBox(bodyOfNumbers(i.body)).map((corner) => corner[2])),
});

export const componentFormulas = [
  componentToRod,
  componentToBox,
  componentToComponent,
  componentMargin,
  componentLowest,
];
