import { type UnitKind, findUnit, formatQuantity } from '@brookrain/core';
import { ValidateBy, type ValidationOptions } from 'class-validator';

export interface QuantityRule {
  /** least and greatest SI value, inclusive */
  readonly min?: number;
  readonly max?: number;
  /** the value must be above `min`, not on it */
  readonly above?: boolean;
  readonly optional?: boolean;
  /** what the person reads; says what is accepted */
  readonly message: string;
}

const isQuantity = (value: unknown): value is { value: number; unit: string } =>
  typeof value === 'object' &&
  value !== null &&
  !Array.isArray(value) &&
  Object.keys(value).sort().join() === 'unit,value';

/** Why a value is not a quantity of a kind within its rule; undefined when it is. */
export function quantityProblem(
  value: unknown,
  kind: UnitKind,
  rule: QuantityRule,
): string | undefined {
  if (value === null && rule.optional) return undefined;
  if (!isQuantity(value) || typeof value.unit !== 'string') {
    return 'must be a quantity { value, unit } with the value in SI';
  }
  if (typeof value.value !== 'number' || !Number.isFinite(value.value)) {
    return 'must have a finite number as its value';
  }
  const unit = findUnit(kind, value.unit);
  if (!unit) return `must be in a unit of ${kind}, not "${value.unit.slice(0, 20)}"`;
  const tooLow =
    rule.min !== undefined && (rule.above ? value.value <= rule.min : value.value < rule.min);
  const tooHigh = rule.max !== undefined && value.value > rule.max;
  if (!tooLow && !tooHigh) return undefined;
  const typed = formatQuantity({ value: value.value, kind, unit: unit.symbol, digits: 7 });
  return `${rule.message} (${`${typed.figure} ${typed.unit}`.trim()} was given)`;
}

/** A list of quantities of a kind, each within limits, at most `most` of them. */
export function EachQuantityOf(
  kind: UnitKind,
  rule: QuantityRule & { readonly most: number },
): PropertyDecorator {
  const problem = (value: unknown): string | undefined => {
    if (!Array.isArray(value)) return 'must be a list';
    if (value.length > rule.most) return `must have at most ${rule.most} entries`;
    const bad = value.findIndex((entry) => quantityProblem(entry, kind, rule) !== undefined);
    return bad < 0 ? undefined : `entry ${bad + 1}: ${quantityProblem(value[bad], kind, rule)}`;
  };
  return ValidateBy({
    name: 'eachQuantityOf',
    constraints: [kind, rule],
    validator: {
      validate: (value: unknown) => problem(value) === undefined,
      defaultMessage: (args) => problem(args?.value) ?? rule.message,
    },
  });
}

/** A quantity of a kind within limits; null is accepted when `optional`. */
export function QuantityOf(
  kind: UnitKind,
  rule: QuantityRule,
  options?: ValidationOptions,
): PropertyDecorator {
  return ValidateBy(
    {
      name: 'quantityOf',
      constraints: [kind, rule],
      validator: {
        validate: (value: unknown) => quantityProblem(value, kind, rule) === undefined,
        defaultMessage: (args) => quantityProblem(args?.value, kind, rule) ?? rule.message,
      },
    },
    options,
  );
}
