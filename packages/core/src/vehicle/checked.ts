import type { Catalogue } from '../catalogue/index.ts';
import type { BuildRule, LineRoute, VehicleThings } from '../model/index.ts';
import type { MapOutput } from './routes/routeStage.ts';

/** What the checks of the map look at. */
export interface VehicleChecked {
  readonly map: MapOutput;
  readonly vehicle: Omit<VehicleThings, 'placements'>;
  readonly routes: readonly LineRoute[];
  readonly catalogue: Catalogue;
  /** names of lines by their id */
  readonly lineNames: Readonly<Record<string, string>>;
}

/** A check on what the map knows. */
export type VehicleRule = BuildRule<VehicleChecked>;
