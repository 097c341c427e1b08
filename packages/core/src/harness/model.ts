import {
  type Of,
  choice,
  choiceOrNone,
  constant,
  idOf,
  kinds,
  object,
  orderField,
  quantityField,
  quantityOrNone,
  record,
  text,
  yesNo,
} from '../model/spec.ts';
import { quantity } from '../quantities/index.ts';
import { wireColours } from '../electrics/slices/wireColours.ts';
import { cutSpec } from './slices/asMade.ts';
import { boughtSpec } from './slices/bought.ts';
import { repinnedSpec } from './slices/repinning.ts';
import { coordinates, zones } from '../vehicle/model.ts';

/** Schools of building a harness. */
export const harnessSchools = ['taped', 'conduit', 'braided', 'sealed'] as const;
export type HarnessSchool = (typeof harnessSchools)[number];

/** What lies round the wires of a segment. */
export const bundleCovers = ['none', 'tape', 'conduit', 'braid', 'heat-shrink'] as const;
export type BundleCover = (typeof bundleCovers)[number];

const name = text({ label: 'Name', min: 1, max: 80 });

/** Where branches part. */
export const breakoutSpec = object({
  name,
  ...coordinates,
  zone: choice(zones, { label: 'Zone', initial: 'body' }),
  movesWithEngine: yesNo({ label: 'Moves with the engine', initial: false }),
  locked: yesNo({ label: 'Settled', help: 'a proposal leaves it where it is', initial: false }),
});
export type StoredBreakout = Of<typeof breakoutSpec>;

/** An end of a segment: a place of the vehicle with its plugs and studs, or a breakout. */
export const segmentEndSpec = kinds('at', {
  place: object({ at: constant('place'), placementId: idOf('placements', 'place') }),
  breakout: object({ at: constant('breakout'), breakoutId: idOf('breakouts', 'breakout') }),
});
export type SegmentEnd = Of<typeof segmentEndSpec>;

/** A stretch of the harness between two ends, with corners and what lies round its wires. */
export const segmentSpec = object({
  order: orderField,
  name,
  from: segmentEndSpec,
  to: segmentEndSpec,
  points: record(
    object({
      order: orderField,
      ...coordinates,
      radius: quantityField('length', 'mm', {
        label: 'Bend radius',
        min: 0,
        max: 5,
        message: 'a bend radius must be from 0 to 5 000 mm',
      }),
    }),
    { max: 40, initial: {} },
  ),
  cover: choiceOrNone(bundleCovers, {
    label: 'Covered with',
    help: 'empty: as the whole harness is covered',
  }),
  heatSleeve: yesNo({ label: 'Heat sleeve over it', initial: false }),
  loop: quantityField('length', 'mm', {
    label: 'Service or drip loop',
    help: 'length that it has beyond its way; 60 to 100 mm where it flexes',
    min: 0,
    max: 2,
    message: 'a loop must be from 0 to 2 000 mm long',
    initial: quantity(0, 'length', 'mm'),
  }),
  measured: quantityOrNone('length', 'mm', {
    label: 'Measured with a string',
    help: 'along the mock-up, without its loop; taken in place of the map',
    min: 0,
    above: true,
    max: 50,
    message: 'a measured length must be above 0, up to 50 m',
  }),
  locked: yesNo({ label: 'Settled', help: 'a proposal leaves it as it is', initial: false }),
  closed: yesNo({
    label: 'Its cover is closed',
    help: 'as made: no wire in it can be eased, drawn or added without opening it',
    since: 16,
    initial: false,
  }),
});
export type StoredSegment = Of<typeof segmentSpec>;

/** Where a splice of the netlist sits: in a segment, at a share of it from its beginning. */
export const spliceSiteSpec = object({
  segmentId: idOf('segments', 'segment', { label: 'In' }),
  share: quantityField('ratio', '%', {
    label: 'Along it',
    min: 0,
    max: 1,
    message: 'a splice sits from 0 to 100 % along its segment',
  }),
});
export type StoredSpliceSite = Of<typeof spliceSiteSpec>;

/** The colour of a wire that is settled: bought already, or as the donor has it. */
export const wireColourSpec = object({
  colour: choice(wireColours, { label: 'Colour' }),
  stripe: choiceOrNone(wireColours, { label: 'Stripe' }),
});
export type StoredWireColour = Of<typeof wireColourSpec>;

/** The harness: how it is built, where it runs, where its splices sit. */
export const harnessSpec = object(
  {
    school: choice(harnessSchools, { label: 'How it is covered', initial: 'taped' }),
    massBudget: quantityOrNone('mass', 'kg', {
      label: 'It may weigh',
      min: 0,
      above: true,
      max: 200,
      message: 'a harness may weigh up to 200 kg',
    }),
    breakouts: record(breakoutSpec, { max: 300, initial: {} }),
    segments: record(segmentSpec, { max: 600, initial: {} }),
    /** by the id of the splice in the netlist */
    splices: record(spliceSiteSpec, { max: 400, key: 120, initial: {} }),
    /** by the id of the wire; the others are coloured so that no plug has two alike */
    colours: record(wireColourSpec, { max: 2000, key: 120, initial: {} }),
    /** looms that are bought ready, or kept, with their fixed legs */
    bought: boughtSpec,
    /** wires that are cut */
    cut: cutSpec,
    /** plugs that are kept and get other wires */
    repinned: repinnedSpec,
  },
  { since: 15 },
);
export type StoredHarness = Of<typeof harnessSpec>;

export * from './slices/asMade.ts';
export * from './slices/bought.ts';
export * from './slices/repinning.ts';
export { wireColours } from '../electrics/slices/wireColours.ts';
export type { WireColour } from '../electrics/slices/wireColours.ts';
