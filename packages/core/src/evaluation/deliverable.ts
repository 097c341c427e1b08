import { railsOf } from '../build/index.ts';
import {
  type NetworkSolution,
  type SolvedCircuit,
  type WarmStart,
  pressureKeeperOf,
} from '../hydraulics/index.ts';
import type { CircuitDesign, FluidDesign } from './design.ts';
import type { RunningPoint } from './runningPoint.ts';
import { circuitMassFlow, solveBarePoint, solvePoint } from './solvePoint.ts';

/** What the pumps deliver with the rail held at its pressure. m³/s and kg/s. */
export interface DeliveredFlow {
  readonly available: number;
  readonly needed: number;
  readonly margin: number;
  readonly engineMassFlow: number;
  /** bypass left over; negative when the supply falls short */
  readonly spareMassFlow: number;
}
export interface Deliverable extends DeliveredFlow {
  readonly solution: SolvedCircuit;
}

type FlowOf = (branchId: string) => number;

/** Reads the delivered flow off a circuit that was solved with its rail held. */
function deliveredFlow(
  design: FluidDesign,
  circuit: CircuitDesign,
  point: RunningPoint,
  flowOf: FlowOf,
): DeliveredFlow | undefined {
  const keeper = pressureKeeperOf(circuit.circuit, design.catalogue);
  if (!keeper) return undefined;
  const spareMassFlow = flowOf(keeper.spareBranchId);
  const density = circuit.fuel.hot.density;
  const drawn = railsOf(circuit.circuit).reduce((sum, rail) => sum + flowOf(rail.id), 0);
  const available = (drawn + spareMassFlow) / density;
  const needed = circuitMassFlow(circuit, point) / density;
  return {
    available,
    needed,
    margin: needed > 0 ? available / needed - 1 : Infinity,
    engineMassFlow: drawn,
    spareMassFlow,
  };
}

const heldAt = (point: RunningPoint): RunningPoint => ({ ...point, steppedUp: true });

/** Solves the circuit with its rail held, and compares flow with need; undefined if unsolved. */
export function deliverable(
  design: FluidDesign,
  circuit: CircuitDesign,
  point: RunningPoint,
): Deliverable | undefined {
  const solution = solvePoint(design, circuit, heldAt(point), { regulators: 'holding' });
  if (solution.state === 'failed') return undefined;
  const flow = deliveredFlow(
    design,
    circuit,
    point,
    (branchId) => solution.elements[branchId]!.massFlow,
  );
  return flow && { ...flow, solution };
}

/** The same without reading off the elements, started from a solve nearby: for sweeps. */
export function bareDeliverable(
  design: FluidDesign,
  circuit: CircuitDesign,
  point: RunningPoint,
  warm: WarmStart | undefined,
): (DeliveredFlow & { readonly solution: NetworkSolution & { state: 'converged' } }) | undefined {
  const solution = solveBarePoint(design, circuit, heldAt(point), { regulators: 'holding', warm });
  if (solution.state === 'failed') return undefined;
  const flow = deliveredFlow(design, circuit, point, (branchId) => solution.flows[branchId]!);
  return flow && { ...flow, solution };
}
