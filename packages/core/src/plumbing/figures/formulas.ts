import { sum } from '../../numerics/index.ts';
import { defineFormula } from '../../results/index.ts';
import { AT_ONCE, cuttingPlan } from '../buying/cutting/index.ts';
import { clockingOf, pathThrough, scale, unflat } from '../../vehicle/index.ts';

/** Cut lengths are rounded up to so much, m. */
export const CUT_STEP = 0.005;

/** A hose m between its cut ends, before it is rounded. */
export const exactCut = (i: {
  readonly length: number;
  readonly cutOffs: readonly number[];
  readonly adapters: readonly number[];
  readonly slack: number;
}): number => {
  return (i.length - sum(i.adapters)) * (1 + i.slack) - sum(i.cutOffs);
};

/** Rounded up to the next step; what is a step but for rounding noise stays. */
export const upToStep = (length: number): number => CUT_STEP * Math.ceil(length / CUT_STEP - 1e-6);

export const cutLength = defineFormula({
  name: 'cut length',
  notation: '(L − Σ adapters) · (1 + slack) − Σ cut-off, rounded up to 5 mm',
  kind: 'length',
  inputKinds: { length: 'length', adapters: 'length', cutOffs: 'length', slack: 'ratio' },
  source:
    'developed length between the seats, less what each end takes of it, with slack for pressure and movement',
  compute: (i: Parameters<typeof exactCut>[0]) => Math.max(0, upToStep(exactCut(i))),
});

export const shortening = defineFormula({
  name: 'shortening under pressure, of its length',
  notation: 's · p / p_rated',
  kind: 'ratio',
  inputKinds: { shortens: 'ratio', pressure: 'pressure', rated: 'pressure' },
  source: 'by its data sheet, else 4 % at its rated pressure',
  compute: (i) => (i.shortens * i.pressure) / i.rated,
});

export const reach = defineFormula({
  name: 'reach of a hose that is cut',
  notation: 'cut + Σ cut-off + Σ adapters − L',
  kind: 'length',
  inputKinds: { cut: 'length', length: 'length', adapters: 'length', cutOffs: 'length' },
  source: 'what is left over between the seats; below nothing it no longer reaches',
  compute: (i: {
    cut: number;
    length: number;
    adapters: readonly number[];
    cutOffs: readonly number[];
  }) => i.cut - exactCut({ ...i, slack: 0 }),
});

export const clocking = defineFormula({
  name: 'clocking of two angled ends',
  notation: 'angle from the first nose, carried along the hose without twist, to the second',
  kind: 'angle',
  inputKinds: { points: 'length', radii: 'length', ports: 'ratio' },
  source:
    'seen along the hose from its beginning, clockwise; a nose points from the end of the hose out to its seat; 0: both point the same way',
  compute: (i: {
    points: readonly number[];
    radii: readonly number[];
    ports: readonly number[];
  }) => {
    const [first, second] = unflat(i.ports);
    if (!first || !second) return 0;
    // Into the part, against the direction out of its port.
    const noses = [scale(first, -1), scale(second, -1)] as const;
    return clockingOf(pathThrough(i.points, i.radii), noses) ?? 0;
  },
});

export const partCount = defineFormula({
  name: 'count of a part',
  notation: 'n = Σ uses',
  kind: 'count',
  inputKinds: { uses: 'count' },
  source: 'everything in the build that is made with it',
  compute: (i: { uses: readonly number[] }) => i.uses.reduce((sum, each) => sum + each, 0),
});

export const hoseTotal = defineFormula({
  name: 'hose that is cut, in all',
  notation: 'L = Σ cut lengths',
  kind: 'length',
  inputKinds: { pieces: 'length' },
  source: 'every line that is made of it',
  compute: (i: { pieces: readonly number[] }) => i.pieces.reduce((sum, each) => sum + each, 0),
});

type Cutting = {
  readonly pieces: readonly number[];
  readonly stock: readonly number[];
  readonly offcuts: readonly number[];
  readonly kerf: number;
};
const planOf = ({ pieces, stock, offcuts, kerf }: Cutting) =>
  cuttingPlan(
    {
      pieces: pieces.map((length, i) => ({ id: `${i}`, length })),
      stock,
      offcuts: offcuts.map((length, i) => ({ id: `${i}`, length })),
      kerf,
    },
    AT_ONCE,
  );
const cuttingKinds = {
  pieces: 'length',
  stock: 'length',
  offcuts: 'length',
  kerf: 'length',
} as const;
const cuttingSource =
  'cutting plan from the lengths that are sold and the offcuts at hand: least bought, then least waste';

export const hoseBought = defineFormula({
  name: 'hose to buy',
  notation: 'least Σ lengths bought that hold all pieces and their cuts',
  kind: 'length',
  inputKinds: cuttingKinds,
  source: cuttingSource,
  compute: (i: Cutting) => planOf(i).bought,
});

export const hoseWaste = defineFormula({
  name: 'hose that is no piece',
  notation: 'lengths bought and offcuts touched less all pieces',
  kind: 'length',
  inputKinds: cuttingKinds,
  source: cuttingSource,
  compute: (i: Cutting) => planOf(i).waste,
});

export const plumbingFormulas = [
  cutLength,
  shortening,
  reach,
  clocking,
  partCount,
  hoseTotal,
  hoseBought,
  hoseWaste,
];
