import { type InjectorItem, type InjectorRow, fuelFigure, rowScope } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';

const fields = [
  'retention',
  'railBore',
  'portBore',
  'seatDistance',
  'bossSpacing',
  'plug',
] as const;

/** How the injectors of a row sit between rail and port, and what keeps them there. */
export function SeatingPanel({ row, injector }: { row: InjectorRow; injector: InjectorItem }) {
  const { document: build, edit } = useBuild();
  const path = ['injectorRows', row.id, 'seating'];
  const scope = rowScope(build.injectorRows, row.id);
  const mm = (metres: number, usual: number) => ({
    value: metres > 0 ? metres : usual,
    unit: 'mm',
  });
  return (
    <section className="rule mt-4 space-y-1.5 pt-3" aria-label="How they sit">
      <h2>How they sit</h2>
      {row.seating === null ? (
        <>
          <p className="text-second">
            Rail and ports are not measured yet. Measure both bores, the distance from seat to seat
            with the rail bolted down, and the spacing of the injectors.
          </p>
          <button
            type="button"
            className="act"
            onClick={() =>
              edit({
                name: 'set',
                path,
                value: {
                  retention: 'both',
                  railBore: mm(injector.topSeal, 0.014),
                  portBore: mm(injector.bottomSeal, 0.014),
                  seatDistance: mm(injector.reach, 0.048),
                  bossSpacing: null,
                  plug: injector.plug,
                },
              })
            }
          >
            Begin with what {injector.designation} asks
          </button>
        </>
      ) : (
        <>
          {fields.map((field) => (
            <FieldOf key={field} path={[...path, field]} />
          ))}
          <FigureRows
            rows={[
              ['Pushed out of the rail by', fuelFigure('injector.pushOff', scope)],
              ['Rail lifted by', fuelFigure('injector.railLift', scope)],
              ['Seats beyond the injector', fuelFigure('injector.seatGap', scope)],
              ['Rail bore beyond its seal', fuelFigure('injector.topGap', scope)],
              ['Port bore beyond its seal', fuelFigure('injector.bottomGap', scope)],
              ['Room beside the next', fuelFigure('injector.besideNeighbour', scope)],
            ]}
          />
          <button
            type="button"
            className="act"
            onClick={() => edit({ name: 'set', path, value: null })}
          >
            Not measured after all
          </button>
        </>
      )}
    </section>
  );
}
