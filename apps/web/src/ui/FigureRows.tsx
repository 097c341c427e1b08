import type { FigureRef } from '@brookrain/core';
import { useBuild } from '../build/BuildContext.ts';
import { Figure } from './Figure.tsx';

export type NamedFigure = readonly [name: string, figure: FigureRef];

/** Names with their computed figures, one a line; figures that do not exist here are left out. */
export function FigureRows({
  title,
  rows,
  atBench = false,
}: {
  title?: string;
  rows: readonly NamedFigure[];
  /** lengths in whole millimetres */
  atBench?: boolean;
}) {
  const { results } = useBuild();
  const shown = rows.filter(([, figure]) => results.find(figure));
  if (shown.length === 0) return null;
  return (
    <section className="rule mt-3 pt-2">
      {title && <h3>{title}</h3>}
      <dl className="space-y-1">
        {shown.map(([name, figure]) => (
          <div key={figure.key} className="flex justify-between gap-2">
            <dt>{name}</dt>
            <dd>
              <Figure of={figure} atBench={atBench} />
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
