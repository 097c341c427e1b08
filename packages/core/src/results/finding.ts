import type { UnitKind } from '../quantities/index.ts';
import type { FindingPlace } from './findingPlace.ts';

export type Severity = 'stop' | 'warn' | 'note';

/** A number in a sentence; shown in the reader's unit. */
export interface Measure {
  readonly value: number;
  readonly kind: UnitKind;
}

/** What would put a finding right; with a command it is applied in one step. */
export interface Cure<Command = unknown> {
  readonly text: string;
  readonly command?: Command;
}

/**
 * The outcome of a check. `because` names its numbers as {placeholders} that are filled from
 * `numbers` in the reader's units.
 */
export interface Finding<Command = unknown> {
  readonly id: string;
  readonly rule: string;
  readonly severity: Severity;
  readonly where: FindingPlace;
  readonly title: string;
  readonly because: string;
  readonly numbers: Readonly<Record<string, Measure>>;
  readonly measured?: Measure;
  readonly limit?: Measure;
  /** which way it gets worse; without it: further from the limit on the measured side */
  readonly worse?: 'higher' | 'lower';
  /** The rung of the limit ladder it hangs on, if any. */
  readonly rung?: string;
  /** what would put it right, worked out when it is asked for */
  readonly cures: () => readonly Cure<Command>[];
  /** a person's acceptance that holds for the numbers as they are */
  readonly accepted?: AcceptedReason;
  /** an acceptance that no longer holds because the numbers got worse */
  readonly reopened?: AcceptedReason;
}

/** Who accepted a finding, why and when. */
export interface AcceptedReason {
  readonly reason: string;
  readonly author: string;
  readonly time: string;
  readonly measured: number | null;
}

/** A check: looks at one context and reports what is wrong. */
export interface Rule<Context, Command = unknown> {
  readonly id: string;
  /** Where the limit comes from. */
  readonly source: string;
  /** hose, pump, regulator and injectors decide it: a search for parts goes on while it stops */
  readonly partsDecide?: true;
  readonly check: (context: Context) => readonly Finding<Command>[];
}
