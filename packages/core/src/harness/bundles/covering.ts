import type { BundleCover } from '../model.ts';

/** Seconds to cover a metre of a bundle. */
export const coveringSeconds: Readonly<Record<BundleCover, number>> = {
  none: 0,
  tape: 240,
  conduit: 120,
  braid: 420,
  'heat-shrink': 900,
};
