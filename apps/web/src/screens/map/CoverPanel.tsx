import {
  type LineRoute,
  clampPitch,
  evenClamps,
  formatMeasure,
  freeId,
  newCover,
  routeFigure,
} from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { useUnits } from '../../ui/preferences.ts';

/** What lies over a line, and where it is clamped. */
export function CoverPanel({
  route,
  rigid,
  lineId,
}: {
  route: LineRoute;
  rigid: boolean;
  lineId: string;
}) {
  const { edit, results } = useBuild();
  const [units] = useUnits();
  const path = ['routes', route.id];
  const length = results.find(routeFigure('line.length', { line: lineId }))?.value;
  const mm = (metres: number) => ({ value: Math.round(metres * 1e3) / 1e3, unit: 'mm' });
  return (
    <>
      <section className="rule mt-3 space-y-1.5 pt-2" aria-label="Covers">
        <h3>Covers</h3>
        {route.covers.map(({ id }) => (
          <div key={id} className="space-y-1.5 border-l-[1.5px] border-edge pl-2">
            {['kind', 'from', 'to', 'bears'].map((field) => (
              <FieldOf key={field} path={[...path, 'covers', id, field]} />
            ))}
            <button
              type="button"
              className="act"
              onClick={() => edit({ name: 'remove', path: [...path, 'covers', id] })}
            >
              Remove it
            </button>
          </div>
        ))}
        <button
          type="button"
          className="act"
          onClick={() =>
            edit({
              name: 'set',
              path: [...path, 'covers', freeId('cover', route.covers)],
              value: newCover('heat-sleeve'),
            })
          }
        >
          Put a cover over it
        </button>
      </section>
      <section className="rule mt-3 space-y-1.5 pt-2" aria-label="Clamps">
        <h3>Clamps</h3>
        {length !== undefined && route.clamps.length === 0 && (
          <>
            <p className="text-second">
              By the rule, at{' '}
              {evenClamps(length, clampPitch(rigid))
                .map((at) => formatMeasure({ value: at, kind: 'length' }, units, 2))
                .join(', ')}
              .
            </p>
            <button
              type="button"
              className="act"
              onClick={() =>
                edit({
                  name: 'set',
                  path: [...path, 'clamps'],
                  value: Object.fromEntries(
                    evenClamps(length, clampPitch(rigid)).map((at, i) => [
                      `clamp-${i + 1}`,
                      { at: mm(at) },
                    ]),
                  ),
                })
              }
            >
              Place them myself
            </button>
          </>
        )}
        {[...route.clamps]
          .sort((a, b) => a.at.value - b.at.value)
          .map(({ id }) => (
            <div key={id} className="flex items-end gap-2">
              <span className="flex-1">
                <FieldOf path={[...path, 'clamps', id, 'at']} />
              </span>
              <button
                type="button"
                className="act"
                onClick={() => edit({ name: 'remove', path: [...path, 'clamps', id] })}
              >
                Remove
              </button>
            </div>
          ))}
        {route.clamps.length > 0 && (
          <p className="flex flex-wrap gap-2">
            <button
              type="button"
              className="act"
              onClick={() =>
                edit({
                  name: 'set',
                  path: [...path, 'clamps', freeId('clamp', route.clamps)],
                  value: { at: mm((length ?? 0) / 2) },
                })
              }
            >
              Put one in
            </button>
            <button
              type="button"
              className="act"
              onClick={() => edit({ name: 'set', path: [...path, 'clamps'], value: {} })}
            >
              By the rule again
            </button>
          </p>
        )}
      </section>
    </>
  );
}
