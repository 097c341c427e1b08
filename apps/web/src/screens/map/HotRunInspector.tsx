import { type HotRun, type Vector, hotParts, routeFigure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { CornerFields } from './CornerFields.tsx';
import type { Corner, useCorners } from './useCorners.ts';

/** A place as far beyond the last corner as the one before it, where a further corner may go. */
function beyond(corners: readonly Corner[]): Vector {
  const last = corners.at(-1)?.at ?? [0, 0, 0];
  const before = corners.at(-2)?.at ?? last;
  return [2 * last[0] - before[0], 2 * last[1] - before[1], 2 * last[2] - before[2]];
}

/** A hot pipe: how thick, how hot, and its corners. */
export function HotRunInspector({
  run,
  corners,
  corner,
  pick,
}: {
  run: HotRun;
  corners: ReturnType<typeof useCorners>;
  corner: string | undefined;
  pick: (id: string | undefined) => void;
}) {
  const { edit } = useBuild();
  const path = ['hotRuns', run.id];
  const end = beyond(corners.corners);
  return (
    <div key={run.id}>
      <div className="mt-2 space-y-1.5">
        <TextField path={[...path, 'name']} />
        <ChoiceField
          label="Part"
          value={run.part}
          choices={hotParts.map((part) => ({
            value: part,
            label: part === 'pipe' ? 'pipe' : 'turbine housing',
          }))}
          onChoose={(value) => edit({ name: 'set', path: [...path, 'part'], value })}
        />
        <QuantityField path={[...path, 'diameter']} />
        <QuantityField path={[...path, 'temperature']} />
      </div>
      <CornerFields
        path={[...path, 'points']}
        corners={corners}
        corner={corner}
        pick={pick}
        ends={[end, end]}
        least={2}
      />
      <FigureRows rows={[['Length', routeFigure('hotRun.length', { hotRun: run.id })]]} />
      <button type="button" className="act mt-3" onClick={() => edit({ name: 'remove', path })}>
        Take this pipe out
      </button>
    </div>
  );
}
