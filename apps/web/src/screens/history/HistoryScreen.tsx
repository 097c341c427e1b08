import type { RevisionReply } from '@brookrain/contract';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../api/client.ts';
import { useBuild } from '../../build/BuildContext.ts';
import { Screen } from '../../ui/Screen.tsx';
import { shownTime } from '../../ui/shownTime.ts';
import { walkKeys } from '../../ui/walkKeys.ts';
import { RevisionInspector } from './RevisionInspector.tsx';

const kindWords: Record<RevisionReply['kind'], string> = {
  create: 'made',
  edit: '',
  undo: 'undone',
  redo: 'redone',
  migrate: 'brought up to date',
};

/** Every change of the build: who, when, in plain words, and what it moved. */
export function HistoryScreen() {
  const { id, revision } = useBuild();
  const history = useQuery({ queryKey: ['revisions', id], queryFn: () => api.revisions(id) });
  const [picked, setPicked] = useState<number>();
  const revisions = history.data ?? [];
  const selected = revisions.find((r) => r.number === picked) ?? revisions[0];
  const numbers = revisions.map((r) => String(r.number));
  const walk = walkKeys(numbers, String(selected?.number ?? ''), (n) => setPicked(Number(n)));
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
      <ul
        role="listbox"
        aria-label="Revisions, newest first"
        tabIndex={0}
        className="border-t-[1.5px] border-ink"
        onKeyDown={walk}
      >
        {revisions.map((r) => (
          <li
            key={r.number}
            role="option"
            aria-selected={r === selected}
            className={`grid cursor-pointer grid-cols-[44px_1fr_110px_150px] items-baseline gap-3 border-b-[0.75px] border-l-[3px] border-b-hair py-1.5 pl-2 pr-2 hover:bg-panel max-[700px]:grid-cols-[36px_1fr] ${r === selected ? 'border-l-moss bg-panel' : 'border-l-transparent'}`}
            onClick={() => setPicked(r.number)}
          >
            <span className="text-right text-second">{r.number}</span>
            <span>
              {r.words}
              {r.number === revision && <span className="ml-2 text-[13px] text-moss">now</span>}
            </span>
            <span className="truncate text-[13px] text-second max-[700px]:hidden">
              {r.author}
              {kindWords[r.kind] === '' ? '' : `, ${kindWords[r.kind]}`}
            </span>
            <span className="text-right text-[13px] text-second max-[700px]:hidden">
              {shownTime(r.time)}
            </span>
          </li>
        ))}
      </ul>
    </Screen>
  );
}
