import type { SingleFailure } from '@brookrain/core';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';

const ask: Question<null, readonly SingleFailure[]> = (worker, document) =>
  worker.singleFailures(document);
/** So many names are read in a row; of more the rest is counted. */
const FEW = 8;

const namesOf = ({ stops }: SingleFailure): string => {
  if (stops.length === 0) return 'nothing';
  const names = stops.slice(0, FEW).map(({ name }) => name);
  const rest = stops.length - names.length;
  return [...names, ...(rest > 0 ? [`${rest} more`] : [])].join('; ');
};

const columns: readonly DataColumn<SingleFailure>[] = [
  { key: 'part', label: 'When this fails', text: true, cell: (f) => f.name, sortBy: (f) => f.name },
  { key: 'kind', label: 'How', text: true, cell: (f) => f.kind, sortBy: (f) => f.kind },
  {
    key: 'count',
    label: 'Stops',
    cell: (f) => f.stops.length,
    sortBy: (f) => f.stops.length,
  },
  { key: 'stops', label: 'What stops', text: true, cell: namesOf, wideOnly: true },
];

/** What each single failure stops, one at a time. */
export function Failures() {
  const { answer } = useWorkerAnswer(ask, null);
  if (!answer || answer.length === 0) return null;
  return (
    <section className="mt-6" aria-label="What one failure stops">
      <h2>What one failure stops</h2>
      <p className="text-[13px] text-second">
        Every fuse out, ground open, relay that does not pull in and dead controller, one at a time,
        with everything on that can be. A relay whose coil loses its feed drops out and switches off
        its loads.
      </p>
      <DataTable
        label="Single failures"
        rows={answer}
        columns={columns}
        keyOf={({ partId }) => partId}
      />
    </section>
  );
}
