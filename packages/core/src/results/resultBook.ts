import { valueUnder } from '../numerics/index.ts';
import type { FigureRef } from './figureRef.ts';
import type { Formula, FormulaInput, TypedFormula } from './formula.ts';
import type { Sourced } from './origin.ts';
import type { Result } from './result.ts';

/** Computes a formula from plain numbers by name. */
export function computeFormula(
  formula: Formula,
  inputs: Readonly<Record<string, FormulaInput>>,
): number {
  return formula.compute(inputs as never);
}

/** A result used as an input of another one. */
export function fromResult(result: Result): Sourced<number> {
  return { value: result.value, from: `result:${result.key}` };
}

/** Computes a formula and keeps its inputs: the only way a Result is made. */
export function derive<Names extends string>(input: {
  figure: FigureRef;
  label: string;
  formula: TypedFormula<Names>;
  inputs: { readonly [Name in Names]: Sourced | Result };
}): Result {
  const { formula } = input;
  const entries = Object.entries(input.inputs) as [string, Sourced | Result][];
  const plain: Record<string, FormulaInput> = {};
  for (const [name, value] of entries) plain[name] = value.value;
  return {
    ...input.figure,
    label: input.label,
    value: computeFormula(formula, plain),
    kind: formula.kind,
    working: {
      formula: formula.name,
      notation: formula.notation,
      source: formula.source,
      inputs: entries.map(([name, value]) => ({
        name,
        value: value.value,
        kind: valueUnder(formula.inputKinds, name),
        from: 'key' in value ? `result:${value.key}` : value.from,
      })),
    },
  };
}
