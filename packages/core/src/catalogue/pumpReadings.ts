import type { PumpItem } from './catalogueItem.ts';

/** Highest current A in the data sheet's whole range: what the wire is sized for. */
export function highestPumpCurrent(item: PumpItem): number {
  return Math.max(...item.curves.flatMap((c) => c.points.map((p) => p.current)));
}

/** Highest pressure rise Pa in the data: dead-head at the highest voltage. */
export function deadHeadPressure(item: PumpItem): number {
  return Math.max(...item.curves.flatMap((c) => c.points.map((p) => p.pressure)));
}
