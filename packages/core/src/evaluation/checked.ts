import type { BuildCommand, BuildDocument, Catalogue, EcuItem } from '../build/index.ts';
import type { SizedPumpFeed } from '../power/index.ts';
import type { Finding, Result, Rule } from '../results/index.ts';
import type { InjectorCandidate, PumpCandidate } from './candidates.ts';
import type { FluidDesign } from './design.ts';
import type { FluidResult } from './fluidStage.ts';

/** Everything the checks look at: the outcome of all earlier stages. */
export interface Checked {
  readonly document: BuildDocument;
  readonly catalogue: Catalogue;
  readonly design: FluidDesign;
  readonly fluids: readonly FluidResult[];
  readonly feeds: readonly SizedPumpFeed[];
  readonly injectorCandidates: Readonly<Record<string, readonly InjectorCandidate[]>>;
  readonly pumpCandidates: Readonly<Record<string, readonly PumpCandidate[]>>;
  readonly ecu: EcuItem;
  readonly results: ReadonlyMap<string, Result>;
}

export type BuildFinding = Finding<BuildCommand>;
export type BuildRule = Rule<Checked, BuildCommand>;
