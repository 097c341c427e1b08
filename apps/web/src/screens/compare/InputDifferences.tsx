import {
  type BuildDocument,
  type DocumentDifference,
  diffDocuments,
  pathText,
  placeInWords,
} from '@brookrain/core';
import { useMemo } from 'react';
import { ChangeRow } from '../../ui/ChangeRow.tsx';
import { useUnits } from '../../ui/preferences.ts';

/** Where a difference stands, by the names of the side that has it. */
function placeOf(before: BuildDocument, after: BuildDocument, difference: DocumentDifference) {
  const { path } = difference;
  const holder = difference.after === undefined ? before : after;
  return placeInWords(holder, path) || pathText(path);
}

/** A joint that comes or goes does so with an element, which is told. */
const isLooseJoint = ({ path, before, after }: DocumentDifference): boolean =>
  path[0] === 'fuelCircuits' &&
  path[2] === 'nodes' &&
  path.length === 4 &&
  (before === undefined || after === undefined);

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
  const differences = useMemo(
    () => diffDocuments(before, after).filter((difference) => !isLooseJoint(difference)),
    [before, after],
  );
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
          <ChangeRow
            key={pathText(difference.path)}
            place={placeOf(before, after, difference)}
            change={difference}
            documents={[before, after]}
            numbers={numbers}
          />
        ))}
      </tbody>
    </table>
  );
}
