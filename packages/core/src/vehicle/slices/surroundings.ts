import {
  type Of,
  choice,
  constant,
  kinds,
  object,
  quantityField,
  quantityOrNone,
  record,
  rule,
  text,
  yesNo,
} from '../../model/spec.ts';
import type { Quantity } from '../../quantities/index.ts';
import { coordinates, coordinatesSpec } from './coordinates.ts';

const name = text({ label: 'Name', min: 1, max: 80 });

type Corner = { readonly x: Quantity; readonly y: Quantity; readonly z: Quantity };
/** A box along the axes of the vehicle by its two opposite corners. */
const boxFields = { low: coordinatesSpec, high: coordinatesSpec };
const hasRoom = rule<{ readonly low: Corner; readonly high: Corner }>(
  'high',
  'a box reaches forward, left and up from its low corner',
  ({ low, high }) => (['x', 'y', 'z'] as const).every((k) => high[k].value > low[k].value),
);

export const solidParts = [
  'engine',
  'gearbox',
  'tank',
  'seat',
  'wheel',
  'battery',
  'radiator',
  'silencer',
  'other',
] as const;
export type SolidPart = (typeof solidParts)[number];

/** Something that routes go round. */
export const solidSpec = object(
  {
    name,
    part: choice(solidParts, { label: 'What it is' }),
    ...boxFields,
    carriesMounts: yesNo({ label: 'Things may be fastened to it', initial: false }),
    movesWithEngine: yesNo({ label: 'Moves with the engine', initial: false }),
  },
  { rules: [hasRoom] },
);
export const solidsSpec = record(solidSpec, { max: 200, initial: {} });
export type StoredSolid = Of<typeof solidSpec>;

export const fittedWith = [
  'none',
  'grommet',
  'boot',
  'bulkhead-fitting',
  'bulkhead-connector',
] as const;
/** What sits in a hole of a sheet. */
export type FittedWith = (typeof fittedWith)[number];

const bore = quantityField('length', 'mm', {
  label: 'Bore',
  min: 0,
  above: true,
  max: 0.5,
  message: 'a hole must be above 0 and up to 500 mm wide',
});

/**
 * A bounded plane of metal: a parallelogram from one corner to its two neighbours. Lines cross it
 * only through its pass-throughs.
 */
export const sheetSpec = object({
  name,
  seals: yesNo({ label: 'Keeps fuel and fire out', initial: false }),
  corner: coordinatesSpec,
  next: coordinatesSpec,
  other: coordinatesSpec,
  passThroughs: record(
    object({
      name,
      ...coordinates,
      bore,
      fitted: choice(fittedWith, { label: 'Fitted with', initial: 'grommet' }),
    }),
    { max: 60, initial: {} },
  ),
});
export const sheetsSpec = record(sheetSpec, { max: 60, initial: {} });
export type StoredSheet = Of<typeof sheetSpec>;

export const movingParts = [
  'belt',
  'shaft',
  'steering',
  'suspension',
  'wheel',
  'pedal',
  'fan',
  'other',
] as const;
export type MovingPart = (typeof movingParts)[number];

/** The room that something takes that moves. */
export const movingZoneSpec = object({
  name,
  part: choice(movingParts, { label: 'What moves' }),
  travel: quantityField('length', 'mm', {
    label: 'Travel or whip beyond its room',
    help: '0: the room drawn holds all of its movement',
    min: 0,
    max: 1,
    message: 'a travel must be from 0 to 1 000 mm',
  }),
  room: kinds('shape', {
    box: object({ shape: constant('box'), ...boxFields }, { rules: [hasRoom] }),
    rod: object({
      shape: constant('rod'),
      from: coordinatesSpec,
      to: coordinatesSpec,
      diameter: quantityField('length', 'mm', {
        label: 'Diameter',
        min: 0,
        above: true,
        max: 1,
        message: 'a diameter must be above 0 and up to 1 000 mm',
      }),
    }),
  }),
});
export const movingZonesSpec = record(movingZoneSpec, { max: 60, initial: {} });
export type StoredMovingZone = Of<typeof movingZoneSpec>;

/** A sharp edge of metal. */
export const edgeSpec = object({
  name,
  covered: yesNo({ label: 'Covered with edge trim', initial: false }),
  from: coordinatesSpec,
  to: coordinatesSpec,
});
export const edgesSpec = record(edgeSpec, { max: 200, initial: {} });
export type StoredEdge = Of<typeof edgeSpec>;

/** A line along which things are fastened: a chassis leg, a tunnel, a tube of the cage. */
export const mountingLineSpec = object({
  name,
  from: coordinatesSpec,
  to: coordinatesSpec,
  clipPitch: quantityOrNone('length', 'mm', {
    label: 'Clips that are there, every',
    help: 'empty: none yet',
    min: 0.02,
    max: 5,
    message: 'clips stand 20 to 5 000 mm apart',
  }),
});
export const mountingLinesSpec = record(mountingLineSpec, { max: 100, initial: {} });
export type StoredMountingLine = Of<typeof mountingLineSpec>;

export const spaceUses = ['cabin', 'crush', 'splash'] as const;
/** What a space means: people sit in it, a crash flattens it, water and mud reach it. */
export type SpaceUse = (typeof spaceUses)[number];

/** A room of the vehicle that asks something of what runs through it. */
export const spaceSpec = object(
  { name, use: choice(spaceUses, { label: 'What it is' }), ...boxFields },
  { rules: [hasRoom] },
);
export const spacesSpec = record(spaceSpec, { max: 60, initial: {} });
export type StoredSpace = Of<typeof spaceSpec>;
