import { memoOfPair } from '../../numerics/index.ts';
import {
  type NearByKind,
  type Obstacle,
  type RoutePath,
  type Vector,
  type VehicleAround,
  type WayCheck,
  checkWay,
  nearestObstacles,
  nearestTo,
  shapeOf,
  stretchOf,
} from '../../vehicle/index.ts';

/** A device that sits on what is hot or moves brings a lead of its own that is made for it, m. */
export const OWN_LEAD = 0.25;

/** Whether a place sits on a thing that is hot or moves: nearer than a wire may run past it. */
function sitsOn(at: Vector, thing: Obstacle): boolean {
  if (thing.kind !== 'hot' && thing.kind !== 'moving') return false;
  const shape = shapeOf([
    { at, radius: 0 },
    { at: [at[0], at[1], at[2] + 1e-3], radius: 0 },
  ]);
  const nearest = shape.ok ? nearestTo(shape.path, thing.shape) : undefined;
  return nearest !== undefined && nearest.distance - thing.travel < thing.asks;
}

/** How a bundle is to what is around it. */
export interface BundleThickness {
  readonly outsideDiameter: number;
  readonly sleeve: boolean;
}

function checked(
  path: RoutePath,
  around: VehicleAround,
  bundle: BundleThickness,
  endsAtPlace: readonly [boolean, boolean],
  ends: readonly [Vector, Vector],
): WayCheck {
  const ofEnds = around.obstacles.flatMap((thing) => {
    const at = ends.map((end, i) => (endsAtPlace[i] ?? false) && sitsOn(end, thing));
    return at.some(Boolean) ? [{ thing, at }] : [];
  });
  if (ofEnds.length === 0) return checkWay(path, around, bundle);
  const skipped = new Set(ofEnds.map(({ thing }) => thing));
  const whole = checkWay(
    path,
    { ...around, obstacles: around.obstacles.filter((thing) => !skipped.has(thing)) },
    bundle,
  );
  const near: { -readonly [Kind in keyof NearByKind]: NearByKind[Kind] } = { ...whole.near };
  for (const { thing, at } of ofEnds) {
    const from = at[0] ? OWN_LEAD : 0;
    const to = path.length - (at[1] ? OWN_LEAD : 0);
    if (to - from < 1e-3) continue;
    const found = nearestObstacles(stretchOf(path, from, to), [thing], bundle)[thing.kind];
    const present = near[thing.kind];
    if (found && (!present || found.margin < present.margin)) near[thing.kind] = found;
  }
  return { ...whole, near };
}

const checkedWay = memoOfPair(checked);

/**
 * What the way of a segment meets. Where an end sits on something hot or moving itself, as a
 * sensor in an exhaust does, the lead of its own that it brings is left out of that.
 */
export const checkSegment = (
  path: RoutePath,
  around: VehicleAround,
  { outsideDiameter, sleeve }: BundleThickness,
  endsAtPlace: readonly [boolean, boolean],
  ends: readonly [Vector, Vector],
): WayCheck => checkedWay(path, around, { outsideDiameter, sleeve }, endsAtPlace, ends);
