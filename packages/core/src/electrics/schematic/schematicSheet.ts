import { type DeviceSymbol, deviceRoleOf } from '../../catalogue/index.ts';
import type { WireRole } from '../netlist/derivedWire.ts';
import type { NetPart } from '../netlist/netlist.ts';

/** How a part is drawn. */
export type SchematicSymbol = DeviceSymbol | 'fuse' | 'relay' | 'controller' | 'ground' | 'joint';

/** A pin of a block, at which side of it the wires come. */
export interface SchematicPin {
  readonly id: string;
  readonly pin: string;
  readonly name: string;
  readonly side: 'west' | 'east';
}

/**
 * A part on a sheet. One that is at home there, or a controller, is a box with its pins; of another
 * only the end of a wire shows, as a flag with its name.
 */
export interface SchematicBlock {
  readonly id: string;
  readonly partId: string;
  readonly name: string;
  readonly kind: 'box' | 'flag';
  readonly symbol: SchematicSymbol;
  /** from what feeds on the left to grounds on the right */
  readonly column: number;
  readonly pins: readonly SchematicPin[];
}

/** A wire between two pins of a sheet. */
export interface SchematicWire {
  readonly id: string;
  readonly name: string;
  /** what stands over and under its line */
  readonly label: readonly [over: string, under: string];
  readonly role: WireRole;
  readonly from: string;
  readonly to: string;
}

/** Blocks and wires that are drawn together. */
export interface SchematicSheet {
  readonly id: string;
  readonly title: string;
  readonly blocks: readonly SchematicBlock[];
  readonly wires: readonly SchematicWire[];
}

/** The symbol of a part, by what it is. */
export function symbolOf({ sort, role }: NetPart): SchematicSymbol {
  switch (sort) {
    case 'fuse':
    case 'relay':
    case 'ground':
    case 'controller':
    case 'switch':
      return sort;
    case 'pump':
      return 'motor';
    case 'battery':
    case 'signal':
      return 'source';
    case 'stud':
    case 'splice':
      return 'joint';
    case 'device':
      // Injectors are the only devices that are no item of the catalogue with a role.
      return role === undefined ? 'coil' : deviceRoleOf(role).symbol;
  }
}

/**
 * Where a part stands from left to right: what feeds first, what leads back last. `fedBy` is the part
 * that feeds it, where it hangs on one.
 */
export function columnOf({ sort, role, pins }: NetPart, fedBy: NetPart | undefined): number {
  switch (sort) {
    case 'battery':
    case 'signal':
      return 0;
    case 'stud':
      return 2;
    case 'fuse':
      // One behind a relay or a channel stands behind it.
      return fedBy?.sort === 'relay' || fedBy?.sort === 'switch' ? 8 : 3;
    case 'relay':
    case 'splice':
      return 6;
    case 'switch':
      if (role === 'key switch' || role === 'isolator') return 2;
      // One that a controller looks at stands where sensors do, one in the way of a feed before the relay.
      return pins.some(({ asks }) => asks !== undefined) ? 10 : 5;
    case 'pump':
    case 'device':
      return 10;
    case 'controller':
      return 12;
    case 'ground':
      return 14;
  }
}
