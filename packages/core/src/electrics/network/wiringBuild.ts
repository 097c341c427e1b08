import type { Build, Limits, Placement } from '../../model/index.ts';
import type { SwitchedInCases } from '../switching/switchedInCases.ts';
import type { ElectricBuild } from '../netlist/buildNetlist.ts';

/** What of a build decides its wiring. */
export interface WiringBuild extends ElectricBuild {
  readonly limits: Pick<
    Limits,
    'voltageRunning' | 'voltageLow' | 'voltageCranking' | 'pumpFeedDrop'
  >;
  readonly brief: Pick<Build['brief'], 'ambientHot'>;
  readonly placements: readonly Placement[];
  readonly buses: Build['buses'];
  /** what somebody said of when things are on, case by case */
  readonly switched: SwitchedInCases;
}

/** What of it decides more than lengths: a place counts by its zone, wherever it stands. */
export interface PlannedBuild extends Omit<WiringBuild, 'placements'> {
  readonly placements: readonly Pick<Placement, 'id' | 'zone'>[];
}
