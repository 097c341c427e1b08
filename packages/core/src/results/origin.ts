import type { FigureRef } from './figureRef.ts';
import type { FormulaInput } from './formula.ts';

/**
 * Where an input of a working comes from, as it is written:
 * - `result:<key>`: another figure, with that very value;
 * - `document:<path>`: a value of the build, with that very value;
 * - `by:<path>`: follows from a choice, a curve or a place of the build;
 * - `catalogue:<id>@<revision>`: data of that revision of an item;
 * - `case:<name>`: solved in that case;
 * - `default`, `default: <what>`: a default of the trade.
 */
export type Origin = string;
export type OriginKind = 'result' | 'document' | 'by' | 'catalogue' | 'case' | 'default';

/** A value with the place it came from; a list may name the place of each of its entries. */
export interface Sourced<Value extends FormulaInput = FormulaInput> {
  readonly value: Value;
  readonly from: Origin | readonly Origin[];
}

type Path = readonly string[];
const text = (path: Path): string => path.join('.');

/** Names the origin of an input in so many words. */
export const given = <Value extends FormulaInput>(
  value: Value,
  from: Origin | readonly Origin[],
): Sourced<Value> => ({ value, from });

/** A value that stands in the document. */
export const entered = (quantity: { readonly value: number } | number, path: Path) =>
  given(typeof quantity === 'number' ? quantity : quantity.value, `document:${text(path)}`);

/** A value that follows from what the document says at a path, without standing there itself. */
export const following = <Value extends FormulaInput>(value: Value, path: Path) =>
  given(value, `by:${text(path)}`);

/** A figure of a catalogue item. */
export const fromItem = <Value extends FormulaInput>(
  value: Value,
  item: { readonly id: string; readonly revision: number },
) => given(value, `catalogue:${item.id}@${item.revision}`);

/** A value that was solved in a case. */
export const solvedIn = <Value extends FormulaInput>(value: Value, caseName: string) =>
  given(value, `case:${caseName}`);

/** Another figure, by its reference. */
export const fromFigure = (ref: Pick<FigureRef, 'key'>): Origin => `result:${ref.key}`;

/** A default of the trade. */
export const byDefault = <Value extends FormulaInput>(value: Value, what = '') =>
  given(value, what === '' ? 'default' : `default: ${what}`);

/** Several sourced numbers as one list, each with its own origin. */
export const together = (
  entries: readonly (Sourced<number> | { readonly value: number; readonly key: string })[],
): Sourced<readonly number[]> => ({
  value: entries.map((e) => e.value),
  from: entries.map((e) => ('key' in e ? `result:${e.key}` : (e.from as Origin))),
});

/** What an origin names: its kind, and which figure, path, item or case of that kind. */
export function readOrigin(origin: Origin): { readonly kind: OriginKind; readonly name: string } {
  const [kind, ...rest] = origin.split(':');
  return { kind: kind as OriginKind, name: rest.join(':').trim() };
}
