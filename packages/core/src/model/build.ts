import type {
  StoredController,
  StoredDevice,
  StoredBus,
  StoredPanel,
  StoredSwitchRow,
  StoredGround,
  StoredPower,
  StoredVehicleSignal,
  StoredWireDecision,
} from '../electrics/model.ts';
import type { StoredBrief, StoredFuel } from '../engine/model.ts';
import type { StoredCircuit, StoredElement, StoredInjectorRow } from '../fuel/model.ts';
import type {
  StoredBreakout,
  StoredBoughtHarness,
  StoredCutWire,
  StoredHarness,
  StoredRepinnedPlug,
  StoredSegment,
  StoredSpliceSite,
  StoredWireColour,
} from '../harness/model.ts';
import type { StoredAssembly } from '../plumbing/model.ts';
import type {
  StoredEdge,
  StoredHardPoint,
  StoredHotRun,
  StoredMountingLine,
  StoredMovingZone,
  StoredOtherLine,
  StoredPlacement,
  StoredRoute,
  StoredSheet,
  StoredSolid,
  StoredSpace,
  StoredTankOnMap,
  StoredVehicle,
} from '../vehicle/model.ts';
import { pointsInOrder } from './curve.ts';
import type { BuildDocument, StoredAcceptance, StoredOption } from './document.ts';

import type {
  Identified,
  Fuel,
  Placement,
  WireDecision,
  Acceptance,
  CircuitElement,
  CircuitNode,
  FuelCircuit,
  InjectorRow,
  Brief,
  PowerDesign,
  Alternative,
  DecisionOption,
  HotRun,
  Vehicle,
  Sheet,
  AssemblyEnd,
  Assembly,
  BoughtHarness,
  CutWire,
  Harness,
  RepinnedPlug,
  HarnessSegment,
  SpliceSite,
  SettledColour,
  LineRoute,
  Build,
  StoredEnd,
} from './buildTypes.ts';

export type * from './buildTypes.ts';

/** Makes a reading once for each stored object and gives the same one again. */
function remembered<Stored extends object, Read>(
  read: (stored: Stored) => Read,
): (stored: Stored) => Read {
  const known = new WeakMap<Stored, Read>();
  return (stored) => {
    let value = known.get(stored);
    if (value === undefined) {
      value = read(stored);
      known.set(stored, value);
    }
    return value;
  };
}

type Ordered = { readonly order?: number };

const byOrder = (
  [idA, a]: readonly [string, Ordered],
  [idB, b]: readonly [string, Ordered],
): number => (a.order ?? 0) - (b.order ?? 0) || (idA < idB ? -1 : 1);

/** Entries of a record in their order, each made once for its stored object. */
function listOf<Stored extends object, Read>(entry: (stored: Stored, id: string) => Read) {
  const known = new WeakMap<Stored, { readonly id: string; readonly read: Read }>();
  const one = (stored: Stored, id: string): Read => {
    const last = known.get(stored);
    if (last?.id === id) return last.read;
    const read = entry(stored, id);
    known.set(stored, { id, read });
    return read;
  };
  return remembered((stored: Readonly<Record<string, Stored>>): readonly Read[] =>
    Object.entries(stored)
      .sort(byOrder)
      .map(([id, value]) => one(value, id)),
  );
}

const identified = <Stored extends object>(stored: Stored, id: string) => {
  const { order: _, ...rest } = stored as Stored & Ordered;
  return { ...rest, id } as unknown as Identified<Stored>;
};

const { compare: byNumber } = new Intl.Collator('en', { numeric: true });
const inKeyOrder = <T>(stored: Readonly<Record<string, T>>): T[] =>
  Object.keys(stored)
    .sort(byNumber)
    .map((key) => stored[key] as T);

const elements = listOf((stored: StoredElement, id): CircuitElement => {
  const entry = identified(stored, id);
  return stored.kind === 'line'
    ? ({ ...entry, fittings: inKeyOrder(stored.fittings) } as unknown as CircuitElement)
    : (entry as CircuitElement);
});
const nodes = listOf((stored: StoredCircuit['nodes'][string], id): CircuitNode => ({
  ...stored,
  id,
}));
/** A circuit as computation reads it. */
export function readCircuit(stored: StoredCircuit, id: string): FuelCircuit {
  const { order: _, ...rest } = stored;
  return { ...rest, id, nodes: nodes(stored.nodes), elements: elements(stored.elements) };
}
const circuits = listOf(readCircuit);
const rows = listOf((stored: StoredInjectorRow, id): InjectorRow => {
  const { order: _, ...rest } = stored;
  return { ...rest, id, measuredFlows: inKeyOrder(stored.measuredFlows) };
});
const fuels = listOf((stored: StoredFuel, id) => identified(stored, id) as Fuel);
const entries = <Stored extends object>() => listOf((stored: Stored, id) => identified(stored, id));
const placements = listOf((stored: StoredPlacement, id) => identified(stored, id) as Placement);
const solids = entries<StoredSolid>();
const movingZones = entries<StoredMovingZone>();
const edges = entries<StoredEdge>();
const mountingLines = entries<StoredMountingLine>();
const spaces = entries<StoredSpace>();
const hardPoints = entries<StoredHardPoint>();
const otherLines = entries<StoredOtherLine>();
const tanks = entries<StoredTankOnMap>();
const inOrder = <Point extends Ordered>(points: Readonly<Record<string, Point>>) =>
  Object.entries(points)
    .sort(byOrder)
    .map(([id, point]) => identified(point, id));
const vehicle = remembered((stored: StoredVehicle): Vehicle => ({
  ...stored,
  outline: inOrder(stored.outline),
}));
const sheets = listOf((stored: StoredSheet, id): Sheet => ({
  ...stored,
  id,
  passThroughs: Object.entries(stored.passThroughs).map(([hole, at]) => identified(at, hole)),
}));
const hotRuns = listOf((stored: StoredHotRun, id): HotRun => ({
  ...stored,
  id,
  points: inOrder(stored.points),
}));
const under = <Entry>(entries: Readonly<Record<string, Entry>>) =>
  Object.entries(entries).map(([id, entry]) => ({
    ...entry,
    id,
  })) as unknown as Identified<Entry>[];
const routes = listOf((stored: StoredRoute, id): LineRoute => ({
  ...stored,
  id,
  covers: under(stored.covers),
  clamps: under(stored.clamps),
  points: inOrder(stored.points),
}));
const assemblyEnd = (stored: StoredEnd): AssemblyEnd => ({
  ...stored,
  adapters: inOrder(stored.adapters),
});
const assemblies = listOf((stored: StoredAssembly, id): Assembly => ({
  ...stored,
  id,
  from: assemblyEnd(stored.from),
  to: assemblyEnd(stored.to),
}));
const offcuts = entries<BuildDocument['offcuts'][string]>();
const wireDecisions = listOf((stored: StoredWireDecision, wireId): WireDecision => ({
  ...stored,
  wireId,
}));
const devices = entries<StoredDevice>();
const controllers = entries<StoredController>();
const vehicleSignals = entries<StoredVehicleSignal>();
const grounds = entries<StoredGround>();
const buses = entries<StoredBus>();
const panels = entries<StoredPanel>();
const switching = entries<StoredSwitchRow>();
const breakouts = entries<StoredBreakout>();
const segments = listOf((stored: StoredSegment, id): HarnessSegment => {
  const { order: _, ...rest } = stored;
  return { ...rest, id, points: inOrder(stored.points) };
});
const spliceSites = listOf((stored: StoredSpliceSite, spliceId): SpliceSite => ({
  ...stored,
  spliceId,
}));
const colours = listOf((stored: StoredWireColour, wireId): SettledColour => ({
  ...stored,
  wireId,
}));
const bought = listOf((stored: StoredBoughtHarness, id): BoughtHarness => {
  const { order: _, ...rest } = stored;
  return { ...rest, id, legs: inOrder(stored.legs) };
});
const repinned = listOf((stored: StoredRepinnedPlug, id): RepinnedPlug => {
  const { order: _, ...rest } = stored;
  return { ...rest, id, cavities: inOrder(stored.cavities) };
});
const cut = listOf((stored: StoredCutWire, wireId): CutWire => ({ ...stored, wireId }));
const harness = remembered((stored: StoredHarness): Harness => ({
  ...stored,
  breakouts: breakouts(stored.breakouts),
  segments: segments(stored.segments),
  splices: spliceSites(stored.splices),
  colours: colours(stored.colours),
  bought: bought(stored.bought),
  cut: cut(stored.cut),
  repinned: repinned(stored.repinned),
}));
const acceptances = listOf((stored: StoredAcceptance, findingId): Acceptance => ({
  ...stored,
  findingId,
}));
const alternatives = listOf((stored: StoredOption['alternatives'][string], id): Alternative => ({
  id,
  name: stored.name,
  reason: stored.reason,
  values: inKeyOrder(stored.values),
}));
const options = listOf((stored: StoredOption, id): DecisionOption => {
  const { order: _, ...rest } = stored;
  return { ...rest, id, alternatives: alternatives(stored.alternatives) };
});
const shelf = remembered((stored: BuildDocument['shelf']) => inKeyOrder(stored));
const curve = remembered(pointsInOrder);
const brief = remembered((stored: StoredBrief): Brief => ({
  ...stored,
  volumetricEfficiencyCurve: curve(stored.volumetricEfficiencyCurve),
  boostCurve: curve(stored.boostCurve),
}));
const power = remembered((stored: StoredPower): PowerDesign => ({
  ...stored,
  wireDecisions: wireDecisions(stored.wireDecisions),
}));

/**
 * Reads a document. What did not change since it was read before is the same object again, down
 * to the single entry.
 */
export const readBuild = remembered((document: BuildDocument): Build => ({
  ...document,
  brief: brief(document.brief),
  fuels: fuels(document.fuels),
  fuelCircuits: circuits(document.fuelCircuits),
  injectorRows: rows(document.injectorRows),
  vehicle: vehicle(document.vehicle),
  placements: placements(document.placements),
  sheets: sheets(document.sheets),
  solids: solids(document.solids),
  hotRuns: hotRuns(document.hotRuns),
  movingZones: movingZones(document.movingZones),
  edges: edges(document.edges),
  mountingLines: mountingLines(document.mountingLines),
  spaces: spaces(document.spaces),
  hardPoints: hardPoints(document.hardPoints),
  otherLines: otherLines(document.otherLines),
  tanks: tanks(document.tanks),
  routes: routes(document.routes),
  power: power(document.power),
  devices: devices(document.devices),
  controllers: controllers(document.controllers),
  vehicleSignals: vehicleSignals(document.vehicleSignals),
  grounds: grounds(document.grounds),
  buses: buses(document.buses),
  panels: panels(document.panels),
  switching: switching(document.switching),
  harness: harness(document.harness),
  options: options(document.options),
  acceptances: acceptances(document.acceptances),
  assemblies: assemblies(document.assemblies),
  shelf: shelf(document.shelf),
  offcuts: offcuts(document.offcuts),
}));
