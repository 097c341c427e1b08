import type { CoverItem } from '../../catalogue/index.ts';

const celsius = (value: number): number => value + 273.15;

/** What of a bundle a form of cover takes, and what it is: shares of its nominal size, per metre. */
interface CoverMake {
  readonly family: string;
  readonly sizes: readonly number[];
  readonly grips: number;
  readonly takes: number;
  readonly wall: (size: number) => number;
  readonly limit: number;
  /** kg a metre for each metre of nominal size */
  readonly mass: number;
  readonly price: (size: number) => number;
  readonly letters: string;
}

const makes: Readonly<Record<Exclude<CoverItem['form'], 'tape'>, CoverMake>> = {
  conduit: {
    family: 'Split conduit, ribbed',
    sizes: [5, 7, 10, 13, 17, 22, 29, 36],
    grips: 0.6,
    takes: 0.92,
    wall: (size) => 1 + size / 40,
    limit: 125,
    mass: 3.4,
    price: (size) => 0.5 + size / 14,
    letters: 'CT',
  },
  braid: {
    family: 'Braided sleeve, expandable',
    sizes: [3, 6, 8, 10, 15, 20, 25, 32, 40],
    grips: 0.62,
    takes: 1.45,
    wall: () => 0.7,
    limit: 150,
    mass: 1.5,
    price: (size) => 0.8 + size / 12,
    letters: 'BS',
  },
  'heat-shrink': {
    family: 'Heat-shrink with glue, 3 : 1',
    sizes: [3, 6, 9, 12, 18, 24, 32, 39, 50],
    grips: 1 / 3,
    takes: 0.85,
    wall: (size) => 0.5 + size / 40,
    limit: 135,
    mass: 2.6,
    price: (size) => 2 + size / 3.5,
    letters: 'SH',
  },
  'heat-sleeve': {
    family: 'Heat sleeve, woven glass with foil',
    sizes: [10, 15, 20, 25, 32, 40, 50],
    grips: 0.4,
    takes: 0.9,
    wall: () => 1.5,
    limit: 550,
    mass: 4.2,
    price: (size) => 6 + size / 3,
    letters: 'HT',
  },
};

const tape: CoverItem = {
  category: 'cover',
  id: 'TP19',
  revision: 1,
  designation: 'Cloth tape 19 mm',
  family: 'Cloth tape',
  mass: 0.025,
  price: 0.5,
  interchange: 'tape',
  form: 'tape',
  nominal: 0.019,
  bundleMin: 0,
  bundleMax: 0.06,
  wall: 0.0006,
  temperatureLimit: celsius(125),
};

/** Sleeves, conduit, heat-shrink and tape, by the metre. */
export const sampleCovers: readonly CoverItem[] = [
  tape,
  ...Object.entries(makes).flatMap(([form, make]) =>
    make.sizes.map((size): CoverItem => ({
      category: 'cover',
      id: `${make.letters}${size}`,
      revision: 1,
      designation: `${make.family} ${size} mm`,
      family: make.family,
      mass: Number(((make.mass * size) / 1e3).toFixed(4)),
      price: Number(make.price(size).toFixed(2)),
      interchange: `${form} ${size}`,
      form: form as CoverItem['form'],
      nominal: size / 1e3,
      bundleMin: (size * make.grips) / 1e3,
      bundleMax: (size * make.takes) / 1e3,
      wall: make.wall(size) / 1e3,
      temperatureLimit: celsius(make.limit),
    })),
  ),
];
