import type { UnitKind } from '../quantities/index.ts';
import type { FigureRef } from './figureRef.ts';
import type { FormulaInput } from './formula.ts';
import type { Origin } from './origin.ts';

/** One input of a working: its value in SI and where it came from. */
export interface WorkingInput {
  readonly name: string;
  readonly value: FormulaInput;
  readonly kind: UnitKind;
  /** one origin, or one for each entry of a list */
  readonly from: Origin | readonly Origin[];
}

export interface Working {
  readonly formula: string;
  readonly notation: string;
  readonly source: string;
  readonly inputs: readonly WorkingInput[];
}

/** A figure with its working; `value` is SI. */
export interface Result extends FigureRef {
  readonly label: string;
  readonly value: number;
  readonly kind: UnitKind;
  readonly working: Working;
}
