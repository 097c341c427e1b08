import {
  type Ladder,
  displayUnits,
  entryAt,
  formatMeasure,
  fromSI,
  reachedRungs,
  toSI,
  lowerFirst,
} from '@brookrain/core';
import { scaleLinear } from 'd3-scale';
import { scaleTop } from '../../frame/powerScale.ts';
import { useUnits } from '../../ui/preferences.ts';

const W = 420;
const H = 520;
const top = 16;
const bottom = 40;
const AXIS = 96;
const GAP = 34;

/** The ladder at full size: what gives out first as power rises, at its power. */
export function LadderDrawing({ ladder, marked }: { ladder: Ladder; marked: string | null }) {
  const [units] = useUnits();
  const most = scaleTop(ladder);
  const y = (power: number): number => H - bottom - ((H - top - bottom) * power) / most;
  const rungs = reachedRungs(ladder).filter((r) => r.power <= most);
  const beyond = ladder.rungs.filter((r) => r.power === null || r.power > most);
  const power = (value: number): string => formatMeasure({ value, kind: 'power' }, units);
  const unit = displayUnits[units.system].power;
  const ticks = scaleLinear([0, fromSI(most, 'power', unit)], [0, 1])
    .ticks(6)
    .map((shown) => toSI(shown, 'power', unit))
    .filter((value) => Math.abs(y(value) - y(ladder.targetPower)) > 24);
  const limit = (rung: Ladder['rungs'][number]): string => formatMeasure(rung.limit, units);
  // Labels are spread from the lowest power upward so that none lies on another.
  const labelY: number[] = [];
  rungs.forEach((rung, i) => {
    const wanted = y(rung.power);
    labelY.push(i === 0 ? wanted : Math.min(wanted, entryAt(labelY, i - 1) - GAP));
  });
  const shift = Math.max(0, top + 14 - Math.min(...labelY, Infinity));
  return (
    <figure>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="w-full"
        role="img"
        aria-label="Limit ladder over power"
      >
        <path d={`M${AXIS} ${top}V${H - bottom}`} stroke="var(--edge)" strokeWidth="1.5" />
        {ticks.map((value) => {
          return (
            <text key={value} x={AXIS - 34} y={y(value) + 4} textAnchor="end" fill="var(--second)">
              {power(value)}
            </text>
          );
        })}
        {rungs.map((rung, i) => {
          const below = rung.power < ladder.targetPower;
          const colour = below ? 'var(--signal)' : 'var(--ink)';
          const at = entryAt(labelY, i) + shift;
          return (
            <g key={rung.label}>
              <path
                d={`M${AXIS - 16} ${y(rung.power)}H${AXIS + 16}`}
                stroke={colour}
                strokeWidth={marked === rung.check ? 5 : 3}
              />
              <path
                d={`M${AXIS + 16} ${y(rung.power)}L${AXIS + 40} ${at}H${AXIS + 52}`}
                fill="none"
                stroke="var(--edge)"
                strokeWidth="0.75"
              />
              {marked === rung.check && (
                <rect
                  x={AXIS + 52}
                  y={at - 16}
                  width={W - AXIS - 56}
                  height="34"
                  fill="var(--wash)"
                />
              )}
              <text
                x={AXIS + 58}
                y={at - 1}
                style={{ font: '500 14px var(--font-sans)', fill: colour }}
              >
                {rung.label}
              </text>
              <text x={AXIS + 58} y={at + 14} fill="var(--second)">
                {rung.always ? 'fails at any power' : `limits at ${power(rung.power)}`}
                {rung.limit.value === 0 ? '' : `; limit ${limit(rung)}`}
              </text>
            </g>
          );
        })}
        <path
          d={`M${AXIS - 30} ${y(ladder.targetPower)}H${AXIS + 6}`}
          stroke="var(--moss)"
          strokeWidth="5"
        />
        <text
          x={AXIS - 34}
          y={y(ladder.targetPower) - 5}
          textAnchor="end"
          style={{ font: '600 13px var(--font-sans)', fill: 'var(--moss)' }}
        >
          target
        </text>
        <text
          x={AXIS - 34}
          y={y(ladder.targetPower) + 10}
          textAnchor="end"
          style={{ fontSize: 13, fill: 'var(--moss)' }}
        >
          {power(ladder.targetPower)}
        </text>
      </svg>
      <figcaption className="text-[13px] text-second">
        {beyond.length > 0 && (
          <>
            Not reached up to {power(ladder.triedTo)}:{' '}
            {beyond.map((r) => lowerFirst(r.label)).join(', ')}.
          </>
        )}
      </figcaption>
    </figure>
  );
}
