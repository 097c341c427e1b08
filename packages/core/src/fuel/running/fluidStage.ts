import { firstOf } from '../../numerics/index.ts';
import { pumpDuties } from '../circuits/circuitRun.ts';
import type { CircuitSolution } from '../hydraulics/solveCircuit.ts';
import { circuitScope } from '../figureNames.ts';
import { type Boiling, boilingOf } from './boiling.ts';
import { type CaseName, caseNames, namedCases, pumpLostCase } from './cases.ts';
import {
  type Deliverable,
  type DeliveredFlow,
  bareDeliverable,
  deliverable,
  fillingFlow,
} from './deliverable.ts';
import type { CircuitDesign, FluidDesign } from './design.ts';
import type { RunningPoint } from './runningPoint.ts';
import { solvePoint } from './solvePoint.ts';
import { type WorstDuty, worstDuty } from './sweepMap.ts';

/** A named case of one circuit: solved, or the reason why not. */
export interface SolvedCase {
  readonly point: RunningPoint;
  readonly solution: CircuitSolution;
}

/** The named cases; one pump lost only where there are several. */
export type NamedCases = Readonly<Record<CaseName, SolvedCase>> & {
  readonly pumpLost?: SolvedCase;
};

export interface FluidResult {
  readonly design: CircuitDesign;
  readonly cases: NamedCases;
  readonly peak: Deliverable | undefined;
  /** what could be delivered in each case, its rail held; left out where that has no solution */
  readonly delivered: Readonly<Partial<Record<SolvedCaseName, DeliveredFlow>>>;
  /** volume flow m³/s that fills the empty pressure side at key-on */
  readonly filling: number | undefined;
  /** highest duty over the map, with its row */
  readonly worstDuty: WorstDuty | undefined;
  /** the fuel that boiling is judged with */
  readonly boiling: Boiling;
}

/** A named case, or the one with a pump lost. */
export type SolvedCaseName = keyof NamedCases;

/** The cases that a circuit was solved in, by name. */
export const solvedCases = (cases: NamedCases): (readonly [SolvedCaseName, SolvedCase])[] => [
  ...caseNames.map((name) => [name, cases[name]] as const),
  ...(cases.pumpLost ? [['pumpLost', cases.pumpLost] as const] : []),
];

/** What could be delivered in each case, each solve started from the one of its case. */
const deliveries = (
  design: FluidDesign,
  circuit: CircuitDesign,
  cases: NamedCases,
): FluidResult['delivered'] =>
  Object.fromEntries(
    solvedCases(cases).flatMap(([name, { point, solution }]) => {
      const warm = solution.state === 'converged' ? solution.warm : undefined;
      const held = bareDeliverable(design, circuit, point, warm);
      if (!held) return [];
      const { solution: _, ...flow } = held;
      return [[name, flow] as const];
    }),
  );

/** Every named case, the highest duty over the map and the deliverable flows of each circuit. */
export function fluidStage(design: FluidDesign): FluidResult[] {
  const points = namedCases(design.document, design.demand);
  return design.circuits.map((circuit, i) => {
    const solvedAt = (point: RunningPoint): SolvedCase => ({
      point,
      solution: solvePoint(design, circuit, point),
    });
    const named = caseNames.map((name) => [name, solvedAt(points[name])] as const);
    const { main } = pumpDuties(circuit.circuit);
    const lost = main.length > 1 ? pumpLostCase(points, firstOf(main)) : undefined;
    const cases: NamedCases = {
      ...(Object.fromEntries(named) as Record<CaseName, SolvedCase>),
      ...(lost && { pumpLost: solvedAt(lost) }),
    };
    return {
      design: circuit,
      cases,
      peak: deliverable(design, circuit, points.peakPower),
      delivered: deliveries(design, circuit, cases),
      filling: fillingFlow(design, circuit, points.keyOnPrime),
      worstDuty: worstDuty(design, circuit),
      boiling: boilingOf(
        design,
        circuit,
        cases.cruise.solution,
        circuitScope(i, circuit.circuit.id),
      ),
    };
  });
}
