import { type MovedHarness, formatMeasure, harnessFigure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { useUnits } from '../../ui/preferences.ts';

/** What the harness comes to with a handle where it is held: before it is let go. */
export function MovedWords({ moved }: { moved: MovedHarness }) {
  const { document: build, results } = useBuild();
  const [units] = useUnits();
  const length = (value: number): string => formatMeasure({ value, kind: 'length' }, units);
  const before = results.find(harnessFigure('harness.copperLength'))?.value ?? 0;
  const more = moved.copperLength - before;
  const nameOf = (id: string): string =>
    build.harness.segments.find((segment) => segment.id === id)?.name ?? id;
  return (
    <p role="status" className="mt-1 text-[13px]">
      Here: {length(moved.copperLength)} of wire,{' '}
      {Math.abs(more) < 5e-4
        ? 'as before'
        : `${length(Math.abs(more))} ${more > 0 ? 'more' : 'less'}`}
      {moved.segments.length > 0 &&
        `; ${moved.segments
          .slice(0, 4)
          .map((segment) => `${nameOf(segment.id)} ${length(segment.length)}`)
          .join(', ')}`}
      {moved.segments.length > 4 && ` and ${moved.segments.length - 4} more`}
      {moved.refused.length > 0 && (
        <span className="text-signal">; {moved.refused.map(nameOf).join(', ')} cannot be laid</span>
      )}
      {moved.short > 0 && (
        <span className="text-signal">
          ; {moved.short} {moved.short === 1 ? 'wire or leg does' : 'wires or legs do'} not reach
        </span>
      )}
    </p>
  );
}
