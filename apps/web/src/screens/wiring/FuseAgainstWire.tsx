import {
  type SizedWire,
  type FuseItem,
  damageBeforeOpening,
  formatMeasure,
  fuseChart,
  inrushDamage,
} from '@brookrain/core';
import { Suspense, lazy } from 'react';
import type { Curve } from '../../ui/LogChart.tsx';
import { useUnits } from '../../ui/preferences.ts';

const LogChart = lazy(() => import('../../ui/LogChart.tsx'));

/** Longest and shortest time that is drawn, s. */
const TIMES = { min: 1e-3, max: 1e3 };

/** The least power of ten above a value. */
const tenAbove = (value: number): number => 10 ** Math.ceil(Math.log10(value));

/** How much more a load takes when it is switched on, and for how long. */
export interface Inrush {
  readonly factor: number;
  readonly time: number;
}

/** When the fuse of a wire opens, against when the wire is damaged and what its load takes. */
export function FuseAgainstWire({ sized, inrush }: { sized: SizedWire; inrush: Inrush }) {
  const { protection } = sized.task;
  return protection && <Drawn sized={sized} inrush={inrush} fuse={protection} />;
}

function Drawn({ sized, inrush, fuse }: { sized: SizedWire; inrush: Inrush; fuse: FuseItem }) {
  const [units] = useUnits();
  const { size, task, temperature, ampacity } = sized;
  const load = { running: task.load, inrushFactor: inrush.factor, inrushTime: inrush.time };
  const chart = fuseChart({ fuse, wire: size, temperature, ampacity, load });
  const amps = (value: number): string => formatMeasure({ value, kind: 'current' }, units);
  const late = damageBeforeOpening(chart);
  const used = inrushDamage({
    fuse,
    running: load.running,
    factor: load.inrushFactor,
    time: load.inrushTime,
  });
  const points = (curve: typeof chart.load): Curve['points'] =>
    curve.map(({ current, time }) => ({ x: current, y: time }));
  const judged = chart.slowest.length > 0;
  const words = !judged
    ? [`The ${fuse.rating} A fuse has no curve of its own: it cannot be judged.`]
    : [
        late === undefined
          ? `At every current the ${fuse.rating} A fuse opens before the wire is damaged.`
          : `From ${amps(late)} on the ${fuse.rating} A fuse may open later than the wire is damaged.`,
        used < 1
          ? `Inrush uses up ${Math.round(100 * used)} % of what opens it at the soonest.`
          : 'Inrush may open it.',
      ];
  const currents = [...chart.load, ...chart.damage, ...chart.slowest].map((p) => p.current);
  return (
    <section className="mt-4" aria-label="Fuse against wire">
      <h3>Fuse against wire: {sized.wire.name.toLowerCase()}</h3>
      <p className="text-second">
        {words.join(' ')} The wire carries {amps(ampacity)} for good.
      </p>
      <Suspense fallback={<div className="h-[340px]" />}>
        <LogChart
          name={`Time over current: ${words.join(' ')}`}
          x={{
            label: 'Current, A',
            min: tenAbove(Math.min(...currents)) / 10,
            max: tenAbove(Math.min(Math.max(...currents), 3e3)),
          }}
          y={{ label: 'Time, s', ...TIMES }}
          curves={[
            { label: 'Wire damaged', points: points(chart.damage), tone: '--signal', wide: true },
            {
              label: 'Fuse opens at the soonest',
              points: points(chart.fastest),
              tone: '--ink',
              dashed: true,
            },
            { label: 'at the latest', points: points(chart.slowest), tone: '--ink' },
            { label: 'Load', points: points(chart.load), tone: '--moss', wide: true },
            {
              label: 'Wire carries for good',
              points: [
                { x: ampacity, y: TIMES.min },
                { x: ampacity, y: TIMES.max },
              ],
              tone: '--second',
              dashed: true,
            },
          ]}
        />
      </Suspense>
    </section>
  );
}
