import { type Catalogue, lookUp } from '../../catalogue/index.ts';
import type { Build, Change, Device } from '../../model/index.ts';
import type { NetPart, Netlist } from '../netlist/netlist.ts';
import type { BusChain } from '../network/busChains.ts';
import { type Switch, switchesOf } from '../switching/switches.ts';
import { powerModule } from './powerModule.ts';

/** A way to switch what a vehicle has, and the edits that lead to it; why it cannot be, where it cannot. */
export type School = { readonly id: 'present' | 'module' | 'kept'; readonly name: string } & (
  | { readonly possible: true; readonly changes: readonly Change[] }
  | { readonly possible: false; readonly reason: string }
);

type Wired = Pick<Build, 'devices' | 'controllers' | 'grounds' | 'power'>;

/** Whether a relay feeds a controller: then a module, which that controller commands, cannot take over. */
const feedsController = ({ loads }: Switch): boolean =>
  loads.some(({ part }: { readonly part: NetPart }) => part.sort === 'controller');

/** A module for everything that relays switch at the word of a controller. */
function moduleSchool(input: {
  readonly wired: Wired;
  readonly netlist: Netlist;
  readonly catalogue: Catalogue;
  readonly buses: readonly BusChain[];
}): School {
  const common = { id: 'module' as const, name: 'A power module in place of relays' };
  const { wired, netlist, catalogue } = input;
  const byId = new Map(wired.devices.map((device) => [device.id, device]));
  const relays = switchesOf(netlist).flatMap((each): Device[] => {
    const device = byId.get(each.partId);
    const isOne = each.kind === 'relay' && each.command.by !== 'wiring' && !feedsController(each);
    return isOne && device ? [device] : [];
  });
  if (relays.length === 0) {
    return { ...common, possible: false, reason: 'no relay is left for it to replace' };
  }
  const ecu = lookUp(catalogue, 'ecu', wired.power.ecu, 'power.ecu');
  const found = powerModule({ ...input, ecu, relays });
  return found
    ? {
        ...common,
        name: `${found.item.designation} in place of relays`,
        possible: true,
        changes: found.changes,
      }
    : {
        ...common,
        possible: false,
        reason: 'the controller has no bus with a free place, or no module has enough channels',
      };
}

/** The relays and blade fuses of the vehicle’s own box, kept: they are there and cost nothing. */
function keptSchool({ devices }: Wired): School {
  const common = { id: 'kept' as const, name: 'The vehicle’s own fuse and relay box' };
  const held = devices.filter(
    ({ part, state }) => (part.kind === 'relay' || part.kind === 'fuse') && state === 'new',
  );
  return held.length === 0
    ? { ...common, possible: false, reason: 'all relays and fuses are kept already' }
    : {
        ...common,
        possible: true,
        changes: held.map(({ id }) => ({ path: ['devices', id, 'state'], value: 'kept' })),
      };
}

/** The schools of switching on one build: as it is, with a module, with the vehicle’s own box. */
export const schools = (input: {
  readonly wired: Wired;
  readonly netlist: Netlist;
  readonly catalogue: Catalogue;
  readonly buses: readonly BusChain[];
}): readonly School[] => [
  { id: 'present', name: 'Present', possible: true, changes: [] },
  moduleSchool(input),
  keptSchool(input.wired),
];
