import type { Catalogue, InjectorsElement } from '../build/index.ts';
import { revolutionsPerCycle } from '../demand/index.ts';
import {
  type CircuitConditions,
  type CircuitSolution,
  type PreparedCircuit,
  type RegulatorUnit,
  type SolvedCircuit,
  type WarmStart,
  heldPressure,
  prepareCircuit,
  regulatorUnitOf,
  solveCircuit,
} from '../hydraulics/index.ts';
import { type InjectionPoint, injectionAt, staticFlow } from '../injectors/index.ts';
import type { CircuitDesign, FluidDesign, RowDesign } from './design.ts';
import type { RunningPoint } from './runningPoint.ts';

/** Fuel mass flow of a row at a running point, kg/s. */
export const rowMassFlow = (row: RowDesign, point: RunningPoint): number =>
  point.massFlow * row.massShare;

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
    draws[element.id] = {
      demand: rowMassFlow(row, point),
      staticCoefficient: row.row.count * staticFlow(row.injector, fluid.density, 1),
    };
  }
  const supplies = Object.fromEntries(
    Object.entries(circuit.seriesResistances).map(([id, seriesResistanceOhm]) => [
      id,
      { openCircuitV: point.systemVoltage, seriesResistanceOhm },
    ]),
  );
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

/** What regulates a circuit. */
export const regulatorOf = (
  circuit: CircuitDesign,
  catalogue: Catalogue,
): RegulatorUnit | undefined => regulatorUnitOf(circuit.circuit, catalogue);

export const injectorsOf = (circuit: CircuitDesign, row: RowDesign): InjectorsElement | undefined =>
  circuit.circuit.elements.find(
    (e): e is InjectorsElement => e.kind === 'injectors' && e.rowId === row.row.id,
  );

/** Δp the ECU calibration assumes: an ideal regulator at its set point. */
export function assumedDifference(
  design: FluidDesign,
  circuit: CircuitDesign,
  point: RunningPoint,
): number {
  const regulator = regulatorOf(circuit, design.catalogue);
  if (!regulator) return 3e5;
  return heldPressure(regulator, point.manifoldGauge) - point.manifoldGauge;
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

/** Δp at a row's injectors in a solved circuit. */
export function rowDifference(
  circuit: CircuitDesign,
  row: RowDesign,
  solution: SolvedCircuit,
): number {
  const element = injectorsOf(circuit, row);
  return element ? solution.elements[element.id]!.pressureDrop : 0;
}
