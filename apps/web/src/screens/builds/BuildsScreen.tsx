import type { BuildSummary } from '@brookrain/contract';
import { generalNotice } from '@brookrain/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Archive, ArchiveRestore, Copy } from 'lucide-react';
import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { ApiError, api } from '../../api/client.ts';
import { Page } from '../../frame/Page.tsx';
import { countsInWords } from '../../frame/stages.ts';
import { authorName } from '../../ui/preferences.ts';
import { shownTime } from '../../ui/shownTime.ts';

/** What stands against a build, in words. */
function StateOf({ build }: { build: BuildSummary }) {
  const state = useQuery({
    queryKey: ['state', build.id, build.revision],
    queryFn: () => api.state(build.id),
  });
  if (!state.data) return null;
  const { stops, warnings } = state.data;
  const words = countsInWords(stops, warnings);
  return <span className={stops + warnings > 0 ? 'text-signal' : 'text-second'}>{words}</span>;
}

function BuildLine({ build, names }: { build: BuildSummary; names: ReadonlySet<string> }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const changed = (): void => void queries.invalidateQueries({ queryKey: ['builds'] });
  const failed = (error: Error): void => void toast.error(error.message);
  const archive = useMutation({
    mutationFn: (archived: boolean) => api.archive(build.id, archived),
    onError: failed,
    onSuccess: (_reply, archived) => {
      changed();
      if (archived) {
        toast(`${build.name} is put away`, {
          action: { label: 'Undo', onClick: () => archive.mutate(false) },
        });
      }
    },
  });
  const copy = useMutation({
    mutationFn: (name: string) => api.copy(build.id, { name, author: authorName() }),
    onError: failed,
    onSuccess: (made) => {
      changed();
      void navigate(`/builds/${made.id}/brief`);
    },
  });
  const copyName = (): string => {
    for (let n = 2; ; n++) {
      const name = `${build.name} ${n}`;
      if (!names.has(name)) return name;
    }
  };
  return (
    <li className="flex items-center gap-2 border-b-[0.75px] border-hair hover:bg-panel">
      <Link
        to={`/builds/${build.id}/brief`}
        className="grid min-w-0 flex-1 grid-cols-[150px_1fr_150px] gap-4 px-2 py-2.5 max-[700px]:block"
      >
        <span className="text-[16px] font-medium">{build.name}</span>
        <span>
          {build.description}
          <span className="block text-[13px]">
            <StateOf build={build} />
          </span>
        </span>
        <span className="text-right text-[13px] text-second max-[700px]:text-left">
          {build.demo ? 'demo, ' : ''}revision {build.revision}
          <br />
          {shownTime(build.updatedAt)}
        </span>
      </Link>
      <button
        type="button"
        className="p-2"
        aria-label={`Copy ${build.name}`}
        title="Copy"
        onClick={() => copy.mutate(copyName())}
      >
        <Copy size={16} aria-hidden="true" />
      </button>
      <button
        type="button"
        className="p-2"
        aria-label={`${build.archived ? 'Take out' : 'Put away'} ${build.name}`}
        title={build.archived ? 'Take out again' : 'Put away'}
        onClick={() => archive.mutate(!build.archived)}
      >
        {build.archived ? (
          <ArchiveRestore size={16} aria-hidden="true" />
        ) : (
          <Archive size={16} aria-hidden="true" />
        )}
      </button>
    </li>
  );
}

/** All builds, new ones, and a way to bring one in from a file. */
export function BuildsScreen() {
  const builds = useQuery({ queryKey: ['builds'], queryFn: api.builds });
  const queries = useQueryClient();
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const [away, setAway] = useState(false);
  const bringIn = useMutation({
    mutationFn: async (file: File) => api.importNew(await file.text()),
    onSuccess: (build) => {
      queries.removeQueries({ queryKey: ['catalogue'] });
      void queries.invalidateQueries({ queryKey: ['builds'] });
      void navigate(`/builds/${build.id}/brief`);
    },
  });
  const all = builds.data ?? [];
  const names = new Set(all.map((b) => b.name));
  const shown = all.filter((b) => b.archived === away);
  const putAway = all.filter((b) => b.archived).length;
  return (
    <Page title="Builds" lead="One vehicle with one engine conversion each.">
      {builds.error && <p className="mt-3 text-signal">{builds.error.message}</p>}
      <div className="mb-3 flex flex-wrap gap-2">
        <Link to="/new" className="act act-main inline-block">
          New build
        </Link>
        <input
          ref={input}
          type="file"
          accept="application/json,.json"
          className="sr-only"
          aria-label="Build file"
          tabIndex={-1}
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file) bringIn.mutate(file);
          }}
        />
        <button type="button" className="act" onClick={() => input.current?.click()}>
          Bring in a build from a file
        </button>
        <span className="flex-1" />
        {(putAway > 0 || away) && (
          <button type="button" className="act" onClick={() => setAway(!away)}>
            {away ? 'Back to the builds in work' : `Put away: ${putAway}`}
          </button>
        )}
      </div>
      {bringIn.error && (
        <div role="alert" className="mb-3 text-signal">
          <p>The file was refused; nothing was changed. {bringIn.error.message}</p>
          {bringIn.error instanceof ApiError && bringIn.error.issues.length > 1 && (
            <ul className="mt-1 list-disc pl-5 text-[13px]">
              {bringIn.error.issues.slice(1, 6).map((issue, i) => (
                <li key={i}>
                  {issue.path}: {issue.message}
                </li>
              ))}
            </ul>
          )}
        </div>
      )}
      <ul className="border-t-[1.5px] border-ink" aria-label="Builds">
        {shown.map((build) => (
          <BuildLine key={build.id} build={build} names={names} />
        ))}
        {builds.data && shown.length === 0 && (
          <li className="px-2 py-3">
            {away
              ? 'Nothing is put away.'
              : 'No builds yet. Start one, bring one in from a file, or reset the demo builds in the settings.'}
          </li>
        )}
      </ul>
      <footer className="mt-10 text-[13px] text-second">{generalNotice}</footer>
    </Page>
  );
}
