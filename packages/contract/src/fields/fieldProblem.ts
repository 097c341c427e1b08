import { type FigureSpec, type Spec, formatQuantity, isKey } from '@brookrain/core';
import { HIDDEN_CHARACTERS, hasHiddenCharacters } from './hiddenCharacters.ts';
import { isLongerJson } from './isLongerJson.ts';
import { quantityProblem } from './quantityProblem.ts';

const isNumber = (value: unknown): value is number =>
  typeof value === 'number' && Number.isFinite(value);

const within = (value: unknown, min: number, max: number): boolean =>
  isNumber(value) && value >= min && value <= max;

/** A figure in the unit in which it is usually printed. */
function typed({ kind, unit }: FigureSpec, value: number): string {
  const { figure } = formatQuantity({ value, kind, unit, digits: 4 });
  return `${figure} ${unit}`.trim();
}

const LONGEST_LIST = 60;
/** What may be put in place by a decision, as JSON: a whole fuel circuit is a fifth of it. */
const MOST_OF_ANYTHING = 100_000;

function figuresProblem(value: unknown, min: number, max: number): string | undefined {
  if (!Array.isArray(value) || value.length === 0 || value.length > LONGEST_LIST) {
    return `must be a list of 1 to ${LONGEST_LIST} numbers in SI`;
  }
  if (!value.every((entry) => within(entry, min, max))) {
    return `must be numbers in SI from ${min} to ${max}`;
  }
  return value.every((entry, i) => i === 0 || entry > value[i - 1]) ? undefined : 'must rise';
}

/** A field that is one value; the others hold fields or entries of their own. */
export type LeafSpec = Exclude<Spec, { type: 'object' | 'nullable' | 'kinds' | 'record' | 'list' }>;
export const isLeaf = (spec: Spec): spec is LeafSpec =>
  !['object', 'nullable', 'kinds', 'record', 'list'].includes(spec.type);

/** Why a value may not stand in a field; undefined when it may. `owner` holds the fields around it. */
export function fieldProblem(
  spec: LeafSpec,
  value: unknown,
  owner: Readonly<Record<string, unknown>> = {},
): string | undefined {
  switch (spec.type) {
    case 'quantity':
      return quantityProblem(spec, value);
    case 'figure':
      if (!isNumber(value)) return 'must be a number in SI';
      return within(value, spec.min, spec.max)
        ? undefined
        : `must be from ${typed(spec, spec.min)} to ${typed(spec, spec.max)}`;
    case 'figures':
      return figuresProblem(value, spec.min, spec.max);
    case 'grid': {
      const sizeOf = (key: string): number | undefined =>
        Array.isArray(owner[key]) ? owner[key].length : undefined;
      const holds =
        Array.isArray(value) &&
        value.length === sizeOf(spec.rows) &&
        value.every(
          (row) =>
            Array.isArray(row) &&
            row.length === sizeOf(spec.columns) &&
            row.every((cell) => within(cell, 0, spec.max)),
        );
      return holds
        ? undefined
        : `must have one row for each of ${spec.rows}, one column for each of ${spec.columns}, in SI`;
    }
    case 'whole':
      return within(value, spec.min, spec.max) && Number.isInteger(value)
        ? undefined
        : (spec.message ?? `must be a whole number from ${spec.min} to ${spec.max}`);
    case 'order':
      return within(value, -1e9, 1e9) ? undefined : 'must be a number';
    case 'measured':
      return value === null || isNumber(value) ? undefined : 'must be a number or null';
    case 'text':
      if (typeof value === 'string' && spec.min > 0 && value !== '' && value.trim() === '') {
        return 'must hold more than blanks';
      }
      if (typeof value === 'string' && hasHiddenCharacters(value, spec.lines ?? false)) {
        return HIDDEN_CHARACTERS;
      }
      return typeof value === 'string' && value.length >= spec.min && value.length <= spec.max
        ? undefined
        : (spec.message ?? `must be text of ${spec.min} to ${spec.max} letters`);
    case 'moment':
      return typeof value === 'string' &&
        /^\d{4}-\d\d-\d\dT/.test(value) &&
        !isNaN(Date.parse(value))
        ? undefined
        : 'must be a moment, ISO 8601';
    case 'yes-no':
      return typeof value === 'boolean' ? undefined : 'must be true or false';
    case 'choice': {
      if (value === undefined && spec.optional) return undefined;
      if (value === null && spec.nullable) return undefined;
      return typeof value === 'string' && spec.choices.includes(value)
        ? undefined
        : `must be one of ${spec.choices.join(', ')}`;
    }
    case 'constant':
      return value === spec.value ? undefined : `must be ${spec.value}`;
    case 'reference':
      return typeof value === 'string' && value.length <= 40 && isKey(value)
        ? undefined
        : `must be the id of a ${spec.what}`;
    case 'path':
      return Array.isArray(value) &&
        value.length >= 1 &&
        value.length <= 16 &&
        value.every((key) => typeof key === 'string' && key.length <= 160)
        ? undefined
        : 'must be a list of keys';
    case 'anything':
      if (value === undefined) return 'must be given';
      return isLongerJson(value, MOST_OF_ANYTHING)
        ? 'holds more than a part of a build can'
        : undefined;
  }
}
