import {
  type Catalogue,
  type FuelCircuit,
  type InjectorsElement,
  type PumpElement,
  pumpsOf,
  railsOf,
} from '../build/index.ts';
import { revolutionsPerCycle } from '../demand/index.ts';
import {
  type CircuitConditions,
  type CircuitSolution,
  type NetworkSolution,
  type PreparedCircuit,
  type RegulatorUnit,
  type SolvedCircuit,
  type WarmStart,
  heldPressure,
  prepareCircuit,
  pressureKeeperOf,
  regulatorUnitOf,
  sharedSupply,
  solveBareCircuit,
  solveCircuit,
} from '../hydraulics/index.ts';
import { type InjectionPoint, injectionAt, staticFlow } from '../injectors/index.ts';
import type { CircuitDesign, FluidDesign, RowDesign } from './design.ts';
import type { PumpSupply } from '../pumps/index.ts';
import { rowMassFlow } from './rowShare.ts';
import type { RunningPoint } from './runningPoint.ts';

/**
 * Share of the voltage a stepped pump runs on: full above its change-over. Between `below` and
 * `above` it depends on where it came from; the lower step is counted, as on the way up.
 */
function steppedShare(pump: PumpElement, circuit: CircuitDesign, point: RunningPoint): number {
  if (pump.control?.kind !== 'stepped') return 1;
  if (point.steppedUp) return 1;
  const flow = circuitMassFlow(circuit, point) / circuit.fuel.hot.density;
  return flow > pump.control.above.value ? 1 : pump.control.lowShare.value;
}

/** Fuel mass flow kg/s that the rows of a circuit ask at a running point. */
export const circuitMassFlow = (circuit: CircuitDesign, point: RunningPoint): number =>
  circuit.rows.reduce((sum, row) => sum + rowMassFlow(row, point), 0);

/** Network conditions of a circuit at a running point. */
export function conditionsAt(
  circuit: CircuitDesign,
  point: RunningPoint,
  regulators: CircuitConditions['regulators'],
): CircuitConditions {
  const fluid = circuit.fuel.hot;
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
  return { manifoldGauge: point.manifoldGauge, draws, supplies, regulators };
}

const known = new WeakMap<CircuitDesign, PreparedCircuit>();

/** A circuit design prepared for solving; made once for each (immutable) design. */
function preparedOf(design: FluidDesign, circuit: CircuitDesign): PreparedCircuit {
  let prepared = known.get(circuit);
  if (!prepared) {
    prepared = prepareCircuit({
      circuit: circuit.circuit,
      catalogue: design.catalogue,
      fluid: circuit.fuel.hot,
      heights: circuit.heights,
      lengths: circuit.lengths,
    });
    known.set(circuit, prepared);
  }
  return prepared;
}

const withLoadedFilters = new WeakMap<CircuitDesign, CircuitDesign>();

/** The circuit that a point is solved on: with its filters loaded where the point says so. */
function circuitAt(circuit: CircuitDesign, point: RunningPoint): CircuitDesign {
  if (point.filters !== 'loaded') return circuit;
  let loaded = withLoadedFilters.get(circuit);
  if (!loaded) {
    const elements = circuit.circuit.elements.map((element) =>
      element.kind === 'filter' || element.kind === 'filter-regulator'
        ? { ...element, state: 'loaded' as const }
        : element,
    );
    loaded = { ...circuit, circuit: { ...circuit.circuit, elements } };
    withLoadedFilters.set(circuit, loaded);
  }
  return loaded;
}

/** Solves a circuit at a running point. */
export function solvePoint(
  design: FluidDesign,
  circuit: CircuitDesign,
  point: RunningPoint,
  options: { regulators?: CircuitConditions['regulators']; warm?: WarmStart | undefined } = {},
): CircuitSolution {
  return solveCircuit(
    preparedOf(design, circuitAt(circuit, point)),
    conditionsAt(circuit, point, options.regulators ?? 'regulating'),
    options.warm,
  );
}

/** Pressures and flows of a circuit at a running point, without reading off its elements. */
export function solveBarePoint(
  design: FluidDesign,
  circuit: CircuitDesign,
  point: RunningPoint,
  options: { regulators?: CircuitConditions['regulators']; warm?: WarmStart | undefined } = {},
): NetworkSolution {
  return solveBareCircuit(
    preparedOf(design, circuitAt(circuit, point)),
    conditionsAt(circuit, point, options.regulators ?? 'regulating'),
    options.warm,
  );
}

/** What regulates a circuit by letting fuel back. */
export const regulatorOf = (
  circuit: CircuitDesign,
  catalogue: Catalogue,
): RegulatorUnit | undefined => regulatorUnitOf(circuit.circuit, catalogue);

const knownRails = new WeakMap<FuelCircuit, Map<string, InjectorsElement[]>>();

/** The rails on which a row sits. */
export function injectorsOf(circuit: CircuitDesign, row: RowDesign): InjectorsElement[] {
  const byRow = knownRails.get(circuit.circuit) ?? new Map<string, InjectorsElement[]>();
  knownRails.set(circuit.circuit, byRow);
  const rowId = row.row.id;
  const rails = byRow.get(rowId) ?? railsOf(circuit.circuit).filter((e) => e.rowId === rowId);
  byRow.set(rowId, rails);
  return rails;
}

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
    fuelDensity: circuit.fuel.hot.density,
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
      !least ||
      solution.elements[rail.id]!.inletPressure < solution.elements[least.id]!.inletPressure
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
  return Math.min(...rails.map((rail) => solution.elements[rail.id]!.pressureDrop));
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
    least = Math.min(least, pressures[rail.node]! - manifoldGauge);
  }
  return least === Infinity ? 0 : least;
}
