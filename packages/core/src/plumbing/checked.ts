import type { FuelChecked } from '../fuel/index.ts';
import type { BuildRule } from '../model/index.ts';
import type { MadeLine } from './assemblies/madeLine.ts';

/** What the checks of lines and their joints look at. */
export interface PlumbingChecked extends FuelChecked {
  readonly made: readonly MadeLine[];
}

/** A check on how lines are made. */
export type PlumbingRule = BuildRule<PlumbingChecked>;
