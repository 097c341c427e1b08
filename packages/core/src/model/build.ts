import type {
  StoredController,
  StoredDevice,
  StoredBus,
  StoredGround,
  StoredPower,
  StoredVehicleSignal,
  StoredWireDecision,
} from '../electrics/model.ts';
import type { StoredBrief, StoredFuel } from '../engine/model.ts';
import type { StoredCircuit, StoredElement, StoredInjectorRow } from '../fuel/model.ts';
import type { StoredAssembly } from '../plumbing/model.ts';
import type { Quantity } from '../quantities/index.ts';
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
import type { Path } from './path.ts';
import type { ItemRef } from './spec.ts';
import { type CurvePoint, pointsInOrder } from './curve.ts';
import type { BuildDocument, StoredAcceptance, StoredOption } from './document.ts';

/** An entry of a collection together with its id. */
export type Identified<T> = T extends unknown ? Omit<T, 'order'> & { readonly id: string } : never;

export type Fuel = Identified<StoredFuel>;
export type Placement = Identified<StoredPlacement>;
/** What a person decided about a wire, with the wire's id. */
export type WireDecision = StoredWireDecision & { readonly wireId: string };
export type Acceptance = StoredAcceptance & { readonly findingId: string };

type FittingList = StoredElement extends infer E
  ? E extends { readonly kind: 'line'; readonly fittings: Readonly<Record<string, infer F>> }
    ? readonly F[]
    : never
  : never;
/** An end or adapter of a line as it is made, and where the build says so. */
export interface EndUse {
  readonly item: ItemRef;
  readonly path: Path;
}
type Listed<E> = E extends { readonly kind: 'line' }
  ? Omit<E, 'fittings'> & {
      readonly fittings: FittingList;
      /** of a line as it is made, its ends and adapters; never stored with it */
      readonly ends?: readonly EndUse[];
    }
  : E;
/** One element of a fuel circuit. */
export type CircuitElement = StoredElement extends infer E
  ? E extends StoredElement
    ? Identified<Listed<E>>
    : never
  : never;
type ElementOf<Kind extends StoredElement['kind']> = Extract<CircuitElement, { kind: Kind }>;
export type TankElement = ElementOf<'tank'>;
export type SurgeTankElement = ElementOf<'surge-tank'>;
export type LineElement = ElementOf<'line'>;
export type FittingElement = ElementOf<'fitting'>;
export type FilterElement = ElementOf<'filter'>;
export type PumpElement = ElementOf<'pump'>;
export type RegulatorElement = ElementOf<'regulator'>;
export type FilterRegulatorElement = ElementOf<'filter-regulator'>;
export type DeadHeadRegulatorElement = ElementOf<'dead-head-regulator'>;
export type OrificeElement = ElementOf<'orifice'>;
export type InjectorsElement = ElementOf<'injectors'>;
/** An element with a way in and a way out. */
export type ThroughElement = Extract<CircuitElement, { readonly from: string }>;

/** What can be put into a run: everything that has a way in and out, ends still open. */
export type InsertedElement = ThroughElement extends infer Kind
  ? Kind extends ThroughElement
    ? Omit<Kind, 'from' | 'to'>
    : never
  : never;

/** A joint of a fuel circuit at a place on the vehicle. */
export interface CircuitNode {
  readonly id: string;
  readonly placementId: string;
}
/** One fuel circuit: nodes and the elements between them, in order. */
export interface FuelCircuit extends Omit<StoredCircuit, 'order' | 'nodes' | 'elements'> {
  readonly id: string;
  readonly nodes: readonly CircuitNode[];
  readonly elements: readonly CircuitElement[];
}
export interface InjectorRow extends Omit<StoredInjectorRow, 'order' | 'measuredFlows'> {
  readonly id: string;
  readonly measuredFlows: readonly Quantity[];
}
export interface Brief extends Omit<StoredBrief, 'volumetricEfficiencyCurve' | 'boostCurve'> {
  readonly volumetricEfficiencyCurve: readonly CurvePoint[];
  readonly boostCurve: readonly CurvePoint[];
}
export interface PowerDesign extends Omit<StoredPower, 'wireDecisions'> {
  readonly wireDecisions: readonly WireDecision[];
}
/** A value that an alternative puts in its place. */
export interface PathValue {
  readonly path: readonly string[];
  readonly value: unknown;
}
export interface Alternative {
  readonly id: string;
  readonly name: string;
  readonly reason: string;
  readonly values: readonly PathValue[];
}
export interface DecisionOption extends Omit<StoredOption, 'order' | 'alternatives'> {
  readonly id: string;
  readonly alternatives: readonly Alternative[];
}

type Collections =
  | 'brief'
  | 'fuels'
  | 'fuelCircuits'
  | 'injectorRows'
  | 'vehicle'
  | 'placements'
  | 'sheets'
  | 'solids'
  | 'hotRuns'
  | 'movingZones'
  | 'edges'
  | 'mountingLines'
  | 'spaces'
  | 'hardPoints'
  | 'otherLines'
  | 'tanks'
  | 'routes'
  | 'power'
  | 'devices'
  | 'controllers'
  | 'vehicleSignals'
  | 'grounds'
  | 'buses'
  | 'options'
  | 'acceptances'
  | 'assemblies'
  | 'shelf'
  | 'offcuts';

type StoredPoint = StoredHotRun['points'][string];
type StoredCorner = StoredRoute['points'][string];

/** A hot pipe with its corners in order. */
export interface HotRun extends Omit<StoredHotRun, 'points'> {
  readonly id: string;
  readonly points: readonly Identified<StoredPoint>[];
}

/** The vehicle with the points of its outline in order. */
export interface Vehicle extends Omit<StoredVehicle, 'outline'> {
  readonly outline: readonly Identified<StoredVehicle['outline'][string]>[];
}
/** A sheet of metal with its holes. */
export interface Sheet extends Omit<StoredSheet, 'passThroughs'> {
  readonly id: string;
  readonly passThroughs: readonly Identified<StoredSheet['passThroughs'][string]>[];
}
export type PassThrough = Sheet['passThroughs'][number];
export type Solid = Identified<StoredSolid>;
export type MovingZone = Identified<StoredMovingZone>;
export type Edge = Identified<StoredEdge>;
export type MountingLine = Identified<StoredMountingLine>;
export type Space = Identified<StoredSpace>;
export type HardPoint = Identified<StoredHardPoint>;
export type OtherLine = Identified<StoredOtherLine>;
export type TankOnMap = Identified<StoredTankOnMap>;

export type Device = Identified<StoredDevice>;
export type Controller = Identified<StoredController>;
export type VehicleSignal = Identified<StoredVehicleSignal>;
export type Ground = Identified<StoredGround>;
export type Bus = Identified<StoredBus>;

type StoredEnd = StoredAssembly['from'];
/** One end of a line as it is made, its adapters in order from the part to the hose. */
export interface AssemblyEnd extends Omit<StoredEnd, 'adapters'> {
  readonly adapters: readonly Identified<StoredEnd['adapters'][string]>[];
}
/** A line as it is made. */
export interface Assembly extends Omit<StoredAssembly, 'from' | 'to'> {
  readonly id: string;
  readonly from: AssemblyEnd;
  readonly to: AssemblyEnd;
}
/** How many of a part lie on the shelf. */
export type ShelfEntry = BuildDocument['shelf'][string];
export type Offcut = Identified<BuildDocument['offcuts'][string]>;

/** The corners of a line's way over the vehicle, in order from its beginning. */
export interface LineRoute extends Omit<StoredRoute, 'points' | 'covers' | 'clamps'> {
  readonly id: string;
  readonly covers: readonly Identified<StoredRoute['covers'][string]>[];
  readonly clamps: readonly Identified<StoredRoute['clamps'][string]>[];
  readonly points: readonly Identified<StoredCorner>[];
}

/**
 * A build as computation and screens read it: the document with each collection as a list of
 * entries that know their id, in order. Made by `readBuild`; never stored.
 */
export interface Build extends Omit<BuildDocument, Collections> {
  readonly brief: Brief;
  readonly fuels: readonly Fuel[];
  readonly fuelCircuits: readonly FuelCircuit[];
  readonly injectorRows: readonly InjectorRow[];
  readonly vehicle: Vehicle;
  readonly placements: readonly Placement[];
  readonly sheets: readonly Sheet[];
  readonly solids: readonly Solid[];
  readonly hotRuns: readonly HotRun[];
  readonly movingZones: readonly MovingZone[];
  readonly edges: readonly Edge[];
  readonly mountingLines: readonly MountingLine[];
  readonly spaces: readonly Space[];
  readonly hardPoints: readonly HardPoint[];
  readonly otherLines: readonly OtherLine[];
  readonly tanks: readonly TankOnMap[];
  readonly routes: readonly LineRoute[];
  readonly power: PowerDesign;
  readonly devices: readonly Device[];
  readonly controllers: readonly Controller[];
  readonly vehicleSignals: readonly VehicleSignal[];
  readonly grounds: readonly Ground[];
  readonly buses: readonly Bus[];
  readonly options: readonly DecisionOption[];
  readonly acceptances: readonly Acceptance[];
  readonly assemblies: readonly Assembly[];
  readonly shelf: readonly ShelfEntry[];
  readonly offcuts: readonly Offcut[];
}

/** The vehicle with everything on it but what it runs on: places, things, other lines. */
export type VehicleThings = Pick<
  Build,
  | 'vehicle'
  | 'placements'
  | 'sheets'
  | 'solids'
  | 'hotRuns'
  | 'movingZones'
  | 'edges'
  | 'mountingLines'
  | 'spaces'
  | 'hardPoints'
  | 'otherLines'
>;

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
  options: options(document.options),
  acceptances: acceptances(document.acceptances),
  assemblies: assemblies(document.assemblies),
  shelf: shelf(document.shelf),
  offcuts: offcuts(document.offcuts),
}));
