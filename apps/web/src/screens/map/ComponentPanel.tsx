import { type PlacedComponent, componentFigure, formatMeasure } from '@brookrain/core';
import { Link } from 'react-router';
import { FigureRows } from '../../ui/FigureRows.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { FixingPanel } from './FixingPanel.tsx';

const servicedWords = (from: PlacedComponent['servicedFrom']): string => {
  if (from === 'around') return 'from any one side';
  return `from its ${from}`;
};

/** A part that sits at a place: how large it is, what is near it, how it is fastened. */
export function ComponentPanel({ component }: { component: PlacedComponent }) {
  const { id, name, item, servicedFrom } = component;
  const [units] = useUnits();
  const length = (value: number): string => formatMeasure({ value, kind: 'length' }, units, 2);
  const of = { component: id };
  return (
    <>
      <section className="rule mt-3 pt-2" aria-label={`Part: ${name}`}>
        <h3>{name}</h3>
        <p>
          <Link to={`/catalogue/${item.category}/${encodeURIComponent(item.id)}`}>
            {item.designation}
          </Link>
          , {length(item.bodyLength)} × {length(item.bodyWidth)} × {length(item.bodyHeight)}
          {servicedFrom !== 'none' && `; reached ${servicedWords(servicedFrom)}`}
        </p>
        <FigureRows
          rows={[
            ['Room to the nearest thing', componentFigure('component.clearance', of)],
            ['Beyond what that asks', componentFigure('component.margin', of)],
            ['Lowest corner', componentFigure('component.lowest', of)],
          ]}
        />
      </section>
      <FixingPanel component={component} />
    </>
  );
}
