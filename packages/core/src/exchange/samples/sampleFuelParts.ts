import type {
  DeadHeadRegulatorItem,
  FilterItem,
  FilterRegulatorItem,
  RegulatorItem,
  TankItem,
} from '../../catalogue/index.ts';
import { body } from './body.ts';

/** A cartridge as long as its rated flow asks; a sock lies under its pump. */
const filterBody = (form: FilterItem['form'], points: readonly (readonly [number, number])[]) => {
  if (form === 'strainer') return body([80, 40, 20]);
  const most = Math.max(...points.map(([flow]) => flow));
  return body(most > 400 ? [200, 60, 60] : [140, 56, 56], 'around', 150);
};

const filter = (
  id: string,
  designation: string,
  finenessUm: number,
  points: [litresPerHour: number, kPa: number][],
  ethanolLimit: number,
  price: number,
  port: FilterItem['inletPort'],
  form: FilterItem['form'] = 'in-line',
): FilterItem => ({
  category: 'filter',
  id,
  revision: 1,
  designation,
  family: finenessUm >= 100 ? 'coarse' : 'fine',
  mass: 0.25,
  price,
  interchange: finenessUm >= 100 ? 'coarse' : 'fine',
  form,
  fineness: finenessUm / 1e6,
  points: points.map(([q, dp]) => ({ flow: (q * 1e-3) / 3600, pressureDrop: dp * 1e3 })),
  testDensity: 770,
  testViscosity: 0.9e-3,
  loadedFactor: 3,
  ethanolLimit,
  pressureRating: 1.4e6,
  ...filterBody(form, points),
  splashProof: true,
  inletSide: 'back',
  outletSide: 'front',
  inletPort: port,
  outletPort: port === 'boss-16-female' ? 'boss-12-female' : port,
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
    'boss-10-female',
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
    'boss-6-female',
  ),
  filter(
    'FS100',
    'FS100 strainer sock',
    100,
    [
      [100, 0.3],
      [250, 0.9],
    ],
    1,
    12,
    'none',
    'strainer',
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
    'boss-6-female',
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
    'boss-6-female',
  ),
  filter(
    'F40L',
    'F40L fine, steel mesh, large',
    40,
    [
      [300, 3],
      [600, 8],
    ],
    1,
    112,
    'boss-10-female',
  ),
  filter(
    'F100L',
    'F100L coarse, cleanable, large',
    100,
    [
      [400, 0.9],
      [900, 3.2],
    ],
    1,
    84,
    'boss-16-female',
  ),
];

const regulatorBody = {
  ...body([50, 50, 80], 'top', 100),
  splashProof: true,
  inletSide: 'back',
  outletSide: 'bottom',
} as const;

const regulator = (
  id: string,
  size: string,
  [dash, inlets]: readonly [dash: 6 | 8, inlets: number],
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
  ...regulatorBody,
  inletPort: `boss-${dash}-female`,
  outletPort: `boss-${dash}-female`,
  inlets,
});

export const sampleRegulators: readonly RegulatorItem[] = [
  regulator('RR-S', 'small', [6, 1], 6, 12, 5, 180, 74),
  regulator('RR-M', 'medium', [6, 1], 3, 22, 10, 400, 98),
  regulator('RR-L', 'large', [8, 2], 1.5, 40, 30, 900, 146),
  {
    ...regulator('RR-T', 'throttle body', [6, 1], 4, 16, 5, 300, 58),
    family: 'return, low pressure',
    setMin: 70e3,
    setMax: 250e3,
  },
];

const filterRegulator = (kPa: number): FilterRegulatorItem => ({
  category: 'filter-regulator',
  id: `FR-${kPa}`,
  revision: 1,
  designation: `FR-${kPa} filter-regulator`,
  family: 'fixed, near the tank',
  mass: 0.32,
  price: 54,
  interchange: 'filter-regulator',
  setPressure: kPa * 1e3,
  fineness: 10e-6,
  points: [
    { flow: (100 * 1e-3) / 3600, pressureDrop: 6e3 },
    { flow: (200 * 1e-3) / 3600, pressureDrop: 15e3 },
  ],
  testDensity: 770,
  testViscosity: 0.9e-3,
  loadedFactor: 3,
  ethanolLimit: 0.85,
  slope: (5 * 1e3) / (0.1 / 3600),
  openArea: 14e-6,
  bypassMin: (5 * 1e-3) / 3600,
  bypassMax: (260 * 1e-3) / 3600,
  pressureRating: 1.2e6,
  ...body([150, 60, 60], 'around', 150),
  splashProof: true,
  inletSide: 'back',
  outletSide: 'front',
  returnSide: 'bottom',
  inletPort: 'quick-6-male',
  outletPort: 'quick-6-male',
  returnPort: 'quick-5-male',
});

export const sampleFilterRegulators: readonly FilterRegulatorItem[] = [300, 350, 400].map(
  filterRegulator,
);

export const sampleDeadHeadRegulators: readonly DeadHeadRegulatorItem[] = [
  {
    category: 'dead-head-regulator',
    id: 'RD-S',
    revision: 1,
    designation: 'RD-S dead-head',
    family: 'forward, no return',
    mass: 0.3,
    price: 66,
    interchange: 'dead-head regulator',
    setMin: 20e3,
    setMax: 420e3,
    slope: (8 * 1e3) / (0.1 / 3600),
    openArea: 16e-6,
    pressureRating: 1.4e6,
    ...regulatorBody,
    inletPort: 'boss-6-female',
    outletPort: 'boss-6-female',
  },
];

const tank = (
  id: string,
  designation: string,
  litres: number,
  material: TankItem['material'],
  ethanolLimit: number,
  price: number,
): TankItem => ({
  category: 'tank',
  id,
  revision: 1,
  designation,
  family: material,
  mass: 2 + litres / 8,
  price,
  interchange: 'tank',
  volume: litres / 1e3,
  material,
  ethanolLimit,
});

export const sampleTanks: readonly TankItem[] = [
  tank('TK14', 'Tank 14 L aluminium', 14, 'aluminium', 0.3, 210),
  tank('TK30', 'Cell 30 L stainless', 30, 'stainless', 1, 480),
  tank('TK60', 'Tank 60 L plastic', 60, 'plastic', 0.85, 260),
  tank('TK85', 'Tank 85 L steel', 85, 'steel', 0.2, 340),
  tank('ST2', 'Surge tank 2 L', 2, 'aluminium', 0.3, 120),
];
