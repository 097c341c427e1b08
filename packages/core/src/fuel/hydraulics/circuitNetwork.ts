import type { FuelCircuit } from '../../model/index.ts';
import {
  type CircuitConditions,
  type ElementSurroundings,
  elementKindOf,
} from '../elements/index.ts';
import type { Network, NetworkBranch, NetworkNode } from './network.ts';
import { type PressureKeeper, pressureKeeperOf } from './pressureKeeper.ts';
import { heldPressure, spareBranch } from './regulatorBranch.ts';
import { type Topology, readTopology } from './topology.ts';

/** A circuit with all that does not change from one running point to the next worked out once. */
export interface PreparedCircuit extends ElementSurroundings {
  readonly circuit: FuelCircuit;
  /** branches that are the same at every running point, by element id */
  readonly passive: ReadonlyMap<string, NetworkBranch>;
  readonly nodes: readonly NetworkNode[];
  readonly keeper: PressureKeeper | undefined;
  /** what is joined to what, for each way the regulators are asked; read once */
  readonly topologies: Map<CircuitConditions['regulators'], Topology>;
}

/** Works out what stays the same over running points. Throws NotFound for missing items. */
export function prepareCircuit(
  input: ElementSurroundings & {
    readonly circuit: FuelCircuit;
    readonly lengths: Readonly<Record<string, number>>;
    /** loss coefficients of bends, by line */
    readonly bendLosses?: Readonly<Record<string, { readonly value: number }>>;
  },
): PreparedCircuit {
  const { circuit, catalogue, fluid, heights, lengths } = input;
  const nodes = new Map<string, NetworkNode>(circuit.nodes.map((n) => [n.id, { id: n.id }]));
  const passive = new Map<string, NetworkBranch>();
  for (const element of circuit.elements) {
    const kind = elementKindOf(element);
    for (const node of kind.fixedNodes?.(element, fluid) ?? []) nodes.set(node.id, node);
    if (!kind.law || !('from' in element)) continue;
    const { id, from, to } = element;
    const model = kind.law(element, {
      catalogue,
      fluid,
      heights,
      length: lengths[id] ?? 0,
      bendLoss: input.bendLosses?.[id]?.value ?? 0,
    });
    passive.set(id, { id, from, to, model: () => model });
  }
  return {
    circuit,
    catalogue,
    fluid,
    heights,
    passive,
    nodes: [...nodes.values()],
    keeper: pressureKeeperOf(circuit, catalogue),
    topologies: new Map(),
  };
}

/** Lets what is left over go at a held node, where nothing returns: asks what can be delivered. */
function spareAt(keeper: PressureKeeper, held: number): NetworkBranch {
  const model = spareBranch(held);
  return { id: keeper.spareBranchId, from: keeper.node, to: null, model: () => model };
}

/** Builds the network of a prepared circuit at a running point. */
export function circuitNetwork(prepared: PreparedCircuit, conditions: CircuitConditions): Network {
  const { circuit, catalogue, fluid, heights, keeper, nodes, topologies } = prepared;
  const branches: NetworkBranch[] = [];
  const guess = keeper
    ? (conditions.heldAt ?? heldPressure(keeper, conditions.manifoldGauge))
    : 3e5;
  for (const element of circuit.elements) {
    const known = prepared.passive.get(element.id);
    if (known) branches.push(known);
    const keeps = keeper?.elementId === element.id;
    const others = elementKindOf(element).branches?.(element, {
      catalogue,
      fluid,
      heights,
      conditions,
      keeps,
    });
    if (others) branches.push(...others);
  }
  const mode = conditions.regulators;
  if (mode === 'holding' && keeper && keeper.kind !== 'return') {
    branches.push(spareAt(keeper, guess));
  }
  const network: Network = { nodes, branches, initialPressure: guess };
  let topology = topologies.get(mode);
  if (!topology) {
    topology = readTopology(network);
    topologies.set(mode, topology);
  }
  return { ...network, topology };
}
