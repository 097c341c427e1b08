import type { HarnessConnector } from './connectorsOf.ts';

/** Room that a way takes across a plug of a family, m; where nothing is known, of a small sealed one. */
const PITCH: Readonly<Record<string, number>> = {
  'S0.64': 0.0045,
  'S1.5': 0.007,
  'S2.8': 0.011,
  header: 0.005,
  'round bulkhead': 0.004,
  'blade 6.3': 0.01,
};
const USUAL_PITCH = 0.007;
/** Its shell with latch and seal, across, m. */
const SHELL = 0.009;

/** About how wide a plug is across, m: what has to pass a hole, a sleeve or a boot with it. */
export const plugDiameter = ({ family, cavities }: HarnessConnector): number =>
  SHELL + (PITCH[family] ?? USUAL_PITCH) * Math.sqrt(cavities.length) * 1.25;
