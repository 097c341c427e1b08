import type { CatalogueItem } from '@brookrain/core';

/** Figures that went through another unit and back may differ in the last digits. */
const RELATIVE = 1e-9;

function same(a: unknown, b: unknown): boolean {
  if (typeof a === 'number' && typeof b === 'number') {
    return Math.abs(a - b) <= RELATIVE * Math.max(Math.abs(a), Math.abs(b));
  }
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return a === b;
  const left = a as Record<string, unknown>;
  const right = b as Record<string, unknown>;
  const keys = new Set([...Object.keys(left), ...Object.keys(right)]);
  return [...keys].every((key) => same(left[key], right[key]));
}

/** True when two items have the same data, whatever their revision. */
export const sameItem = (a: CatalogueItem, b: CatalogueItem): boolean =>
  same({ ...a, revision: 0 }, { ...b, revision: 0 });
