import type { CircuitElement, FuelCircuit } from '../build/index.ts';

export type ThroughElement = Exclude<CircuitElement, { kind: 'tank' } | { kind: 'injectors' }>;

/** Elements met from one node to another, following their direction; empty when none leads. */
export function pathBetween(circuit: FuelCircuit, from: string, to: string): ThroughElement[] {
  const through = circuit.elements.filter(
    (e): e is ThroughElement => e.kind !== 'tank' && e.kind !== 'injectors',
  );
  const cameBy = new Map<string, ThroughElement>();
  const queue = [from];
  const seen = new Set(queue);
  while (queue.length > 0) {
    const node = queue.shift()!;
    if (node === to) break;
    for (const element of through) {
      if (element.from !== node || seen.has(element.to)) continue;
      seen.add(element.to);
      cameBy.set(element.to, element);
      queue.push(element.to);
    }
  }
  const path: ThroughElement[] = [];
  let node = to;
  while (node !== from) {
    const element = cameBy.get(node);
    if (!element) return [];
    path.unshift(element);
    node = element.from;
  }
  return path;
}

/** The run of a circuit in the order the fuel takes: to the engine, and back from there. */
export interface FuelRun {
  readonly feed: readonly ThroughElement[];
  /** empty where nothing comes back from the engine */
  readonly back: readonly ThroughElement[];
}

/** Splits a circuit at its injectors: tank to engine, engine to tank. */
export function fuelRun(circuit: FuelCircuit): FuelRun {
  const tank = circuit.elements.find((e) => e.kind === 'tank');
  const injectors = circuit.elements.find((e) => e.kind === 'injectors');
  if (tank?.kind !== 'tank' || injectors?.kind !== 'injectors') return { feed: [], back: [] };
  return {
    feed: pathBetween(circuit, tank.outlet, injectors.node),
    back: pathBetween(circuit, injectors.node, tank.returnNode),
  };
}

/** The whole run, tank to engine and back. */
export function runOf(circuit: FuelCircuit): ThroughElement[] {
  const { feed, back } = fuelRun(circuit);
  return [...feed, ...back];
}
