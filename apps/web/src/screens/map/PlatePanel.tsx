import { type PlacedComponent, fixingDrawing } from '@brookrain/core';
import { Downloads } from '../../ui/Downloads.tsx';
import { useBuild } from '../../build/BuildContext.ts';
import { PlateDrawing } from './PlateDrawing.tsx';
import { designOf } from './designOf.ts';

/** The plate that holds a part as it goes to the bench, with its papers; nothing where it has none. */
export function PlatePanel({ component }: { component: PlacedComponent }) {
  const { id } = useBuild();
  const made = designOf(component);
  const drawing = made && fixingDrawing(made.wanted, made.design);
  if (!drawing) return null;
  const name = `Plate of the ${component.name.toLowerCase()}`;
  const file = `/api/builds/${encodeURIComponent(id)}/fixings/${encodeURIComponent(component.id)}`;
  return (
    <section className="rule mt-3 pt-2" aria-label={name}>
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2>{name}</h2>
        <Downloads of="" file={file} kinds={['pdf', 'dxf']} />
      </div>
      <div className="mt-2">
        <PlateDrawing drawing={drawing} name={`${name}, flat and from its end, mm`} />
      </div>
      <ul className="mt-1 text-[13px] text-second">
        {drawing.notes.map((note) => (
          <li key={note}>{note}</li>
        ))}
      </ul>
    </section>
  );
}
