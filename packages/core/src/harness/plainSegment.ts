import { quantity } from '../quantities/index.ts';
import type { StoredSegment } from './model.ts';

/** What a segment has before more is said of it. */
export const plainSegment = {
  points: {},
  cover: null,
  heatSleeve: false,
  loop: quantity(0, 'length', 'mm'),
  measured: null,
  locked: false,
  closed: false,
} as const satisfies Partial<StoredSegment>;
