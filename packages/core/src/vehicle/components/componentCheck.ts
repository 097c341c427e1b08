import { entryAt } from '../../numerics/index.ts';
import type { ServicedFrom, Side } from '../../catalogue/index.ts';
import type { Box, Nearest, Segment } from '../geometry/distances.ts';
import { boundsOf, boxToBox } from '../geometry/bounds.ts';
import {
  type OrientedBox,
  boundsOfOriented,
  cornersOfBox,
  edgesOfBox,
  orientedOf,
  orientedToOriented,
  outOfFrame,
  segmentToOriented,
  separationOf,
} from '../geometry/orientedBox.ts';
import { shapeOf } from '../geometry/path.ts';
import { crossingsOf, cornersOf } from '../geometry/sheet.ts';
import type { Vector } from '../geometry/vector.ts';
import type { SheetAround, SpaceAround, VehicleAround } from '../obstacles/around.ts';
import type { Obstacle, ObstacleKind, ObstacleShape } from '../obstacles/obstacle.ts';
import type { SpaceUse } from '../slices/surroundings.ts';
import {
  type BodyFacts,
  type BodyItem,
  type PlacedComponent,
  sideAxes,
} from './placedComponent.ts';

/** A thing near a component: where they come nearest, what lies between them and what should. */
export interface NearComponent {
  readonly kind: ObstacleKind;
  readonly id: string;
  readonly name: string;
  readonly nearest: Nearest;
  /** over all movement, m; below 0 how deep they lie in one another */
  readonly clearance: number;
  readonly needed: number;
  readonly margin: number;
}

/** A room that is to stay free before a component, and the first thing in it. */
export interface FreeRoom {
  readonly sides: readonly Side[];
  readonly depth: number;
  readonly blockedBy: string | undefined;
}

/** What a component meets where it sits. */
export interface ComponentCheck<Item extends BodyFacts = BodyItem> {
  readonly component: PlacedComponent<Item>;
  readonly near: Partial<Readonly<Record<ObstacleKind, NearComponent>>>;
  readonly nearest: NearComponent | undefined;
  readonly sheet: SheetAround | undefined;
  readonly spaces: readonly SpaceAround[];
  readonly service: FreeRoom | undefined;
  readonly plug: FreeRoom | undefined;
  /** its lowest corner, m above the ground */
  readonly lowest: number;
}

/** Two things may lie in one another by this, m: paint, rounding, what was measured. */
export const TOUCHING = 1e-3;

/** Where a body comes nearest to the room of a thing as it stands. */
export function bodyTo(body: OrientedBox, { shape }: Pick<Obstacle, 'shape'>): Nearest {
  switch (shape.kind) {
    case 'box':
      return orientedToOriented(body, orientedOf(shape.box));
    case 'body':
      return orientedToOriented(body, shape.body);
    case 'rod': {
      const { points, radius } = shape;
      let best: Nearest | undefined;
      for (let i = 1; i < points.length; i++) {
        const piece: Segment = { from: entryAt(points, i - 1), to: entryAt(points, i) };
        const { distance, at, to } = segmentToOriented(piece, body);
        if (!best || distance < best.distance) best = { distance, at: to, to: at };
      }
      const near = best ?? { distance: Infinity, at: body.middle, to: body.middle };
      return { ...near, distance: near.distance - radius };
    }
  }
}

/** Whether a box goes through a sheet. */
function goesThrough(body: OrientedBox, { plane }: SheetAround): boolean {
  const corners = cornersOf(plane);
  if (boxToBox(boundsOfOriented(body), boundsOf(corners)) > 0) return false;
  const sides = corners.map((from, i) => ({
    from,
    to: entryAt(corners, (i + 1) % corners.length),
  }));
  return (
    sides.some((side) => segmentToOriented(side, body).distance === 0) ||
    edgesOfBox(body).some(({ from, to }) => {
      const shape = shapeOf([
        { at: from, radius: 0 },
        { at: to, radius: 0 },
      ]);
      return shape.ok && crossingsOf(shape.path, plane).length > 0;
    })
  );
}

const shrunk = (body: OrientedBox): OrientedBox => ({
  ...body,
  half: body.half.map((h) => Math.max(0, h - TOUCHING)) as unknown as Vector,
});

/** The room before a side of a body, as deep as is asked. */
export function roomBefore(body: OrientedBox, side: Side, depth: number): OrientedBox {
  const [axis, sign] = sideAxes[side];
  const offset: [number, number, number] = [0, 0, 0];
  offset[axis] = sign * (body.half[axis] + depth / 2);
  const half: [number, number, number] = [...body.half];
  half[axis] = depth / 2;
  return { ...body, middle: outOfFrame(body, offset), half };
}

const isInside = (room: OrientedBox, shape: ObstacleShape): boolean => {
  switch (shape.kind) {
    case 'box':
      return separationOf(room, orientedOf(shape.box)) < 0;
    case 'body':
      return separationOf(room, shape.body) < 0;
    case 'rod':
      return false;
  }
};

/**
 * A part on the engine sits within the envelope of the engine, and parts at one place stand for one
 * another until they get places of their own: that is not in its way.
 */
type Where = Pick<PlacedComponent, 'id' | 'placement'>;

const isInWay = (thing: Obstacle, { id, placement }: Where): boolean =>
  thing.kind === 'solid'
    ? !(thing.onEngine && placement.movesWithEngine)
    : !(thing.kind === 'component' && (thing.id === id || thing.path[1] === placement.id));

/** What stands in a room: the name of the first thing. What moves leaves it when the engine stands. */
function inRoom(room: OrientedBox, around: VehicleAround, component: Where): string | undefined {
  const free = shrunk(room);
  const bounds = boundsOfOriented(free);
  const thing = around.obstacles.find(
    (each) =>
      (each.kind === 'solid' || each.kind === 'component') &&
      isInWay(each, component) &&
      boxToBox(bounds, each.bounds) === 0 &&
      isInside(free, each.shape),
  );
  return thing?.name ?? around.sheets.find((sheet) => goesThrough(free, sheet))?.name;
}

const AROUND: readonly Side[] = ['top', 'bottom', 'left', 'right'];
const sidesOf = (from: ServicedFrom): readonly Side[] => {
  if (from === 'none') return [];
  return from === 'around' ? AROUND : [from];
};

/** A free room before one of several sides; the first that is free settles it. */
function freeRoom(
  component: Where & Pick<PlacedComponent, 'body'>,
  around: VehicleAround,
  sides: readonly Side[],
  depth: number,
): FreeRoom | undefined {
  if (sides.length === 0 || depth <= 0) return undefined;
  let blockedBy: string | undefined;
  for (const side of sides) {
    const blocked = inRoom(roomBefore(component.body, side, depth), around, component);
    if (blocked === undefined) return { sides, depth, blockedBy: undefined };
    blockedBy ??= blocked;
  }
  return { sides, depth, blockedBy };
}

const overlaps = (body: OrientedBox, box: Box): boolean =>
  separationOf(body, orientedOf(box)) < -TOUCHING;

/** Looks at what a component meets where it sits; of every kind of thing the one that leaves least. */
export function checkComponent<Item extends BodyFacts>(
  component: PlacedComponent<Item>,
  around: VehicleAround,
): ComponentCheck<Item> {
  const { body, item } = component;
  const bounds = boundsOfOriented(body);
  const near: Partial<Record<ObstacleKind, NearComponent>> = {};
  const byLeast = around.obstacles
    .filter((thing) => thing.kind !== 'edge' && thing.kind !== 'cable' && isInWay(thing, component))
    .map((thing) => ({ thing, apart: boxToBox(bounds, thing.bounds) }))
    .sort((a, b) => a.apart - a.thing.asks - (b.apart - b.thing.asks));
  for (const { thing, apart } of byLeast) {
    const best = near[thing.kind];
    // What its bounds keep apart is no nearer; bounds that meet say nothing of how deep.
    if (best && apart > 0 && apart - thing.asks >= best.margin) continue;
    const nearest = bodyTo(body, thing);
    const clearance = nearest.distance - thing.travel;
    const margin = clearance - thing.asks;
    if (best && margin >= best.margin) continue;
    const { kind, name } = thing;
    near[kind] = { kind, id: thing.id, name, nearest, clearance, needed: thing.asks, margin };
  }
  const own = shrunk(body);
  return {
    component,
    near,
    nearest: Object.values(near).reduce<NearComponent | undefined>(
      (worst, each) => (!worst || each.margin < worst.margin ? each : worst),
      undefined,
    ),
    sheet: around.sheets.find((sheet) => goesThrough(own, sheet)),
    spaces: around.spaces.filter(({ box }) => overlaps(body, box)),
    service: freeRoom(component, around, sidesOf(component.servicedFrom), item.serviceRoom),
    plug:
      item.plugSide !== undefined && item.plugRoom !== undefined
        ? freeRoom(component, around, [item.plugSide], item.plugRoom)
        : undefined,
    lowest: Math.min(...cornersOfBox(body).map((corner) => corner[2])),
  };
}

/** Something that stands against where a component sits. */
export interface ComponentFault {
  readonly kind: ObstacleKind | 'sheet' | 'low' | 'service' | 'plug' | SpaceUse;
  readonly id: string;
}

/** Whether a space is no good for what a component is. */
export function offends(
  { component }: Pick<ComponentCheck<BodyFacts>, 'component'>,
  use: SpaceUse,
): boolean {
  switch (use) {
    case 'splash':
      return !component.item.splashProof;
    case 'crush':
    case 'cabin':
      return component.carriesFuel;
  }
}

/** Everything that stands against where a component sits. */
export const componentFaults = (
  check: ComponentCheck<BodyFacts>,
  { lowestAllowed }: Pick<VehicleAround, 'lowestAllowed'>,
): readonly ComponentFault[] => [
  ...Object.values(check.near)
    .filter(({ margin }) => margin < -TOUCHING)
    .map(({ kind, id }): ComponentFault => ({ kind, id })),
  ...(check.sheet ? [{ kind: 'sheet', id: check.sheet.id } as const] : []),
  ...check.spaces
    .filter(({ use }) => offends(check, use))
    .map(({ use, id }): ComponentFault => ({ kind: use, id })),
  ...(check.service?.blockedBy === undefined ? [] : [{ kind: 'service', id: '' } as const]),
  ...(check.plug?.blockedBy === undefined ? [] : [{ kind: 'plug', id: '' } as const]),
  ...(check.lowest < lowestAllowed - TOUCHING ? [{ kind: 'low', id: '' } as const] : []),
];
