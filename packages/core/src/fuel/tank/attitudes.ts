import type { Build } from '../../model/index.ts';

export const attitudes = ['braking', 'accelerating', 'climbing', 'leftTurn', 'rightTurn'] as const;
/** What a vehicle does that drives fuel away from the bottom of its tank. */
export type Attitude = (typeof attitudes)[number];

/** Where fuel is driven, in parts of gravity: forward and left. */
export interface Push {
  readonly forward: number;
  readonly left: number;
}

type Use = Build['brief']['use'];
type Levels = readonly [braking: number, accelerating: number, climbing: number, turning: number];

/** What is usual by the use of a vehicle, parts of gravity: a default of the trade. */
const levels: Readonly<Record<Use, Levels>> = {
  road: [0.8, 0.4, 0.3, 0.6],
  'two-or-three-wheeler': [0.7, 0.5, 0.3, 0.6],
  'off-road': [0.7, 0.4, 0.6, 0.6],
  competition: [1.4, 1, 0.3, 1.5],
};

/** How hard fuel is pushed, and where, in an attitude of a vehicle of some use. */
export function pushOf(attitude: Attitude, use: Use): Push {
  const [braking, accelerating, climbing, turning] = levels[use];
  switch (attitude) {
    case 'braking':
      return { forward: braking, left: 0 };
    case 'accelerating':
      return { forward: -accelerating, left: 0 };
    case 'climbing':
      return { forward: -climbing, left: 0 };
    case 'leftTurn':
      return { forward: 0, left: -turning };
    case 'rightTurn':
      return { forward: 0, left: turning };
  }
}
