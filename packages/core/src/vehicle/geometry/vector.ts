/** A place or a direction: x forward, y left, z up; places in m. */
export type Vector = readonly [x: number, y: number, z: number];

export const add = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const subtract = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by];
export const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const norm = (a: Vector): number => Math.hypot(a[0], a[1], a[2]);
export const distanceBetween = (a: Vector, b: Vector): number =>
  Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
/** `a` moved by `t` along `direction`. */
export const along = (a: Vector, direction: Vector, t: number): Vector => [
  a[0] + t * direction[0],
  a[1] + t * direction[1],
  a[2] + t * direction[2],
];
/** Direction of length 1; the zero vector stays as it is. */
export function unit(a: Vector): Vector {
  const size = norm(a);
  return size === 0 ? a : scale(a, 1 / size);
}
/** Angle between two directions of length 1, rad; exact also where they are nearly alike. */
export const angleBetween = (a: Vector, b: Vector): number =>
  2 * Math.atan2(distanceBetween(a, b), norm(add(a, b)));
