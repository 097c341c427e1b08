import { memo } from '../../numerics/index.ts';
import { waysOf } from '../elements/index.ts';
import type { CircuitElement, FuelCircuit, ThroughElement } from '../../model/index.ts';

export const isThrough = (element: CircuitElement): element is ThroughElement => 'from' in element;

/** One step along a run: an element passed from one node to another. */
export interface RunStep {
  readonly id: string;
  readonly name: string;
  readonly element: CircuitElement;
  readonly from: string;
  readonly to: string;
}

/** Every way through the elements of a circuit, in the direction of the fuel. */
export const waysThrough = memo((circuit: FuelCircuit): readonly RunStep[] =>
  circuit.elements.flatMap((element) =>
    waysOf(element).map(([from, to]) => ({
      id: element.id,
      name: element.name,
      element,
      from,
      to,
    })),
  ),
);

/** Steps from one node to another, the fewest there are; empty when none leads. */
export function pathBetween(
  circuit: FuelCircuit,
  from: string,
  to: string,
  mayPass: (step: RunStep) => boolean = () => true,
): RunStep[] {
  const ways = waysThrough(circuit).filter(mayPass);
  const cameBy = new Map<string, RunStep>();
  const queue = [from];
  const seen = new Set(queue);
  while (queue.length > 0) {
    const node = queue.shift()!;
    if (node === to) break;
    for (const step of ways) {
      if (step.from !== node || seen.has(step.to)) continue;
      seen.add(step.to);
      cameBy.set(step.to, step);
      queue.push(step.to);
    }
  }
  const path: RunStep[] = [];
  let node = to;
  while (node !== from) {
    const step = cameBy.get(node);
    if (!step) return [];
    path.unshift(step);
    node = step.from;
  }
  return path;
}

/** Whether fuel can run from one node to another. */
export const leadsTo = (
  circuit: FuelCircuit,
  from: string,
  to: string,
  mayPass?: (step: RunStep) => boolean,
): boolean => from === to || pathBetween(circuit, from, to, mayPass).length > 0;

/** Whether a node is on the suction side: its fuel comes to a pump before it passes another. */
export const beforePump = (circuit: FuelCircuit, node: string): boolean =>
  pumpsOf(circuit).some((pump) =>
    leadsTo(
      circuit,
      node,
      pump.from,
      (step) => step.element.kind !== 'pump' && step.element.kind !== 'surge-tank',
    ),
  );

/** The run of a circuit in the order the fuel takes: to the engine, and back from there. */
export interface FuelRun {
  readonly feed: readonly RunStep[];
  /** empty where nothing comes back from the engine */
  readonly back: readonly RunStep[];
}

/** The tank of a circuit; undefined in a circuit that is not finished. */
export const tankOf = (circuit: FuelCircuit) =>
  circuit.elements.find((e): e is Extract<CircuitElement, { kind: 'tank' }> => e.kind === 'tank');

/** The rails of a circuit: where injectors sit. */
export const railsOf = (circuit: FuelCircuit) =>
  circuit.elements.filter(
    (e): e is Extract<CircuitElement, { kind: 'injectors' }> => e.kind === 'injectors',
  );

/** The pumps of a circuit. */
export const pumpsOf = (circuit: FuelCircuit) =>
  circuit.elements.filter((e): e is Extract<CircuitElement, { kind: 'pump' }> => e.kind === 'pump');

/** Splits a circuit at its first rail: tank to engine, engine to tank. */
export function fuelRun(circuit: FuelCircuit): FuelRun {
  const tank = tankOf(circuit);
  const rail = railsOf(circuit)[0];
  if (!tank || !rail) return { feed: [], back: [] };
  return {
    feed: pathBetween(circuit, tank.outlet, rail.node),
    back: pathBetween(circuit, rail.node, tank.returnNode),
  };
}

/** The whole run, tank to engine and back. */
export function runOf(circuit: FuelCircuit): RunStep[] {
  const { feed, back } = fuelRun(circuit);
  return [...feed, ...back];
}

/** Pumps that fill a surge tank, and those that feed the engine. */
export function pumpDuties(circuit: FuelCircuit) {
  const surge = circuit.elements.find((e) => e.kind === 'surge-tank');
  const lifts = (node: string): boolean =>
    surge?.kind === 'surge-tank' && leadsTo(circuit, node, surge.inlet);
  const pumps = pumpsOf(circuit);
  return {
    surge: surge?.kind === 'surge-tank' ? surge : undefined,
    lift: pumps.filter((p) => lifts(p.to)),
    main: pumps.filter((p) => !lifts(p.to)),
  };
}

/** Where a field of an element stands in the document. */
export const elementPath = (
  circuit: Pick<FuelCircuit, 'id'>,
  element: Pick<CircuitElement, 'id'>,
  ...fields: readonly string[]
): string[] => ['fuelCircuits', circuit.id, 'elements', element.id, ...fields];

/** A circuit with another value in fields of one of its elements. */
export const withElement = (
  circuit: FuelCircuit,
  elementId: string,
  fields: object,
): FuelCircuit => ({
  ...circuit,
  elements: circuit.elements.map((e) => (e.id === elementId ? { ...e, ...fields } : e)),
});

/** Where the place of a joint stands in the document. */
export const placePath = (circuit: FuelCircuit, nodeId: string): string[] => [
  'placements',
  circuit.nodes.find((n) => n.id === nodeId)?.placementId ?? '',
];
