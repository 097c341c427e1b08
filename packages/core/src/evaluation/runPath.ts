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

/** The run from tank to return in the order the fuel takes. */
export function runOf(circuit: FuelCircuit): ThroughElement[] {
  const tank = circuit.elements.find((e) => e.kind === 'tank');
  if (!tank || tank.kind !== 'tank') return [];
  if (tank.outlet !== tank.returnNode) return pathBetween(circuit, tank.outlet, tank.returnNode);
  return circuit.elements.filter(
    (e): e is ThroughElement => e.kind !== 'tank' && e.kind !== 'injectors',
  );
}
