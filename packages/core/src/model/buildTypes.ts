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
import type { StoredBrief, StoredFuel, briefSpec } from '../engine/model.ts';
import type { StoredCircuit, StoredElement, StoredInjectorRow } from '../fuel/model.ts';
import type {
  StoredBreakout,
  StoredBoughtHarness,
  StoredBoughtLeg,
  StoredCutWire,
  StoredHarness,
  StoredRepinnedCavity,
  StoredRepinnedPlug,
  StoredSegment,
  StoredSpliceSite,
  StoredWireColour,
} from '../harness/model.ts';
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
import type { InputOf, ItemRef } from './spec.ts';
import { type CurvePoint } from './curve.ts';
import type { BuildDocument, StoredAcceptance, StoredOption, limitsSpec } from './document.ts';

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
  | 'panels'
  | 'switching'
  | 'harness'
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
export type Panel = Identified<StoredPanel>;
export type SwitchRow = Identified<StoredSwitchRow>;

export type Breakout = Identified<StoredBreakout>;
/** A stretch of the harness, its corners in order from its beginning. */
export interface HarnessSegment extends Omit<StoredSegment, 'order' | 'points'> {
  readonly id: string;
  readonly points: readonly Identified<StoredSegment['points'][string]>[];
}
/** Where a splice of the netlist sits. */
export type SpliceSite = StoredSpliceSite & { readonly spliceId: string };
/** The colour of a wire that is settled. */
export type SettledColour = StoredWireColour & { readonly wireId: string };
/** The harness with its collections as lists. */
/** A leg of a loom that is bought ready. */
export type BoughtLeg = Identified<Omit<StoredBoughtLeg, 'order'>>;
/** A loom that is bought ready, with its legs in order. */
export interface BoughtHarness extends Omit<StoredBoughtHarness, 'legs' | 'order'> {
  readonly id: string;
  readonly legs: readonly BoughtLeg[];
}
/** A plug that is kept and gets other wires, its cavities in order. */
export interface RepinnedPlug extends Omit<StoredRepinnedPlug, 'cavities' | 'order'> {
  readonly id: string;
  readonly cavities: readonly Identified<Omit<StoredRepinnedCavity, 'order'>>[];
}
/** A wire that is cut. */
export interface CutWire extends StoredCutWire {
  readonly wireId: string;
}

export interface Harness extends Omit<
  StoredHarness,
  'breakouts' | 'segments' | 'splices' | 'colours' | 'bought' | 'cut' | 'repinned'
> {
  readonly breakouts: readonly Breakout[];
  readonly segments: readonly HarnessSegment[];
  readonly splices: readonly SpliceSite[];
  readonly colours: readonly SettledColour[];
  readonly bought: readonly BoughtHarness[];
  readonly cut: readonly CutWire[];
  readonly repinned: readonly RepinnedPlug[];
}

export type StoredEnd = StoredAssembly['from'];
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
  readonly panels: readonly Panel[];
  readonly switching: readonly SwitchRow[];
  readonly harness: Harness;
  readonly options: readonly DecisionOption[];
  readonly acceptances: readonly Acceptance[];
  readonly assemblies: readonly Assembly[];
  readonly shelf: readonly ShelfEntry[];
  readonly offcuts: readonly Offcut[];
}

/** A brief as somebody says it: what is declared with an initial value may be left out. */
export type BriefInput = Omit<InputOf<typeof briefSpec.fields>, keyof CurvesOfBrief> &
  CurvesOfBrief;
type CurvesOfBrief = Pick<Brief, 'volumetricEfficiencyCurve' | 'boostCurve'>;

/** A build as somebody says it: format, version and what is declared with an initial value follow. */
export interface BuildInput extends Omit<Build, 'format' | 'version' | 'brief' | 'limits'> {
  readonly brief: BriefInput;
  readonly limits: InputOf<typeof limitsSpec.fields>;
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
