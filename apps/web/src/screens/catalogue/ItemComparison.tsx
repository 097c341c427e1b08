import {
  type CatalogueItem,
  commonFields,
  entryAt,
  itemFields,
  tableRowsOf,
} from '@brookrain/core';
import { X } from 'lucide-react';
import { useUnits } from '../../ui/preferences.ts';
import { TableCurves } from './TableCurves.tsx';
import { readField } from './fieldText.ts';

/** Items side by side; what differs stands out. */
export function ItemComparison({
  items,
  drop,
  clear,
}: {
  items: readonly CatalogueItem[];
  drop: (id: string) => void;
  clear: () => void;
}) {
  const [units] = useUnits();
  const fields = [
    ...commonFields.slice(1),
    ...[...new Set(items.map((i) => i.category))].flatMap((c) => itemFields(c)),
  ].filter((field, i, all) => all.findIndex((f) => f.key === field.key) === i);
  return (
    <section
      aria-label="Comparison"
      className="mb-4 border-b-[1.5px] border-t-[1.5px] border-ink py-2"
    >
      <div className="flex items-baseline justify-between">
        <h2>Side by side</h2>
        <button type="button" className="underline" onClick={clear}>
          Close
        </button>
      </div>
      <div className="overflow-x-auto">
        <table className="table-lined mt-1 w-full">
          <thead>
            <tr>
              <th>Field</th>
              {items.map((item) => (
                <th key={item.id} className="!text-ink">
                  {item.designation}
                  <button
                    type="button"
                    aria-label={`Leave ${item.designation} out`}
                    className="ml-1 align-middle"
                    onClick={() => drop(item.id)}
                  >
                    <X size={12} aria-hidden="true" />
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {fields.map((field) => {
              const texts = items.map((item) => readField(item, field, units));
              const differs = new Set(texts).size > 1;
              return (
                <tr key={field.key}>
                  <td className={differs ? '' : 'text-second'}>{field.label}</td>
                  {texts.map((text, i) => (
                    <td
                      key={entryAt(items, i).id}
                      className={differs ? 'font-medium' : 'text-second'}
                    >
                      {text}
                    </td>
                  ))}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <div className="mt-2 grid grid-cols-2 gap-4 max-[900px]:grid-cols-1">
        {items.map((item) => {
          const rows = tableRowsOf(item);
          return rows.length === 0 ? null : (
            <figure key={item.id}>
              <figcaption className="text-[13px] text-second">{item.designation}</figcaption>
              <TableCurves category={item.category} rows={rows} />
            </figure>
          );
        })}
      </div>
    </section>
  );
}
