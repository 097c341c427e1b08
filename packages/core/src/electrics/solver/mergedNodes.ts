import { addTo } from '../../numerics/index.ts';
import { BadInput } from '../../quantities/index.ts';
import type {
  ElectricCircuit,
  ElectricElement,
  NodeName,
  Resistor,
  VoltageSource,
} from './circuit.ts';

/** An element that fixes the voltage between its nodes: no resistance stands in between. */
export type Rigid = VoltageSource | Resistor;

export const isRigid = (element: ElectricElement): element is Rigid =>
  (element.kind === 'source' || element.kind === 'resistor') && element.resistance === 0;

/** What a rigid element lifts its `to` above its `from`, V. */
export const riseOf = (element: Rigid): number => (element.kind === 'source' ? element.voltage : 0);

/** Nodes that rigid elements hold together, each group a tree that hangs on one of them. */
export class MergedNodes {
  private readonly above = new Map<NodeName, { readonly root: NodeName; readonly by: Rigid }>();
  private readonly inOrder: Rigid[] = [];

  /** Throws BadInput for sources that close a loop. */
  constructor(circuit: ElectricCircuit) {
    const rigid = circuit.elements.filter(isRigid);
    const from = new Map<NodeName, Rigid[]>();
    for (const element of rigid) {
      for (const end of [element.from, element.to]) {
        addTo(from, end, element);
      }
    }
    const used = new Set<string>();
    const seen = new Set<NodeName>();
    // Ground first, so that what hangs on it hangs on 0 V.
    for (const root of [circuit.ground, ...from.keys()]) {
      if (seen.has(root)) continue;
      seen.add(root);
      const open = [root];
      for (let node = open.shift(); node !== undefined; node = open.shift()) {
        for (const element of from.get(node) ?? []) {
          const other = element.from === node ? element.to : element.from;
          if (used.has(element.id)) continue;
          used.add(element.id);
          if (seen.has(other)) {
            if (element.kind === 'resistor') continue;
            throw new BadInput(
              `${element.id} closes a loop of sources without resistance`,
              element.id,
            );
          }
          seen.add(other);
          this.above.set(other, { root: node, by: element });
          this.inOrder.push(element);
          open.push(other);
        }
      }
    }
  }

  /** The node that a node's voltage is counted from. */
  rootOf(node: NodeName): NodeName {
    let root = node;
    for (let next = this.above.get(root); next; next = this.above.get(root)) root = next.root;
    return root;
  }

  /** What lifts a node above its root: rigid elements by id, and whether each lifts or lowers it. */
  liftsOf(node: NodeName): readonly { readonly id: string; readonly sign: 1 | -1 }[] {
    const lifts: { id: string; sign: 1 | -1 }[] = [];
    let at = node;
    for (let next = this.above.get(at); next; next = this.above.get(at)) {
      lifts.push({ id: next.by.id, sign: next.by.to === at ? 1 : -1 });
      at = next.root;
    }
    return lifts;
  }

  /**
   * Currents of rigid elements from what leaves each node through all others: from the ends of each
   * tree inwards. An element that only closes a ring of wires without resistance carries none.
   */
  currents(leavingAt: (node: NodeName) => number): Map<string, number> {
    const found = new Map<string, number>();
    const leaving = new Map<NodeName, number>();
    const at = (node: NodeName): number => leaving.get(node) ?? leavingAt(node);
    for (const element of this.inOrder.toReversed()) {
      const child = this.above.get(element.to)?.by === element ? element.to : element.from;
      const parent = child === element.to ? element.from : element.to;
      const out = at(child);
      // What leaves the far node comes to it through this element.
      found.set(element.id, child === element.to ? out : -out);
      leaving.set(parent, at(parent) + out);
    }
    return found;
  }
}
