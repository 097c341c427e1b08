import { entryAt } from '../../numerics/index.ts';
import type { SolvedCircuit } from '../hydraulics/solveCircuit.ts';
import type { CircuitDesign, FluidDesign, RowDesign } from './design.ts';
import { rowMassFlow } from './rowShare.ts';
import type { RunningPoint } from './runningPoint.ts';
import { type SolvedFlow, startAhead } from './solvedFlow.ts';
import {
  bareRowDifference,
  injectionOf,
  rowDifference,
  solveBarePoint,
  steppedShare,
} from './solvePoint.ts';

/** Running point of a cell of the map, as every check judges it: design flow, low voltage. */
export function mapPoint(design: FluidDesign, speedIndex: number, loadIndex: number): RunningPoint {
  const { map } = design.demand;
  const { limits } = design.document;
  return {
    name: 'map',
    label: 'Map point',
    speed: entryAt(map.speeds, speedIndex),
    manifoldGauge: entryAt(entryAt(map.manifoldGauge, speedIndex), loadIndex),
    massFlow: entryAt(entryAt(map.massFlow, speedIndex), loadIndex) * limits.designFactor.value,
    systemVoltage: limits.voltageLow.value,
  };
}

/** Δp and duty of a row; one that stands still has no duty. */
export interface RowAtPoint {
  readonly row: RowDesign;
  readonly difference: number;
  readonly duty: number;
}

/** A row of a circuit at a pressure difference Pa. */
function rowAt(
  design: FluidDesign,
  circuit: CircuitDesign,
  row: RowDesign,
  point: RunningPoint,
  difference: number,
): RowAtPoint {
  const works = rowMassFlow(row, point) > 0;
  const duty = works ? injectionOf(design, circuit, row, point, difference).duty : 0;
  return { row, difference, duty };
}

/** Δp and duty of a row at a solved point. */
export const rowDuty = (
  design: FluidDesign,
  circuit: CircuitDesign,
  row: RowDesign,
  point: RunningPoint,
  solution: SolvedCircuit,
): RowAtPoint => rowAt(design, circuit, row, point, rowDifference(circuit, row, solution));

/** A point of the map with its rows; undefined where there was no solution. */
export interface SweptPoint {
  readonly speedIndex: number;
  readonly loadIndex: number;
  readonly point: RunningPoint;
  readonly rows: readonly RowAtPoint[] | undefined;
}

/** Solves some loads at each speed in a fixed order, each point started from its neighbour. */
function sweep(
  design: FluidDesign,
  circuit: CircuitDesign,
  loadsAt: (points: readonly RunningPoint[]) => readonly number[],
): SweptPoint[] {
  const { map } = design.demand;
  const swept: SweptPoint[] = [];
  let rowStart: SolvedFlow | undefined;
  map.speeds.forEach((_, speedIndex) => {
    let before: SolvedFlow | undefined;
    let last = rowStart;
    const points = map.loads.map((__, loadIndex) => mapPoint(design, speedIndex, loadIndex));
    loadsAt(points).forEach((loadIndex, n) => {
      const point = entryAt(points, loadIndex);
      const warm = startAhead([before, last], point.massFlow);
      const solution = solveBarePoint(design, circuit, point, { warm });
      if (solution.state === 'failed') {
        swept.push({ speedIndex, loadIndex, point, rows: undefined });
        return;
      }
      before = n === 0 ? undefined : last;
      last = { massFlow: point.massFlow, at: solution.warm };
      if (n === 0) rowStart = last;
      const rows = circuit.rows.map((row) => {
        const difference = bareRowDifference(circuit, row, solution.pressures, point.manifoldGauge);
        return rowAt(design, circuit, row, point, difference);
      });
      swept.push({ speedIndex, loadIndex, point, rows });
    });
  });
  return swept;
}

/** Solves every point of the map. */
export const sweepMap = (design: FluidDesign, circuit: CircuitDesign): SweptPoint[] =>
  sweep(design, circuit, (points) => [...points.keys()]);

/** The row that is open longest, and where. */
export interface WorstDuty {
  readonly row: RowDesign;
  readonly duty: number;
  readonly point: RunningPoint;
}

/**
 * Loads of one speed at which a duty can be the highest: the last, and those after which a row's
 * fuel falls or a pump changes its step. Between them fuel rises and Δp does not, so duty rises.
 */
function turningLoads(circuit: CircuitDesign, points: readonly RunningPoint[]): number[] {
  const flows = points.map((point) => circuit.rows.map((row) => rowMassFlow(row, point)));
  const steps = points.map((point) =>
    circuit.circuit.elements.map((e) => (e.kind === 'pump' ? steppedShare(e, circuit, point) : 1)),
  );
  return [...points.keys()].filter((i) => {
    const next = flows[i + 1];
    if (!next) return true;
    return (
      next.some((flow, row) => flow < entryAt(entryAt(flows, i), row)) ||
      entryAt(steps, i + 1).some((share, e) => share !== entryAt(entryAt(steps, i), e))
    );
  });
}

/** Highest duty over the map; undefined without a row or a solution. */
export function worstDuty(design: FluidDesign, circuit: CircuitDesign): WorstDuty | undefined {
  const swept = sweep(design, circuit, (points) => turningLoads(circuit, points));
  const all = swept.flatMap(({ point, rows }) =>
    (rows ?? []).map(({ row, duty }) => ({ row, duty, point })),
  );
  return all.reduce<WorstDuty | undefined>(
    (worst, found) => (!worst || found.duty > worst.duty ? found : worst),
    undefined,
  );
}
