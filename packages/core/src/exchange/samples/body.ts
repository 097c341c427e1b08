import type { ServicedFrom } from '../../catalogue/index.ts';

/** The box that a shipped part takes, from mm: front to back, left to right, bottom to top. */
export const body = (
  [length, width, height]: readonly [length: number, width: number, height: number],
  servicedFrom: ServicedFrom = 'none',
  serviceRoom = 0,
) => ({
  bodyLength: length / 1e3,
  bodyWidth: width / 1e3,
  bodyHeight: height / 1e3,
  servicedFrom,
  serviceRoom: serviceRoom / 1e3,
  splashProof: false,
});
