import type { WireDecision } from '../../model/index.ts';
import type { Joint, Terminal } from './terminal.ts';

/** Where a wire ends: a terminal at a place, with the conductor areas m² it takes. */
export interface WireEnd {
  /** the pin's node in the netlist */
  readonly node: string;
  readonly terminal: Terminal;
  readonly placementId: string;
  readonly areaMin: number;
  readonly areaMax: number;
  readonly joint: Joint;
}

/** What a wire carries. */
export type WireRole =
  'supply' | 'triggered' | 'ground' | 'signal' | 'sensor ground' | 'reference' | 'bus' | 'shield';

/** What keeps a wire from wear: a sleeve, or a loom that is sealed from end to end. */
export type WireShelter = 'sleeved' | 'sealed';

/** A wire derived from the design; its id comes from the pin that it leaves, or its ends, and stays. */
export interface DerivedWire {
  readonly id: string;
  readonly name: string;
  readonly role: WireRole;
  /** the part that it is there for */
  readonly partId: string;
  readonly from: WireEnd;
  readonly to: WireEnd;
  readonly decision: WireDecision | undefined;
  /** a piece is spliced into it */
  readonly isSpliced?: boolean;
  /** what lies round it over its whole way; undefined where it is bare somewhere */
  readonly shelter?: WireShelter;
}
