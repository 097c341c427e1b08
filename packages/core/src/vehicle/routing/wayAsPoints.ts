import { quantity } from '../../quantities/index.ts';
import type { RoutePoint } from '../geometry/path.ts';
import type { StoredRoute } from '../slices/routes.ts';

/** Between two corners there is room for others. */
const ORDER_STEP = 1000;
const mm = (metres: number) => quantity(Number((metres * 1e3).toFixed(2)), 'length', 'mm');

/** Corners as a route stores them. */
export const wayAsPoints = (corners: readonly RoutePoint[]): StoredRoute['points'] =>
  Object.fromEntries(
    corners.map(({ at: [x, y, z], radius }, i) => [
      `p${i + 1}`,
      { order: ORDER_STEP * (i + 1), x: mm(x), y: mm(y), z: mm(z), radius: mm(radius) },
    ]),
  );
