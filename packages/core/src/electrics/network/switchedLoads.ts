import { memo } from '../../numerics/index.ts';
import type { Netlist } from '../netlist/netlist.ts';
import type { SwitchedInCases } from '../switching/switchedInCases.ts';
import { type Switch, switchKey, switchesOf } from '../switching/switches.ts';
import { type ElectricCase, electricCases } from './electricCases.ts';
import { type LoadAt, liveLoads, loadsOn } from './liveLoads.ts';

/** A netlist in which some switches are open. */
function withOpen(netlist: Netlist, open: readonly Switch[]): Netlist {
  const contacts = new Set(open.map(({ contact }) => contact));
  return {
    ...netlist,
    parts: netlist.parts.map((part) =>
      part.inside.some((each) => each.kind === 'contact' && contacts.has(each))
        ? { ...part, inside: part.inside.filter((e) => e.kind !== 'contact' || !contacts.has(e)) }
        : part,
    ),
  };
}

function switchedOn(
  netlist: Netlist,
  loads: readonly LoadAt[],
  switched: SwitchedInCases,
): (each: LoadAt, inCase: ElectricCase) => boolean {
  const isOn = loadsOn(netlist, loads);
  if (Object.keys(switched).length === 0) return isOn;
  const told = switchesOf(netlist).flatMap((each) => {
    const row = switched[switchKey(each)];
    return row && each.command.by !== 'wiring' ? [{ each, row }] : [];
  });
  const rowOfRelay = new Map(
    told.flatMap(({ each, row }) => (each.kind === 'relay' ? [[each.partId, row] as const] : [])),
  );
  const alive = new Map(
    electricCases.flatMap((inCase) => {
      const off = told.filter(({ row }) => !row[inCase]);
      if (off.length === 0) return [];
      const open = withOpen(
        netlist,
        off.map(({ each }) => each),
      );
      return [[inCase, new Set(liveLoads(open).map(({ load }) => load))] as const];
    }),
  );
  return (each, inCase) => {
    const { load, partId } = each;
    if (alive.get(inCase)?.has(load) === false) return false;
    const row = load.when === 'with its relay' ? rowOfRelay.get(partId) : undefined;
    return row ? row[inCase] : isOn(each, inCase);
  };
}

/**
 * Which loads are on in each case: those that would be, as far as the table of what is switched leaves
 * them their way. A relay's coil is on where its row is. A relay whose coil no controller commands has
 * no say of a table.
 */
export const switchedLoadsOn = memo(switchedOn);
