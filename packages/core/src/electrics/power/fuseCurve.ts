import { firstOf, lastOf, entryAt } from '../../numerics/index.ts';
import type { FuseBandPoint, FuseItem } from '../../catalogue/index.ts';

/** Opening-time band of blade fuses, ISO 8820-3. At 110 % they last at least 100 h. */
export const bladeBand: readonly FuseBandPoint[] = [
  { multiple: 1.1, fastest: 360000, slowest: 360000 },
  { multiple: 1.35, fastest: 0.75, slowest: 600 },
  { multiple: 1.6, fastest: 0.25, slowest: 50 },
  { multiple: 2, fastest: 0.15, slowest: 5 },
  { multiple: 3.5, fastest: 0.04, slowest: 0.5 },
  { multiple: 6, fastest: 0.02, slowest: 0.1 },
];

/** So long a fuse is tried at most, s: one that lasts as long as that may never open. */
const TRIED_FOR = 360_000;

/**
 * Opening time s at a multiple of the rating by one edge of the band, log-log between points;
 * Infinity below the first point, and by the slow edge as far as it may never open (for a blade
 * below 135 %); constant I²t above the last.
 */
export function openingTime(
  band: readonly FuseBandPoint[],
  edge: 'fastest' | 'slowest',
  multiple: number,
): number {
  const first = firstOf(band);
  const last = lastOf(band);
  if (multiple < first.multiple) return Infinity;
  if (multiple >= last.multiple) return last[edge] * (last.multiple / multiple) ** 2;
  const i = band.findIndex(
    (p, n) => multiple < entryAt(band, n + 1).multiple && multiple >= p.multiple,
  );
  const a = entryAt(band, i);
  const b = entryAt(band, i + 1);
  if (edge === 'slowest' && a.slowest >= TRIED_FOR) return Infinity;
  const t = Math.log(multiple / a.multiple) / Math.log(b.multiple / a.multiple);
  return Math.exp(Math.log(a[edge]) + t * Math.log(b[edge] / a[edge]));
}

/** I²t A²s let through until the slow edge opens at a current A; Infinity if it never does. */
export function letThrough(fuse: FuseItem, current: number): number {
  return openingTime(fuse.band, 'slowest', current / fuse.rating) * current ** 2;
}

/**
 * Share of the fast edge that an inrush uses up: I(t) = I_run·(1 + (m − 1)·e^(−t/τ)). Below 1
 * the fuse rides through. Steady current above 110 % counts as 1.
 */
export function inrushDamage(input: {
  fuse: FuseItem;
  running: number;
  factor: number;
  time: number;
}): number {
  const { fuse, running, factor, time } = input;
  if (running >= 1.1 * fuse.rating) return 1;
  const steps = 400;
  const span = 12 * time;
  let damage = 0;
  for (let k = 0; k < steps; k++) {
    const t = ((k + 0.5) * span) / steps;
    const current = running * (1 + (factor - 1) * Math.exp(-t / time));
    damage += span / steps / openingTime(fuse.band, 'fastest', current / fuse.rating);
  }
  return damage;
}

/** What is left of a fuse's rating A at an ambient temperature K. */
export const deratedRating = (rating: number, ambient: number): number =>
  rating * (1 - 0.0015 * (ambient - 298.15));
