import { defineFormula } from '../../results/index.ts';
import { type BoltSize, type FixingMeans, boltSizes, fixingMeans } from '../slices/fixings.ts';
import { entryAt } from '../../numerics/index.ts';
import { type PlateDesign, boltLengthFor, plateFor } from './fixingDesign.ts';

/** A plate in plain numbers: kind and bolt by their place in their lists. */
type Plate = {
  readonly means: number;
  readonly bolt: number;
  readonly bolts: number;
  readonly thickness: number;
  readonly standoff: number;
  readonly size: readonly number[];
};
const plate = {
  means: 'count',
  bolt: 'count',
  bolts: 'count',
  thickness: 'length',
  standoff: 'length',
  size: 'length',
} as const;

export const meansNumber = (means: FixingMeans): number => fixingMeans.indexOf(means);
export const boltNumber = (bolt: BoltSize): number => boltSizes.indexOf(bolt);

function plateOf(i: Plate, of: (plate: PlateDesign) => number): number {
  const [length = 0, width = 0, height = 0] = i.size;
  const made = plateFor({
    means: entryAt(fixingMeans, i.means),
    bolt: entryAt(boltSizes, i.bolt),
    metal: 'steel',
    thickness: i.thickness,
    standoff: i.standoff,
    rubber: false,
    bolts: i.bolts,
    size: [length, width, height],
  });
  return made ? of(made) : 0;
}

const source =
  'bends of 90° around the thickness of the plate, neutral line at 0.42 of it; holes by ISO 273, twice their width from an edge, at least 12 mm';

export const blankLength = defineFormula({
  name: 'flat plate, along the part',
  notation:
    'plate: L + 4e; bracket: L; tray: L + 2·3 mm + 2t + 2 (20 mm + t − Δ), Δ = 4t − (π/2)·1.42 t',
  kind: 'length',
  inputKinds: plate,
  source,
  compute: (i: Plate) => plateOf(i, (p) => p.length),
});

export const blankWidth = defineFormula({
  name: 'flat plate, across the part',
  notation:
    'plate: W; bracket: wall + air + W + 10 mm − Δ; tray: W + 2·3 mm + 2t + 2 (20 mm + t − Δ)',
  kind: 'length',
  inputKinds: plate,
  source,
  compute: (i: Plate) => plateOf(i, (p) => p.width),
});

export const boltPitch = defineFormula({
  name: 'least distance of two holes',
  notation: 'between neighbouring middles',
  kind: 'length',
  inputKinds: plate,
  source,
  compute: (i: Plate) => plateOf(i, (p) => p.pitch),
});

export const plateMass = defineFormula({
  name: 'mass of a plate',
  notation: 'm = (A − holes) · t · ρ',
  kind: 'mass',
  inputKinds: { ...plate, density: 'density' },
  source: 'steel 7 850, stainless 7 900, aluminium 2 700 kg/m³',
  compute: (i: Plate & { density: number }) => (plateOf(i, (p) => p.mass) * i.density) / 7850,
});

export const boltLength = defineFormula({
  name: 'length of the bolts',
  notation: 'next made length above plate + spacer + 3 mm + 2 washers + nut + 2 threads',
  kind: 'length',
  inputKinds: {
    means: 'count',
    bolt: 'count',
    thickness: 'length',
    standoff: 'length',
    rubber: 'count',
  },
  source: 'ISO 4017 lengths, washers ISO 7089, locking nuts ISO 7040; a carrier of 3 mm',
  compute: (i) =>
    boltLengthFor({
      means: entryAt(fixingMeans, i.means),
      bolt: entryAt(boltSizes, i.bolt),
      thickness: i.thickness,
      standoff: i.standoff,
      rubber: i.rubber > 0,
    }),
});

/** What a part has to stand in a hard knock, in multiples of its weight. */
export const KNOCK = 20;
const GRAVITY = 9.80665;

export const boltLoad = defineFormula({
  name: 'load of a bolt in a hard knock',
  notation: 'F = 20 g · m / n',
  kind: 'force',
  inputKinds: { mass: 'mass', bolts: 'count' },
  source: 'what is fastened on a vehicle is held for 20 times its weight',
  compute: (i) => (KNOCK * GRAVITY * i.mass) / i.bolts,
});

export const fixingReach = defineFormula({
  name: 'from the part to what carries it',
  notation: 'least distance of its box',
  kind: 'length',
  inputKinds: { reach: 'length' },
  source: 'a bracket carries from no further than 200 mm',
  compute: (i) => i.reach,
});

export const fixingFormulas = [
  blankLength,
  blankWidth,
  boltPitch,
  plateMass,
  boltLength,
  boltLoad,
  fixingReach,
];
