import type { Ladder, RungCheck } from '@brookrain/core';

/** Top of the ladder's scale, W: a little over the highest rung within twice the target. */
export function scaleTop(ladder: Ladder): number {
  const within = ladder.rungs
    .map((rung) => rung.power ?? 0)
    .filter((power) => power <= 2 * ladder.targetPower);
  return 1.12 * Math.max(ladder.targetPower, ...within);
}

/** Names of rungs in few letters, for the narrow ladder. */
export const shortName: Readonly<Record<RungCheck, string>> = {
  'injector-duty': 'Inj',
  'pump-flow': 'Pump',
  sag: 'Sag',
  suction: 'Suct',
  'feed-velocity': 'Feed',
  return: 'Ret',
  wire: 'Wire',
  fuse: 'Fuse',
  lift: 'Lift',
  regulator: 'Reg',
  driver: 'Rel',
  alternator: 'Alt',
};
