import { type Result, formatMeasure, plumbingFigure } from '@brookrain/core';
import { useBuild } from '../build/BuildContext.ts';
import { Figure } from './Figure.tsx';
import { useUnits } from './preferences.ts';

const MIDDLE = 60;
const RADIUS = 44;

/** A place on the face at an angle clockwise from the top. */
const onFace = (angle: number, radius: number): readonly [number, number] => [
  MIDDLE + radius * Math.sin(angle),
  MIDDLE - radius * Math.cos(angle),
];

/** How the two ends of a hose are clocked, as a clock face read at the bench; nothing without a value. */
export function ClockFace({ lineId }: { lineId: string }) {
  const { results } = useBuild();
  const [units] = useUnits();
  const figure = plumbingFigure('line.clocking', { line: lineId });
  const value: Result['value'] | undefined = results.find(figure)?.value;
  if (value === undefined) return null;
  const [bx, by] = onFace(value, RADIUS);
  const [ax, ay] = onFace(0, RADIUS);
  const hour = Math.round((value / (2 * Math.PI)) * 12) % 12 || 12;
  return (
    <section className="rule mt-3 pt-2" aria-label="Clocking">
      <h3>Clocking</h3>
      <div className="flex items-center gap-3">
        <svg
          viewBox="0 0 120 120"
          className="w-[120px] shrink-0"
          role="img"
          aria-label={`Clock face: end A at twelve, end B at ${formatMeasure({ value, kind: 'angle' }, units, 3)} clockwise`}
        >
          <circle cx={MIDDLE} cy={MIDDLE} r={RADIUS} fill="none" stroke="var(--edge)" />
          {Array.from({ length: 12 }, (_, i) => {
            const [x1, y1] = onFace((i * Math.PI) / 6, RADIUS - (i % 3 === 0 ? 7 : 4));
            const [x2, y2] = onFace((i * Math.PI) / 6, RADIUS);
            return <line key={i} x1={x1} y1={y1} x2={x2} y2={y2} stroke="var(--second)" />;
          })}
          <line x1={MIDDLE} y1={MIDDLE} x2={ax} y2={ay} stroke="var(--ink)" strokeWidth="3" />
          <line
            x1={MIDDLE}
            y1={MIDDLE}
            x2={bx}
            y2={by}
            stroke="var(--moss)"
            strokeWidth="3"
            strokeDasharray="6 3"
          />
          <circle cx={MIDDLE} cy={MIDDLE} r="6" fill="var(--paper)" stroke="var(--ink)" />
          <text x={ax} y={ay - 4} textAnchor="middle" className="text-[12px]">
            A
          </text>
          <text
            x={onFace(value, RADIUS + 9)[0]}
            y={onFace(value, RADIUS + 9)[1] + 4}
            textAnchor="middle"
            className="text-[12px]"
          >
            B
          </text>
        </svg>
        <p className="text-[13px]">
          <Figure of={figure} />
          <br />
          Look along the hose from end A, its nose up: the nose of end B points to {hour} o’clock.
          Clocked wrong it twists.
        </p>
      </div>
    </section>
  );
}
