import { type QuantitySpec, findUnit, formatQuantity, isRecord } from '@brookrain/core';

const isQuantity = (value: unknown): value is { value: number; unit: string } =>
  isRecord(value) && Object.keys(value).sort().join() === 'unit,value';

/** Why a value is not a quantity as its field declares it; undefined when it is. */
export function quantityProblem(spec: QuantitySpec, value: unknown): string | undefined {
  if (value === null && spec.optional) return undefined;
  if (!isQuantity(value) || typeof value.unit !== 'string') {
    return 'must be a quantity { value, unit } with the value in SI';
  }
  if (typeof value.value !== 'number' || !Number.isFinite(value.value)) {
    return 'must have a finite number as its value';
  }
  const unit = findUnit(spec.kind, value.unit);
  if (!unit) return `must be in a unit of ${spec.kind}, not "${value.unit.slice(0, 20)}"`;
  const tooLow = spec.above ? value.value <= spec.min : value.value < spec.min;
  if (!tooLow && value.value <= spec.max) return undefined;
  const typed = formatQuantity({
    value: value.value,
    kind: spec.kind,
    unit: unit.symbol,
    digits: 7,
  });
  return `${spec.message} (${`${typed.figure} ${typed.unit}`.trim()} was given)`;
}
