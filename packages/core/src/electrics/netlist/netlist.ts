import type {
  DeviceRole,
  FuseItem,
  LoadTime,
  PinCapability,
  PinUse,
} from '../../catalogue/index.ts';
import type { DerivedWire } from './derivedWire.ts';
import type { Joint, Terminal } from './terminal.ts';

/** What a part of the netlist is to its circuit. */
export type PartSort =
  | 'battery'
  | 'fuse'
  | 'relay'
  | 'pump'
  | 'switch'
  | 'stud'
  | 'device'
  | 'controller'
  | 'signal'
  | 'ground'
  | 'splice';

/** A pin: the node of the netlist. */
export interface NetPin {
  /** the node's name: part and pin */
  readonly node: string;
  readonly pin: string;
  readonly name: string;
  readonly use: PinUse | 'controller' | 'joint' | 'coil-return';
  readonly terminal: Terminal;
  /** conductor areas m² that its contact takes */
  readonly areaMin: number;
  readonly areaMax: number;
  readonly joint: Joint;
  /** what it asks of a controller, A and Hz with it */
  readonly asks: SignalAsk | undefined;
}

/** What a signal pin asks of a controller's pin. */
export interface SignalAsk {
  readonly capability: PinCapability;
  readonly current: number;
  readonly frequency: number;
  readonly pairedWith: string | undefined;
}

interface Inside {
  readonly id: string;
  readonly from: string;
  readonly to: string;
}
/** A closed contact, a driver that is switched on, pins joined inside: Ω. */
export interface InnerContact extends Inside {
  readonly kind: 'contact';
  /** whether it leads a supply on, or a current back */
  readonly leads: 'on' | 'back';
  readonly resistance: number;
  /** it opens by itself above so much, A: an output of a controller */
  readonly limit?: number;
  /** the output of a controller that it is, by its pin: open until the controller switches it */
  readonly output?: string;
}
/** What takes current: A at V, for a share of the time, in some states of the vehicle. */
export interface InnerLoad extends Inside {
  readonly kind: 'load';
  readonly current: number;
  readonly voltage: number;
  readonly duty: number;
  /** its share of the time at idle, where that is another: what fires with the engine */
  readonly dutyAtIdle?: number;
  readonly behaviour: 'resistive' | 'motor' | 'electronic';
  readonly when: LoadTime | 'with its relay';
}
/** A voltage made inside a part: V behind Ω, `to` its positive pole. */
export interface InnerSource extends Inside {
  readonly kind: 'source';
  readonly voltage: number;
  readonly resistance: number;
}
export type InnerElement = InnerContact | InnerLoad | InnerSource;

/** A part with its pins and what lies between them. */
export interface NetPart {
  readonly id: string;
  readonly name: string;
  readonly sort: PartSort;
  readonly role: DeviceRole | undefined;
  readonly placementId: string;
  readonly pins: readonly NetPin[];
  readonly inside: readonly InnerElement[];
  /** pins from which it feeds the vehicle, with what it gives at most, A */
  readonly outputs: readonly { readonly node: string; readonly current: number }[];
  readonly inrush: { readonly factor: number; readonly time: number };
  /** fuses only: the one settled by hand; undefined: by the rules */
  readonly fuse: FuseItem | undefined;
  /** fuses only: what it is chosen from */
  readonly fuseStyle: 'blade' | 'bolt' | undefined;
  readonly loadedTogether: number;
  /** where the build says how many wires are loaded with its own */
  readonly bundledAt: readonly string[];
}

/** A source that feeds the vehicle's wiring: the battery, and wires found on the vehicle. */
export interface NetSource {
  readonly id: string;
  /** its positive node; the negative one is the battery's */
  readonly node: string;
  readonly negative: string;
  /** whether it was found on the vehicle, behind a fuse of its own */
  readonly found: boolean;
  /** the wire found that it is */
  readonly signalId: string | undefined;
  readonly resistance: number;
  /** rating A of its own fuse; undefined: not known */
  readonly fuseRating: number | undefined;
}

/** Everything electric of a build: parts, the wires between their pins, what feeds them. */
export interface Netlist {
  readonly parts: readonly NetPart[];
  readonly wires: readonly DerivedWire[];
  /** what is wired to what: wires as they are where no connector parts the harness */
  readonly direct: readonly DerivedWire[];
  readonly sources: readonly NetSource[];
  /** node at 0 V */
  readonly ground: string;
  /** pins that ask something of a controller and have no pin of it yet */
  readonly unassigned: readonly { readonly partId: string; readonly pin: string }[];
}

/** The node of a pin. */
export const nodeOf = (partId: string, pin: string): string => `${partId}:${pin}`;

/** The chassis, to which grounds lead. */
export const CHASSIS = 'chassis';
