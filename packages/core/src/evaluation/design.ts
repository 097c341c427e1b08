import type {
  BuildDocument,
  Catalogue,
  Cycle,
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
  /** share of the engine's fuel mass that this row gives with every row at work */
  readonly massShare: number;
  /** the same measure when the staged rows stand still and this row has their air too */
  readonly massShareAlone: number;
  /** null where no row of the engine is staged */
  readonly staging: StagingDesign | null;
}

/** How the staged rows of an engine join: numbers of the first row that decides it. */
export interface StagingDesign {
  /** this row is one of those that join */
  readonly staged: boolean;
  /** rows that join */
  readonly rowIds: readonly string[];
  readonly aboveDuty: number;
  readonly blend: number;
  readonly cycle: Cycle;
  readonly first: {
    readonly injector: InjectorItem;
    readonly row: Pick<InjectorRow, 'count' | 'shotsPerCycle'>;
    readonly massShareAlone: number;
    readonly fuelDensity: number;
    /** Δp its regulator is set for, Pa */
    readonly nominalDifference: number;
  };
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
