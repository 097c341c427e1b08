import { defineFormula } from '../../results/index.ts';

/** Clamps are so far apart at most, m, and one sits so near to each end. */
const HOSE_PITCH = 0.45;
const HARDLINE_PITCH = 0.6;
export const NEAR_END = 0.12;

/** Greatest distance m between clamps. */
export const clampPitch = (hardline: boolean): number => (hardline ? HARDLINE_PITCH : HOSE_PITCH);

/** How many clamps the rule asks of a line. */
export const clampsAsked = (length: number, pitch: number): number =>
  length <= 2 * NEAR_END ? 1 : Math.ceil((length - 2 * NEAR_END) / pitch - 1e-9) + 1;

/** Where the rule puts them: evenly, the first and last 120 mm from the ends; m along the line. */
export function evenClamps(length: number, pitch: number): number[] {
  const count = clampsAsked(length, pitch);
  if (count === 1) return [length / 2];
  const step = (length - 2 * NEAR_END) / (count - 1);
  return Array.from({ length: count }, (_, i) => NEAR_END + step * i);
}

/** How far clamps leave a line unheld beyond what the rule allows, m; 0 or less: nowhere. */
export function clampExcess(length: number, pitch: number, places: readonly number[]): number {
  const sorted = [...places].sort((a, b) => a - b);
  const first = sorted[0] ?? length;
  const last = sorted.at(-1) ?? 0;
  const gaps = sorted.slice(1).map((place, i) => place - (sorted[i] ?? 0) - pitch);
  return Math.max(first - NEAR_END, length - last - NEAR_END, ...gaps);
}

const source = 'one within 120 mm of each end, 450 mm apart at most on hose, 600 on hardline';

export const clampCount = defineFormula({
  name: 'clamps',
  notation: 'n = ⌈(L − 2 · 120 mm) / pitch⌉ + 1, at least 1',
  kind: 'count',
  inputKinds: { length: 'length', pitch: 'length' },
  source,
  compute: (i) => clampsAsked(i.length, i.pitch),
});

export const clampsPlaced = defineFormula({
  name: 'clamps that are placed',
  notation: 'their number',
  kind: 'count',
  inputKinds: { places: 'length' },
  source: 'as they are on the line',
  compute: (i: { places: readonly number[] }) => i.places.length,
});

export const clampGap = defineFormula({
  name: 'longest stretch without a clamp',
  notation: 'greatest distance between neighbours, or from an end to the first',
  kind: 'length',
  inputKinds: { length: 'length', places: 'length' },
  source,
  compute: (i: { length: number; places: readonly number[] }) => {
    const sorted = [0, ...[...i.places].sort((a, b) => a - b), i.length];
    return Math.max(...sorted.slice(1).map((place, k) => place - (sorted[k] ?? 0)));
  },
});

export const clampFormulas = [clampCount, clampsPlaced, clampGap];
