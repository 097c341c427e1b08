import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { Link, useNavigate } from 'react-router';
import { generalNotice } from '@brookrain/core';
import { ApiError, api } from '../../api/client.ts';
import { Preferences } from '../../frame/Header.tsx';

/** All builds, and a way to bring one in from a file. */
export function BuildsScreen() {
  const builds = useQuery({ queryKey: ['builds'], queryFn: api.builds });
  const queries = useQueryClient();
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const bringIn = useMutation({
    mutationFn: async (file: File) => api.importNew(await file.text()),
    onSuccess: (build) => {
      queries.removeQueries({ queryKey: ['catalogue'] });
      void queries.invalidateQueries({ queryKey: ['builds'] });
      void navigate(`/builds/${build.id}/brief`);
    },
  });
  return (
    <div className="mx-auto flex h-full max-w-[900px] flex-col px-5 py-4">
      <header className="flex items-center gap-3">
        <img src="/brookrain.svg" alt="" width="28" height="28" />
        <p className="text-[17px] font-medium">Brookrain</p>
        <span className="flex-1" />
        <Preferences />
      </header>
      <main className="mt-8">
        <h1>Builds</h1>
        <p className="text-second">One vehicle with one engine conversion each.</p>
        {builds.error && <p className="mt-3 text-signal">{builds.error.message}</p>}
        <ul className="mt-3 border-t-[1.5px] border-ink">
          {builds.data?.map((build) => (
            <li key={build.id} className="border-b-[0.75px] border-hair">
              <Link
                to={`/builds/${build.id}/brief`}
                className="grid grid-cols-[180px_1fr_110px] gap-4 px-2 py-3 hover:bg-panel max-[700px]:block"
              >
                <span className="text-[16px] font-medium">{build.name}</span>
                <span>{build.description}</span>
                <span className="text-right text-second max-[700px]:text-left">
                  {build.demo ? 'demo, ' : ''}revision {build.revision}
                </span>
              </Link>
            </li>
          ))}
          {builds.data?.length === 0 && (
            <li className="px-2 py-3">No builds yet. Bring one in from a file.</li>
          )}
        </ul>
        <div className="mt-4">
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
          {bringIn.error && (
            <div role="alert" className="mt-2 text-signal">
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
        </div>
      </main>
      <footer className="mt-auto pt-6 text-[13px] text-second">{generalNotice}</footer>
    </div>
  );
}
