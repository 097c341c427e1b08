import type { ElectricCircuit, ElectricElement, NodeName } from './circuit.ts';
import { MergedNodes, isRigid } from './mergedNodes.ts';
import { isNonlinear } from './nonlinear.ts';
import { SymmetricPattern } from './symmetricPattern.ts';

/** The rows and entries that an element between two nodes counts in; −1 where an end is ground. */
interface Stamp {
  readonly from: number;
  readonly to: number;
  readonly fromTo: number;
}

/** A name that is held above its row: by elements at their places, each lifting or lowering it. */
interface Lifted {
  readonly name: number;
  readonly by: readonly { readonly place: number; readonly sign: 1 | -1 }[];
}

function liftedNames(
  names: readonly NodeName[],
  merged: MergedNodes,
  elements: readonly ElectricElement[],
): readonly Lifted[] {
  const placeOf = new Map(elements.map(({ id }, place) => [id, place]));
  return names.flatMap((node, name): Lifted[] => {
    const by = merged.liftsOf(node).map(({ id, sign }) => ({ place: placeOf.get(id) ?? -1, sign }));
    return by.length > 0 ? [{ name, by }] : [];
  });
}

/**
 * All of a circuit that its values leave as it is: what lies between which nodes, and which of them
 * are held together. Throws BadInput for sources without resistance that close a loop.
 */
export class CircuitShape {
  readonly merged: MergedNodes;
  readonly names: readonly NodeName[];
  readonly rows: ReadonlyMap<NodeName, number>;
  readonly pattern: SymmetricPattern;
  readonly stamps: readonly Stamp[];
  readonly rowOfName: Int32Array;
  /** the names of both ends of each element, by their place in `names` */
  readonly fromName: Int32Array;
  readonly toName: Int32Array;
  readonly numberOf: ReadonlyMap<NodeName, number>;
  /** names that sources hold above their row, with the elements that do */
  readonly lifted: readonly Lifted[];
  readonly holdsTogether: boolean;
  /** places of the elements whose current is no straight line of their voltage */
  readonly bent: readonly number[];

  constructor(private readonly circuit: ElectricCircuit) {
    const { elements, ground } = circuit;
    this.merged = new MergedNodes(circuit);
    this.names = [...new Set([ground, ...elements.flatMap(({ from, to }) => [from, to])])];
    const roots = new Set(this.names.map((name) => this.merged.rootOf(name)));
    roots.delete(ground);
    this.rows = new Map([...roots].map((name, row) => [name, row]));
    this.rowOfName = Int32Array.from(this.names, (name) => this.rowOf(name));
    this.numberOf = new Map(this.names.map((name, i) => [name, i]));
    this.fromName = Int32Array.from(elements, ({ from }) => this.numberOf.get(from) ?? 0);
    this.toName = Int32Array.from(elements, ({ to }) => this.numberOf.get(to) ?? 0);
    this.holdsTogether = elements.some(isRigid);
    this.lifted = liftedNames(this.names, this.merged, elements);
    this.bent = elements.flatMap((element, k) => (isNonlinear(element) ? [k] : []));
    const ends = elements.map(({ from, to }) => [this.rowOf(from), this.rowOf(to)] as const);
    this.pattern = new SymmetricPattern(
      this.rows.size,
      ends.filter(([from, to]) => from >= 0 && to >= 0 && from !== to),
    );
    this.stamps = ends.map(([from, to]) => ({
      from,
      to,
      fromTo: from >= 0 && to >= 0 && from !== to ? this.pattern.entry(from, to) : -1,
    }));
  }

  /** The row of a node; −1 where it is ground. */
  rowOf(name: NodeName): number {
    return this.rows.get(this.merged.rootOf(name)) ?? -1;
  }

  /** Whether it is the shape of a circuit, with its elements in the same order. */
  isOf({ ground, elements }: ElectricCircuit): boolean {
    return (
      ground === this.circuit.ground &&
      elements.length === this.circuit.elements.length &&
      elements.every((element, k) => isAlike(element, this.circuit.elements[k]))
    );
  }
}

/** Whether two elements differ by their values alone. */
const isAlike = (element: ElectricElement, other: ElectricElement | undefined): boolean =>
  element.id === other?.id &&
  element.kind === other.kind &&
  element.from === other.from &&
  element.to === other.to &&
  isRigid(element) === isRigid(other);

/** Shapes analysed last: an edit mostly leaves the wiring as it is and changes its values. */
const recent: CircuitShape[] = [];
const REMEMBERED = 4;

/** The shape of a circuit; one that was analysed a moment ago is not analysed again. Throws BadInput. */
export function circuitShape(circuit: ElectricCircuit): CircuitShape {
  const place = recent.findIndex((shape) => shape.isOf(circuit));
  const shape = recent[place] ?? new CircuitShape(circuit);
  if (place >= 0) recent.splice(place, 1);
  recent.unshift(shape);
  recent.length = Math.min(recent.length, REMEMBERED);
  return shape;
}
