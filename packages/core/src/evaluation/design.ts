import type {
  BuildDocument,
  Catalogue,
  FuelCircuit,
  InjectorItem,
  InjectorRow,
} from '../build/index.ts';
import type { Demand } from '../demand/index.ts';
import type { FuelProperties } from '../fuels/index.ts';

/** One injector row with what it is made of and fed from. */
export interface RowDesign {
  readonly row: InjectorRow;
  readonly injector: InjectorItem;
  readonly fuel: FuelProperties;
  /** share of the engine's fuel mass that this row gives */
  readonly massShare: number;
}

/** One circuit with its fuel, geometry and wiring as numbers, ready to be solved. */
export interface CircuitDesign {
  readonly circuit: FuelCircuit;
  readonly fuel: FuelProperties;
  readonly rows: readonly RowDesign[];
  readonly heights: Readonly<Record<string, number>>;
  readonly lengths: Readonly<Record<string, number>>;
  /** battery to pump and back, Ω, by pump element id */
  readonly seriesResistances: Readonly<Record<string, number>>;
}

/** All that a running point is solved from. */
export interface FluidDesign {
  readonly document: BuildDocument;
  readonly catalogue: Catalogue;
  readonly demand: Demand;
  readonly circuits: readonly CircuitDesign[];
}
