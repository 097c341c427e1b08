import { formatMeasure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { useUnits } from '../../ui/preferences.ts';
import type { Selection } from './selection.ts';

/** Which place to measure next: the one that makes lengths surest. */
export function NextTape({ select }: { select: (selection: Selection) => void }) {
  const { document: build, evaluation } = useBuild();
  const [units] = useUnits();
  const { nextTape } = evaluation;
  const place = build.placements.find((p) => p.id === nextTape?.placementId);
  if (!nextTape || !place) return null;
  const count = nextTape.lines.length;
  return (
    <p className="mt-1 text-[13px] text-second">
      Measure next:{' '}
      <button
        type="button"
        className="underline decoration-dotted underline-offset-2"
        onClick={() => select({ kind: 'thing', slice: 'placements', id: place.id })}
      >
        {place.name}
      </button>
      . It makes {count === 1 ? 'one length' : `${count} lengths`} surer, by{' '}
      {formatMeasure({ value: nextTape.settles, kind: 'length' }, units, 2)} in all.
    </p>
  );
}
