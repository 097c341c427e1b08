import {
  type Catalogue,
  type DeviceItem,
  capabilityOf,
  lookUp,
  refOf,
} from '../../catalogue/index.ts';
import {
  type Connection,
  ENGINE_CONTROLLER,
  type ElectricDesign,
  newFuse,
  plainDevice,
  usualConnections,
  usualSeat,
} from '../../electrics/index.ts';
import { type Build, type Change, ORDER_STEP } from '../../model/index.ts';
import { distanceBetween, vectorOf } from '../../vehicle/index.ts';
import type { Bundle } from '../bundles/bundle.ts';
import type { HarnessDesign } from '../bundles/bundleStage.ts';
import { coveringSeconds } from '../bundles/covering.ts';
import { freeKey } from '../commands/index.ts';
import { type LedHarness, treeOf } from '../lengths/ledHarness.ts';
import { plainSegment } from '../plainSegment.ts';
import { joinedPlaces } from '../proposals/joinedPlaces.ts';
import { OPENED, WORK_ON_WIRE } from '../repairs/work.ts';
import { breakoutNode, placeNode } from '../topology/harnessNode.ts';
import type { HarnessWay } from '../topology/harnessTree.ts';
import { type Unit, freePins } from './freePins.ts';

/** How a device that comes later is wired. */
export type AdditionKind = 'in the harness' | 'beside the harness' | 'on another unit';

/** A way to add a device to a harness that is made. */
export interface Addition {
  readonly kind: AdditionKind;
  /** what stands against it; nothing where it can be done */
  readonly against: readonly string[];
  /** the controller, and which of its pins each signal gets */
  readonly unit: string;
  readonly pins: readonly { readonly signal: string; readonly pin: string }[];
  readonly fuse: boolean;
  readonly wires: number;
  /** of all its wires together, m */
  readonly length: number;
  /** segments whose closed covers have to be opened */
  readonly opened: readonly string[];
  /** connectors on the way: free ways, and how many are wanted */
  readonly connectors: readonly {
    readonly name: string;
    readonly free: number;
    readonly wanted: number;
  }[];
  /** s */
  readonly work: number;
  readonly changes: readonly Change[];
}

interface Read {
  readonly build: Build;
  readonly item: DeviceItem;
  readonly placementId: string;
  readonly electrics: Pick<ElectricDesign, 'netlist'>;
  readonly led: LedHarness;
  readonly harness: HarnessDesign;
  readonly catalogue: Catalogue;
}

/** A wall that is passed by a new grommet, and a connector that is exchanged for a wider one, s. */
const WALL = 1800;
const WIDER = 5400;

/** Three ways to add a device to a harness that is made: those that can be done first, by their work. */
export function lateAdditions(read: Read): readonly Addition[] {
  const { build, catalogue } = read;
  const engine: Unit = {
    id: ENGINE_CONTROLLER,
    name: lookUp(catalogue, 'ecu', build.power.ecu, 'power.ecu').designation,
    placementId: build.power.ecuPlacementId,
    item: lookUp(catalogue, 'ecu', build.power.ecu, 'power.ecu'),
  };
  const others = build.controllers.map((each): Unit => ({
    ...each,
    item: lookUp(catalogue, 'ecu', each.item, each.id),
  }));
  const ways = [
    additionOn(engine, 'in the harness', read),
    additionOn(engine, 'beside the harness', read),
    // Of several other units the one on which it is least work.
    others.map((unit) => additionOn(unit, 'on another unit', read)).sort(byWork)[0] ?? nowhereElse,
  ];
  return ways.sort(byWork);
}

const byWork = (a: Addition, b: Addition): number =>
  Number(a.against.length > 0) - Number(b.against.length > 0) || a.work - b.work;

const nowhereElse: Addition = {
  kind: 'on another unit',
  against: ['there is no other unit'],
  unit: '',
  pins: [],
  fuse: false,
  wires: 0,
  length: 0,
  opened: [],
  connectors: [],
  work: 0,
  changes: [],
};

/** What feeds the controller’s switched supply: a new fuse is fed from there too. */
function keyedFeed({ power, devices }: Build, unit: Unit): Connection | undefined {
  const supply = unit.item.pins.find(({ capabilities }) =>
    capabilities.includes('supply-switched'),
  );
  const from = supply && power.ecuConnections[supply.id];
  if (from?.to !== 'part') return from;
  const fuse = devices.find(({ id, part }) => id === from.partId && part.kind === 'fuse');
  return fuse?.connections['in'] ?? from;
}

function additionOn(unit: Unit, kind: AdditionKind, read: Read): Addition {
  const { build, catalogue, item, placementId, electrics } = read;
  const { pins, wanting } = freePins(item, unit, build, electrics.netlist);
  const isFed = item.pins.some(({ use }) => use === 'supply');
  const feed = isFed ? keyedFeed(build, unit) : undefined;
  const fuse = feed && newFuse(build, 'fuse-added', `Fuse, ${item.designation}`.slice(0, 80), feed);
  const usual = usualConnections({ build, catalogue, item, supply: fuse?.out, controller: unit });
  const connections = Object.fromEntries(
    Object.entries(usual).flatMap(([pin, to]): [string, Connection][] => {
      const found = pins.get(pin);
      if (to.to !== 'controller' || to.pin !== '') return [[pin, to]];
      return found === undefined ? [] : [[pin, { ...to, pin: found }]];
    }),
  );
  const run = wiresOf(connections, unit, kind, read);
  const signal = (id: string): string => item.pins.find((pin) => pin.id === id)?.name ?? id;
  const deviceId = freeKey('added', Object.fromEntries(build.devices.map(({ id }) => [id, true])));
  return {
    kind,
    against: [
      ...wanting.map(
        ({ name, capability }) =>
          `${unit.name} has no free pin for ${name.toLowerCase()}: ${capability === 'none' ? '' : capabilityOf(capability).words}`,
      ),
      ...(isFed && !feed ? ['nothing is known to feed it from'] : []),
      ...run.against,
    ],
    unit: unit.name,
    pins: [...pins].map(([id, pin]) => ({ signal: signal(id), pin })),
    fuse: fuse !== undefined,
    wires: run.ways.length,
    length: run.length,
    opened: run.opened.map(({ name }) => name),
    connectors: run.connectors,
    work: run.work,
    changes: [
      ...(fuse ? [fuse.change] : []),
      {
        path: ['devices', deviceId],
        value: {
          ...plainDevice,
          seat: usualSeat(item),
          order: ORDER_STEP * (build.devices.length + 2),
          name: item.designation.slice(0, 80),
          part: { kind: 'item', item: refOf(item) },
          placementId,
          connections,
        },
      },
      ...run.changes,
    ],
  };
}

interface Run {
  readonly ways: readonly (HarnessWay | undefined)[];
  readonly length: number;
  readonly opened: readonly Bundle[];
  readonly connectors: Addition['connectors'];
  /** s */
  readonly work: number;
  readonly against: readonly string[];
  readonly changes: readonly Change[];
}

/** How the wires of a new device run, what has to be opened for them, and how much work that is. */
function wiresOf(
  connections: Readonly<Record<string, Connection>>,
  unit: Unit,
  kind: AdditionKind,
  { build, placementId, led, harness, electrics }: Read,
): Run {
  const tree = treeOf(led.segments);
  const place = build.placements.find(({ id }) => id === placementId);
  const isLed = tree.has(placeNode(placementId));
  const joins = isLed
    ? {}
    : joinedPlaces({
        ends: [{ placementId, name: place?.name ?? '' }],
        harness: build.harness,
        placements: build.placements,
      });
  const [joined] = Object.values(joins);
  const start =
    joined?.from.at === 'breakout' ? breakoutNode(joined.from.breakoutId) : placeNode(placementId);
  const branch =
    joined?.from.at === 'breakout' && place
      ? distanceBetween(vectorOf(place), breakoutAt(build, joined.from.breakoutId))
      : 0;
  const placeOf = new Map(electrics.netlist.parts.map((part) => [part.id, part.placementId]));
  const targets = Object.values(connections).map((to): string => {
    switch (to.to) {
      case 'controller':
        return unit.placementId;
      case 'ground':
        return build.grounds.find(({ id }) => id === to.groundId)?.placementId ?? '';
      case 'part':
        return placeOf.get(to.partId) ?? build.power.studPlacementId;
      case 'signal':
        return build.vehicleSignals.find(({ id }) => id === to.signalId)?.placementId ?? '';
    }
  });
  const ways = targets.map((target) => tree.way({ node: start }, { node: placeNode(target) }));
  const length = ways.reduce((sum, way) => sum + (way?.length ?? 0) + branch, 0);
  const passed = new Set(
    ways.flatMap((way) => (way?.parts ?? []).map(({ segmentId }) => segmentId)),
  );
  const closed = new Set(build.harness.segments.filter((each) => each.closed).map(({ id }) => id));
  const along = harness.bundles.filter(({ segmentId }) => passed.has(segmentId));
  const connectors = harness.inline.flatMap((load) => {
    const node = placeNode(load.part.placementId);
    const wanted = ways.filter((way) => way?.through.includes(node)).length;
    const hasPlug = harness.connectors.some(({ partId }) => partId === load.part.id);
    return wanted > 0 && hasPlug ? [{ name: load.part.name, free: load.free.length, wanted }] : [];
  });
  const inside = kind !== 'beside the harness';
  const opened = inside ? along.filter(({ segmentId }) => closed.has(segmentId)) : [];
  const opening = opened.reduce(
    (sum, bundle) => sum + OPENED * bundle.length * coveringSeconds[bundle.cover],
    0,
  );
  const ownCover =
    Math.max(0, ...ways.map((way) => (way?.length ?? 0) + branch)) * coveringSeconds.tape;
  const walls = inside
    ? WIDER * connectors.filter(({ free, wanted }) => free < wanted).length
    : WALL * connectors.length;
  const missing = ways.filter((way) => way === undefined).length;
  const segmentId = freeKey(
    'segment',
    Object.fromEntries(build.harness.segments.map(({ id }) => [id, true])),
  );
  const ownSegment: Change = {
    path: ['harness', 'segments', segmentId],
    value: {
      ...plainSegment,
      order: ORDER_STEP * (build.harness.segments.length + 1),
      name: `Beside the harness to ${place?.name.toLowerCase() ?? ''}`.slice(0, 80),
      from: { at: 'place', placementId: unit.placementId },
      to: { at: 'place', placementId },
    },
  };
  return {
    ways,
    length,
    opened,
    connectors: inside ? connectors : [],
    work: WORK_ON_WIRE * ways.length + walls + (inside ? opening : ownCover),
    against: [
      ...(missing > 0 && led.segments.length > 0
        ? ['the harness does not reach all it needs']
        : []),
      ...(!inside && isLed
        ? ['the harness reaches it already: a second route would be a loop']
        : []),
    ],
    changes: inside
      ? [
          ...Object.entries(joins).map(([id, value]): Change => ({
            path: ['harness', 'segments', id],
            value,
          })),
          ...opened.map(({ segmentId: id }): Change => ({
            path: ['harness', 'segments', id, 'closed'],
            value: false,
          })),
        ]
      : [ownSegment],
  };
}

const breakoutAt = ({ harness }: Build, id: string) => {
  const breakout = harness.breakouts.find((each) => each.id === id);
  return breakout ? vectorOf(breakout) : ([0, 0, 0] as const);
};
