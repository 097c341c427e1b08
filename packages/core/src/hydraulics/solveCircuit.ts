import type { Catalogue, CircuitElement } from '../build/index.ts';
import { lookUp } from '../build/index.ts';
import {
  type CircuitConditions,
  type PreparedCircuit,
  NO_SUPPLY,
  circuitNetwork,
  pumpOfElement,
  sharedSupply,
} from './circuitNetwork.ts';
import { bisect } from '../numerics/index.ts';
import type { PumpPoint } from '../pumps/index.ts';
import { GRAVITY, boreArea } from './fluid.ts';
import { reynoldsNumber } from './pipeBranch.ts';
import { regulatorUnit } from './regulatorUnit.ts';
import type { NetworkSolution, WarmStart } from './network.ts';
import { solveNetwork } from './solveNetwork.ts';

/** State of one element in a solved circuit. SI, gauge pressures. */
export interface ElementState {
  readonly id: string;
  readonly massFlow: number;
  readonly inletPressure: number;
  readonly outletPressure: number;
  /** loss across, without height; negative for a pump's rise */
  readonly pressureDrop: number;
  readonly velocity?: number;
  readonly reynolds?: number;
  /** what runs over a surge tank kg/s; negative: it empties */
  readonly overflow?: number;
}

export interface PumpState {
  readonly elementId: string;
  readonly flow: number;
  readonly pressureRise: number;
  readonly voltage: number;
  readonly current: number;
  readonly outsideData: boolean;
  /** share of the supply voltage that its controller passes on */
  readonly share: number;
}

export interface SolvedCircuit {
  readonly state: 'converged';
  readonly pressures: Readonly<Record<string, number>>;
  readonly elements: Readonly<Record<string, ElementState>>;
  readonly pumps: Readonly<Record<string, PumpState>>;
  readonly iterations: number;
  readonly warm: WarmStart;
}

export type CircuitSolution =
  SolvedCircuit | { readonly state: 'failed'; readonly reason: string; readonly where: string };

function boreOf(element: CircuitElement, catalogue: Catalogue): number | undefined {
  if (element.kind === 'line') return lookUp(catalogue, 'hose', element.item, element.id).bore;
  if (element.kind === 'fitting') {
    return lookUp(catalogue, 'fitting', element.item, element.id).bore;
  }
  if (element.kind === 'orifice') return element.diameter.value;
  return undefined;
}

/** Share of the voltage at which a pump makes a pressure rise Pa, by bisection between its ends. */
function drivenShare(input: {
  risesTo: (share: number) => PumpPoint;
  least: number;
  pressureRise: number;
}): number {
  const { risesTo, least, pressureRise } = input;
  if (risesTo(1).pressureRise <= pressureRise) return 1;
  if (risesTo(least).pressureRise >= pressureRise) return least;
  return bisect({
    low: least,
    high: 1,
    tolerance: 1e-9,
    test: (share) => risesTo(share).pressureRise >= pressureRise,
  });
}

/** Solves a prepared circuit at a running point for pressures and flows alone: for sweeps. */
export const solveBareCircuit = (
  prepared: PreparedCircuit,
  conditions: CircuitConditions,
  warm?: WarmStart,
): NetworkSolution => solveNetwork(circuitNetwork(prepared, conditions), warm);

/** Solves a prepared circuit at a running point and reads off every element. */
export function solveCircuit(
  prepared: PreparedCircuit,
  conditions: CircuitConditions,
  warm?: WarmStart,
): CircuitSolution {
  const { circuit, catalogue, fluid, heights } = prepared;
  const solution = solveNetwork(circuitNetwork(prepared, conditions), warm);
  if (solution.state === 'failed') return solution;
  const elements: Record<string, ElementState> = {};
  const pumps: Record<string, PumpState> = {};
  for (const element of circuit.elements) {
    if (element.kind === 'tank') continue;
    const massFlow = solution.flows[element.id]!;
    if (element.kind === 'injectors') {
      const pressure = solution.pressures[element.node]!;
      elements[element.id] = {
        id: element.id,
        massFlow,
        inletPressure: pressure,
        outletPressure: conditions.manifoldGauge,
        pressureDrop: pressure - conditions.manifoldGauge,
      };
      continue;
    }
    if (element.kind === 'surge-tank') {
      const pressure = solution.pressures[element.outlet]!;
      elements[element.id] = {
        id: element.id,
        massFlow: solution.flows[`${element.id}~lift`]!,
        inletPressure: solution.pressures[element.inlet]!,
        outletPressure: pressure,
        pressureDrop: 0,
        overflow: solution.flows[`${element.id}~over`]!,
      };
      continue;
    }
    const inletPressure = solution.pressures[element.from]!;
    const outletPressure = solution.pressures[element.to]!;
    const rise = (heights[element.to] ?? 0) - (heights[element.from] ?? 0);
    const bore = boreOf(element, catalogue);
    elements[element.id] = {
      id: element.id,
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
    const regulator = regulatorUnit(element, catalogue);
    if (regulator && regulator.branchId !== element.id) {
      const inlet = solution.pressures[regulator.inletNode]!;
      const outlet = solution.pressures[regulator.outletNode]!;
      elements[regulator.branchId] = {
        id: regulator.branchId,
        massFlow: solution.flows[regulator.branchId]!,
        inletPressure: inlet,
        outletPressure: outlet,
        pressureDrop: inlet - outlet,
      };
    }
    if (element.kind === 'pump') {
      const supply = conditions.supplies[element.id] ?? NO_SUPPLY;
      const flow = massFlow / fluid.density;
      const share =
        element.control?.kind === 'pressure' && conditions.regulators === 'regulating'
          ? drivenShare({
              risesTo: (s) =>
                pumpOfElement(element, catalogue, sharedSupply(supply, s)).operate(flow),
              least: element.control.leastShare.value,
              pressureRise: -elements[element.id]!.pressureDrop,
            })
          : 1;
      const point = pumpOfElement(element, catalogue, sharedSupply(supply, share)).operate(flow);
      pumps[element.id] = {
        elementId: element.id,
        flow: massFlow / fluid.density,
        pressureRise: point.pressureRise,
        voltage: point.voltage,
        current: point.current,
        outsideData: point.outsideData,
        share,
      };
    }
  }
  const spare = prepared.keeper?.spareBranchId;
  if (spare !== undefined && !elements[spare] && solution.flows[spare] !== undefined) {
    const pressure = solution.pressures[prepared.keeper!.node]!;
    elements[spare] = {
      id: spare,
      massFlow: solution.flows[spare],
      inletPressure: pressure,
      outletPressure: pressure,
      pressureDrop: 0,
    };
  }
  return {
    state: 'converged',
    pressures: solution.pressures,
    elements,
    pumps,
    iterations: solution.iterations,
    warm: solution.warm,
  };
}
