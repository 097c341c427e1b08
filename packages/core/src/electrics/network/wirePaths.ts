import type { DerivedWire } from '../netlist/derivedWire.ts';
import type { Netlist, NetPart } from '../netlist/netlist.ts';

interface Step {
  readonly to: string;
  readonly wire: DerivedWire | undefined;
}

/** Ways from node to node of a netlist: along its wires, and through what lets current on. */
export class WirePaths {
  private readonly ways = new Map<string, Step[]>();
  private readonly partOf = new Map<string, NetPart>();

  constructor(netlist: Netlist) {
    for (const wire of netlist.wires) this.join(wire.from.node, wire.to.node, wire);
    for (const part of netlist.parts) {
      for (const { node } of part.pins) this.partOf.set(node, part);
      const [a, b] = part.pins;
      if (part.sort === 'fuse' && a && b) this.join(a.node, b.node);
      for (const element of part.inside) {
        if (element.kind === 'contact') this.join(element.from, element.to);
      }
    }
  }

  private join(a: string, b: string, wire?: DerivedWire): void {
    this.waysFrom(a).push({ to: b, wire });
    this.waysFrom(b).push({ to: a, wire });
  }

  private waysFrom(node: string): Step[] {
    const present = this.ways.get(node);
    if (present) return present;
    const ways: Step[] = [];
    this.ways.set(node, ways);
    return ways;
  }

  /** The wires of the shortest way from a node to one that is sought; undefined without a way. */
  wiresTo(
    start: string,
    isEnd: (part: NetPart, node: string) => boolean,
  ): readonly DerivedWire[] | undefined {
    const came = new Map<string, Step & { readonly from: string }>();
    const seen = new Set([start]);
    const open = [start];
    for (let node = open.shift(); node !== undefined; node = open.shift()) {
      const part = this.partOf.get(node);
      if (node !== start && part && isEnd(part, node)) {
        const wires: DerivedWire[] = [];
        for (let step = came.get(node); step; step = came.get(step.from)) {
          if (step.wire) wires.unshift(step.wire);
        }
        return wires;
      }
      for (const step of this.ways.get(node) ?? []) {
        if (seen.has(step.to)) continue;
        seen.add(step.to);
        came.set(step.to, { ...step, from: node });
        open.push(step.to);
      }
    }
    return undefined;
  }
}
