import type { FigureRef, Sourced } from '../../results/index.ts';
import type { Build, Cycle, Fuel, FuelCircuit, InjectorRow, Limits } from '../../model/index.ts';
import type { Catalogue, InjectorItem } from '../../catalogue/index.ts';
import type { CheckedBuild, Demand, EngineBrief, FuelProperties } from '../../engine/index.ts';

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
    readonly row: Pick<InjectorRow, 'id' | 'count' | 'shotsPerCycle'>;
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
  readonly bendLosses: Readonly<Record<string, Sourced<number>>>;
  /** battery to pump and back, Ω, by pump element id */
  readonly seriesResistances: Readonly<Record<string, number>>;
  /** key of the figure behind each of them */
  readonly seriesFigures: Readonly<Record<string, FigureRef>>;
}

/** What of a build decides how it runs. */
export interface RunningBuild {
  readonly brief: EngineBrief;
  readonly limits: Pick<
    Limits,
    'designFactor' | 'voltageRunning' | 'voltageLow' | 'voltageCranking'
  >;
  readonly injectorRows: readonly InjectorRow[];
  readonly fuelCircuits: readonly FuelCircuit[];
  readonly fuels: readonly Fuel[];
}

/** All that a running point is solved from. */
export interface FluidDesign {
  readonly document: RunningBuild;
  readonly catalogue: Catalogue;
  readonly demand: Demand;
  readonly circuits: readonly CircuitDesign[];
}

/** A design with the names of its things, and what of the road its figures ask. */
export interface NamedDesign extends FluidDesign {
  readonly document: RunningBuild & {
    readonly brief: EngineBrief & Pick<Build['brief'], 'cruisePower' | 'cruiseRoadSpeed'>;
  };
}

/** A named design with all that it is judged by. */
export interface JudgedDesign extends FluidDesign {
  readonly document: CheckedBuild;
}
