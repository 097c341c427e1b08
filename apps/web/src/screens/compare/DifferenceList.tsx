import { type RippleEntry, formatMeasure } from '@brookrain/core';
import { useState } from 'react';
import { SeverityMark } from '../../ui/SeverityMark.tsx';
import { useUnits } from '../../ui/preferences.ts';

const severityWords = { stop: 'stop', warn: 'warning', note: 'note' } as const;
const FIRST = 40;

type FigureEntry = Extract<RippleEntry, { type: 'figure' }>;
type FindingEntry = Extract<RippleEntry, { type: 'finding' }>;

const state = (severity: FindingEntry['before']): string =>
  severity === null ? 'not found' : severityWords[severity];

/** What is different downstream, ranked: findings first, then figures by how much they differ. */
export function DifferenceList({
  entries,
  names,
}: {
  entries: readonly RippleEntry[];
  names: readonly [string, string];
}) {
  const [units] = useUnits();
  const [all, setAll] = useState(false);
  const findings = entries.filter((e): e is FindingEntry => e.type === 'finding');
  const read = (value: number, kind: FigureEntry['kind']): string =>
    formatMeasure({ value, kind }, units);
  // What reads the same on both sides is no difference to a person.
  const figures = entries.filter(
    (e): e is FigureEntry =>
      e.type === 'figure' && read(e.before, e.kind) !== read(e.after, e.kind),
  );
  const shown = all ? figures : figures.slice(0, FIRST);
  if (entries.length === 0) {
    return <p className="mt-2 text-second">Downstream nothing is different.</p>;
  }
  return (
    <>
      {findings.length > 0 && (
        <table className="table-lined mt-2 w-full" aria-label="Findings that differ">
          <thead>
            <tr>
              <th>Finding</th>
              <th>{names[0]}</th>
              <th>{names[1]}</th>
            </tr>
          </thead>
          <tbody>
            {findings.map((entry) => (
              <tr key={entry.id}>
                <td>
                  <span className="inline-flex items-center gap-1.5">
                    <SeverityMark severity={entry.after ?? 'note'} />
                    {entry.title}
                  </span>
                </td>
                <td className="text-second">{state(entry.before)}</td>
                <td>{state(entry.after)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {figures.length > 0 && (
        <table className="table-lined mt-4 w-full" aria-label="Figures that differ">
          <thead>
            <tr>
              <th>Figure, greatest difference first</th>
              <th>{names[0]}</th>
              <th>{names[1]}</th>
              <th>differs by</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((entry) => (
              <tr key={entry.key}>
                <td>{entry.label}</td>
                <td className="text-second">{read(entry.before, entry.kind)}</td>
                <td>{read(entry.after, entry.kind)}</td>
                <td>{formatMeasure({ value: entry.change, kind: 'ratio' }, units, 2)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {figures.length > shown.length && (
        <button type="button" className="act mt-2" onClick={() => setAll(true)}>
          All {figures.length} figures
        </button>
      )}
    </>
  );
}
