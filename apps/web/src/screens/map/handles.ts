import {
  type BuildDocument,
  type Path,
  type Quantity,
  type Vector,
  valueAt,
} from '@brookrain/core';
import type { Selection } from './selection.ts';

/** A place that can be dragged, stepped and typed: where it is stored and where it stands. */
export interface Handle {
  readonly path: Path;
  readonly name: string;
  readonly at: Vector;
}

interface StoredPlace {
  readonly x: Quantity;
  readonly y?: Quantity;
  readonly z: Quantity;
}

const handle = (document: BuildDocument, path: Path, name: string): Handle[] => {
  const stored = valueAt(document, path) as StoredPlace | undefined;
  return stored ? [{ path, name, at: [stored.x.value, stored.y?.value ?? 0, stored.z.value] }] : [];
};

type Ordered = Readonly<Record<string, StoredPlace & { readonly order: number }>>;

/** Places under a path: of a single place that one, of a collection its points in their order. */
export function handlesAlong(document: BuildDocument, path: Path, name: string): Handle[] {
  const stored = valueAt(document, path);
  if (typeof stored !== 'object' || stored === null) return [];
  if (!('x' in stored)) return pointsAt(document, path, name);
  const own = 'name' in stored ? String(stored.name) : name;
  return handle(document, path, own);
}

/** The points of a collection in their order. */
function pointsAt(document: BuildDocument, path: Path, name: string): Handle[] {
  const stored = (valueAt(document, path) ?? {}) as Ordered;
  return Object.entries(stored)
    .sort(([, a], [, b]) => a.order - b.order)
    .flatMap(([id], i) => handle(document, [...path, id], `${name} ${i + 1}`));
}

/** The id of the route of a line; undefined while it has none. */
export const routeIdOf = ({ routes }: BuildDocument, lineId: string): string | undefined =>
  Object.entries(routes).find(
    ([, { of }]) => (of.kind === 'line' ? of.elementId : of.otherLineId) === lineId,
  )?.[0];

/** Every place of what is looked at. */
export function handlesOf(document: BuildDocument, selection: Selection): Handle[] {
  if (selection.kind === 'vehicle') {
    return pointsAt(document, ['vehicle', 'outline'], 'Outline point');
  }
  if (selection.kind === 'line') {
    const route = routeIdOf(document, selection.id);
    return route === undefined ? [] : pointsAt(document, ['routes', route, 'points'], 'Corner');
  }
  const { slice, id } = selection;
  const path = [slice, id];
  const of = (...parts: readonly (readonly [key: string, name: string])[]): Handle[] =>
    parts.flatMap(([key, name]) => handle(document, [...path, ...key.split('.')], name));
  switch (slice) {
    case 'hotRuns':
      return pointsAt(document, [...path, 'points'], 'Corner');
    case 'placements':
      return handle(document, path, document.placements[id]?.name ?? '');
    case 'hardPoints':
      return handle(document, path, 'Measured place');
    case 'solids':
    case 'spaces':
      return of(['low', 'Low corner'], ['high', 'High corner']);
    case 'movingZones':
      return document.movingZones[id]?.room.shape === 'box'
        ? of(['room.low', 'Low corner'], ['room.high', 'High corner'])
        : of(['room.from', 'One end'], ['room.to', 'Other end']);
    case 'edges':
    case 'mountingLines':
      return of(['from', 'One end'], ['to', 'Other end']);
    case 'sheets':
      return [
        ...of(['corner', 'Corner'], ['next', 'Next corner'], ['other', 'Other corner']),
        ...Object.entries(document.sheets[id]?.passThroughs ?? {}).flatMap(([hole, { name }]) =>
          handle(document, [...path, 'passThroughs', hole], name),
        ),
      ];
    case 'otherLines':
      return [];
  }
}

/** The changes that put a handle elsewhere: only coordinates that are stored and that moved. */
export function movesTo(
  document: BuildDocument,
  { path, at }: Handle,
  to: Vector,
): { readonly path: Path; readonly value: Quantity }[] {
  const stored = valueAt(document, path) as StoredPlace;
  return (['x', 'y', 'z'] as const).flatMap((axis, k) => {
    const kept = stored[axis];
    const value = to[k] ?? 0;
    return kept === undefined || value === at[k]
      ? []
      : [{ path: [...path, axis], value: { ...kept, value } }];
  });
}
