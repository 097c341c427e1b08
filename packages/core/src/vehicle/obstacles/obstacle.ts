import { boundsOf, boxToBox, grown } from '../geometry/bounds.ts';
import { type Box, type Nearest, pathToBox, pathToSegment } from '../geometry/distances.ts';
import type { RoutePath } from '../geometry/path.ts';
import type { Vector } from '../geometry/vector.ts';
import { entryAt } from '../../numerics/index.ts';

/** What kind of thing lines keep away from. */
export type ObstacleKind = 'hot' | 'moving' | 'edge' | 'cable' | 'solid';

/** The room a thing takes: a bent rod, or a box along the axes. */
export type ObstacleShape =
  | { readonly kind: 'rod'; readonly points: readonly Vector[]; readonly radius: number }
  | { readonly kind: 'box'; readonly box: Box };

/** A thing of the vehicle that lines keep away from. */
export interface Obstacle {
  readonly kind: ObstacleKind;
  readonly id: string;
  readonly name: string;
  readonly shape: ObstacleShape;
  /** how far it reaches beyond its room when it moves, m */
  readonly travel: number;
  /** room m that it asks of a bare line, and of one in a heat sleeve */
  readonly asks: number;
  readonly asksOfSleeved: number;
  /** box around all of it, travel included */
  readonly bounds: Box;
}

type Parts = Omit<Obstacle, 'bounds'>;

/** An obstacle with the box around it. */
export function obstacle(parts: Parts): Obstacle {
  const { shape, travel } = parts;
  const bounds =
    shape.kind === 'box'
      ? grown(shape.box, travel)
      : grown(boundsOf(shape.points), shape.radius + travel);
  return { ...parts, bounds };
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
    case 'rod': {
      const { points, radius } = shape;
      const pieces = points.slice(1).map((to, i) => ({ from: entryAt(points, i), to }));
      let best: Nearest | undefined;
      for (const piece of pieces) {
        const apart = around ? boxToBox(around, boundsOf([piece.from, piece.to])) : 0;
        if (best && apart >= best.distance) continue;
        const found = pathToSegment(path, piece);
        if (found && (!best || found.distance < best.distance)) best = found;
      }
      return best && { ...best, distance: best.distance - radius };
    }
  }
}
