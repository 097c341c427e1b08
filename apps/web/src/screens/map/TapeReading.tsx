import { thingFigure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';

/** Where a tape found a place, beside where the map has it. */
export function TapeReading({ placementId }: { placementId: string }) {
  const { document: build, edit } = useBuild();
  const place = build.placements.find((p) => p.id === placementId);
  const point = build.hardPoints.find((p) => p.placementId === placementId);
  if (!place) return null;
  if (!point) {
    return (
      <section className="rule mt-3 pt-2">
        <h3>Measured with a tape</h3>
        <p className="text-[13px] text-second">
          Not measured yet: lengths that begin or end here are good to ± 80 mm at this end.
        </p>
        <button
          type="button"
          className="act mt-2"
          onClick={() => {
            const { x, y, z } = place;
            const taken = (id: string): boolean => build.hardPoints.some((p) => p.id === id);
            let id = placementId;
            for (let n = 2; taken(id); n++) id = `${placementId}-${n}`;
            edit({
              name: 'set',
              path: ['hardPoints', id],
              value: {
                placementId,
                x,
                y,
                z,
                uncertainty: { value: 0.01, unit: 'mm' },
                from: '',
              },
            });
          }}
        >
          Enter a tape reading
        </button>
      </section>
    );
  }
  const path = ['hardPoints', point.id];
  const of = { hardPoint: point.id };
  return (
    <section className="rule mt-3 space-y-1.5 pt-2">
      <h3>Measured with a tape</h3>
      {['x', 'y', 'z', 'uncertainty', 'from'].map((field) => (
        <FieldOf key={field} path={[...path, field]} />
      ))}
      <FigureRows rows={[['The map is off by', thingFigure('hardPoint.off', of)]]} />
      <button
        type="button"
        className="act"
        onClick={() => edit({ name: 'take-off-map', slice: 'hardPoints', id: point.id })}
      >
        Drop the reading
      </button>
    </section>
  );
}
