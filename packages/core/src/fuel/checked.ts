import type { ElectricsChecked } from '../electrics/index.ts';
import type { BuildRule } from '../model/index.ts';
import type { VehicleChecked } from '../vehicle/index.ts';
import type { Candidates } from './proposals/candidatesOf.ts';
import type { JudgedDesign } from './running/design.ts';
import type { FluidResult } from './running/fluidStage.ts';
import type { TankAttitudes } from './tank/tankStage.ts';

/** What the checks of injectors, pumps and circuits look at. */
export interface FuelChecked extends ElectricsChecked, VehicleChecked {
  readonly design: JudgedDesign;
  readonly fluids: readonly FluidResult[];
  readonly candidates: Candidates;
  readonly tanks: readonly TankAttitudes[];
}

/** A check on what the fuel system knows. */
export type FuelRule = BuildRule<FuelChecked>;
