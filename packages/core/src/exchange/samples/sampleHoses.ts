import type { HoseItem, HoseMaterial, HoseService, HoseWall } from '../../catalogue/index.ts';

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
  readonly material: HoseMaterial;
  readonly made: HoseWall;
  readonly service?: HoseService;
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
    material: family.material,
    wall: family.made,
    ...(family.service ? { service: family.service } : {}),
  }));

export const sampleHoses: readonly HoseItem[] = [
  ...hoses({
    code: 'HPR',
    family: 'push-on rubber',
    material: 'rubber',
    made: 'plain',
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
    material: 'rubber',
    made: 'braided',
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
    material: 'PTFE',
    made: 'braided',
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
    material: 'rubber',
    made: 'plain',
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
    material: 'aluminium',
    made: 'rigid',
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
    material: 'stainless',
    made: 'rigid',
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
  ...hoses({
    code: 'HCP',
    family: 'PTFE-lined convoluted',
    material: 'PTFE',
    made: 'convoluted',
    bores: [
      [6, 8.4],
      [8, 10.8],
      [10, 13.6],
      [12, 16.8],
      [16, 22.2],
    ],
    wall: 2.4,
    // Convolutions: the wall counts as far rougher than its liner.
    roughness: 60e-6,
    pressureRating: 5e6,
    ethanolLimit: 1,
    pricePerMetre: 24,
  }),
  ...hoses({
    code: 'HSB',
    family: 'submersible',
    material: 'rubber',
    made: 'plain',
    bores: [
      [4, 6],
      [5, 8],
      [6, 9.5],
      [8, 12],
    ],
    wall: 3,
    roughness: 5e-6,
    pressureRating: 1.2e6,
    ethanolLimit: 1,
    pricePerMetre: 46,
    service: 'immersed',
  }),
  ...hoses({
    code: 'HVT',
    family: 'low-pressure rubber, vents',
    material: 'rubber',
    made: 'plain',
    bores: [
      [6, 9.5],
      [8, 12.7],
      [10, 15.9],
      [16, 25.4],
    ],
    wall: 3.2,
    roughness: 5e-6,
    pressureRating: 0.1e6,
    ethanolLimit: 0.85,
    pricePerMetre: 5,
    service: 'low-pressure',
  }),
  ...hoses({
    code: 'HHY',
    family: 'hydraulic',
    material: 'rubber',
    made: 'braided',
    bores: [
      [6, 9.5],
      [8, 12.7],
    ],
    wall: 4.5,
    roughness: 5e-6,
    pressureRating: 20e6,
    ethanolLimit: 0,
    pricePerMetre: 17,
    service: 'hydraulic',
  }),
  ...hoses({
    code: 'TST',
    family: 'hardline steel',
    material: 'steel',
    made: 'rigid',
    bores: [
      [5, 6.5],
      [6, 7.75],
      [8, 10.9],
    ],
    wall: 0.9,
    roughness: 45e-6,
    pressureRating: 6e6,
    ethanolLimit: 0.3,
    pricePerMetre: 4,
  }),
  ...hoses({
    code: 'TNY',
    family: 'hardline nylon',
    material: 'nylon',
    made: 'rigid',
    bores: [
      [5, 6],
      [6, 8],
      [8, 10],
    ],
    wall: 1,
    roughness: 1.5e-6,
    pressureRating: 1.4e6,
    ethanolLimit: 0.85,
    pricePerMetre: 3,
  }),
];
