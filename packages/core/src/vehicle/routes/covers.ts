import type { LineRoute } from '../../model/index.ts';
import type { Stretch } from '../obstacles/index.ts';
import type { CoverKind } from '../slices/covers.ts';

/** Something over a stretch of a line. */
export type Cover = LineRoute['covers'][number];

/** Tells whether a cover keeps heat off, so that a hot pipe may be nearer. */
export const keepsHeatOff = (kind: CoverKind): boolean =>
  kind === 'heat-sleeve' || kind === 'heat-shield';

/** What a cover of a kind bears beside it, K: of usual make, by its data sheet another. */
export const usuallyBears: Readonly<Record<CoverKind, number>> = {
  'heat-sleeve': 273.15 + 550,
  'heat-shield': 273.15 + 800,
  'sealed-tube': 273.15 + 300,
};

/** A cover over the whole of a line that bears a temperature, K, where its kind can be had so. */
export const newCover = (kind: CoverKind, temperature = 0) => ({
  kind: temperature > usuallyBears[kind] && keepsHeatOff(kind) ? ('heat-shield' as const) : kind,
  from: null,
  to: null,
  bears: {
    value: temperature > usuallyBears[kind] ? usuallyBears['heat-shield'] : usuallyBears[kind],
    unit: '°C',
  },
});

/** The stretch that a cover lies over, m from the beginning of the line. */
export const stretchOfCover = ({ from, to }: Cover): Stretch => ({
  from: from?.value ?? 0,
  to: to?.value ?? Infinity,
});

/** Where a line is shielded from heat: all over, or on some stretches. */
export function shielding(covers: readonly Cover[]): {
  readonly sleeve: boolean;
  readonly shielded: readonly Stretch[];
} {
  const shielded = covers.filter(({ kind }) => keepsHeatOff(kind)).map(stretchOfCover);
  return { sleeve: shielded.some(({ from, to }) => from === 0 && to === Infinity), shielded };
}
