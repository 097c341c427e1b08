import type { UnitKind } from '../quantities/index.ts';
import type { FormulaInput } from './formula.ts';

/** One input of a working: its value in SI and where it came from. */
export interface WorkingInput {
  readonly name: string;
  readonly value: FormulaInput;
  readonly kind: UnitKind;
  /** `result:<key>`, `document:<path>`, `catalogue:<item>`, `default` or `case:<name>`. */
  readonly from: string;
}

export interface Working {
  readonly formula: string;
  readonly notation: string;
  readonly source: string;
  readonly inputs: readonly WorkingInput[];
}

/** A figure with its working; `key` is the documented dotted name, `value` is SI. */
export interface Result {
  readonly key: string;
  readonly label: string;
  readonly value: number;
  readonly kind: UnitKind;
  readonly working: Working;
}
