import type { UnitKind } from '../quantities/index.ts';

export type FormulaInput = number | readonly number[];
export type FormulaInputs = Readonly<Record<string, FormulaInput>>;

/** Anything a person reads is computed by one of these, so that it can show its working. */
export interface Formula {
  readonly name: string;
  /** The formula in ordinary notation. */
  readonly notation: string;
  readonly kind: UnitKind;
  readonly inputKinds: Readonly<Record<string, UnitKind>>;
  readonly source: string;
  readonly compute: (inputs: never) => number;
}

interface FormulaParts<Names extends string> {
  readonly name: string;
  readonly notation: string;
  readonly kind: UnitKind;
  readonly inputKinds: Readonly<Record<Names, UnitKind>>;
  readonly source: string;
}

/**
 * Describes a formula; the compute function gets the inputs by name, all in SI. A formula over
 * lists annotates its inputs itself.
 */
export function defineFormula<Names extends string>(
  formula: FormulaParts<Names> & {
    compute: (inputs: Readonly<Record<Names, number>>) => number;
  },
): TypedFormula<Names>;
export function defineFormula<Names extends string>(
  formula: FormulaParts<Names> & { compute: (inputs: never) => number },
): TypedFormula<Names>;
export function defineFormula<Names extends string>(
  formula: FormulaParts<Names> & { compute: (inputs: never) => number },
): TypedFormula<Names> {
  return formula as TypedFormula<Names>;
}

/** A formula that remembers the names of its inputs in its type. */
export interface TypedFormula<Names extends string> extends Formula {
  readonly inputNames?: Names;
}
