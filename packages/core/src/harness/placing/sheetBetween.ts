import {
  type Parallelogram,
  type SheetAround,
  type Vector,
  cross,
  dot,
  subtract,
} from '../../vehicle/index.ts';

/** Whether the straight from one place to another goes through a parallelogram. */
export function goesThrough(a: Vector, b: Vector, { corner, next, other }: Parallelogram): boolean {
  const [u, v, way] = [subtract(next, corner), subtract(other, corner), subtract(b, a)];
  const normal = cross(u, v);
  const along = dot(way, normal);
  if (along === 0) return false;
  const t = dot(subtract(corner, a), normal) / along;
  if (t < 0 || t > 1) return false;
  const at = subtract([a[0] + t * way[0], a[1] + t * way[1], a[2] + t * way[2]], corner);
  const size = dot(normal, normal);
  const s = dot(cross(at, v), normal) / size;
  const r = dot(cross(u, at), normal) / size;
  return s >= 0 && s <= 1 && r >= 0 && r <= 1;
}

/** Whether a sheet of metal lies between two places. */
export const sheetBetween = (a: Vector, b: Vector, sheets: readonly SheetAround[]): boolean =>
  sheets.some(({ plane }) => goesThrough(a, b, plane));
