import { type Layer, formatMeasure } from '@brookrain/core';
import { useUnits } from '../../ui/preferences.ts';

const lays: Readonly<Record<Layer['lay'], string>> = {
  straight: 'straight',
  left: 'to the left',
  right: 'to the right',
};

/** How a bundle is laid: layer by layer from the middle, with its pitch and its fillers. */
export function Layers({ layers }: { layers: readonly Layer[] }) {
  const [units] = useUnits();
  if (layers.length === 0) return null;
  return (
    <section className="rule mt-3 pt-2">
      <h3>Layers, from the middle</h3>
      <ol className="text-[13px]">
        {layers.map((layer, i) => (
          <li key={i} className="flex justify-between gap-2">
            <span>
              {layer.wires.length} {layer.wires.length === 1 ? 'wire' : 'wires'}
              {layer.fillers > 0 &&
                `, ${layer.fillers} ${layer.fillers === 1 ? 'filler' : 'fillers'}`}
            </span>
            <span className="text-second">
              {lays[layer.lay]}
              {layer.pitch > 0 &&
                `, a turn in ${formatMeasure({ value: layer.pitch, kind: 'length' }, units, 2)}`}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
