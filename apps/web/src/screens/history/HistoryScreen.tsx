import { REVISIONS_A_PAGE, type RevisionReply } from '@brookrain/contract';
import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { api } from '../../api/client.ts';
import { useBuild } from '../../build/BuildContext.ts';
import { SearchField } from '../../ui/SearchField.tsx';
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

/** Sorted by anything but their number only where all of them are there. */
const columnsAt = (now: number, whole: boolean): readonly DataColumn<RevisionReply>[] =>
  allColumns(now).map(({ sortBy, ...column }) =>
    whole && sortBy ? { ...column, sortBy } : column,
  );

const allColumns = (now: number): readonly DataColumn<RevisionReply>[] => [
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
  const [typed, setTyped] = useState('');
  const find = useDeferredValue(typed.trim());
  const history = useInfiniteQuery({
    queryKey: ['revisions', id, 'pages', find],
    queryFn: ({ pageParam }) => api.revisions(id, { before: pageParam, find }),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (page) => (page.length < REVISIONS_A_PAGE ? undefined : page.at(-1)?.number),
    placeholderData: keepPreviousData,
  });
  const { hasNextPage, isFetching, fetchNextPage } = history;
  const [picked, setPicked] = useState<number>();
  const revisions = useMemo(() => history.data?.pages.flat() ?? [], [history.data]);
  const selected = revisions.find((r) => r.number === picked) ?? revisions[0];
  const columns = useMemo(() => columnsAt(revision, !hasNextPage), [revision, hasNextPage]);
  const more = useCallback(() => {
    if (hasNextPage && !isFetching) void fetchNextPage();
  }, [hasNextPage, isFetching, fetchNextPage]);
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
      <div className="mb-2">
        <SearchField
          label="Find in the history"
          hint="Find: what was changed, or who"
          value={typed}
          onChange={setTyped}
        />
      </div>
      {find !== '' && revisions.length === 0 && !isFetching && (
        <p className="text-second">No revision has these words in it.</p>
      )}
      <DataTable
        label="Revisions, newest first"
        rows={revisions}
        columns={columns}
        keyOf={(r) => String(r.number)}
        selected={String(selected?.number ?? '')}
        onSelect={(number) => setPicked(Number(number))}
        onEnd={more}
      />
    </Screen>
  );
}
