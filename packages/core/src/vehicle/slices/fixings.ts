import {
  type Of,
  choice,
  constant,
  idOf,
  kinds,
  nullable,
  object,
  quantityField,
  whole,
  yesNo,
} from '../../model/spec.ts';

export const fixingMeans = ['clamps', 'bracket', 'tray', 'plate'] as const;
/**
 * How a part is held: two lined clamps straight on what carries it, an angle bracket, a tray with
 * raised edges and a strap, or a flat plate on standoffs.
 */
export type FixingMeans = (typeof fixingMeans)[number];

export const plateMetals = ['steel', 'stainless', 'aluminium'] as const;
export type PlateMetal = (typeof plateMetals)[number];

/** Metric bolts by ISO 4017. */
export const boltSizes = ['M5', 'M6', 'M8', 'M10'] as const;
export type BoltSize = (typeof boltSizes)[number];

/** What a part is bolted to. */
export const carrierSpec = kinds('kind', {
  'mounting-line': object({
    kind: constant('mounting-line'),
    mountingLineId: idOf('mountingLines', 'mounting line'),
  }),
  solid: object({ kind: constant('solid'), solidId: idOf('solids', 'solid thing') }),
  sheet: object({ kind: constant('sheet'), sheetId: idOf('sheets', 'sheet') }),
});
export type Carrier = Of<typeof carrierSpec>;

const coordinate = (label: string) =>
  quantityField('length', 'mm', {
    label,
    min: -30,
    max: 30,
    message: 'a coordinate must be from -30 to 30 m',
  });

/** Where the part sat when the holes of its fixing were drilled: a fact. */
export const drilledSpec = object({
  x: coordinate('Drilled at x'),
  y: coordinate('Drilled at y'),
  z: coordinate('Drilled at z'),
});

/** How a part is fastened to the vehicle. */
export const fixingSpec = object({
  onto: carrierSpec,
  means: choice(fixingMeans, { label: 'Held by', initial: 'bracket' }),
  metal: choice(plateMetals, { label: 'Plate of', initial: 'steel' }),
  thickness: quantityField('length', 'mm', {
    label: 'Plate thickness',
    min: 0.5e-3,
    max: 0.02,
    message: 'a plate must be from 0.5 to 20 mm thick',
  }),
  standoff: quantityField('length', 'mm', {
    label: 'Air behind the part',
    help: 'between the plate and the part: keeps heat and rubbing away',
    min: 0,
    max: 0.2,
    message: 'the air behind a part must be from 0 to 200 mm',
  }),
  rubber: yesNo({ label: 'On rubber mounts', initial: false }),
  bolt: choice(boltSizes, { label: 'Bolts', initial: 'M6' }),
  bolts: whole({
    label: 'How many',
    min: 2,
    max: 12,
    message: 'the number of bolts must be a whole number from 2 to 12',
    initial: 2,
  }),
  drilled: nullable(drilledSpec, { help: 'null: not drilled yet' }),
});
export type StoredFixing = Of<typeof fixingSpec>;
