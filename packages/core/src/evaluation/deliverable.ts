import { railsOf } from '../build/index.ts';
import type { SolvedCircuit } from '../hydraulics/index.ts';
import type { CircuitDesign, FluidDesign } from './design.ts';
import { pressureKeeperOf } from '../hydraulics/index.ts';
import { circuitMassFlow, solvePoint } from './solvePoint.ts';
import type { RunningPoint } from './runningPoint.ts';

/** What the pumps deliver with the rail held at its pressure. m³/s and kg/s. */
export interface Deliverable {
  readonly available: number;
  readonly needed: number;
  readonly margin: number;
  readonly engineMassFlow: number;
  /** bypass left over; negative when the supply falls short */
  readonly spareMassFlow: number;
  readonly solution: SolvedCircuit;
}

/** Solves the circuit with its rail held, and compares flow with need; undefined if unsolved. */
export function deliverable(
  design: FluidDesign,
  circuit: CircuitDesign,
  point: RunningPoint,
): Deliverable | undefined {
  const held = { ...point, steppedUp: true };
  const solution = solvePoint(design, circuit, held, { regulators: 'holding' });
  const keeper = pressureKeeperOf(circuit.circuit, design.catalogue);
  if (solution.state === 'failed' || !keeper) return undefined;
  const engineMassFlow = circuitMassFlow(circuit, point);
  const spareMassFlow = solution.elements[keeper.spareBranchId]!.massFlow;
  const density = circuit.fuel.hot.density;
  const drawn = railsOf(circuit.circuit).reduce(
    (sum, rail) => sum + solution.elements[rail.id]!.massFlow,
    0,
  );
  const available = (drawn + spareMassFlow) / density;
  const needed = engineMassFlow / density;
  return {
    available,
    needed,
    margin: needed > 0 ? available / needed - 1 : Infinity,
    engineMassFlow: drawn,
    spareMassFlow,
    solution,
  };
}
