/** A place in the plane, m. */
export type PlanePoint = readonly [x: number, y: number];
/** A straight stretch between two places of the plane. */
export type PlaneSegment = readonly [from: PlanePoint, to: PlanePoint];

const across = (o: PlanePoint, a: PlanePoint, b: PlanePoint): number =>
  (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);

function fromStretch(p: PlanePoint, [a, b]: PlaneSegment): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const square = dx * dx + dy * dy;
  const along = square > 0 ? ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / square : 0;
  const t = Math.min(1, Math.max(0, along));
  return Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy);
}

/** Whether two stretches have a place in common that is inside both. */
export function doCross([a, b]: PlaneSegment, [c, d]: PlaneSegment): boolean {
  const [abc, abd] = [across(a, b, c), across(a, b, d)];
  const [cda, cdb] = [across(c, d, a), across(c, d, b)];
  return abc * abd < 0 && cda * cdb < 0;
}

/** How far two stretches are apart, m; 0 where they cross. */
export function apart(a: PlaneSegment, b: PlaneSegment): number {
  if (doCross(a, b)) return 0;
  return Math.min(
    fromStretch(a[0], b),
    fromStretch(a[1], b),
    fromStretch(b[0], a),
    fromStretch(b[1], a),
  );
}

/** Whether a stretch comes into a box that is so wide and so high round its middle. */
export function comesInto(
  [a, b]: PlaneSegment,
  [x, y]: PlanePoint,
  wide: number,
  high: number,
): boolean {
  const isIn = ([u, v]: PlanePoint): boolean =>
    Math.abs(u - x) < wide / 2 && Math.abs(v - y) < high / 2;
  if (isIn(a) || isIn(b)) return true;
  // What goes through a box cuts off at least one of its corners.
  return [1, -1].some((side) =>
    doCross(
      [a, b],
      [
        [x - wide / 2, y - (side * high) / 2],
        [x + wide / 2, y + (side * high) / 2],
      ],
    ),
  );
}
