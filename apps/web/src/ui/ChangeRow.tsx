import {
  type BuildDocument,
  type DocumentDifference,
  type NumberFormat,
  fieldInWords,
} from '@brookrain/core';

/** One difference in a table: where it stands, and both sides in words and units. */
export function ChangeRow({
  place,
  change: { path, before, after },
  documents: [left, right],
  numbers,
}: {
  place: string;
  change: DocumentDifference;
  /** by which names are told on either side */
  documents: readonly [BuildDocument, BuildDocument];
  numbers: NumberFormat;
}) {
  const words = 'max-w-[260px] whitespace-normal! break-words';
  return (
    <tr>
      <td>{place}</td>
      <td className={`${words} text-second`}>{fieldInWords(left, path, before, numbers)}</td>
      <td className={words}>{fieldInWords(right, path, after, numbers)}</td>
    </tr>
  );
}
