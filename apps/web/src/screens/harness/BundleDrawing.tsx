import { type SegmentSheet, formatMeasure } from '@brookrain/core';
import { useUnits } from '../../ui/preferences.ts';
import { paintOf } from './wirePaint.ts';

const SIZE = 220;
const EDGE = 6;

/** A segment cut through, to scale: its wires as they lie, and what is round them. */
export function BundleDrawing({
  sheet,
  lit,
  light,
}: {
  sheet: SegmentSheet;
  lit: string | undefined;
  light: (wireId: string) => void;
}) {
  const [units] = useUnits();
  const per = (SIZE - 2 * EDGE) / Math.max(sheet.diameter, 1e-4);
  const middle = SIZE / 2;
  const across = formatMeasure({ value: sheet.diameter, kind: 'length' }, units);
  return (
    <figure>
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        className="mx-auto block w-[220px]"
        role="group"
        aria-label={`Cut through the bundle, ${across} across`}
      >
        <circle
          cx={middle}
          cy={middle}
          r={(sheet.diameter / 2) * per}
          fill="var(--panel)"
          stroke="var(--ink)"
        />
        <circle
          cx={middle}
          cy={middle}
          r={(sheet.bundle / 2) * per}
          fill="var(--paper)"
          stroke="var(--hair)"
        />
        {sheet.fillers.map((filler, i) => (
          <circle
            key={i}
            cx={middle + filler.x * per}
            cy={middle - filler.y * per}
            r={(filler.outsideDiameter / 2) * per}
            fill="none"
            stroke="var(--edge)"
            strokeDasharray="2 2"
          >
            <title>Filler</title>
          </circle>
        ))}
        {sheet.wires.map((wire) => {
          const [base, stripe] = paintOf(wire.colour);
          const r = (wire.outsideDiameter / 2) * per;
          const [cx, cy] = [middle + wire.x * per, middle - wire.y * per];
          return (
            <g
              key={wire.id}
              className="cursor-pointer"
              onClick={() => light(wire.id)}
              data-wire={wire.id}
            >
              <title>{`${wire.name}: ${wire.size}, ${wire.colour.replace('/', ' with ')}`}</title>
              <circle
                cx={cx}
                cy={cy}
                r={r}
                fill={base}
                stroke={wire.id === lit ? 'var(--moss)' : 'var(--edge)'}
                strokeWidth={wire.id === lit ? 3 : 0.75}
              />
              {stripe !== undefined && (
                <circle
                  cx={cx}
                  cy={cy}
                  r={r * 0.72}
                  fill="none"
                  stroke={stripe}
                  strokeWidth={r * 0.3}
                />
              )}
              <circle cx={cx} cy={cy} r={r * 0.42} fill="#c98a4b" />
            </g>
          );
        })}
      </svg>
      <figcaption className="text-center text-[13px] text-second">
        {across} across, to scale
      </figcaption>
    </figure>
  );
}
