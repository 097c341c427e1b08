import { groupBy, memo, valueUnder } from '../../numerics/index.ts';
import type { Catalogue } from '../../catalogue/index.ts';
import type { FuelCircuit, InjectorsElement, PumpElement } from '../../model/index.ts';
import { pumpsOf, railsOf } from '../circuits/circuitRun.ts';
import { type FluidState, revolutionsPerCycle } from '../../engine/index.ts';
import { type CircuitConditions, sharedSupply } from '../elements/index.ts';
import { type PreparedCircuit, prepareCircuit } from '../hydraulics/circuitNetwork.ts';
import {
  type CircuitSolution,
  type SolvedCircuit,
  solveBareCircuit,
  solveCircuit,
  stateOf,
} from '../hydraulics/solveCircuit.ts';
import type { NetworkSolution, WarmStart } from '../hydraulics/network.ts';
import { type RegulatorUnit, regulatorUnitOf } from '../hydraulics/regulatorUnit.ts';
import { heldPressure } from '../hydraulics/regulatorBranch.ts';
import { pressureKeeperOf } from '../hydraulics/pressureKeeper.ts';
import { type InjectionPoint, injectionAt, staticFlow } from '../injectors/injection.ts';
import type { CircuitDesign, FluidDesign, RowDesign } from './design.ts';
import type { PumpSupply } from '../pumps/pumpModel.ts';
import { rowMassFlow } from './rowShare.ts';
import { fluidAt } from './fluidAt.ts';
import type { RunningPoint } from './runningPoint.ts';

/**
 * Share of the voltage a stepped pump runs on: full above its change-over. Between `below` and
 * `above` it depends on where it came from; the lower step is counted, as on the way up.
 */
export function steppedShare(
  pump: PumpElement,
  circuit: CircuitDesign,
  point: RunningPoint,
): number {
  if (pump.control?.kind !== 'stepped') return 1;
  if (point.steppedUp) return 1;
  const flow = circuitMassFlow(circuit, point) / fluidAt(circuit, point).density;
  return flow > pump.control.above.value ? 1 : pump.control.lowShare.value;
}

/** Fuel mass flow kg/s that the rows of a circuit ask at a running point. */
export const circuitMassFlow = (circuit: CircuitDesign, point: RunningPoint): number =>
  circuit.rows.reduce((sum, row) => sum + rowMassFlow(row, point), 0);

/** Whether the pressure is regulated, or held from outside to ask what can be delivered there. */
export interface Keeping {
  readonly regulators?: CircuitConditions['regulators'];
  /** gauge pressure Pa it is held at; the set one when left out */
  readonly heldAt?: number;
}

/** How a point is solved: what keeps the pressure, and where to start. */
export interface SolveOptions extends Keeping {
  readonly warm?: WarmStart | undefined;
}

/** Network conditions of a circuit at a running point. */
export function conditionsAt(
  circuit: CircuitDesign,
  point: RunningPoint,
  keeping: Keeping = {},
): CircuitConditions {
  const fluid = fluidAt(circuit, point);
  const draws: Record<string, { demand: number; staticCoefficient: number }> = {};
  for (const element of circuit.circuit.elements) {
    if (element.kind !== 'injectors') continue;
    const row = circuit.rows.find((r) => r.row.id === element.rowId);
    if (!row) continue;
    // A row on several rails is shared out evenly among them.
    const rails = injectorsOf(circuit, row).length;
    draws[element.id] = {
      demand: rowMassFlow(row, point) / rails,
      staticCoefficient: (row.row.count * staticFlow(row.injector, fluid.density, 1)) / rails,
    };
  }
  const supplies: Record<string, PumpSupply> = {};
  for (const pump of pumpsOf(circuit.circuit)) {
    const seriesResistanceOhm = circuit.seriesResistances[pump.id];
    if (seriesResistanceOhm === undefined) continue;
    const supply = { openCircuitV: point.systemVoltage, seriesResistanceOhm };
    supplies[pump.id] = sharedSupply(supply, steppedShare(pump, circuit, point));
  }
  if (point.lostPump !== undefined) {
    supplies[point.lostPump] = { openCircuitV: 0, seriesResistanceOhm: 0 };
  }
  return {
    manifoldGauge: point.manifoldGauge,
    draws,
    supplies,
    regulators: keeping.regulators ?? 'regulating',
    ...(keeping.heldAt === undefined ? {} : { heldAt: keeping.heldAt }),
  };
}

const preparedAt = memo(
  (circuit: CircuitDesign, catalogue: FluidDesign['catalogue'], fluid: FluidState) =>
    prepareCircuit({
      circuit: circuit.circuit,
      catalogue,
      fluid,
      heights: circuit.heights,
      lengths: circuit.lengths,
      bendLosses: circuit.bendLosses,
    }),
);

/** A circuit prepared for solving at a point; made once for each design, catalogue and fuel. */
const preparedOf = (
  design: FluidDesign,
  asDesigned: CircuitDesign,
  point: RunningPoint,
): PreparedCircuit =>
  preparedAt(circuitAt(asDesigned, point), design.catalogue, fluidAt(asDesigned, point));

const withLoadedFilters = memo((circuit: CircuitDesign): CircuitDesign => {
  const elements = circuit.circuit.elements.map((element) =>
    element.kind === 'filter' || element.kind === 'filter-regulator'
      ? { ...element, state: 'loaded' as const }
      : element,
  );
  return { ...circuit, circuit: { ...circuit.circuit, elements } };
});

/** The circuit that a point is solved on: with its filters loaded where the point says so. */
const circuitAt = (circuit: CircuitDesign, point: RunningPoint): CircuitDesign =>
  point.filters === 'loaded' ? withLoadedFilters(circuit) : circuit;

/** Solves a circuit at a running point. */
export function solvePoint(
  design: FluidDesign,
  circuit: CircuitDesign,
  point: RunningPoint,
  options: SolveOptions = {},
): CircuitSolution {
  return solveCircuit(
    preparedOf(design, circuit, point),
    conditionsAt(circuit, point, options),
    options.warm,
  );
}

/** Pressures and flows of a circuit at a running point, without reading off its elements. */
export function solveBarePoint(
  design: FluidDesign,
  circuit: CircuitDesign,
  point: RunningPoint,
  options: SolveOptions = {},
): NetworkSolution {
  return solveBareCircuit(
    preparedOf(design, circuit, point),
    conditionsAt(circuit, point, options),
    options.warm,
  );
}

/** What regulates a circuit by letting fuel back. */
export const regulatorOf = (
  circuit: CircuitDesign,
  catalogue: Catalogue,
): RegulatorUnit | undefined => regulatorUnitOf(circuit.circuit, catalogue);

const railsByRow = memo((circuit: FuelCircuit) => groupBy(railsOf(circuit), (e) => e.rowId));

/** The rails on which a row sits. */
export const injectorsOf = (circuit: CircuitDesign, row: RowDesign): InjectorsElement[] =>
  railsByRow(circuit.circuit).get(row.row.id) ?? [];

/** Δp the ECU calibration assumes: what keeps the pressure, ideally at its set point. */
export function assumedDifference(
  design: Pick<FluidDesign, 'catalogue'>,
  circuit: CircuitDesign,
  point: RunningPoint,
): number {
  const keeper = pressureKeeperOf(circuit.circuit, design.catalogue);
  if (!keeper) return 3e5;
  return heldPressure(keeper, point.manifoldGauge) - point.manifoldGauge;
}

/** Pulse and duty of a row on a solved circuit, or at an assumed pressure difference. */
export function injectionOf(
  design: FluidDesign,
  circuit: CircuitDesign,
  row: RowDesign,
  point: RunningPoint,
  pressureDifference: number,
): InjectionPoint {
  return injectionAt({
    injector: row.injector,
    row: row.row,
    rowMassFlow: rowMassFlow(row, point),
    speed: point.speed,
    revolutionsPerCycle: revolutionsPerCycle[design.document.brief.cycle],
    pressureDifference,
    fuelDensity: fluidAt(circuit, point).density,
    voltage: point.systemVoltage,
  });
}

/** The rail with the least pressure; undefined without any. */
export const lowestRail = (
  rails: readonly InjectorsElement[],
  solution: SolvedCircuit,
): InjectorsElement | undefined =>
  rails.reduce<InjectorsElement | undefined>(
    (least, rail) =>
      !least || stateOf(solution, rail.id).inletPressure < stateOf(solution, least.id).inletPressure
        ? rail
        : least,
    undefined,
  );

/** Δp at a row's injectors in a solved circuit; the lowest of its rails. */
export function rowDifference(
  circuit: CircuitDesign,
  row: RowDesign,
  solution: SolvedCircuit,
): number {
  const rails = injectorsOf(circuit, row);
  if (rails.length === 0) return 0;
  return Math.min(...rails.map((rail) => stateOf(solution, rail.id).pressureDrop));
}

/** The same from pressures alone, at a manifold pressure Pa gauge. */
export function bareRowDifference(
  circuit: CircuitDesign,
  row: RowDesign,
  pressures: Readonly<Record<string, number>>,
  manifoldGauge: number,
): number {
  let least = Infinity;
  for (const rail of injectorsOf(circuit, row)) {
    least = Math.min(least, valueUnder(pressures, rail.node) - manifoldGauge);
  }
  return least === Infinity ? 0 : least;
}
