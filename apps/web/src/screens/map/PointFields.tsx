import { type Path, type Vector, valueAt } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { Select } from '../../ui/Select.tsx';
import type { Handle } from './handles.ts';
import { addPoint } from './addPoint.ts';

/** A list of points that can be added to and taken from. */
export interface PointList {
  readonly path: Path;
  /** so many have to stay */
  readonly least: number;
  /** bend radius m of a new one; left out where points have none */
  readonly radius?: number;
  /** where a way begins and ends, for one that has no corner yet */
  readonly ends?: readonly [Vector, Vector];
}

/** The place that is looked at of several: picked, typed, and where it may be, added or taken out. */
export function PointFields({
  handles,
  picked,
  pick,
  points,
}: {
  handles: readonly Handle[];
  picked: Path | undefined;
  pick: (path: Path | undefined) => void;
  points?: PointList | undefined;
}) {
  const { stored, edit } = useBuild();
  const key = picked?.join('/');
  const index = handles.findIndex((handle) => handle.path.join('/') === key);
  const chosen = handles[index] ?? (handles.length === 1 && !points ? handles[0] : undefined);
  const fields = chosen
    ? Object.keys((valueAt(stored, chosen.path) ?? {}) as object).filter((field) =>
        ['x', 'y', 'z', 'radius', 'bore'].includes(field),
      )
    : [];
  return (
    <section className="rule mt-3 space-y-1.5 pt-2">
      <h3>{points ? 'Corners' : 'Where it is'}</h3>
      {handles.length > 1 || (points && handles.length > 0) ? (
        <Select
          name={points ? 'Corner' : 'Point'}
          value={chosen?.path.join('/') ?? ''}
          choices={[
            ...(chosen ? [] : [{ value: '', label: 'none picked' }]),
            ...handles.map((handle) => ({ value: handle.path.join('/'), label: handle.name })),
          ]}
          onChoose={(value) => pick(handles.find((h) => h.path.join('/') === value)?.path)}
        />
      ) : null}
      {chosen && (
        <div key={chosen.path.join('/')} className="space-y-1.5">
          {['x', 'y', 'z', 'bore', 'radius']
            .filter((field) => fields.includes(field))
            .map((field) => (
              <FieldOf key={field} path={[...chosen.path, field]} />
            ))}
        </div>
      )}
      {points && (
        <div className="flex flex-wrap gap-2">
          <button
            type="button"
            className="act"
            onClick={() => {
              const added = addPoint(stored, points, handles, index);
              if (edit({ name: 'set', path: added.path, value: added.value }).ok) pick(added.path);
            }}
          >
            {chosen ? 'Put one in after it' : 'Put a corner in'}
          </button>
          {chosen && handles.length > points.least && (
            <button
              type="button"
              className="act"
              onClick={() => {
                if (edit({ name: 'remove', path: chosen.path }).ok) pick(undefined);
              }}
            >
              Remove it
            </button>
          )}
        </div>
      )}
    </section>
  );
}
