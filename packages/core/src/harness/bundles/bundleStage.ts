import type { Catalogue, CoverItem } from '../../catalogue/index.ts';
import { type ElectricDesign, type SizedWire, zoneTemperature } from '../../electrics/index.ts';
import type { Harness } from '../../model/index.ts';
import {
  type Result,
  byDefault,
  derive,
  following,
  fromItem,
  given,
  together,
} from '../../results/index.ts';
import {
  type NearObstacle,
  type VehicleAround,
  type WayCheck,
  nearestOf,
} from '../../vehicle/index.ts';
import { type ColouredWire, colouredWires } from '../colours/colouredWires.ts';
import { connectorFigures } from '../connectors/connectorFigures.ts';
import {
  type ConnectorInput,
  type HarnessConnector,
  connectorsOf,
} from '../connectors/connectorsOf.ts';
import { inlineFigures } from '../connectors/inlineFigures.ts';
import { type InlineLoad, inlineLoads } from '../connectors/inlineLoads.ts';
import { plugParts } from '../connectors/plugParts.ts';
import { keptParts } from '../rules/keptParts.ts';
import { madeWires } from '../bought/madeWires.ts';
import { harnessFigure } from '../figureNames.ts';
import type { LedHarness } from '../lengths/ledHarness.ts';
import type { LedSegment } from '../lengths/ledSegment.ts';
import type { BundleCover } from '../model.ts';
import { entryAt, lastOf } from '../../numerics/index.ts';
import { checkSegment } from './segmentCheck.ts';
import { harnessTotals } from './harnessTotals.ts';
import { coverFor, coverOfSchool } from './coverOf.ts';
import * as f from './formulas.ts';
import { type LoomHole, loomHoles } from './passThroughs.ts';

/** A wire in a bundle. */
export interface BundledWire {
  readonly wireId: string;
  readonly outsideDiameter: number;
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

/** The harness with its bundles, and what it comes to. */
export interface HarnessDesign {
  readonly bundles: readonly Bundle[];
  readonly holes: readonly LoomHole[];
  readonly connectors: readonly HarnessConnector[];
  /** connectors that part it, with what leads through them */
  readonly inline: readonly InlineLoad[];
  /** what its wires end in, and what of that the catalogue does not have */
  readonly ends: ReturnType<typeof plugParts>;
  readonly colours: readonly ColouredWire[];
  readonly results: readonly Result[];
}

/** How many diameters a bundle is bent with at least: lying still, and where it moves. */
const BEND_STILL = 6;
const BEND_MOVING = 10;
const isBend = (bend: { readonly radius: number }): boolean => bend.radius > 0;

/** Bundles of a harness that is led, and its figures. Nothing is chosen here that stands in the build. */
export function bundleStage(input: {
  readonly led: LedHarness;
  readonly harness: Harness;
  readonly electrics: Pick<ElectricDesign, 'wires' | 'netlist'>;
  readonly around: VehicleAround;
  readonly electric: Pick<ConnectorInput, 'devices' | 'controllers'> & {
    readonly vehicleSignals: Parameters<typeof colouredWires>[0]['signals'];
  };
  readonly power: ConnectorInput['power'];
  /** of the hot day, K */
  readonly ambientHot: number;
  readonly catalogue: Catalogue;
}): HarnessDesign {
  const { led, harness, electrics, around, catalogue } = input;
  const sized = new Map(electrics.wires.map((wire) => [wire.wire.id, wire]));
  const told = new Map(harness.segments.map((segment) => [segment.id, segment]));
  const within = new Map<string, SizedWire[]>();
  for (const { wireId, parts } of led.wires) {
    const wire = sized.get(wireId);
    if (!wire) continue;
    for (const { segmentId } of parts) {
      const list = within.get(segmentId) ?? [];
      within.set(segmentId, list);
      list.push(wire);
    }
  }
  const made = led.segments.map((segment) => {
    const decided = told.get(segment.id);
    return bundleOf({
      segment,
      name: decided?.name ?? segment.id,
      cover: decided?.cover ?? coverOfSchool[harness.school],
      heatSleeve: decided?.heatSleeve ?? false,
      layers: harness.school === 'sealed',
      wires: within.get(segment.id) ?? [],
      splices: harness.splices.flatMap(({ segmentId, spliceId }) =>
        segmentId === segment.id ? [spliceId] : [],
      ),
      around,
      ambientHot: input.ambientHot,
      catalogue,
    });
  });
  const { netlist } = electrics;
  const connectors = connectorsOf({ ...input.electric, netlist, power: input.power, catalogue });
  const bundles = made.map(({ bundle }) => bundle);
  const areas = new Map(electrics.wires.map(({ wire, size }) => [wire.id, size.area]));
  const inline = inlineLoads({ led, netlist, areas });
  const ends = plugParts({
    connectors,
    electrics: madeWires(electrics, led),
    spliced: electrics.wires.filter(({ wire }) => wire.isSpliced),
    led: new Set(led.wires.map(({ wireId }) => wireId)),
    school: harness.school,
    kept: keptParts(input.electric),
    catalogue,
  });
  const holes = loomHoles({ led, bundles, connectors, inline });
  return {
    bundles,
    holes,
    connectors,
    inline,
    ends,
    colours: colouredWires({
      netlist,
      connectors,
      harness,
      signals: input.electric.vehicleSignals,
    }),
    results: [
      ...made.flatMap(({ results }) => results),
      ...holes.flatMap(({ results }) => results),
      ...connectorFigures(connectors),
      ...inlineFigures(inline, sized),
      ...spliceFigures(input),
      ...harnessTotals(input, made, sized, ends.parts),
    ],
  };
}

/** In which segment each splice sits, by the segment's place in their list. */
const spliceFigures = ({ harness, electrics }: Parameters<typeof bundleStage>[0]): Result[] =>
  harness.splices.flatMap(({ spliceId, segmentId }) => {
    const part = electrics.netlist.parts.find(({ id }) => id === spliceId);
    const at = harness.segments.findIndex(({ id }) => id === segmentId);
    const segment = harness.segments[at];
    if (!part || !segment) return [];
    return [
      derive({
        figure: harnessFigure('splice.segment', { splice: spliceId }),
        label: `${part.name}, in segment “${segment.name}”`,
        formula: f.spliceSegment,
        inputs: { number: following(at + 1, ['harness', 'splices', spliceId, 'segmentId']) },
      }),
    ];
  });

export interface MadeBundle {
  readonly bundle: Bundle;
  readonly length: Result;
  readonly results: readonly Result[];
}

function bundleOf(input: {
  readonly segment: LedSegment;
  readonly name: string;
  readonly cover: BundleCover;
  readonly heatSleeve: boolean;
  /** its wires are laid in twisted layers */
  readonly layers: boolean;
  readonly splices: readonly string[];
  readonly wires: readonly SizedWire[];
  readonly around: VehicleAround;
  readonly ambientHot: number;
  readonly catalogue: Catalogue;
}): MadeBundle {
  const { segment, name, cover, wires, around, catalogue } = input;
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
  const warm = wires.filter(({ task }) => task.forSeconds === undefined && task.load > 0);
  const ambients = segment.zones.map((zone) => zoneTemperature(zone, input.ambientHot));
  const temperature = derive({
    figure: harnessFigure('segment.temperature', of),
    label: `${name}, hottest inside with everything on`,
    formula: f.bundleTemperature,
    inputs: {
      diameter,
      ambient: following(Math.max(...ambients), ['harness', 'segments', segment.id]),
      currents: together(warm.map(({ task, origins }) => given(task.load, origins.load.from))),
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
      wires: wires.map(({ wire, size }) => ({
        wireId: wire.id,
        outsideDiameter: size.outsideDiameter,
      })),
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
