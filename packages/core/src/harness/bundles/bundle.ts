import type { Catalogue, CoverItem, WireItem } from '../../catalogue/index.ts';
import { zoneTemperature } from '../../electrics/index.ts';
import { entryAt, memoByValue, lastOf } from '../../numerics/index.ts';
import {
  type Result,
  type Sourced,
  byDefault,
  derive,
  following,
  fromItem,
  together,
} from '../../results/index.ts';
import {
  type NearObstacle,
  type VehicleAround,
  type WayCheck,
  nearestOf,
} from '../../vehicle/index.ts';
import { harnessFigure } from '../figureNames.ts';
import type { LedSegment } from '../lengths/ledSegment.ts';
import type { BundleCover } from '../model.ts';
import { coverFor } from './coverOf.ts';
import * as f from './formulas.ts';
import { checkSegment } from './segmentCheck.ts';

/** A wire in a bundle. */
export interface BundledWire {
  readonly wireId: string;
  readonly outsideDiameter: number;
}

/** A wire as far as the bundle that it lies in asks. */
export interface WireInBundle {
  readonly wireId: string;
  readonly size: WireItem;
  readonly load: Sourced<number>;
  /** it carries its load for a start only */
  readonly isBrief: boolean;
}

/** A segment with its wires, what lies round them, and what is near it. */
export interface Bundle {
  readonly segmentId: string;
  readonly name: string;
  readonly wires: readonly BundledWire[];
  readonly cover: BundleCover;
  /** what it is covered with; undefined: nothing, or nothing in the catalogue takes it */
  readonly coverItem: CoverItem | undefined;
  readonly heatSleeve: CoverItem | undefined;
  /** packed wires, and with what lies round them, m */
  readonly bundle: number;
  readonly diameter: number;
  /** radius m that its centreline may at least be bent to */
  readonly leastBend: number;
  readonly tightest: number;
  readonly length: number;
  /** the hottest inside it, and around it, K; what the least of its wires stands */
  readonly temperature: number;
  readonly ambient: number;
  readonly coldest: number;
  readonly crossesToEngine: boolean;
  /** its wires are laid in twisted layers */
  readonly layers: boolean;
  /** splices that sit in it, by id */
  readonly splices: readonly string[];
  /** what its way meets; undefined where the way cannot be run */
  readonly check: WayCheck | undefined;
  readonly nearest: NearObstacle | undefined;
}

/** How many diameters a bundle is bent with at least: lying still, and where it moves. */
const BEND_STILL = 6;
const BEND_MOVING = 10;
const isBend = (bend: { readonly radius: number }): boolean => bend.radius > 0;

/** A bundle, and its figures. */
export interface MadeBundle {
  readonly bundle: Bundle;
  readonly length: Result;
  readonly results: readonly Result[];
}

/** What a segment is made with. */
export interface BundleInput {
  readonly name: string;
  readonly cover: BundleCover;
  readonly heatSleeve: boolean;
  /** its wires are laid in twisted layers */
  readonly layers: boolean;
  readonly splices: readonly string[];
  readonly wires: readonly WireInBundle[];
  readonly around: VehicleAround;
  readonly ambientHot: number;
  readonly catalogue: Catalogue;
}

/** The bundle of a segment that is led, with its figures. */
function madeBundle(segment: LedSegment, input: BundleInput): MadeBundle {
  const { name, cover, wires, around, catalogue } = input;
  const of = { segment: segment.id };
  const diameters = together(wires.map(({ size }) => fromItem(size.outsideDiameter, size)));
  const bundle = derive({
    figure: harnessFigure('segment.bundle', of),
    label: `${name}, wires packed`,
    formula: input.layers ? f.layeredDiameter : f.bundleDiameter,
    inputs: { wires: diameters },
  });
  const coverItem =
    cover === 'none' || wires.length === 0 ? undefined : coverFor(catalogue, cover, bundle.value);
  const inner = bundle.value + 2 * (coverItem?.wall ?? 0);
  const heatSleeve =
    input.heatSleeve && wires.length > 0 ? coverFor(catalogue, 'heat-sleeve', inner) : undefined;
  const walls = [coverItem, heatSleeve].flatMap((item) =>
    item ? [fromItem(item.wall, item)] : [],
  );
  const diameter = derive({
    figure: harnessFigure('segment.diameter', of),
    label: `${name}, diameter`,
    formula: f.coveredDiameter,
    inputs: { bundle, walls: together(walls) },
  });
  const bend = derive({
    figure: harnessFigure('segment.bend', of),
    label: `${name}, least bend`,
    formula: f.leastBundleBend,
    inputs: {
      diameter,
      times: segment.crossesToEngine
        ? byDefault(BEND_MOVING, 'it moves with the engine at one end')
        : byDefault(BEND_STILL, 'it lies still'),
    },
  });
  const warm = wires.filter(({ load, isBrief }) => !isBrief && load.value > 0);
  const ambients = segment.zones.map((zone) => zoneTemperature(zone, input.ambientHot));
  const temperature = derive({
    figure: harnessFigure('segment.temperature', of),
    label: `${name}, hottest inside with everything on`,
    formula: f.bundleTemperature,
    inputs: {
      diameter,
      ambient: following(Math.max(...ambients), ['harness', 'segments', segment.id]),
      currents: together(warm.map(({ load }) => load)),
      perMetre: together(warm.map(({ size }) => fromItem(size.resistancePerMetre, size))),
    },
  });
  const check =
    segment.path && wires.length > 0
      ? checkSegment(
          segment.path,
          around,
          { outsideDiameter: diameter.value, sleeve: heatSleeve !== undefined },
          segment.endsAtPlace,
          [entryAt(segment.points, 0).at, lastOf(segment.points).at],
        )
      : undefined;
  return {
    length: segment.length,
    bundle: {
      segmentId: segment.id,
      name,
      wires: wires.map(({ wireId, size }) => ({ wireId, outsideDiameter: size.outsideDiameter })),
      cover,
      coverItem,
      heatSleeve,
      bundle: bundle.value,
      diameter: diameter.value,
      leastBend: bend.value,
      tightest: Math.min(
        Infinity,
        ...(segment.path?.bends.filter(isBend).map(({ radius }) => radius) ?? []),
      ),
      length: segment.length.value,
      temperature: temperature.value,
      coldest: Math.min(...wires.map(({ size }) => size.insulationClass)),
      ambient: Math.max(...ambients),
      crossesToEngine: segment.crossesToEngine,
      layers: input.layers,
      splices: input.splices,
      check,
      nearest: check && nearestOf(check),
    },
    results: [
      derive({
        figure: harnessFigure('segment.count', of),
        label: `${name}, wires`,
        formula: f.wireCount,
        inputs: { wires: diameters },
      }),
      bundle,
      diameter,
      bend,
      temperature,
      ...(cover === 'none' && wires.length > 0
        ? [
            derive({
              figure: harnessFigure('segment.ties', of),
              label: `${name}, ties`,
              formula: f.tiesOfLacing,
              inputs: { length: segment.length },
            }),
          ]
        : []),
      ...(coverItem
        ? [
            derive({
              figure: harnessFigure('segment.sleeve', of),
              label: `${name}, size of its cover`,
              formula: f.coverSize,
              inputs: { nominal: fromItem(coverItem.nominal, coverItem) },
            }),
          ]
        : []),
    ],
  };
}

/** It is as it was while its segment, its wires and what is round it are. */
export const bundleOf = memoByValue(madeBundle);
