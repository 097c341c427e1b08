import { boundsOf, boxToBox, grown } from '../geometry/bounds.ts';
import { type Box, type Nearest, pathToBox, pathToSegment } from '../geometry/distances.ts';
import {
  type OrientedBox,
  boundsOfOriented,
  outOfFrame,
  ownBox,
  pathIntoFrame,
} from '../geometry/orientedBox.ts';
import type { RoutePath } from '../geometry/path.ts';
import type { Vector } from '../geometry/vector.ts';
import { entryAt } from '../../numerics/index.ts';

/** What kind of thing lines keep away from. */
export type ObstacleKind = 'hot' | 'moving' | 'edge' | 'cable' | 'solid' | 'component';

/** The room a thing takes: a bent rod, a box along the axes, or a box that looks somewhere. */
export type ObstacleShape =
  | { readonly kind: 'rod'; readonly points: readonly Vector[]; readonly radius: number }
  | { readonly kind: 'box'; readonly box: Box }
  | { readonly kind: 'body'; readonly body: OrientedBox };

/** A thing of the vehicle that lines keep away from. */
export interface Obstacle {
  readonly kind: ObstacleKind;
  readonly id: string;
  readonly name: string;
  /** where in the document it stands */
  readonly path: readonly string[];
  readonly shape: ObstacleShape;
  /** it is on the engine and moves with it: parts there sit within its envelope */
  readonly onEngine: boolean;
  /** how far it reaches beyond its room when it moves, m */
  readonly travel: number;
  /** room m that it asks of a bare line, and of one in a heat sleeve */
  readonly asks: number;
  readonly asksOfSleeved: number;
  /** box around all of it, travel included */
  readonly bounds: Box;
}

type Usual = 'path' | 'onEngine';
type Parts = Omit<Obstacle, 'bounds' | Usual> & Partial<Pick<Obstacle, Usual>>;

/** An obstacle with the box around it; without a path it stands nowhere in a document. */
export function obstacle(parts: Parts): Obstacle {
  const { shape, travel } = parts;
  return {
    path: [],
    onEngine: false,
    ...parts,
    bounds: grown(boundsOfShape(shape), travel),
  };
}

/** The box along the axes around the room of a thing. */
export function boundsOfShape(shape: ObstacleShape): Box {
  switch (shape.kind) {
    case 'box':
      return shape.box;
    case 'body':
      return boundsOfOriented(shape.body);
    case 'rod':
      return grown(boundsOf(shape.points), shape.radius);
  }
}

/**
 * Where the centreline of a path comes nearest to the skin of a thing as it stands, m; below 0 inside
 * of a rod, whose place is told on its axis.
 */
export function nearestTo(
  path: RoutePath,
  shape: ObstacleShape,
  /** a box around the path: parts of a rod that are further from it than what was found are left out */
  around?: Box,
): Nearest | undefined {
  switch (shape.kind) {
    case 'box':
      return pathToBox(path, shape.box);
    case 'body': {
      const { body } = shape;
      const found = pathToBox(pathIntoFrame(body, path), ownBox(body));
      return found && { ...found, at: outOfFrame(body, found.at), to: outOfFrame(body, found.to) };
    }
    case 'rod': {
      const { points, radius } = shape;
      const parts = points.slice(1).map((to, i) => {
        const from = entryAt(points, i);
        return { from, to, apart: around ? boxToBox(around, boundsOf([from, to])) : 0 };
      });
      let best: Nearest | undefined;
      for (const part of parts.sort((a, b) => a.apart - b.apart)) {
        if (best && part.apart >= best.distance) break;
        best = pathToSegment(path, part, best?.distance) ?? best;
      }
      return best && { ...best, distance: best.distance - radius };
    }
  }
}
