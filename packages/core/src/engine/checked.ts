import type { Build, BuildRule } from '../model/index.ts';
import type { ResultIndex } from '../results/index.ts';

/** What of a build checks look at: not its name, its places' names or what was accepted. */
export type CheckedBuild = Pick<
  Build,
  'brief' | 'limits' | 'injectorRows' | 'fuelCircuits' | 'fuels' | 'power'
>;

/** What the checks of the engine look at. */
export interface EngineChecked {
  readonly document: CheckedBuild;
  readonly results: ResultIndex;
}

/** A check on what the engine knows. */
export type EngineRule = BuildRule<EngineChecked>;
