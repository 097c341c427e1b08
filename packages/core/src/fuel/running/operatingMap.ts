import { entryAt } from '../../numerics/index.ts';
import type { MapPoint } from '../../engine/index.ts';
import type { FuelCircuit } from '../../model/index.ts';
import type { CircuitSolution } from '../hydraulics/solveCircuit.ts';
import type { WarmStart } from '../hydraulics/network.ts';
import type { UnitKind } from '../../quantities/index.ts';
import type { FuelChecked } from '../checked.ts';
import { deliverable } from './deliverable.ts';
import { vapourAt } from './boiling.ts';
import type { FluidResult } from './fluidStage.ts';
import { mapPoint, rowDuty } from './sweepMap.ts';
import { lowestRunPressure } from './lowestRunPressure.ts';
import { SAG_STOP } from '../rules/railSag.ts';
import type { RunningPoint } from './runningPoint.ts';
import { assumedDifference, solvePoint } from './solvePoint.ts';

/** What is looked at over engine speed and load. */
export const operatingQuantities = [
  { id: 'sag', label: 'Sag of injector Δp', kind: 'ratio', worse: 'higher' },
  { id: 'difference', label: 'Injector Δp', kind: 'pressure', worse: 'lower' },
  { id: 'duty', label: 'Injector duty', kind: 'ratio', worse: 'higher' },
  { id: 'pumpMargin', label: 'Pump margin', kind: 'ratio', worse: 'lower' },
  { id: 'vapourMargin', label: 'Above boiling', kind: 'pressure', worse: 'lower' },
] as const satisfies readonly {
  id: string;
  label: string;
  kind: UnitKind;
  worse: 'higher' | 'lower';
}[];
export type OperatingQuantity = (typeof operatingQuantities)[number]['id'];

/** The values of one point of the map; null where there is none. */
export type OperatingValues = Readonly<Record<OperatingQuantity, number | null>>;

/** One circuit over the map: tables [speed][load], the worst point of each, its stop limit. */
export interface CircuitOperation {
  readonly circuitId: string;
  readonly name: string;
  readonly tables: Readonly<Record<OperatingQuantity, readonly (readonly (number | null)[])[]>>;
  readonly worst: Readonly<Record<OperatingQuantity, MapPoint>>;
  /** stop limits; null where there is none */
  readonly limits: OperatingValues;
}

export interface OperatingMap {
  readonly speeds: readonly number[];
  readonly loads: readonly number[];
  readonly circuits: readonly CircuitOperation[];
}

const nothing: OperatingValues = {
  sag: null,
  difference: null,
  duty: null,
  pumpMargin: null,
  vapourMargin: null,
};

/** Reads the quantities off a solved point; the worst row counts. */
function valuesAt(
  checked: FuelChecked,
  { design: circuit, boiling }: FluidResult,
  point: RunningPoint,
  solution: CircuitSolution,
): OperatingValues {
  if (solution.state === 'failed') return nothing;
  const { design } = checked;
  const assumed = assumedDifference(design, circuit, point);
  const rows = circuit.rows.map((row) => rowDuty(design, circuit, row, point, solution));
  const differences = rows.map((row) => row.difference);
  const difference = differences.length > 0 ? Math.min(...differences) : null;
  const duties = rows.map((row) => row.duty);
  const margin = point.massFlow > 0 ? deliverable(design, circuit, point)?.margin : undefined;
  const lowest = lowestRunPressure(circuit, checked.catalogue, solution);
  return {
    sag: difference === null ? null : 1 - difference / assumed,
    difference,
    duty: duties.length > 0 ? Math.max(...duties) : null,
    pumpMargin: margin === undefined || !Number.isFinite(margin) ? null : margin,
    vapourMargin: lowest
      ? lowest.pressure +
        design.demand.engine.ambientPressure -
        vapourAt(boiling, circuit, point).value
      : null,
  };
}

/** The point at which a quantity is worst. */
function worstOf(
  table: readonly (readonly (number | null)[])[],
  worse: 'higher' | 'lower',
): MapPoint {
  let at: MapPoint = { speedIndex: 0, loadIndex: 0 };
  let worst = -Infinity;
  table.forEach((row, speedIndex) =>
    row.forEach((value, loadIndex) => {
      if (value === null) return;
      const badness = worse === 'higher' ? value : -value;
      if (badness <= worst) return;
      worst = badness;
      at = { speedIndex, loadIndex };
    }),
  );
  return at;
}

function circuitOperation(checked: FuelChecked, fluid: FluidResult): CircuitOperation {
  const circuit = fluid.design;
  const { map } = checked.design.demand;
  const ids = operatingQuantities.map((q) => q.id);
  const tables = Object.fromEntries(
    ids.map((id) => [id, map.speeds.map((): (number | null)[] => [])]),
  ) as Record<OperatingQuantity, (number | null)[][]>;
  map.speeds.forEach((_, s) => {
    let warm: WarmStart | undefined;
    map.loads.forEach((__, l) => {
      const point = mapPoint(checked.design, s, l);
      const solution = solvePoint(checked.design, circuit, point, { warm });
      if (solution.state === 'converged') warm = solution.warm;
      const values = valuesAt(checked, fluid, point, solution);
      for (const id of ids) entryAt(tables[id], s).push(values[id]);
    });
  });
  return {
    circuitId: circuit.circuit.id,
    name: circuit.circuit.name,
    tables,
    worst: Object.fromEntries(
      operatingQuantities.map(({ id, worse }) => [id, worstOf(tables[id], worse)]),
    ) as Record<OperatingQuantity, MapPoint>,
    limits: {
      ...nothing,
      sag: SAG_STOP,
      duty: checked.document.limits.injectorDuty.value,
      pumpMargin: 0,
      vapourMargin: 0,
    },
  };
}

/**
 * Every circuit over the demand map as the checks judge it: design flow, low voltage, hottest
 * fuel, worn pump. A separate call: it solves each point twice.
 */
export function operatingMap(checked: FuelChecked): OperatingMap {
  const { speeds, loads } = checked.design.demand.map;
  return {
    speeds,
    loads,
    circuits: checked.fluids.map((fluid) => circuitOperation(checked, fluid)),
  };
}

/** One point of the map with its whole solution. */
export interface OperatingPoint {
  /** the circuit that was solved: another one may be open by the time that this is read */
  readonly circuit: FuelCircuit;
  /** of its fuel at its hottest, kg/m³ */
  readonly density: number;
  readonly point: RunningPoint;
  readonly values: OperatingValues;
  readonly solution: CircuitSolution;
}

/** Solves one point of the map for looking at it closely. */
export function operatingPoint(
  checked: FuelChecked,
  circuitIndex: number,
  at: MapPoint,
): OperatingPoint {
  const fluid = entryAt(checked.fluids, circuitIndex);
  const point = mapPoint(checked.design, at.speedIndex, at.loadIndex);
  const solution = solvePoint(checked.design, fluid.design, point);
  return {
    circuit: fluid.design.circuit,
    density: fluid.design.fuel.hot.density,
    point,
    solution,
    values: valuesAt(checked, fluid, point, solution),
  };
}
