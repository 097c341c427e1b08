import type { Path } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { FieldOf } from '../../ui/FieldOf.tsx';
import type { Handle } from '../map/handles.ts';
import { PointFields } from '../map/PointFields.tsx';

/** Where branches part: its place, and taking it out. */
export function BreakoutInspector({
  breakoutId,
  handles,
  picked,
  pick,
}: {
  breakoutId: string;
  handles: readonly Handle[];
  picked: Path | undefined;
  pick: (path: Path | undefined) => void;
}) {
  const { document: build, edit } = useBuild();
  const path = ['harness', 'breakouts', breakoutId];
  const ending = build.harness.segments.filter(({ from, to }) =>
    [from, to].some((end) => end.at === 'breakout' && end.breakoutId === breakoutId),
  );
  return (
    <>
      <div className="mt-2 space-y-1.5">
        <FieldOf path={[...path, 'name']} />
        <FieldOf path={[...path, 'zone']} />
        <FieldOf path={[...path, 'movesWithEngine']} />
        <FieldOf path={[...path, 'locked']} />
      </div>
      <PointFields handles={handles} picked={picked} pick={pick} />
      <section className="rule mt-3 pt-2">
        <h3>Segments that meet here</h3>
        <ul>
          {ending.map(({ id, name }) => (
            <li key={id}>{name}</li>
          ))}
        </ul>
      </section>
      <button
        type="button"
        className="act mt-3"
        onClick={() => edit({ name: 'take-breakout-out', breakoutId })}
      >
        {ending.length === 2
          ? 'Remove it and join its two segments'
          : 'Remove it with its segments'}
      </button>
    </>
  );
}
