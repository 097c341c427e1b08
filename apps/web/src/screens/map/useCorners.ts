import { type Path, type Quantity, type Vector, valueAt } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';

interface StoredCorner {
  readonly order: number;
  readonly x: Quantity;
  readonly y: Quantity;
  readonly z: Quantity;
  readonly radius?: Quantity;
}

/** A corner of a way with its id. */
export interface Corner {
  readonly id: string;
  readonly order: number;
  readonly at: Vector;
}

const ORDER_STEP = 1000;
const millimetres = (value: number): Quantity => ({ value, unit: 'mm' });

/** The corners of a route or a hot pipe, and the edits that move, add and take them. */
export function useCorners(path: Path) {
  const { stored, edit } = useBuild();
  const kept = (valueAt(stored, path) ?? {}) as Readonly<Record<string, StoredCorner>>;
  const corners = Object.entries(kept)
    .map(([id, p]): Corner => ({ id, order: p.order, at: [p.x.value, p.y.value, p.z.value] }))
    .sort((a, b) => a.order - b.order);
  const free = (): string => {
    let n = corners.length + 1;
    while (Object.hasOwn(kept, `p${n}`)) n += 1;
    return `p${n}`;
  };
  return {
    corners,
    /** One edit: the coordinates that changed. */
    move: (id: string, to: Vector): void => {
      const corner = kept[id];
      if (!corner) return;
      const changes = (['x', 'y', 'z'] as const).flatMap((axis, k) => {
        const value = to[k] ?? 0;
        return value === corner[axis].value
          ? []
          : [{ path: [...path, id, axis], value: millimetres(value) }];
      });
      if (changes.length > 0) edit({ name: 'set-several', label: 'Move a corner', changes });
    },
    /** Puts a corner at a place behind the one of an index; −1 puts it first. */
    add: (after: number, at: Vector, radius: number | undefined): string => {
      const id = free();
      const before = corners[after]?.order ?? (corners[0]?.order ?? ORDER_STEP) - ORDER_STEP;
      const next = corners[after + 1]?.order ?? before + 2 * ORDER_STEP;
      const [x, y, z] = at;
      const value: StoredCorner = {
        order: (before + next) / 2,
        x: millimetres(x),
        y: millimetres(y),
        z: millimetres(z),
        ...(radius === undefined ? {} : { radius: millimetres(radius) }),
      };
      edit({ name: 'set', path: [...path, id], value });
      return id;
    },
    remove: (id: string): void => {
      edit({ name: 'remove', path: [...path, id] });
    },
  };
}
