import { entryAt, formatMeasure, reachedRungs } from '@brookrain/core';
import { Link } from 'react-router';
import { useBuild } from '../build/BuildContext.ts';
import { useUnits } from '../ui/preferences.ts';
import { scaleTop, shortName } from './powerScale.ts';

/** Keeps labels from lying on each other: each at least `gap` percent below the one above. */
function spread(tops: readonly number[], gap: number): number[] {
  const order = tops.map((top, i) => ({ top, i })).sort((a, b) => a.top - b.top);
  const placed = [...tops];
  let last = -Infinity;
  for (const { top, i } of order) {
    placed[i] = Math.max(top, last + gap);
    last = entryAt(placed, i);
  }
  return placed;
}

/** What gives out first as power rises, drawn to a power scale, with the target as a mark. */
export function LadderRail() {
  const { id, ladder } = useBuild();
  const [units] = useUnits();
  const top = scaleTop(ladder);
  const at = (power: number): number => 4 + 90 * (1 - power / top);
  const rungs = reachedRungs(ladder).filter((rung) => rung.power <= top);
  const target = at(ladder.targetPower);
  const [targetLabel = target, ...labels] = spread(
    [target, ...rungs.map((rung) => at(rung.power))],
    3.4,
  );
  const power = (value: number): string => formatMeasure({ value, kind: 'power' }, units);
  return (
    <nav
      aria-label="Limit ladder"
      className="relative w-14 shrink-0 border-l-[0.75px] border-hair max-[900px]:hidden"
    >
      <svg className="absolute inset-0 h-full w-full" aria-hidden="true" preserveAspectRatio="none">
        <line x1="8" x2="8" y1="4%" y2="94%" stroke="var(--edge)" strokeWidth="1.5" />
        {rungs.map((rung, i) => (
          <g key={rung.label}>
            <line
              x1="4"
              x2="16"
              y1={`${at(rung.power)}%`}
              y2={`${at(rung.power)}%`}
              stroke={rung.power < ladder.targetPower ? 'var(--signal)' : 'var(--ink)'}
              strokeWidth="1.5"
            />
            <line
              x1="16"
              x2="21"
              y1={`${at(rung.power)}%`}
              y2={`${labels[i]}%`}
              stroke="var(--edge)"
              strokeWidth="0.75"
            />
          </g>
        ))}
        <line
          x1="0"
          x2="18"
          y1={`${target}%`}
          y2={`${target}%`}
          stroke="var(--moss)"
          strokeWidth="3"
        />
      </svg>
      <span
        className="absolute right-0.5 -translate-y-1/2 bg-paper px-0.5 font-narrow text-[12px] font-medium leading-4 text-moss"
        style={{ top: `${targetLabel}%` }}
        title={`Target ${power(ladder.targetPower)}`}
      >
        target
      </span>
      {rungs.map((rung, i) => (
        <Link
          key={rung.label}
          to={`/builds/${id}/margins?rung=${rung.check}`}
          className={`group absolute left-[22px] -translate-y-1/2 font-narrow text-[12px] leading-4 ${rung.power < ladder.targetPower ? 'text-signal' : 'text-ink'}`}
          style={{ top: `${labels[i]}%` }}
          aria-label={`${rung.label} fails ${rung.always ? 'at any power' : `at ${power(rung.power)}`}`}
        >
          {shortName[rung.check]}
          <span className="pointer-events-none absolute right-full top-1/2 z-20 mr-7 hidden -translate-y-1/2 whitespace-nowrap border border-ink bg-paper px-2 py-1 font-sans text-[13px] text-ink group-hover:block group-focus-visible:block">
            {rung.label}: {rung.always ? 'fails at any power' : power(rung.power)}
          </span>
        </Link>
      ))}
      <span className="absolute bottom-1 left-1 font-narrow text-[11px] leading-4 text-second">
        0
      </span>
    </nav>
  );
}
