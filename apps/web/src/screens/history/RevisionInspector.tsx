import type { RevisionReply } from '@brookrain/contract';
import { type RippleEntry, formatMeasure } from '@brookrain/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { api } from '../../api/client.ts';
import { useBuild } from '../../build/BuildContext.ts';
import { OwnerOnly } from '../../ui/OwnerOnly.tsx';
import { SeverityMark } from '../../ui/SeverityMark.tsx';
import { authorName, useUnits } from '../../ui/preferences.ts';
import { rippleKey } from '../../ui/rippleKey.ts';
import { shownTime } from '../../ui/shownTime.ts';
import { InputDifferences } from '../compare/InputDifferences.tsx';
import { useDifferences } from '../compare/useDifferences.ts';

const MOST = 12;

function Moved({ entry }: { entry: RippleEntry }) {
  const [units] = useUnits();
  if (entry.type === 'finding') {
    return (
      <li className="rule flex items-start gap-1.5 py-1 text-[13px]">
        <SeverityMark severity={entry.after ?? 'note'} />
        <span>
          {entry.title}{' '}
          <span className="text-second">
            {entry.after === null ? 'went away' : entry.before === null ? 'came up' : 'changed'}
          </span>
        </span>
      </li>
    );
  }
  return (
    <li className="rule py-1 text-[13px]">
      {entry.label}
      <span className="block text-right">
        <span className="text-second">
          {formatMeasure({ value: entry.before, kind: entry.kind }, units)}
        </span>{' '}
        → {formatMeasure({ value: entry.after, kind: entry.kind }, units)}
      </span>
    </li>
  );
}

/** One revision: what it changed, what that moved, going back to it, branching off from it. */
export function RevisionInspector({ revision }: { revision: RevisionReply }) {
  const { id, document: build, revision: now, goBack } = useBuild();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [name, setName] = useState(`${build.name}, branch`);
  const documentOf = (number: number) => ({
    queryKey: ['revision', id, number],
    queryFn: () => api.revision(id, number),
    enabled: number >= 1,
  });
  const before = useQuery(documentOf(revision.number - 1)).data?.document;
  const after = useQuery(documentOf(revision.number)).data?.document;
  const moved = useDifferences(before, after);
  const branch = useMutation({
    mutationFn: () => api.copy(id, { name, revision: revision.number, author: authorName() }),
    onError: (error) => toast.error(error.message),
    onSuccess: (made) => {
      void queries.invalidateQueries({ queryKey: ['builds'] });
      void navigate(`/builds/${made.id}/brief`);
    },
  });
  return (
    <>
      <h2>Revision {revision.number}</h2>
      <p>{revision.words}</p>
      <p className="text-[13px] text-second">
        {revision.author}, {shownTime(revision.time)}
      </p>
      <div className="mt-2 flex flex-wrap gap-1.5">
        <OwnerOnly>
          <button
            type="button"
            className="act"
            disabled={revision.number === now}
            onClick={() => goBack(revision.number)}
          >
            Go back to this
          </button>
        </OwnerOnly>
        <Link
          className="act inline-block"
          to={`/builds/${id}/compare?left=revision:${revision.number}&right=now`}
        >
          Compare with now
        </Link>
      </div>
      <OwnerOnly note="Going back and branching off are done on the computer that Brookrain runs on.">
        <form
          className="mt-2 flex gap-1.5"
          onSubmit={(event) => {
            event.preventDefault();
            branch.mutate();
          }}
        >
          <input
            aria-label="Name of the branch"
            className="field"
            value={name}
            maxLength={80}
            onChange={(event) => setName(event.target.value)}
          />
          <button type="submit" className="act shrink-0" disabled={branch.isPending}>
            Branch off
          </button>
        </form>
      </OwnerOnly>
      {revision.number > 1 && before && after && (
        <>
          <h3 className="mt-4">What it changed</h3>
          <InputDifferences before={before} after={after} names={['before', 'after']} />
          <h3 className="mt-4">What that moved downstream</h3>
          {moved.state === 'working' && <p className="text-[13px] text-second">Working it out</p>}
          {moved.state === 'failed' && <p className="text-[13px] text-signal">{moved.reason}</p>}
          {moved.state === 'done' && (
            <ul aria-label="Moved downstream">
              {moved.entries.slice(0, MOST).map((entry) => (
                <Moved key={rippleKey(entry)} entry={entry} />
              ))}
              {moved.entries.length === 0 && (
                <li className="text-[13px] text-second">Nothing of note.</li>
              )}
              {moved.entries.length > MOST && (
                <li className="rule py-1 text-[13px]">
                  <Link
                    className="underline"
                    to={`/builds/${id}/compare?left=revision:${revision.number - 1}&right=revision:${revision.number}`}
                  >
                    {moved.entries.length - MOST} more
                  </Link>
                </li>
              )}
            </ul>
          )}
        </>
      )}
    </>
  );
}
