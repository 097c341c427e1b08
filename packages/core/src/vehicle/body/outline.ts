import type { Vehicle } from '../../model/index.ts';
import type { BodyKind } from '../slices/body.ts';

/** A place of an outline from the side: forward of the rear axle and above the ground, m. */
export interface OutlinePoint {
  readonly x: number;
  readonly z: number;
}

/**
 * Outline of a body from the side: how far along it (0 rear, 1 front) and how high between its
 * underside and its top. Over the top from the rear, then back along the underside.
 */
const shapes: Readonly<Record<BodyKind, readonly (readonly [along: number, up: number])[]>> = {
  van: [
    [0, 0],
    [0, 0.97],
    [0.03, 1],
    [0.86, 1],
    [0.97, 0.52],
    [1, 0.3],
    [1, 0],
  ],
  car: [
    [0, 0.08],
    [0, 0.58],
    [0.14, 0.64],
    [0.27, 0.98],
    [0.5, 1],
    [0.7, 0.62],
    [0.97, 0.52],
    [1, 0.3],
    [1, 0.05],
  ],
  'pick-up': [
    [0, 0.1],
    [0, 0.55],
    [0.42, 0.55],
    [0.45, 0.97],
    [0.6, 1],
    [0.7, 0.6],
    [0.97, 0.55],
    [1, 0.3],
    [1, 0.08],
  ],
  'open-frame': [
    [0, 0.1],
    [0.02, 0.4],
    [0.3, 0.42],
    [0.38, 1],
    [0.5, 1],
    [0.62, 0.45],
    [0.95, 0.35],
    [1, 0.2],
    [1, 0.05],
  ],
  'single-seater': [
    [0, 0.04],
    [0, 0.9],
    [0.06, 0.9],
    [0.12, 0.5],
    [0.4, 0.75],
    [0.46, 1],
    [0.52, 0.65],
    [0.62, 0.5],
    [0.95, 0.3],
    [1, 0.1],
    [1, 0],
  ],
  'three-wheeler': [
    [0, 0.1],
    [0.03, 0.5],
    [0.2, 0.72],
    [0.5, 0.6],
    [0.62, 1],
    [0.68, 0.98],
    [0.78, 0.6],
    [0.97, 0.45],
    [1, 0.25],
    [1, 0.05],
  ],
  'boat-tail': [
    [0, 0.35],
    [0.14, 0.55],
    [0.4, 0.7],
    [0.5, 0.72],
    [0.58, 1],
    [0.62, 0.72],
    [0.95, 0.6],
    [1, 0.35],
    [1, 0.05],
  ],
};

/** The outline of a vehicle from the side: as corrected, else generated from its body and size. */
export function outlineOf(vehicle: Vehicle): OutlinePoint[] {
  if (vehicle.outline.length >= 3) {
    return vehicle.outline.map(({ x, z }) => ({ x: x.value, z: z.value }));
  }
  const rear = -vehicle.rearOverhang.value;
  const length = vehicle.wheelbase.value + vehicle.frontOverhang.value - rear;
  const low = Math.min(vehicle.clearance.value, vehicle.height.value);
  return shapes[vehicle.kind].map(([along, up]) => ({
    x: rear + along * length,
    z: low + up * (vehicle.height.value - low),
  }));
}
