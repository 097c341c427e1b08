import {
  type BuildDocument,
  type Path,
  type Quantity,
  type Vector,
  valueAt,
} from '@brookrain/core';
import type { Handle } from './handles.ts';
import type { PointList } from './PointFields.tsx';

const ORDER_STEP = 1000;
const millimetres = (value: number): Quantity => ({ value, unit: 'mm' });
const rounded = (value: number): number => Number(value.toFixed(3));

const between = (a: Vector, b: Vector): Vector => [
  rounded((a[0] + b[0]) / 2),
  rounded((a[1] + b[1]) / 2),
  rounded((a[2] + b[2]) / 2),
];

/** A place as far beyond the last as the one before it. */
const beyond = (last: Vector, before: Vector): Vector => [
  rounded(2 * last[0] - before[0]),
  rounded(2 * last[1] - before[1]),
  rounded(2 * last[2] - before[2]),
];

/** A further point behind the one of an index (−1: behind the last), half way to the next. */
export function addPoint(
  document: BuildDocument,
  { path, radius, ends }: PointList,
  handles: readonly Handle[],
  index: number,
): { readonly path: Path; readonly value: object } {
  const kept = (valueAt(document, path) ?? {}) as Readonly<Record<string, { order: number }>>;
  const at = index >= 0 ? index : handles.length - 1;
  const [before, next] = [handles[at], handles[at + 1]];
  const from = before?.at ?? ends?.[0] ?? [0, 0, 0];
  const to = next?.at ?? ends?.[1] ?? beyond(from, handles[at - 1]?.at ?? from);
  const orderOf = (handle: Handle | undefined): number | undefined =>
    handle && kept[handle.path.at(-1) ?? '']?.order;
  const low = orderOf(before) ?? (orderOf(handles[0]) ?? ORDER_STEP) - ORDER_STEP;
  const high = orderOf(next) ?? low + 2 * ORDER_STEP;
  let n = handles.length + 1;
  while (Object.hasOwn(kept, `p${n}`)) n += 1;
  const place = next || ends ? between(from, to) : to;
  return {
    path: [...path, `p${n}`],
    value: {
      order: (low + high) / 2,
      x: millimetres(place[0]),
      y: millimetres(place[1]),
      z: millimetres(place[2]),
      ...(radius === undefined ? {} : { radius: millimetres(radius) }),
    },
  };
}
