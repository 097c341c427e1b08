import { firstOf, lastOf } from '../../numerics/index.ts';
import { BadInput, NotFound } from '../../quantities/index.ts';
import { portsOf } from '../elements/index.ts';
import { isThrough, pathBetween, tankOf } from './circuitRun.ts';
import type {
  Build,
  CircuitElement,
  FuelCircuit,
  InsertedElement,
  ThroughElement,
} from '../../model/index.ts';

/** The nodes at which an element is joined. */
export const nodesOf = (element: CircuitElement): string[] =>
  portsOf(element).map(([, node]) => node);

/** An element with every mention of a node changed, sensors included. */
function renamedNodes(element: CircuitElement, rename: (node: string) => string): CircuitElement {
  const ports = Object.fromEntries(portsOf(element).map(([port, node]) => [port, rename(node)]));
  const renamed = { ...element, ...ports } as CircuitElement;
  if (renamed.kind !== 'pump' || renamed.control?.kind !== 'pressure') return renamed;
  const sensorNode = rename(renamed.control.sensorNode);
  return { ...renamed, control: { ...renamed.control, sensorNode } };
}

/** A circuit whose elements and nodes carry a prefix, so that ids of two circuits never meet. */
export function withPrefix(circuit: FuelCircuit, prefix: string): FuelCircuit {
  if (prefix === '') return circuit;
  return {
    ...circuit,
    nodes: circuit.nodes.map((node) => ({ ...node, id: prefix + node.id })),
    elements: circuit.elements.map((element) => ({
      ...renamedNodes(element, (node) => prefix + node),
      id: prefix + element.id,
    })),
  };
}

function throughElement(circuit: FuelCircuit, elementId: string): ThroughElement {
  const element = circuit.elements.find((e) => e.id === elementId);
  if (!element) throw new NotFound(`there is no element "${elementId}"`, elementId);
  if (!isThrough(element)) {
    throw new BadInput(`"${element.name}" belongs to the circuit and stays where it is`, elementId);
  }
  return element;
}

/** Only the nodes that something is joined to. */
function tidied(circuit: FuelCircuit): FuelCircuit {
  const used = new Set(circuit.elements.flatMap(nodesOf));
  return { ...circuit, nodes: circuit.nodes.filter((node) => used.has(node.id)) };
}

/** An id that no node or element of the build has yet. */
export function freshId(document: Pick<Build, 'fuelCircuits'>, wanted: string): string {
  const taken = new Set(
    document.fuelCircuits.flatMap((c) => [
      ...c.nodes.map((n) => n.id),
      ...c.elements.map((e) => e.id),
    ]),
  );
  if (!taken.has(wanted)) return wanted;
  for (let n = 2; ; n++) if (!taken.has(`${wanted}-${n}`)) return `${wanted}-${n}`;
}

/**
 * Puts an element behind another one: between it and whatever follows. `nodeId` names the joint
 * that comes between them, at the place of the joint behind. Throws NotFound or BadInput.
 */
export function insertElement(input: {
  circuit: FuelCircuit;
  afterId: string;
  element: InsertedElement;
  nodeId: string;
}): FuelCircuit {
  const { circuit, afterId, nodeId } = input;
  const before = throughElement(circuit, afterId);
  const joint = circuit.nodes.find((n) => n.id === before.to);
  if (!joint) throw new NotFound(`there is no joint "${before.to}"`, before.to);
  const inserted = { ...input.element, from: nodeId, to: before.to } as ThroughElement;
  return {
    ...circuit,
    nodes: circuit.nodes.flatMap((n) =>
      n.id === joint.id ? [{ id: nodeId, placementId: joint.placementId }, n] : [n],
    ),
    elements: circuit.elements.flatMap((e) =>
      e.id === before.id ? [{ ...before, to: nodeId }, inserted] : [e],
    ),
  };
}

/** Elements in a row around one, between joints where more than two things meet. */
function legOf(circuit: FuelCircuit, element: ThroughElement): ThroughElement[] {
  const joins = (node: string): CircuitElement[] =>
    circuit.elements.filter((e) => nodesOf(e).includes(node));
  const leg = [element];
  for (let next: ThroughElement | undefined = element; next;) {
    const around: CircuitElement[] = joins(next.from);
    const previous: ThroughElement | undefined = around
      .filter(isThrough)
      .find((e) => around.length === 2 && e.to === next!.from);
    if (previous) leg.unshift(previous);
    next = previous;
  }
  for (let next: ThroughElement | undefined = element; next;) {
    const around: CircuitElement[] = joins(next.to);
    const following: ThroughElement | undefined = around
      .filter(isThrough)
      .find((e) => around.length === 2 && e.from === next!.to);
    if (following) leg.push(following);
    next = following;
  }
  return leg;
}

/**
 * Takes an element out. In a row its neighbours are joined; a way beside another one is taken out
 * as it is, a pump beside another with the whole of its way. The last pump, what keeps the
 * pressure, tank and injectors stay: references say so when the document is checked.
 */
export function removeElement(circuit: FuelCircuit, elementId: string): FuelCircuit {
  const element = throughElement(circuit, elementId);
  const leg = legOf(circuit, element);
  const without = (gone: readonly ThroughElement[]): FuelCircuit => ({
    ...circuit,
    elements: circuit.elements.filter((e) => !gone.includes(e as ThroughElement)),
  });
  const bare = without(leg);
  const first = firstOf(leg);
  const last = lastOf(leg);
  const beside = pathBetween(bare, first.from, last.to).length > 0;
  if (beside && (element.kind === 'pump' || leg.length === 1)) return tidied(bare);
  const tank = tankOf(circuit);
  const fixed = new Set(tank ? [tank.outlet, tank.returnNode] : []);
  if (fixed.has(element.from) && fixed.has(element.to)) {
    throw new BadInput(`"${element.name}" is all there is between the ends of the tank`, elementId);
  }
  const [kept, gone] = fixed.has(element.to)
    ? [element.to, element.from]
    : [element.from, element.to];
  const joined = without([element]);
  return tidied({
    ...joined,
    elements: joined.elements.map((e) => renamedNodes(e, (node) => (node === gone ? kept : node))),
  });
}

/** Exchanges an element with its neighbour in the row, towards the tank or towards the engine. */
export function moveElement(
  circuit: FuelCircuit,
  elementId: string,
  direction: 'towards-tank' | 'towards-engine',
): FuelCircuit {
  const element = throughElement(circuit, elementId);
  const node = direction === 'towards-tank' ? element.from : element.to;
  const around = circuit.elements.filter((e) => e.id !== elementId && nodesOf(e).includes(node));
  const neighbour = around[0];
  const inRow =
    around.length === 1 &&
    neighbour !== undefined &&
    isThrough(neighbour) &&
    (direction === 'towards-tank' ? neighbour.to === node : neighbour.from === node);
  if (!inRow) {
    throw new BadInput(`"${element.name}" has no neighbour there to change places with`, elementId);
  }
  const [first, second] =
    direction === 'towards-tank' ? [neighbour, element] : [element, neighbour];
  const places = new Map<string, ThroughElement>([
    [first.id, { ...second, from: first.from, to: first.to }],
    [second.id, { ...first, from: second.from, to: second.to }],
  ]);
  return { ...circuit, elements: circuit.elements.map((e) => places.get(e.id) ?? e) };
}
