import type { FuelCircuit, InjectorRow, Fuel } from '../../model/index.ts';
import { pumpsOf } from '../circuits/circuitRun.ts';
import { pumpLostLabel } from './cases.ts';
import type { CircuitDesign, RowDesign } from './design.ts';
import type { FluidResult } from './fluidStage.ts';

/** The things of a build with their names. */
export interface NamedThings {
  readonly fuelCircuits: readonly FuelCircuit[];
  readonly injectorRows: readonly InjectorRow[];
  readonly fuels: readonly Fuel[];
}

/** A solved design with the names of its circuit, rows and fuel: nothing else changes. */
export function namedDesign(design: CircuitDesign, things: NamedThings): CircuitDesign {
  const row = (bare: RowDesign): RowDesign => ({
    ...bare,
    row: things.injectorRows.find((r) => r.id === bare.row.id) ?? bare.row,
  });
  return {
    ...design,
    circuit: things.fuelCircuits.find((c) => c.id === design.circuit.id) ?? design.circuit,
    rows: design.rows.map(row),
    fuel: {
      ...design.fuel,
      fuel: things.fuels.find((f) => f.id === design.fuel.fuel.id) ?? design.fuel.fuel,
    },
  };
}

/** What was solved, on a design with names. */
export function namedResult(result: FluidResult, design: CircuitDesign): FluidResult {
  const { cases, worstDuty } = result;
  const lost = pumpsOf(design.circuit).find((p) => p.id === cases.pumpLost?.point.lostPump);
  const row = design.rows.find((r) => r.row.id === worstDuty?.row.row.id);
  return {
    ...result,
    design,
    cases:
      cases.pumpLost && lost
        ? {
            ...cases,
            pumpLost: {
              ...cases.pumpLost,
              point: { ...cases.pumpLost.point, label: pumpLostLabel(lost) },
            },
          }
        : cases,
    worstDuty: worstDuty && row ? { ...worstDuty, row } : worstDuty,
  };
}
