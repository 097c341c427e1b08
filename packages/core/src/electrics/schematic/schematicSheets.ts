import {
  type ElectricSystem,
  electricSystemWords,
  electricSystems,
} from '../../catalogue/index.ts';
import { addTo } from '../../numerics/index.ts';
import type { DerivedWire } from '../netlist/derivedWire.ts';
import { type DrawnNetlist, drawnSheet } from './drawnSheet.ts';
import type { SchematicSheet } from './schematicSheet.ts';
import { systemsOf } from './systems.ts';

/** So many wires can be read on one sheet. */
const ON_A_SHEET = 22;

/** Parts with the wires that are there for them, a sheet full each; one part is never torn apart. */
function chunks(
  wiresOf: ReadonlyMap<string, readonly DerivedWire[]>,
): { readonly parts: string[]; readonly wires: DerivedWire[] }[] {
  const total = [...wiresOf.values()].reduce((sum, { length }) => sum + length, 0);
  const sheets = Math.max(1, Math.ceil(total / ON_A_SHEET));
  const target = total / sheets;
  const made: { parts: string[]; wires: DerivedWire[] }[] = [];
  for (const [partId, wires] of wiresOf) {
    const open = made.at(-1);
    const full = !open || open.wires.length + wires.length / 2 > target;
    if (full && made.length < sheets) made.push({ parts: [partId], wires: [...wires] });
    else {
      open?.parts.push(partId);
      open?.wires.push(...wires);
    }
  }
  return made;
}

const systemOfWire = (
  wire: DerivedWire,
  systems: ReadonlyMap<string, ElectricSystem>,
): ElectricSystem => (wire.role === 'bus' ? 'bus' : (systems.get(wire.partId) ?? 'supply'));

/** The whole netlist on sheets, a system after the other: every wire on exactly one of them. */
export function systemSheets(drawn: DrawnNetlist): SchematicSheet[] {
  const { netlist } = drawn;
  const systems = systemsOf(netlist);
  return electricSystems.flatMap((system) => {
    const wiresOf = new Map<string, DerivedWire[]>();
    for (const wire of netlist.wires) {
      if (systemOfWire(wire, systems) !== system) continue;
      addTo(wiresOf, wire.partId, wire);
    }
    if (wiresOf.size === 0) return [];
    const parts = chunks(wiresOf);
    return parts.map(({ parts: ids, wires }, i) => {
      const number = parts.length > 1 ? ` ${String(i + 1)} of ${String(parts.length)}` : '';
      return drawnSheet(
        drawn,
        {
          id: parts.length > 1 ? `${system}-${String(i + 1)}` : system,
          title: `${electricSystemWords[system]}${number}`,
        },
        wires,
        new Set(ids),
      );
    });
  });
}

/**
 * One part with everything on the way to what feeds it: its wires, those of the fuses, relays and
 * switches before it, and of their coils, to the battery, to controllers and to grounds.
 */
export function deviceSheet(drawn: DrawnNetlist, partId: string): SchematicSheet | undefined {
  const { netlist, owner } = drawn;
  const part = netlist.parts.find(({ id }) => id === partId);
  if (!part) return undefined;
  const home = new Set([partId]);
  const wires = new Set<DerivedWire>();
  const open = [partId];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    for (const wire of netlist.wires) {
      const isOwn = wire.partId === id;
      // Of the part that is looked for also what others hang on it.
      const touches =
        id === partId && [wire.from, wire.to].some((e) => owner.get(e.node)?.id === id);
      if (!isOwn && !touches) continue;
      wires.add(wire);
      for (const { node } of [wire.from, wire.to]) {
        const other = owner.get(node);
        if (!other || home.has(other.id) || (touches && !isOwn && part.sort === 'controller'))
          continue;
        if (!['fuse', 'relay', 'switch', 'stud', 'splice'].includes(other.sort)) continue;
        home.add(other.id);
        open.push(other.id);
      }
    }
  }
  return drawnSheet(drawn, { id: `device-${partId}`, title: part.name }, [...wires], home);
}
