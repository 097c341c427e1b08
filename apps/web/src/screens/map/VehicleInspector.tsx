import { type Path, thingFigure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { isBareMap } from './isBareMap.ts';
import { PointFields } from './PointFields.tsx';
import { outlineChange } from './outlineChange.ts';
import type { Handle } from './handles.ts';

const sizes = ['kind', 'wheelbase', 'frontOverhang', 'rearOverhang', 'width', 'height'] as const;
const details = ['track', 'tyre', 'clearance'] as const;

/** The vehicle as a whole: body and dimensions, its outline, and a first layout of what is on it. */
export function VehicleInspector({
  handles,
  picked,
  pick,
}: {
  handles: readonly Handle[];
  picked: Path | undefined;
  pick: (path: Path | undefined) => void;
}) {
  const { document: build, stored, edit } = useBuild();
  const { vehicle } = build;
  return (
    <div>
      <div className="mt-2 space-y-1.5">
        {sizes.map((field) => (
          <FieldOf key={field} path={['vehicle', field]} />
        ))}
      </div>
      {isBareMap(build) && (
        <div className="rule mt-3 pt-2">
          <p className="text-[13px] text-second">
            This map has places only. From the body and these five dimensions a first vehicle is
            laid out around engine and tank, to be corrected by measurement.
          </p>
          <button
            type="button"
            className="act act-main mt-2"
            onClick={() => {
              const { kind, wheelbase, frontOverhang, rearOverhang, width, height } = vehicle;
              edit({
                name: 'lay-out-vehicle',
                kind,
                wheelbase,
                frontOverhang,
                rearOverhang,
                width,
                height,
              });
            }}
          >
            Lay out a first vehicle
          </button>
        </div>
      )}
      <div className="rule mt-3 space-y-1.5 pt-2">
        {details.map((field) => (
          <FieldOf key={field} path={['vehicle', field]} />
        ))}
      </div>
      {handles.length > 0 ? (
        <>
          <PointFields handles={handles} picked={picked} pick={pick} />
          <button
            type="button"
            className="act mt-2"
            onClick={() => edit({ name: 'set', path: ['vehicle', 'outline'], value: {} })}
          >
            Back to the generated outline
          </button>
        </>
      ) : (
        <button type="button" className="act mt-3" onClick={() => edit(outlineChange(stored))}>
          Correct the outline point by point
        </button>
      )}
      <FigureRows
        rows={[
          ['Overall length', thingFigure('vehicle.length')],
          ['Height of the axles', thingFigure('vehicle.axleHeight')],
          ['Room between the tyres', thingFigure('vehicle.betweenTyres')],
        ]}
      />
    </div>
  );
}
