import {
  type BuildDocument,
  type NumberFormat,
  diffDocuments,
  echoTyped,
  pathText,
  placeInWords,
} from '@brookrain/core';
import { useMemo } from 'react';
import { useUnits } from '../../ui/preferences.ts';

const isQuantity = (value: unknown): value is { value: number; unit: string } =>
  typeof value === 'object' && value !== null && 'unit' in value && 'value' in value;

/** A value of a document in few words. */
function brief(value: unknown): string {
  if (value === null || value === undefined) return 'usual';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value !== 'object') return String(value);
  if (Array.isArray(value)) return `${value.length} ${value.length === 1 ? 'entry' : 'entries'}`;
  const { id, revision } = value as { id?: unknown; revision?: unknown };
  return typeof id === 'string'
    ? `${id}${typeof revision === 'number' && revision > 1 ? `, revision ${revision}` : ''}`
    : 'changed';
}

const shown = (value: unknown, numbers: NumberFormat): string =>
  isQuantity(value) ? echoTyped(value, numbers) : brief(value);

/** What was entered differently. */
export function InputDifferences({
  before,
  after,
  names,
}: {
  before: BuildDocument;
  after: BuildDocument;
  names: readonly [string, string];
}) {
  const [{ numbers }] = useUnits();
  const differences = useMemo(() => diffDocuments(before, after), [before, after]);
  if (differences.length === 0)
    return <p className="mt-1 text-second">Nothing is entered differently.</p>;
  return (
    <table className="table-lined mt-1 w-full" aria-label="Inputs that differ">
      <thead>
        <tr>
          <th>Entered</th>
          <th>{names[0]}</th>
          <th>{names[1]}</th>
        </tr>
      </thead>
      <tbody>
        {differences.map((difference) => (
          <tr key={pathText(difference.path)}>
            <td>{placeInWords(after, difference.path) || pathText(difference.path)}</td>
            <td className="max-w-[260px] truncate text-second">
              {shown(difference.before, numbers)}
            </td>
            <td className="max-w-[260px] truncate">{shown(difference.after, numbers)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
