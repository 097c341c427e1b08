import type { EcuItem } from '../../catalogue/index.ts';

/**
 * The cylinders in the order in which they fire, as it is written ("1-3-4-2"); undefined where that
 * does not name each of so many cylinders once.
 */
export function firingOrder(written: string, cylinders: number): readonly number[] | undefined {
  const order = written
    .split(/[^\d]+/)
    .filter((part) => part !== '')
    .map(Number);
  const named = new Set(order);
  const isWhole =
    order.length === cylinders &&
    named.size === cylinders &&
    order.every((cylinder) => cylinder >= 1 && cylinder <= cylinders);
  return isWhole ? order : undefined;
}

/**
 * Which output of its kind a unit has for a cylinder: the n-th for cylinder n, or for the n-th that
 * fires; undefined where the order is not known.
 */
export function outputFor(
  sequence: EcuItem['sequence'],
  cylinder: number,
  order: readonly number[] | undefined,
): number | undefined {
  if (sequence === 'cylinder') return cylinder;
  const at = order?.indexOf(cylinder) ?? -1;
  return at < 0 ? undefined : at + 1;
}
