import { groupBy } from '../../numerics/index.ts';
import type { InnerContact, InnerLoad, NetPart, Netlist } from '../netlist/netlist.ts';
import { type Regions, canOpen, regionsOf } from '../netlist/regions.ts';

/** An output of a controller, by what it does: it sinks a current to ground, or sources one. */
export interface Output {
  readonly controllerId: string;
  readonly controllerName: string;
  readonly pin: string;
  readonly side: 'low-side' | 'high-side';
}

/** What commands a switch: an output, one that is still to be found, or what its coil is wired to. */
export type Command =
  | { readonly by: 'output'; readonly output: Output }
  | { readonly by: 'unassigned' }
  | { readonly by: 'wiring'; readonly from: readonly string[] };

/** A load behind a switch. */
export interface SwitchedLoad {
  readonly part: NetPart;
  readonly load: InnerLoad;
}

/** What switches a load and is not the load itself: a relay, or an output that has no relay behind it. */
export interface Switch {
  readonly partId: string;
  /** the output; empty for a relay */
  readonly pin: string;
  readonly name: string;
  readonly kind: 'relay' | 'output';
  readonly command: Command;
  readonly loads: readonly SwitchedLoad[];
  readonly contact: InnerContact;
}

/** A name for a switch by what it is. */
export const switchKey = ({ partId, pin }: { readonly partId: string; readonly pin: string }) =>
  pin === '' ? partId : `${partId}-${pin}`;

interface Contact {
  readonly part: NetPart;
  readonly contact: InnerContact;
}

/** What of a netlist is asked again and again while switches are looked for. */
interface Wiring {
  readonly regions: Regions;
  readonly contacts: readonly Contact[];
  readonly loads: readonly SwitchedLoad[];
}

function wiringOf(netlist: Netlist): Wiring {
  const regions = regionsOf(netlist);
  return {
    regions,
    contacts: netlist.parts.flatMap((part) =>
      part.inside.flatMap((contact) =>
        contact.kind === 'contact' && canOpen(part, contact) ? [{ part, contact }] : [],
      ),
    ),
    loads: netlist.parts.flatMap((part) =>
      part.inside.flatMap((load) => (load.kind === 'load' ? [{ part, load }] : [])),
    ),
  };
}

const outputOf = ({ part, contact }: Contact): Output | undefined =>
  contact.output === undefined
    ? undefined
    : {
        controllerId: part.id,
        controllerName: part.name,
        pin: contact.output,
        side: contact.leads === 'on' ? 'high-side' : 'low-side',
      };

/** Loads that a contact leads on to, over further switches and relays. */
function loadsBehind({ regions }: Wiring, by: Groups, contact: InnerContact): SwitchedLoad[] {
  const back = contact.leads === 'back';
  const start = regions.of(back ? contact.from : contact.to);
  if (back) return by.loadsTo.get(start) ?? [];
  const seen = new Set<string>();
  const open = [start];
  const found: SwitchedLoad[] = [];
  for (let region = open.pop(); region !== undefined; region = open.pop()) {
    if (seen.has(region)) continue;
    seen.add(region);
    found.push(...(by.loadsFrom.get(region) ?? []));
    for (const { part, contact: next } of by.contactsFrom.get(region) ?? []) {
      if (part.sort !== 'controller' && next.leads === 'on') open.push(regions.of(next.to));
    }
  }
  return found;
}

interface Groups {
  readonly loadsFrom: ReadonlyMap<string, SwitchedLoad[]>;
  readonly loadsTo: ReadonlyMap<string, SwitchedLoad[]>;
  readonly contactsFrom: ReadonlyMap<string, Contact[]>;
  readonly contactsTo: ReadonlyMap<string, Contact[]>;
  readonly signals: ReadonlyMap<string, NetPart[]>;
}

function commandOf({ regions }: Wiring, by: Groups, relay: NetPart): Command | undefined {
  const coil = relay.inside.find((each) => each.kind === 'load');
  if (!coil) return undefined;
  const [feed, back] = [regions.of(coil.from), regions.of(coil.to)];
  const drivers = [
    ...(by.contactsFrom.get(back) ?? []).filter(({ contact }) => contact.leads === 'back'),
    ...(by.contactsTo.get(feed) ?? []).filter(({ contact }) => contact.leads === 'on'),
  ];
  const output = drivers.flatMap((driver) => outputOf(driver) ?? [])[0];
  if (output) return { by: 'output', output };
  if (relay.pins.some(({ asks }) => asks !== undefined)) return { by: 'unassigned' };
  const wired = [
    ...drivers.map(({ part }) => part.name),
    ...(by.signals.get(feed) ?? []).map(({ name }) => name),
  ];
  return { by: 'wiring', from: [...new Set(wired)] };
}

/** Whether a load is one that is simply on or off: no coil of a relay, nothing that its controller works. */
function isPlain({ part, load }: SwitchedLoad): boolean {
  if (part.sort === 'relay') return false;
  const isWorked = load.when === 'engine turning' || load.when === 'at times';
  return part.pins
    .filter(({ node }) => node === load.from || node === load.to)
    .every(({ asks }) => asks === undefined || (asks.frequency === 0 && !isWorked));
}

/** The relays of a netlist, and the outputs of its controllers that switch a load themselves. */
export function switchesOf(netlist: Netlist): readonly Switch[] {
  const wiring = wiringOf(netlist);
  const { regions, contacts, loads } = wiring;
  const by: Groups = {
    loadsFrom: groupBy(loads, ({ load }) => regions.of(load.from)),
    loadsTo: groupBy(loads, ({ load }) => regions.of(load.to)),
    contactsFrom: groupBy(contacts, ({ contact }) => regions.of(contact.from)),
    contactsTo: groupBy(contacts, ({ contact }) => regions.of(contact.to)),
    signals: groupBy(
      netlist.parts.filter(({ sort }) => sort === 'signal'),
      ({ pins }) => regions.of(pins[0]?.node ?? ''),
    ),
  };
  const ground = regions.of(netlist.ground);
  const sources = new Set(netlist.sources.map(({ node }) => regions.of(node)));
  return contacts.flatMap((each): Switch[] => {
    const { part, contact } = each;
    const output = outputOf(each);
    if (part.sort === 'relay') {
      const command = commandOf(wiring, by, part);
      const behind = loadsBehind(wiring, by, contact).filter(
        ({ part: { sort } }) => sort !== 'relay',
      );
      if (!command) return [];
      const { id: partId, name } = part;
      return [{ partId, pin: '', name, kind: 'relay', command, loads: behind, contact }];
    }
    if (!output) return [];
    const end = regions.of(contact.leads === 'on' ? contact.to : contact.from);
    if (end === ground || sources.has(end)) return [];
    const behind = loadsBehind(wiring, by, contact);
    if (behind.length === 0 || !behind.every(isPlain)) return [];
    const names = [...new Set(behind.map(({ part: { name } }) => name))];
    return [
      {
        partId: part.id,
        pin: output.pin,
        name: names.join(', '),
        kind: 'output',
        command: { by: 'output', output },
        loads: behind,
        contact,
      },
    ];
  });
}
