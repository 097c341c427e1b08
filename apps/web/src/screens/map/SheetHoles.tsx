import { type Path, freeId, thingFigure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { Figure } from '../../ui/Figure.tsx';

/** The holes of a sheet: what they are called, how wide, what sits in them. */
export function SheetHoles({ sheetId, pick }: { sheetId: string; pick: (path: Path) => void }) {
  const { document: build, edit } = useBuild();
  const sheet = build.sheets.find((s) => s.id === sheetId);
  if (!sheet) return null;
  const path = ['sheets', sheetId, 'passThroughs'];
  const middle = (axis: 'x' | 'y' | 'z') => ({
    value: Number(((sheet.next[axis].value + sheet.other[axis].value) / 2).toFixed(3)),
    unit: 'mm',
  });
  return (
    <section className="rule mt-3 space-y-1.5 pt-2">
      <h3>Holes</h3>
      {sheet.passThroughs.map((hole) => (
        <div key={hole.id} className="space-y-1.5 border-l-[1.5px] border-edge pl-2">
          <FieldOf path={[...path, hole.id, 'name']} />
          <FieldOf path={[...path, hole.id, 'bore']} />
          <FieldOf path={[...path, hole.id, 'fitted']} />
          <p className="flex justify-between gap-2">
            <span>Metal left beside it</span>
            <Figure of={thingFigure('passThrough.edgeRoom', { sheet: sheetId, hole: hole.id })} />
          </p>
          <button
            type="button"
            className="act"
            onClick={() => edit({ name: 'remove', path: [...path, hole.id] })}
          >
            Close this hole
          </button>
        </div>
      ))}
      <button
        type="button"
        className="act"
        onClick={() => {
          const at = [...path, freeId('hole', sheet.passThroughs)];
          const value = {
            name: 'Hole',
            x: middle('x'),
            y: middle('y'),
            z: middle('z'),
            bore: { value: 0.025, unit: 'mm' },
            fitted: 'grommet',
          };
          if (edit({ name: 'set', path: at, value }).ok) pick(at);
        }}
      >
        Put a hole in
      </button>
    </section>
  );
}
