import { valueUnder } from '../../numerics/index.ts';
import { railsOf } from '../circuits/circuitRun.ts';
import type { NetworkSolution, WarmStart } from '../hydraulics/network.ts';
import { type SolvedCircuit, stateOf } from '../hydraulics/solveCircuit.ts';
import { flowOrNothing } from '../hydraulics/fluid.ts';
import { pressureKeeperOf } from '../hydraulics/pressureKeeper.ts';
import type { CircuitDesign, FluidDesign } from './design.ts';
import { fluidAt } from './fluidAt.ts';
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
  const { density } = fluidAt(circuit, point);
  const drawn = railsOf(circuit.circuit).reduce((sum, rail) => sum + flowOf(rail.id), 0);
  const available = flowOrNothing((drawn + spareMassFlow) / density);
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

/**
 * Volume flow m³/s that fills an empty pressure side: what the pumps make with nothing but the
 * line before them, its far end open. Undefined when unsolved.
 */
export function fillingFlow(
  design: FluidDesign,
  circuit: CircuitDesign,
  point: RunningPoint,
): number | undefined {
  const solution = solveBarePoint(design, circuit, heldAt(point), {
    regulators: 'holding',
    heldAt: 0,
  });
  if (solution.state === 'failed') return undefined;
  return deliveredFlow(design, circuit, point, (id) => valueUnder(solution.flows, id))?.available;
}

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
    (branchId) => stateOf(solution, branchId).massFlow,
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
  const flow = deliveredFlow(design, circuit, point, (branchId) =>
    valueUnder(solution.flows, branchId),
  );
  return flow && { ...flow, solution };
}
