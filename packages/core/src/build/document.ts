import type { Quantity, UnitSystem } from '../quantities/index.ts';

/** Exact revision of a catalogue item. */
export interface ItemRef {
  readonly id: string;
  readonly revision: number;
}

export const cycles = ['four-stroke', 'two-stroke', 'rotary'] as const;
export const aspirations = ['natural', 'supercharged', 'turbo'] as const;
export const vehicleUses = ['road', 'two-or-three-wheeler', 'off-road', 'competition'] as const;
export const zones = ['cabin', 'body', 'engine-bay', 'near-exhaust', 'outside'] as const;
export const demandChoices = ['larger', 'power', 'air'] as const;
export const lineRoles = ['suction', 'feed', 'return', 'vent', 'other'] as const;
export const architectures = [
  'return-after-rail',
  'return-before-rail',
  'return-at-tank',
  'returnless',
  'surge-tank',
  'twin-pumps',
  'throttle-body',
] as const;

/** Working cycle of an engine. */
export type Cycle = (typeof cycles)[number];
/** How an engine breathes. */
export type Aspiration = (typeof aspirations)[number];
/** What a vehicle is used for. */
export type VehicleUse = (typeof vehicleUses)[number];
/** A zone of the vehicle, by its heat. */
export type Zone = (typeof zones)[number];
/** A school of demand. */
export type DemandChoiceName = (typeof demandChoices)[number];
/** How a fuel circuit is laid out. */
export type Architecture = (typeof architectures)[number];
/** What a line is for. */
export type LineRole = (typeof lineRoles)[number];

/** A point of a curve over engine speed. */
export interface CurvePoint {
  readonly speed: Quantity;
  readonly value: Quantity;
}

/** The agreed facts and targets. A null quantity means the default of the trade applies. */
export interface Brief {
  readonly vehicle: string;
  readonly engine: string;
  readonly use: VehicleUse;
  readonly cycle: Cycle;
  readonly aspiration: Aspiration;
  readonly displacement: Quantity;
  readonly cylinders: number;
  readonly power: Quantity;
  readonly powerSpeed: Quantity;
  readonly idleSpeed: Quantity;
  readonly limiterSpeed: Quantity;
  readonly boost: Quantity;
  /** absolute manifold pressure at hot idle */
  readonly idleManifoldAbsolute: Quantity;
  readonly altitude: Quantity;
  readonly ambientHot: Quantity;
  readonly chargeTemperature: Quantity | null;
  readonly fuelTemperatureHot: Quantity | null;
  readonly lambdaFullLoad: Quantity | null;
  readonly specificConsumption: Quantity | null;
  /** power to keep the road speed at which range is told; null: the cruise case's fuel */
  readonly cruisePower: Quantity | null;
  readonly cruiseRoadSpeed: Quantity;
  readonly volumetricEfficiencyCurve: readonly CurvePoint[];
  /** share of full boost over speed */
  readonly boostCurve: readonly CurvePoint[];
}

/** Which school of demand is carried forward, and why. */
export interface DemandChoice {
  readonly school: DemandChoiceName;
  readonly reason: string;
}

/** A fuel of the build. */
export type Fuel =
  | {
      readonly id: string;
      readonly kind: 'petrol-ethanol';
      readonly name: string;
      readonly ethanol: Quantity;
      readonly reidVapourPressure: Quantity;
      /** least ethanol that the pump may sell in a season; null: always the same */
      readonly ethanolLowest: Quantity | null;
    }
  | { readonly id: string; readonly kind: 'methanol'; readonly name: string };

/**
 * What is known of a length. Estimates from the map, routes and the harness are computed, the
 * typed and the measured length are stored; the best known one is used.
 */
export interface LengthKnowledge {
  readonly typed: Quantity | null;
  readonly measured: Quantity | null;
}

/** How many of a fitting sit on a line. */
export interface FittingUse {
  readonly item: ItemRef;
  readonly count: number;
}

interface ElementBase {
  readonly id: string;
  readonly name: string;
}
interface ThroughElement extends ElementBase {
  readonly from: string;
  readonly to: string;
  readonly item: ItemRef;
}
/** A tank with its outlet and return. */
export interface TankElement extends ElementBase {
  readonly kind: 'tank';
  readonly outlet: string;
  readonly returnNode: string;
  readonly pressure: Quantity;
  /** lowest fuel surface in use above the outlet */
  readonly fuelLevel: Quantity;
  /** what can be driven from full to empty */
  readonly usableVolume: Quantity;
}
/** A small tank near the pump that a lift pump keeps full; what is too much runs over. */
export interface SurgeTankElement extends ElementBase {
  readonly kind: 'surge-tank';
  /** from the lift pump */
  readonly inlet: string;
  /** to the main pump */
  readonly outlet: string;
  /** from the regulator */
  readonly returnNode: string;
  /** back to the tank */
  readonly overflow: string;
  readonly volume: Quantity;
}
/** A fitting in the run. */
export interface OutletElement extends ThroughElement {
  readonly kind: 'fitting';
}
/** A hose or hardline with its fittings. */
export interface LineElement extends ThroughElement {
  readonly kind: 'line';
  readonly role: LineRole;
  readonly length: LengthKnowledge;
  readonly fittings: readonly FittingUse[];
}
/** A filter in the run. */
export interface FilterElement extends ThroughElement {
  readonly kind: 'filter';
  readonly state: 'clean' | 'loaded';
}
/**
 * How a pump is driven. `stepped` runs on a share of the voltage (0: off) until the engine's fuel
 * flow passes `above`, and goes back below `below`. `pressure` is driven so that a node of the
 * circuit keeps a pressure, on no less than a share of the voltage.
 */
export type PumpControl =
  | {
      readonly kind: 'stepped';
      readonly lowShare: Quantity;
      readonly above: Quantity;
      readonly below: Quantity;
    }
  | {
      readonly kind: 'pressure';
      readonly sensorNode: string;
      readonly target: Quantity;
      readonly manifoldRatio: Quantity;
      readonly leastShare: Quantity;
    };

/** A pump in the run. */
export interface PumpElement extends ThroughElement {
  readonly kind: 'pump';
  readonly mounting: 'in-tank' | 'external';
  /** share of flow lost to wear */
  readonly wear: Quantity;
  /** null: runs whenever the ECU asks for fuel, on full voltage */
  readonly control: PumpControl | null;
}
/** A back-pressure regulator: set pressure, manifold ratio. */
export interface RegulatorElement extends ThroughElement {
  readonly kind: 'regulator';
  readonly setPressure: Quantity;
  readonly manifoldRatio: Quantity;
}
/** A forward regulator: keeps what comes after it at or below its set pressure. */
export interface DeadHeadRegulatorElement extends ThroughElement {
  readonly kind: 'dead-head-regulator';
  readonly setPressure: Quantity;
}
/** A plain hole: a restrictor, a bleed, a crossover. */
export interface OrificeElement extends ElementBase {
  readonly kind: 'orifice';
  readonly from: string;
  readonly to: string;
  readonly diameter: Quantity;
}
/** Filter with a fixed regulator near the tank: forward to the rail, the rest back to the tank. */
export interface FilterRegulatorElement extends ThroughElement {
  readonly kind: 'filter-regulator';
  readonly returnNode: string;
  readonly state: 'clean' | 'loaded';
}
/** The injectors of a row at a node of the circuit. */
export interface InjectorsElement extends ElementBase {
  readonly kind: 'injectors';
  readonly node: string;
  readonly rowId: string;
}
/** One element of a fuel circuit. */
export type CircuitElement =
  | TankElement
  | OutletElement
  | LineElement
  | FilterElement
  | PumpElement
  | RegulatorElement
  | FilterRegulatorElement
  | DeadHeadRegulatorElement
  | OrificeElement
  | SurgeTankElement
  | InjectorsElement;
export type ElementKind = CircuitElement['kind'];

/** A joint of a fuel circuit at a place on the vehicle. */
export interface CircuitNode {
  readonly id: string;
  readonly placementId: string;
}

/** One fuel circuit: nodes and the elements between them. */
export interface FuelCircuit {
  readonly id: string;
  readonly name: string;
  readonly fuelId: string;
  readonly architecture: Architecture;
  readonly nodes: readonly CircuitNode[];
  readonly elements: readonly CircuitElement[];
}

/** A row of equal injectors on one circuit. */
export interface InjectorRow {
  readonly id: string;
  readonly name: string;
  readonly circuitId: string;
  readonly item: ItemRef;
  readonly count: number;
  /** 1: sequential; 2: batch, twice a cycle */
  readonly shotsPerCycle: number;
  /** share of the engine's air that this row fuels once every row works */
  readonly airShare: Quantity;
  /** null: works always; else joins above a duty of the rows that do */
  readonly staging: Staging | null;
  /** resistor in series with each injector */
  readonly ballast: Quantity | null;
  /** flows measured on the bench, injector by injector; empty: not measured */
  readonly measuredFlows: readonly Quantity[];
}

/** When a second row joins: above a duty of the first, blended in over a width of duty. */
export interface Staging {
  readonly aboveDuty: Quantity;
  readonly blend: Quantity;
}

/** A place on the vehicle: x forward of the rear axle, y left, z up from the ground. */
export interface Placement {
  readonly id: string;
  readonly name: string;
  readonly x: Quantity;
  readonly y: Quantity;
  readonly z: Quantity;
  readonly zone: Zone;
}

/** How one pump is fed: fuse, relay, ground, trigger. */
export interface PumpFeed {
  readonly id: string;
  readonly circuitId: string;
  readonly elementId: string;
  readonly pumpPlacementId: string;
  /** null: chosen by the rules */
  readonly fuse: ItemRef | null;
  readonly fusePlacementId: string;
  readonly relay: ItemRef;
  readonly relayPlacementId: string;
  readonly groundPlacementId: string;
  readonly inertiaSwitch: boolean;
  readonly inertiaPlacementId: string;
  readonly trigger: 'low-side' | 'high-side';
  readonly loadedTogether: number;
}

/** What a person decided about a derived wire, by its stable id. */
export interface WireDecision {
  readonly wireId: string;
  readonly size: ItemRef | null;
  readonly length: LengthKnowledge;
}

/** Battery, fuses, ECU and the feeds of the pumps. */
export interface PowerDesign {
  readonly wireSystem: 'metric' | 'awg';
  readonly battery: ItemRef;
  readonly batteryPlacementId: string;
  readonly mainFuse: ItemRef;
  readonly mainFusePlacementId: string;
  readonly studPlacementId: string;
  readonly ecu: ItemRef;
  readonly ecuPlacementId: string;
  readonly keyedFeedPlacementId: string;
  readonly pumpFeeds: readonly PumpFeed[];
  readonly wireDecisions: readonly WireDecision[];
}

/** Margins and limits the technician may set; defaults come from the trade. */
export interface Limits {
  readonly designFactor: Quantity;
  readonly injectorDuty: Quantity;
  readonly pumpMargin: Quantity;
  readonly voltageRunning: Quantity;
  readonly voltageLow: Quantity;
  readonly voltageCranking: Quantity;
  readonly pumpFeedDrop: Quantity;
}

/** One way to settle a decision: the values it puts at paths of the document. */
export interface Alternative {
  readonly id: string;
  readonly name: string;
  readonly reason: string;
  readonly values: readonly { readonly path: string; readonly value: unknown }[];
}
/** A decision with its alternatives, of which one is chosen. */
export interface DecisionOption {
  readonly id: string;
  readonly title: string;
  readonly chosen: string;
  readonly alternatives: readonly Alternative[];
}

/**
 * A warning that a person accepted, with the reason. `measured` (SI) is what was accepted: once
 * the finding gets worse than that it is open again.
 */
export interface Acceptance {
  readonly findingId: string;
  readonly title: string;
  readonly reason: string;
  readonly author: string;
  /** ISO 8601 */
  readonly time: string;
  readonly measured: number | null;
}

/** One build: brief, fuel circuits, injector rows, places, power, limits, decisions. Plain data. */
export interface BuildDocument {
  readonly format: 'brookrain-build';
  readonly version: 3;
  readonly name: string;
  readonly description: string;
  readonly brief: Brief;
  readonly demand: DemandChoice;
  readonly fuels: readonly Fuel[];
  readonly fuelCircuits: readonly FuelCircuit[];
  readonly injectorRows: readonly InjectorRow[];
  readonly placements: readonly Placement[];
  readonly power: PowerDesign;
  readonly limits: Limits;
  readonly options: readonly DecisionOption[];
  readonly acceptances: readonly Acceptance[];
  /** parts at hand that this build may use */
  readonly shelf: readonly ItemRef[];
  /** units in which this build is usually read; null: the reader's own */
  readonly displayUnits: UnitSystem | null;
}
