import { type Catalogue, newestOf } from './catalogue.ts';
import type { FittingItem, HoseItem } from './catalogueItem.ts';
import type { JointSchool } from './kinds/fitting.ts';
import { makeOfHose } from './makeOfHose.ts';

/** A hose bore may differ from the one that an end is made for by this share. */
const BORE_FIT = 0.07;

/** Whether an end is made for a hose. */
export function holds(end: FittingItem, hose: HoseItem): boolean {
  if (end.joint === 'none' || end.holds !== makeOfHose(hose)) return false;
  return (
    (end.dash === 0 || end.dash === hose.dash) &&
    (end.hoseBore === 0 || Math.abs(end.hoseBore / hose.bore - 1) <= BORE_FIT) &&
    end.dash + end.hoseBore > 0
  );
}

/** Every end of a catalogue that is made for a hose. */
export const endsFor = (catalogue: Catalogue, hose: HoseItem): FittingItem[] =>
  newestOf(catalogue, 'fitting').filter((end) => holds(end, hose));

/** Schools of joint that a hose can be made up by, in the order of the catalogue. */
export const schoolsFor = (catalogue: Catalogue, hose: HoseItem): JointSchool[] => [
  ...new Set(endsFor(catalogue, hose).map((end) => end.joint)),
];

/** The end that stands nearest to an angle rad; the straighter, then the cheaper of two as near. */
export function endAt(ends: readonly FittingItem[], angle: number): FittingItem | undefined {
  const off = (end: FittingItem): number => Math.round(Math.abs(end.angle - angle) * 1e6);
  return [...ends].sort(
    (a, b) => off(a) - off(b) || a.angle - b.angle || a.price - b.price || (a.id < b.id ? -1 : 1),
  )[0];
}
