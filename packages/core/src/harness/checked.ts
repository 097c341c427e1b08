import type { BuildRule, Harness, Placement } from '../model/index.ts';
import type { PlumbingChecked } from '../plumbing/index.ts';
import type { HarnessDesign } from './bundles/bundleStage.ts';
import type { LedHarness } from './lengths/ledHarness.ts';

/** What the checks of the harness look at. */
export interface HarnessChecked extends PlumbingChecked {
  readonly led: LedHarness;
  readonly harness: HarnessDesign;
  readonly decidedHarness: Harness;
  readonly placements: readonly Placement[];
}

/** A check on the harness. */
export type HarnessRule = BuildRule<HarnessChecked>;
