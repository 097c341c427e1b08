import type { Build, Limits, Placement } from '../../model/index.ts';
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
}
