import type { CircuitElement } from '../../model/index.ts';
import {
  type AtSolution,
  type CircuitConditions,
  type ElementState,
  type PumpState,
  elementKindOf,
  riseBetween,
} from '../elements/index.ts';
import { valueUnder } from '../../numerics/index.ts';
import { type PreparedCircuit, circuitNetwork } from './circuitNetwork.ts';
import { GRAVITY, boreArea } from './fluid.ts';
import type { NetworkSolution, WarmStart } from './network.ts';
import { reynoldsNumber } from './pipeBranch.ts';
import { solveNetwork } from './solveNetwork.ts';

/** A circuit as it was solved: pressures by joint, states by element. SI, gauge. */
export interface SolvedCircuit {
  readonly state: 'converged';
  readonly pressures: Readonly<Record<string, number>>;
  readonly elements: Readonly<Record<string, ElementState>>;
  readonly pumps: Readonly<Record<string, PumpState>>;
  readonly iterations: number;
  readonly warm: WarmStart;
}

/** A solved circuit, or the reason and the element that is furthest off. */
export type CircuitSolution =
  SolvedCircuit | { readonly state: 'failed'; readonly reason: string; readonly where: string };

/** The state of an element in a solved circuit; a RangeError for one that is not in it. */
export const stateOf = (
  solution: Pick<SolvedCircuit, 'elements'>,
  elementId: string,
): ElementState => valueUnder(solution.elements, elementId);

/** The state of a pump in a solved circuit; a RangeError for one that is not in it. */
export const pumpStateOf = (solution: Pick<SolvedCircuit, 'pumps'>, elementId: string): PumpState =>
  valueUnder(solution.pumps, elementId);

/** Velocity m/s in an element; 0 in one without a bore of its own. */
export const velocityIn = (solution: Pick<SolvedCircuit, 'elements'>, elementId: string): number =>
  stateOf(solution, elementId).velocity ?? 0;

/** Solves a prepared circuit at a running point for pressures and flows alone: for sweeps. */
export const solveBareCircuit = (
  prepared: PreparedCircuit,
  conditions: CircuitConditions,
  warm?: WarmStart,
): NetworkSolution => solveNetwork(circuitNetwork(prepared, conditions), warm);

/** Flow and pressures from inlet to outlet of an element that fuel passes. */
function throughState(
  element: Extract<CircuitElement, { from: string }>,
  at: AtSolution,
  bore: number | undefined,
): ElementState {
  const { fluid, heights, pressure, flow } = at;
  const { id, from, to } = element;
  const massFlow = flow(id);
  const inletPressure = pressure(from);
  const outletPressure = pressure(to);
  const rise = riseBetween(heights, from, to);
  return {
    id,
    massFlow,
    inletPressure,
    outletPressure,
    pressureDrop: inletPressure - outletPressure - fluid.density * GRAVITY * rise,
    ...(bore === undefined
      ? {}
      : {
          velocity: Math.abs(massFlow) / (fluid.density * boreArea(bore)),
          reynolds: reynoldsNumber(massFlow, bore, fluid.viscosity),
        }),
  };
}

/** Solves a prepared circuit at a running point and reads off every element. */
export function solveCircuit(
  prepared: PreparedCircuit,
  conditions: CircuitConditions,
  warm?: WarmStart,
): CircuitSolution {
  const { circuit, catalogue, fluid, heights, keeper } = prepared;
  const solution = solveNetwork(circuitNetwork(prepared, conditions), warm);
  if (solution.state === 'failed') return solution;
  const at: AtSolution = {
    catalogue,
    fluid,
    heights,
    conditions,
    pressure: (node) => valueUnder(solution.pressures, node),
    flow: (branchId) => valueUnder(solution.flows, branchId),
  };
  const elements: Record<string, ElementState> = {};
  const pumps: Record<string, PumpState> = {};
  for (const element of circuit.elements) {
    const kind = elementKindOf(element);
    const state =
      kind.state?.(element, at) ??
      ('from' in element ? throughState(element, at, kind.bore?.(element, catalogue)) : undefined);
    if (!state) continue;
    elements[element.id] = state;
    if (kind.pumpState) pumps[element.id] = kind.pumpState(element, at, state);
    const bypass = kind.regulator?.(element, catalogue);
    if (bypass && bypass.branchId !== element.id) {
      const inletPressure = at.pressure(bypass.inletNode);
      const outletPressure = at.pressure(bypass.outletNode);
      elements[bypass.branchId] = {
        id: bypass.branchId,
        massFlow: at.flow(bypass.branchId),
        inletPressure,
        outletPressure,
        pressureDrop: inletPressure - outletPressure,
      };
    }
  }
  const spare = keeper && solution.flows[keeper.spareBranchId];
  if (keeper && spare !== undefined && !elements[keeper.spareBranchId]) {
    const pressure = at.pressure(keeper.node);
    elements[keeper.spareBranchId] = {
      id: keeper.spareBranchId,
      massFlow: spare,
      inletPressure: pressure,
      outletPressure: pressure,
      pressureDrop: 0,
    };
  }
  const { pressures, iterations } = solution;
  return { state: 'converged', pressures, elements, pumps, iterations, warm: solution.warm };
}
