import { type Ladder, formatMeasure, ladderVariants, readBuild, lowerFirst } from '@brookrain/core';
import { useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { LadderDrawing } from './LadderDrawing.tsx';

const AS_PLANNED = 'as planned';

const climb: Question<string, Ladder | null> = (worker, document, wanted) => {
  const variant = ladderVariants(readBuild(document)).find((v) => v.id === wanted);
  return variant ? worker.variantLadder(document, variant) : Promise.resolve(null);
};

/** The ladder as planned, or with something lost, or on another fuel. */
export function VariantLadder({ marked }: { marked: string | null }) {
  const { document: build, ladder } = useBuild();
  const [units] = useUnits();
  const [wanted, setWanted] = useState(AS_PLANNED);
  const variants = ladderVariants(build);
  const chosen = variants.find((v) => v.id === wanted);
  const { answer, failed } = useWorkerAnswer(climb, chosen?.id ?? AS_PLANNED);
  const other = chosen ? answer : undefined;
  const shown = other ?? ladder;
  const first = shown.rungs.find((r) => r.power !== null);
  return (
    <>
      <ChoiceField
        label="Ladder"
        value={chosen?.id ?? AS_PLANNED}
        choices={[
          { value: AS_PLANNED, label: 'as planned' },
          ...variants.map((v) => ({ value: v.id, label: v.label })),
        ]}
        onChoose={setWanted}
      />
      {chosen && (
        <p className="mt-1" role="status">
          {failed ??
            (other
              ? `${chosen.label}: ${first ? `good for ${formatMeasure({ value: first.power ?? 0, kind: 'power' }, units)}, then ${lowerFirst(first.label)} is the limit` : 'no limit in the range tried'}.`
              : 'Climbing …')}
        </p>
      )}
      <LadderDrawing ladder={shown} marked={marked} />
    </>
  );
}
