import { type Unit, type UnitKind, unitKinds } from './unitKinds.ts';
import { BadInput } from './errors.ts';
import type { Quantity } from './quantity.ts';

/** The unit of a kind by symbol or alias; undefined when the kind does not know it. */
export function findUnit(kind: UnitKind, symbol: string): Unit | undefined {
  const units: readonly Unit[] = unitKinds[kind];
  return (
    units.find((u) => u.symbol === symbol || u.aliases?.includes(symbol)) ??
    units.find((u) => {
      const wanted = symbol.toLowerCase();
      return (
        u.symbol.toLowerCase() === wanted || u.aliases?.some((a) => a.toLowerCase() === wanted)
      );
    })
  );
}

function requireUnit(kind: UnitKind, symbol: string): Unit {
  const unit = findUnit(kind, symbol);
  if (!unit) throw new BadInput(`"${symbol}" is not a unit of ${kind}`, kind);
  return unit;
}

/** SI value of a number in the given unit; throws BadInput for an unknown unit. */
export function toSI(value: number, kind: UnitKind, symbol: string): number {
  const unit = requireUnit(kind, symbol);
  return value * unit.factor + (unit.offset ?? 0);
}

/** A number in the given unit from its SI value; throws BadInput for an unknown unit. */
export function fromSI(valueSI: number, kind: UnitKind, symbol: string): number {
  const unit = requireUnit(kind, symbol);
  return (valueSI - (unit.offset ?? 0)) / unit.factor;
}

/** An entered quantity from a number in a unit. */
export function quantity(value: number, kind: UnitKind, symbol: string): Quantity {
  return { value: toSI(value, kind, symbol), unit: requireUnit(kind, symbol).symbol };
}
