import { addTo } from '../../numerics/index.ts';
import type { Netlist } from '../netlist/netlist.ts';

/**
 * What alternators and stators give at most, A, by the wires and fuses that lead it to the battery:
 * their cable is sized for all of it, whatever is on.
 */
export function generatedCurrents(netlist: Netlist): ReadonlyMap<string, number> {
  const at = new Map<string, string[]>();
  const other = new Map<string, string>();
  for (const { id, from, to, role } of netlist.wires) {
    if (role === 'ground') continue;
    addTo(at, from.node, id);
    addTo(at, to.node, id);
    other.set(`${id} ${from.node}`, to.node);
    other.set(`${id} ${to.node}`, from.node);
  }
  const fuseAt = new Map<string, { readonly id: string; readonly to: string }>();
  for (const part of netlist.parts) {
    const [a, b] = part.pins;
    if (part.sort !== 'fuse' || !a || !b) continue;
    fuseAt.set(a.node, { id: part.id, to: b.node });
    fuseAt.set(b.node, { id: part.id, to: a.node });
  }
  const generated = new Map<string, number>();
  for (const { outputs } of netlist.parts) {
    for (const { node, current } of outputs) {
      // One way only: from the generator over its cable and fuse to where the ways part.
      let here: string | undefined = node;
      const seen = new Set<string>();
      while (here !== undefined && !seen.has(here)) {
        seen.add(here);
        const fuse = fuseAt.get(here);
        if (fuse && !seen.has(fuse.to)) {
          generated.set(fuse.id, current);
          here = fuse.to;
          continue;
        }
        const onward: readonly string[] = (at.get(here) ?? []).filter((id) => !generated.has(id));
        const [only] = onward;
        if (onward.length !== 1 || only === undefined) break;
        generated.set(only, current);
        here = other.get(`${only} ${here}`);
      }
    }
  }
  return generated;
}
