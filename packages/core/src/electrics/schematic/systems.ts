import { type ElectricSystem, deviceRoleOf } from '../../catalogue/index.ts';
import type { NetPart, Netlist } from '../netlist/netlist.ts';

/** The system of a part by what it is; undefined for what stands between others. */
function ownSystem({ sort, role }: NetPart): ElectricSystem | undefined {
  switch (sort) {
    case 'battery':
    case 'stud':
    case 'ground':
      return 'supply';
    case 'controller':
      return 'controllers';
    case 'pump':
      return 'pumps';
    case 'fuse':
    case 'relay':
    case 'splice':
    case 'signal':
      return undefined;
    case 'device':
    case 'switch':
      // Injectors are the only devices that are no item of the catalogue with a role.
      return role === undefined ? 'injection' : deviceRoleOf(role).system;
  }
}

/**
 * The system of every part. A fuse, relay or splice belongs to the system of all that hangs on it,
 * to the supply where that is several.
 */
export function systemsOf({ parts, wires }: Netlist): ReadonlyMap<string, ElectricSystem> {
  const owner = new Map(
    parts.flatMap((part) => part.pins.map(({ node }) => [node, part.id] as const)),
  );
  const own = new Map(parts.map((part) => [part.id, ownSystem(part)]));
  const hangsOn = new Map<string, Set<string>>();
  for (const { from, to, partId } of wires) {
    for (const { node } of [from, to]) {
      const other = owner.get(node);
      if (other === undefined || other === partId) continue;
      hangsOn.set(other, (hangsOn.get(other) ?? new Set()).add(partId));
    }
  }
  const found = new Map<string, ElectricSystem>();
  const systemOf = (id: string, seen: ReadonlySet<string>): ElectricSystem | undefined => {
    const known = found.get(id) ?? own.get(id);
    if (known) return known;
    if (seen.has(id)) return undefined;
    const behind = new Set(
      [...(hangsOn.get(id) ?? [])].flatMap((each) => systemOf(each, new Set([...seen, id])) ?? []),
    );
    const [only] = behind;
    return behind.size === 1 ? only : behind.size > 1 ? 'supply' : undefined;
  };
  for (const { id } of parts) found.set(id, systemOf(id, new Set()) ?? 'supply');
  return found;
}
