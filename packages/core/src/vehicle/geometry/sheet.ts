import { type PathPiece, type RoutePath, pieceAt, pieceDirection } from './path.ts';
import { type Vector, add, cross, dot, norm, subtract, unit } from './vector.ts';

/** A bounded plane: the parallelogram from `corner` to its two neighbours. */
export interface Parallelogram {
  readonly corner: Vector;
  readonly next: Vector;
  readonly other: Vector;
}

/** Where a path goes through a sheet: the place, and how far along the path, m. */
export interface Crossing {
  readonly at: Vector;
  readonly s: number;
  /** direction of travel there */
  readonly direction: Vector;
}

/** Area m² of a sheet. */
export const areaOf = ({ corner, next, other }: Parallelogram): number =>
  norm(cross(subtract(next, corner), subtract(other, corner)));

/** The four corners of a sheet, one after the other. */
export const cornersOf = ({ corner, next, other }: Parallelogram): readonly Vector[] => [
  corner,
  next,
  add(next, subtract(other, corner)),
  other,
];

/** How near to its edge a place still counts as on the sheet, as a share of its sides. */
const EDGE = 1e-9;

function isOn(sheet: Parallelogram, place: Vector): boolean {
  const u = subtract(sheet.next, sheet.corner);
  const v = subtract(sheet.other, sheet.corner);
  const w = subtract(place, sheet.corner);
  const [uu, uv, vv, uw, vw] = [dot(u, u), dot(u, v), dot(v, v), dot(u, w), dot(v, w)];
  const determinant = uu * vv - uv * uv;
  if (determinant <= 0) return false;
  const a = (vv * uw - uv * vw) / determinant;
  const b = (uu * vw - uv * uw) / determinant;
  return a >= -EDGE && a <= 1 + EDGE && b >= -EDGE && b <= 1 + EDGE;
}

/** Distances into a piece at which it meets the plane through `place` across `normal`. */
function meetings(piece: PathPiece, place: Vector, normal: Vector): number[] {
  if (piece.kind === 'straight') {
    const slope = dot(piece.direction, normal);
    if (slope === 0) return [];
    const s = dot(subtract(place, piece.from), normal) / slope;
    return s >= 0 && s <= piece.length ? [s] : [];
  }
  // outward · cos t + tangent · sin t reaches the height of the plane over the centre.
  const [a, b] = [dot(piece.outward, normal), dot(piece.tangent, normal)];
  const size = piece.radius * Math.hypot(a, b);
  const height = dot(subtract(place, piece.centre), normal);
  if (size === 0 || Math.abs(height) > size) return [];
  const middle = Math.atan2(b, a);
  const aside = Math.acos(height / size);
  const turn = 2 * Math.PI;
  return [middle + aside, middle - aside]
    .map((t) => ((t % turn) + turn) % turn)
    .filter((t) => t <= piece.angle)
    .map((t) => t * piece.radius);
}

/** Nearer to the ends of a path than this it does not go through, m. */
const TOUCH = 1e-6;

/** Every place where a path goes through a sheet, in order; one that only ends on it is none. */
export function crossingsOf(path: RoutePath, sheet: Parallelogram): Crossing[] {
  const normal = unit(
    cross(subtract(sheet.next, sheet.corner), subtract(sheet.other, sheet.corner)),
  );
  const found: Crossing[] = [];
  let before = 0;
  for (const piece of path.pieces) {
    for (const into of meetings(piece, sheet.corner, normal).sort((a, b) => a - b)) {
      const s = before + into;
      const at = pieceAt(piece, into);
      const ends = s < TOUCH || s > path.length - TOUCH;
      const again = found.some((crossing) => Math.abs(crossing.s - s) < TOUCH);
      if (ends || again || !isOn(sheet, at)) continue;
      found.push({ at, s, direction: pieceDirection(piece, into) });
    }
    before += piece.length;
  }
  return found;
}
