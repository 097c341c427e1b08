import { pumpDuties } from '../build/index.ts';
import { highestPoint } from '../demand/index.ts';
import type { CircuitSolution, SolvedCircuit, WarmStart } from '../hydraulics/index.ts';
import type { CaseName } from './cases.ts';
import { caseNames, namedCases, pumpLostCase } from './cases.ts';
import { type Deliverable, deliverable } from './deliverable.ts';
import type { CircuitDesign, FluidDesign, RowDesign } from './design.ts';
import type { RunningPoint } from './runningPoint.ts';
import { rowMassFlow } from './rowShare.ts';
import {
  bareRowDifference,
  injectionOf,
  rowDifference,
  solveBarePoint,
  solvePoint,
} from './solvePoint.ts';

/** A named case of one circuit: solved, or the reason why not. */
export interface SolvedCase {
  readonly point: RunningPoint;
  readonly solution: CircuitSolution;
}

/** The named cases; one pump lost only where there are several. */
export type NamedCases = Readonly<Record<CaseName, SolvedCase>> & {
  readonly pumpLost?: SolvedCase;
};

/** Tables over the demand map, [speed][load]; null where there was no solution. */
export interface FluidTables {
  readonly pressureDifference: readonly (readonly (number | null)[])[];
  readonly duty: readonly (readonly (number | null)[])[];
}

export interface FluidResult {
  readonly design: CircuitDesign;
  readonly cases: NamedCases;
  readonly peak: Deliverable | undefined;
  readonly tables: FluidTables;
  /** highest duty over the map, with its row */
  readonly worstDuty:
    { readonly row: RowDesign; readonly duty: number; readonly point: RunningPoint } | undefined;
}

/** Running point of a cell of the map, as every check judges it: design flow, low voltage. */
export function mapPoint(design: FluidDesign, speedIndex: number, loadIndex: number): RunningPoint {
  const { map } = design.demand;
  const { limits } = design.document;
  return {
    name: 'map',
    label: 'Map point',
    speed: map.speeds[speedIndex]!,
    manifoldGauge: map.manifoldGauge[speedIndex]![loadIndex]!,
    massFlow: map.massFlow[speedIndex]![loadIndex]! * limits.designFactor.value,
    systemVoltage: limits.voltageLow.value,
  };
}

/** Δp and duty of a row at a solved point; a row that stands still has no duty. */
export function rowDuty(
  design: FluidDesign,
  circuit: CircuitDesign,
  row: RowDesign,
  point: RunningPoint,
  solution: SolvedCircuit,
): { difference: number; duty: number } {
  const difference = rowDifference(circuit, row, solution);
  return { difference, duty: dutyAt(design, circuit, row, point, difference) };
}

/** Duty of a row at a pressure difference Pa; none while it stands still. */
const dutyAt = (
  design: FluidDesign,
  circuit: CircuitDesign,
  row: RowDesign,
  point: RunningPoint,
  difference: number,
): number =>
  rowMassFlow(row, point) > 0 ? injectionOf(design, circuit, row, point, difference).duty : 0;

/** The row that is open longest at a point. */
function busiestRow(
  design: FluidDesign,
  circuit: CircuitDesign,
  point: RunningPoint,
): RowDesign | undefined {
  const solution = solvePoint(design, circuit, point);
  if (solution.state === 'failed') return circuit.rows[0];
  const duty = (row: RowDesign) => rowDuty(design, circuit, row, point, solution).duty;
  return [...circuit.rows].sort((a, b) => duty(b) - duty(a))[0];
}

/** Solves the map in a fixed order, each point started from its neighbour. */
export function sweepMap(design: FluidDesign, circuit: CircuitDesign): FluidTables {
  const { map } = design.demand;
  let rowStart: WarmStart | undefined;
  const pressureDifference: (number | null)[][] = [];
  const duty: (number | null)[][] = [];
  map.speeds.forEach((_, speedIndex) => {
    let warm = rowStart;
    const differences: (number | null)[] = [];
    const duties: (number | null)[] = [];
    map.loads.forEach((__, loadIndex) => {
      const point = mapPoint(design, speedIndex, loadIndex);
      const solution = solveBarePoint(design, circuit, point, { warm });
      if (solution.state === 'failed' || circuit.rows.length === 0) {
        differences.push(null);
        duties.push(null);
        return;
      }
      warm = solution.warm;
      if (loadIndex === 0) rowStart = warm;
      const rows = circuit.rows.map((row) => {
        const difference = bareRowDifference(circuit, row, solution.pressures, point.manifoldGauge);
        return { difference, duty: dutyAt(design, circuit, row, point, difference) };
      });
      differences.push(Math.min(...rows.map((r) => r.difference)));
      duties.push(Math.max(...rows.map((r) => r.duty)));
    });
    pressureDifference.push(differences);
    duty.push(duties);
  });
  return { pressureDifference, duty };
}

/** Every named case, the map and the deliverable flow of each circuit. */
export function fluidStage(design: FluidDesign): FluidResult[] {
  const points = namedCases(design.document, design.demand);
  return design.circuits.map((circuit) => {
    const solved = caseNames.map((name) => {
      const point = points[name];
      return [name, { point, solution: solvePoint(design, circuit, point) }] as const;
    });
    const { main } = pumpDuties(circuit.circuit);
    const lost = main.length > 1 ? pumpLostCase(points, main[0]!) : undefined;
    const tables = sweepMap(design, circuit);
    const flat = tables.duty.map((r) => r.map((d) => d ?? 0));
    const at = highestPoint(flat);
    const worst = mapPoint(design, at.speedIndex, at.loadIndex);
    const row = busiestRow(design, circuit, worst);
    return {
      design: circuit,
      cases: {
        ...(Object.fromEntries(solved) as Record<CaseName, SolvedCase>),
        ...(lost && {
          pumpLost: { point: lost, solution: solvePoint(design, circuit, lost) },
        }),
      },
      peak: deliverable(design, circuit, points.peakPower),
      tables,
      worstDuty: row && {
        row,
        duty: flat[at.speedIndex]![at.loadIndex]!,
        point: worst,
      },
    };
  });
}
