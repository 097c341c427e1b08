import type { FilterItem, FittingItem, HoseItem, RegulatorItem } from '../../build/index.ts';

const rubberBores: [dash: number, mm: number][] = [
  [4, 5.6],
  [6, 8.7],
  [8, 11.1],
  [10, 14.2],
  [12, 17.5],
  [16, 22.2],
];
const ptfeBores: [dash: number, mm: number][] = [
  [4, 4.8],
  [6, 7.9],
  [8, 10.3],
  [10, 12.7],
  [12, 15.9],
  [16, 22.2],
];

interface HoseFamily {
  readonly code: string;
  readonly family: string;
  readonly bores: [dash: number, mm: number][];
  readonly wall: number;
  readonly roughness: number;
  readonly pressureRating: number;
  readonly ethanolLimit: number;
  readonly pricePerMetre: number;
}

const hoses = (family: HoseFamily): HoseItem[] =>
  family.bores.map(([dash, mm]) => ({
    category: 'hose',
    id: `${family.code}-${dash}`,
    revision: 1,
    designation: `${family.code} −${dash}`,
    family: family.family,
    mass: Number((0.012 * mm * family.wall).toFixed(3)),
    price: Number((family.pricePerMetre * (1 + dash / 8)).toFixed(2)),
    interchange: `dash ${dash}`,
    bore: mm / 1e3,
    outsideDiameter: (mm + 2 * family.wall) / 1e3,
    roughness: family.roughness,
    pressureRating: family.pressureRating,
    ethanolLimit: family.ethanolLimit,
    dash,
  }));

export const sampleHoses: readonly HoseItem[] = [
  ...hoses({
    code: 'HPR',
    family: 'push-on rubber',
    bores: rubberBores,
    wall: 3.2,
    roughness: 5e-6,
    pressureRating: 1.7e6,
    ethanolLimit: 0.3,
    pricePerMetre: 8,
  }),
  ...hoses({
    code: 'HBR',
    family: 'braided rubber',
    bores: rubberBores,
    wall: 3.5,
    roughness: 5e-6,
    pressureRating: 3.4e6,
    ethanolLimit: 0.3,
    pricePerMetre: 14,
  }),
  ...hoses({
    code: 'HBP',
    family: 'braided PTFE',
    bores: ptfeBores,
    wall: 2,
    roughness: 1.5e-6,
    pressureRating: 7e6,
    ethanolLimit: 1,
    pricePerMetre: 19,
  }),
  ...hoses({
    code: 'HLP',
    family: 'low-pressure rubber',
    bores: rubberBores,
    wall: 3,
    roughness: 5e-6,
    pressureRating: 0.35e6,
    ethanolLimit: 0.1,
    pricePerMetre: 4,
  }),
  ...hoses({
    code: 'TAL',
    family: 'hardline aluminium',
    bores: [
      [6, 7.75],
      [8, 10.9],
    ],
    wall: 0.9,
    roughness: 1.5e-6,
    pressureRating: 2.4e6,
    ethanolLimit: 0.3,
    pricePerMetre: 6,
  }),
  ...hoses({
    code: 'TSS',
    family: 'hardline stainless',
    bores: [
      [6, 7.75],
      [8, 10.9],
    ],
    wall: 0.9,
    roughness: 1.5e-6,
    pressureRating: 6e6,
    ethanolLimit: 1,
    pricePerMetre: 11,
  }),
];

const fitting = (
  id: string,
  designation: string,
  family: string,
  boreMm: number,
  lossCoefficient: number,
  price: number,
): FittingItem => ({
  category: 'fitting',
  id,
  revision: 1,
  designation,
  family,
  mass: 0.03,
  price,
  interchange: family,
  bore: boreMm / 1e3,
  lossCoefficient,
  pressureRating: 3e6,
});

export const sampleFittings: readonly FittingItem[] = [
  ...[
    [4, 4.4],
    [6, 7.2],
    [8, 9.4],
    [10, 12],
    [12, 15],
    [16, 20],
  ].flatMap(([dash, bore]) => [
    fitting(`E${dash}-0`, `Hose end −${dash} straight`, 'hose end', bore!, 0.5, 6 + dash!),
    fitting(`E${dash}-45`, `Hose end −${dash} 45°`, 'hose end', bore!, 0.6, 9 + dash!),
    fitting(`E${dash}-90`, `Hose end −${dash} 90°`, 'hose end', bore!, 0.9, 10 + dash!),
  ]),
  fitting('B10', 'Tank bung −10, weld-on', 'tank outlet', 12.5, 0.8, 12),
  fitting('B12', 'Tank bung −12, weld-on', 'tank outlet', 15.5, 0.8, 14),
  fitting('OLD8', 'Tank outlet 8 mm, with draw tube', 'tank outlet', 6.2, 2.4, 0),
];

const filter = (
  id: string,
  designation: string,
  finenessUm: number,
  points: [litresPerHour: number, kPa: number][],
  ethanolLimit: number,
  price: number,
): FilterItem => ({
  category: 'filter',
  id,
  revision: 1,
  designation,
  family: finenessUm >= 100 ? 'coarse' : 'fine',
  mass: 0.25,
  price,
  interchange: finenessUm >= 100 ? 'coarse' : 'fine',
  fineness: finenessUm / 1e6,
  points: points.map(([q, dp]) => ({ flow: (q * 1e-3) / 3600, pressureDrop: dp * 1e3 })),
  testDensity: 770,
  testViscosity: 0.9e-3,
  loadedFactor: 3,
  ethanolLimit,
  pressureRating: 1.4e6,
});

export const sampleFilters: readonly FilterItem[] = [
  filter(
    'F100',
    'F100 coarse, cleanable',
    100,
    [
      [150, 0.6],
      [300, 1.6],
    ],
    1,
    46,
  ),
  filter(
    'F10',
    'F10 fine, paper',
    10,
    [
      [150, 7],
      [300, 16],
    ],
    0.2,
    28,
  ),
  filter(
    'F10A',
    'F10A fine, glass fibre',
    10,
    [
      [150, 9],
      [300, 21],
    ],
    1,
    58,
  ),
  filter(
    'F40',
    'F40 fine, steel mesh',
    40,
    [
      [150, 4],
      [300, 11],
    ],
    1,
    64,
  ),
];

const regulator = (
  id: string,
  size: string,
  slope: number,
  area: number,
  least: number,
  most: number,
  price: number,
): RegulatorItem => ({
  category: 'regulator',
  id,
  revision: 1,
  designation: `${id} ${size}`,
  family: 'return, manifold-referenced',
  mass: 0.4,
  price,
  interchange: 'return regulator',
  setMin: 250e3,
  setMax: 500e3,
  slope: (slope * 1e3) / (0.1 / 3600),
  openArea: area * 1e-6,
  bypassMin: (least * 1e-3) / 3600,
  bypassMax: (most * 1e-3) / 3600,
  pressureRating: 1.4e6,
});

export const sampleRegulators: readonly RegulatorItem[] = [
  regulator('RR-S', 'small', 6, 12, 5, 180, 74),
  regulator('RR-M', 'medium', 3, 22, 10, 400, 98),
  regulator('RR-L', 'large', 1.5, 40, 30, 900, 146),
];
