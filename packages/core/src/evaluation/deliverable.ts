import type { SolvedCircuit } from '../hydraulics/index.ts';
import type { CircuitDesign, FluidDesign } from './design.ts';
import { regulatorOf, rowMassFlow, solvePoint } from './solvePoint.ts';
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
  const solution = solvePoint(design, circuit, point, { regulators: 'holding' });
  const regulator = regulatorOf(circuit, design.catalogue);
  if (solution.state === 'failed' || !regulator) return undefined;
  const engineMassFlow = circuit.rows.reduce((sum, row) => sum + rowMassFlow(row, point), 0);
  const spareMassFlow = solution.elements[regulator.branchId]!.massFlow;
  const density = circuit.fuel.hot.density;
  const drawn = circuit.circuit.elements
    .filter((e) => e.kind === 'injectors')
    .reduce((sum, e) => sum + solution.elements[e.id]!.massFlow, 0);
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
