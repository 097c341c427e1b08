import {
  type BuildDocument,
  type NumberFormat,
  diffDocuments,
  echoTyped,
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

/** A quantity whose value and unit changed is one line, not two. */
function whole(path: string): string {
  return path.replace(/\.(value|unit)$/, '');
}

const at = (document: BuildDocument, path: string): unknown =>
  path === ''
    ? document
    : path
        .split('.')
        .reduce<unknown>(
          (value, key) => (value as Record<string, unknown> | null)?.[key],
          document,
        );

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
  const paths = useMemo(
    () => [...new Set(diffDocuments(before, after).map((step) => whole(step.path)))],
    [before, after],
  );
  if (paths.length === 0)
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
        {paths.map((path) => (
          <tr key={path}>
            <td>{placeInWords(after, path) || path}</td>
            <td className="max-w-[260px] truncate text-second">
              {shown(at(before, path), numbers)}
            </td>
            <td className="max-w-[260px] truncate">{shown(at(after, path), numbers)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
