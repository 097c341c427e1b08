import { valueUnder } from '../numerics/index.ts';
import type { FigureRef } from './figureRef.ts';
import type { Formula, FormulaInput, TypedFormula } from './formula.ts';
import type { Sourced } from './origin.ts';
import type { Result, WorkingInput } from './result.ts';

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
  const { formula, figure, label } = input;
  const given = input.inputs as Readonly<Record<string, Sourced | Result>>;
  const plain: Record<string, FormulaInput> = {};
  const inputs: WorkingInput[] = [];
  // A build has thousands of figures: each is made in one walk over what it is made of.
  for (const name of Object.keys(given)) {
    const entry = valueUnder(given, name);
    plain[name] = entry.value;
    inputs.push({
      name,
      value: entry.value,
      kind: valueUnder(formula.inputKinds, name),
      from: 'key' in entry ? `result:${entry.key}` : entry.from,
    });
  }
  return {
    figure: figure.figure,
    of: figure.of,
    key: figure.key,
    label,
    value: computeFormula(formula, plain),
    kind: formula.kind,
    working: {
      formula: formula.name,
      notation: formula.notation,
      source: formula.source,
      inputs,
    },
  };
}
