import { addTo } from '../../numerics/index.ts';
import type { DerivedWire } from '../netlist/derivedWire.ts';
import type { NetPart, Netlist } from '../netlist/netlist.ts';

/** Wires that carry one current out and back, and what they are there for. */
export interface WireRun {
  readonly wires: readonly DerivedWire[];
  readonly kind:
    | 'pump'
    | 'load'
    | 'starter'
    | 'controller'
    | 'sensor ground'
    | 'trunk'
    | 'branch'
    | 'trigger'
    | 'signal';
}

/** Parts through which a run goes on. */
const goesThrough = (part: NetPart): boolean =>
  part.sort === 'relay' || part.sort === 'pump' || part.sort === 'switch' || part.sort === 'device';

/** A fuse between a cable and the stud behind it: one run to the stud. */
function feedsStud(
  fuse: NetPart,
  at: (node: string) => readonly DerivedWire[],
  studs: ReadonlySet<string>,
): boolean {
  const [before, after] = fuse.pins;
  if (fuse.sort !== 'fuse' || !before || !after) return false;
  const behind = at(after.node);
  return (
    behind.length === 1 &&
    at(before.node).length === 1 &&
    behind.some(({ from, to }) => studs.has(from.node) || studs.has(to.node))
  );
}

/**
 * The wires of a netlist by the runs that they make: two meet in one where a part with nothing else
 * on those pins lies between them.
 */
export function wireRuns(netlist: Netlist): WireRun[] {
  const at = new Map<string, DerivedWire[]>();
  for (const wire of netlist.wires) {
    for (const { node } of [wire.from, wire.to]) addTo(at, node, wire);
  }
  const on = (node: string): readonly DerivedWire[] => at.get(node) ?? [];
  const runOf = new Map<string, DerivedWire[]>(netlist.wires.map((wire) => [wire.id, [wire]]));
  const unite = (a: string, b: string): void => {
    const [first, second] = [on(a), on(b)];
    const [one, other] = [first[0], second[0]];
    if (first.length !== 1 || second.length !== 1 || !one || !other) return;
    const [run, joins] = [runOf.get(one.id) ?? [], runOf.get(other.id) ?? []];
    if (run === joins) return;
    run.push(...joins);
    for (const wire of joins) runOf.set(wire.id, run);
  };
  const studs = new Set(
    netlist.parts.flatMap((part) =>
      part.sort === 'stud' ? part.pins.map(({ node }) => node) : [],
    ),
  );
  for (const part of netlist.parts) {
    const [a, b] = part.pins;
    if (a && b && feedsStud(part, on, studs)) unite(a.node, b.node);
    if (!goesThrough(part)) continue;
    for (const element of part.inside) {
      if (element.kind !== 'source') unite(element.from, element.to);
    }
  }
  const partOf = new Map(
    netlist.parts.flatMap((part) => part.pins.map((pin) => [pin.node, part] as const)),
  );
  const loadFrom = new Map(
    netlist.parts.flatMap((part) =>
      part.inside.flatMap((e) => (e.kind === 'load' ? [[e.from, { part, load: e }] as const] : [])),
    ),
  );
  const order = new Map(netlist.wires.map((wire, i) => [wire.id, i]));
  const orderOf = (wire: DerivedWire): number => order.get(wire.id) ?? 0;
  return [...new Set(runOf.values())].map((unordered): WireRun => {
    const wires = [...unordered].sort((x, y) => orderOf(x) - orderOf(y));
    const nodes = wires.flatMap(({ from, to }) => [from.node, to.node]);
    const parts = nodes.flatMap((node) => partOf.get(node) ?? []);
    const served = nodes.flatMap((node) => loadFrom.get(node) ?? []);
    const kind = ((): WireRun['kind'] => {
      if (served.some(({ part }) => part.sort === 'pump')) return 'pump';
      if (served.some(({ load }) => load.when === 'cranking')) return 'starter';
      if (served.some(({ part }) => part.sort === 'relay')) return 'trigger';
      if (served.some(({ part }) => part.sort !== 'controller')) return 'load';
      if (wires.some(({ role }) => role === 'sensor ground')) return 'sensor ground';
      if (
        wires.some(
          ({ role }) =>
            role === 'signal' || role === 'bus' || role === 'shield' || role === 'reference',
        )
      ) {
        return 'signal';
      }
      if (wires.some(({ role }) => role === 'triggered')) return 'trigger';
      // What comes out of a controller’s grounds is what its outputs drew.
      if (parts.some(({ sort }) => sort === 'controller')) {
        return wires.some(({ role }) => role === 'ground') ? 'load' : 'controller';
      }
      const ends = parts.map(({ sort }) => sort);
      if (ends.includes('battery')) return 'trunk';
      if (ends.includes('fuse')) return 'branch';
      return 'trunk';
    })();
    return { wires, kind };
  });
}
