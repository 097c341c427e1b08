import type { RevisionReply } from '@brookrain/contract';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { api } from '../../api/client.ts';
import { useBuild } from '../../build/BuildContext.ts';
import { type DataColumn, DataTable } from '../../ui/DataTable.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { shownTime } from '../../ui/shownTime.ts';
import { RevisionInspector } from './RevisionInspector.tsx';

const kindWords: Record<RevisionReply['kind'], string> = {
  create: 'made',
  edit: '',
  undo: 'undone',
  redo: 'redone',
  migrate: 'brought up to date',
};

const columnsAt = (now: number): readonly DataColumn<RevisionReply>[] => [
  { key: 'number', label: 'No.', shown: 'always', sortBy: (r) => r.number, cell: (r) => r.number },
  {
    key: 'words',
    label: 'What',
    text: true,
    shown: 'always',
    sortBy: (r) => r.words,
    cell: (r) => (
      <>
        {r.words}
        {r.number === now && <span className="ml-2 text-[13px] text-moss">now</span>}
      </>
    ),
  },
  {
    key: 'author',
    wideOnly: true,
    label: 'Who',
    text: true,
    sortBy: (r) => r.author,
    cell: (r) => (
      <span className="text-second">
        {r.author}
        {kindWords[r.kind] === '' ? '' : `, ${kindWords[r.kind]}`}
      </span>
    ),
  },
  {
    key: 'time',
    label: 'When',
    sortBy: (r) => r.time,
    cell: (r) => <span className="text-second">{shownTime(r.time)}</span>,
  },
];

/** Every change of the build: who, when, in plain words, and what it moved. */
export function HistoryScreen() {
  const { id, revision } = useBuild();
  const history = useQuery({ queryKey: ['revisions', id], queryFn: () => api.revisions(id) });
  const [picked, setPicked] = useState<number>();
  const revisions = history.data ?? [];
  const selected = revisions.find((r) => r.number === picked) ?? revisions[0];
  const columns = useMemo(() => columnsAt(revision), [revision]);
  return (
    <Screen
      title="History"
      lead="Nothing is ever lost: going back is a new revision too."
      inspector={selected && <RevisionInspector key={selected.number} revision={selected} />}
    >
      {history.error && (
        <p role="alert" className="text-signal">
          {history.error.message}
        </p>
      )}
      <DataTable
        label="Revisions, newest first"
        rows={revisions}
        columns={columns}
        keyOf={(r) => String(r.number)}
        selected={String(selected?.number ?? '')}
        onSelect={(number) => setPicked(Number(number))}
      />
    </Screen>
  );
}
