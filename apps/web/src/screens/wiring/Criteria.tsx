import { type SizedWire, formatMeasure } from '@brookrain/core';
import { useUnits } from '../../ui/preferences.ts';

/** Criteria that ask for so much at least; the others allow so much at most. */
const AT_LEAST: ReadonlySet<string> = new Set(['current', 'mechanical minimum', 'fuse']);

const within = { nothing: 'without a sleeve', sleeved: 'in a sleeve', sealed: 'in a sealed loom' };

/** The six criteria of a wire. */
export function Criteria({ sized }: { sized: SizedWire }) {
  const [units] = useUnits();
  return (
    <table className="w-full text-[13px]">
      <thead className="sr-only">
        <tr>
          <th>criterion</th>
          <th>value</th>
          <th>limit</th>
        </tr>
      </thead>
      <tbody>
        {sized.criteria.map((criterion) => (
          <tr key={criterion.name} className="rule">
            <td className="py-1">
              <div className="flex">
                <span
                  aria-hidden="true"
                  className={`w-4 shrink-0 ${criterion.verdict === 'fails' ? 'text-signal' : 'text-moss'}`}
                >
                  {{ passes: '✓', fails: '✕', 'cannot judge': '?' }[criterion.verdict]}
                </span>
                <div>
                  {criterion.name}
                  {criterion.within && (
                    <span className="block text-second">{within[criterion.within]}</span>
                  )}
                  <span className="sr-only">, {criterion.verdict}</span>
                </div>
              </div>
            </td>
            <td className="py-1 text-right">
              {formatMeasure({ value: criterion.measured, kind: criterion.kind }, units)}
            </td>
            <td className="py-1 pl-2 text-right text-second">
              {AT_LEAST.has(criterion.name) ? '≥ ' : '≤ '}
              {formatMeasure({ value: criterion.limit, kind: criterion.kind }, units)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
