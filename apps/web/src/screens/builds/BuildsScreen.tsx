import type { BuildSummary } from '@brookrain/contract';
import { generalNotice } from '@brookrain/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Archive, ArchiveRestore, Copy } from 'lucide-react';
import { useLayoutEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { ApiError, api } from '../../api/client.ts';
import { OwnerOnly } from '../../ui/OwnerOnly.tsx';
import { LostNote } from '../../frame/LostNote.tsx';
import { Page } from '../../frame/Page.tsx';
import { countsInWords } from '../../frame/stages.ts';
import { SearchField } from '../../ui/SearchField.tsx';
import { authorName } from '../../ui/preferences.ts';
import { Tabs } from '../../ui/Tabs.tsx';
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

function BuildLine({
  build,
  names,
  measured,
}: {
  build: BuildSummary;
  names: ReadonlySet<string>;
  /** in a long list: which line it is, and what measures its height */
  measured?: { index: number; ref: (element: HTMLElement | null) => void } | undefined;
}) {
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
        toast(`${build.name} is archived`, {
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
    <li
      ref={measured?.ref}
      data-index={measured?.index}
      className="flex items-center gap-2 border-b-[0.75px] border-hair hover:bg-panel"
    >
      <Link
        to={`/builds/${build.id}/brief`}
        className="grid min-w-0 flex-1 grid-cols-[150px_1fr_150px] gap-4 px-2 py-2.5 max-[700px]:block"
      >
        <span className="text-[16px] font-medium max-[700px]:block">{build.name}</span>
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
      <OwnerOnly>
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
          aria-label={`${build.archived ? 'Restore' : 'Archive'} ${build.name}`}
          title={build.archived ? 'Restore' : 'Archive'}
          onClick={() => archive.mutate(!build.archived)}
        >
          {build.archived ? (
            <ArchiveRestore size={16} aria-hidden="true" />
          ) : (
            <Archive size={16} aria-hidden="true" />
          )}
        </button>
      </OwnerOnly>
    </li>
  );
}

/** From so many builds on they can be searched and sorted. */
const FEW = 6;
/** From so many on only those in sight are drawn. */
const VIRTUAL_FROM = 60;
const LINE_HEIGHT = 63;

type Order = 'name' | 'changed';
const byName = new Intl.Collator(undefined, { numeric: true }).compare;
const orders: Readonly<Record<Order, (a: BuildSummary, b: BuildSummary) => number>> = {
  name: (a, b) => byName(a.name, b.name),
  changed: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
};
const wordsOf = ({ name, description }: BuildSummary): string =>
  `${name} ${description}`.toLowerCase();

/** A line for each build; of many only those in sight are drawn. */
function BuildLines({
  builds,
  names,
}: {
  builds: readonly BuildSummary[];
  names: ReadonlySet<string>;
}) {
  const long = builds.length >= VIRTUAL_FROM;
  const list = useRef<HTMLUListElement>(null);
  // The page scrolls in its main part; where the list begins there is known once it stands.
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    const page = list.current?.closest('main');
    if (!list.current || !page) return;
    const above = list.current.getBoundingClientRect().top - page.getBoundingClientRect().top;
    setTop(above + page.scrollTop);
  }, [long]);
  const virtual = useVirtualizer({
    count: builds.length,
    getScrollElement: () => list.current?.closest('main') ?? null,
    estimateSize: () => LINE_HEIGHT,
    overscan: 8,
    enabled: long,
    scrollMargin: top,
  });
  const items = virtual.getVirtualItems();
  const first = items[0]?.index ?? 0;
  const drawn = long ? builds.slice(first, first + items.length) : builds;
  const above = (items[0]?.start ?? 0) - virtual.options.scrollMargin;
  const end = items.at(-1)?.end ?? 0;
  const below = virtual.getTotalSize() - (end - virtual.options.scrollMargin);
  return (
    <ul
      ref={list}
      className="border-t-[1.5px] border-ink"
      aria-label="Builds"
      style={
        long ? { paddingTop: Math.max(0, above), paddingBottom: Math.max(0, below) } : undefined
      }
    >
      {drawn.map((build, i) => (
        <BuildLine
          key={build.id}
          build={build}
          names={names}
          measured={long ? { index: first + i, ref: virtual.measureElement } : undefined}
        />
      ))}
    </ul>
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
  const [find, setFind] = useState('');
  const [order, setOrder] = useState<Order>('name');
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const inWork = all.filter((b) => b.archived === away);
  const shown = inWork
    .filter((build) => words.every((word) => wordsOf(build).includes(word)))
    .sort(orders[order]);
  const putAway = all.filter((b) => b.archived).length;
  return (
    <Page title="Builds" lead="One vehicle with one engine conversion each.">
      <LostNote />
      {builds.error && <p className="mt-3 text-signal">{builds.error.message}</p>}
      <div className="mb-3 flex flex-wrap gap-2">
        <OwnerOnly note="Builds are started, imported, copied and archived on the computer that Brookrain runs on.">
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
            Import a build from a file
          </button>
        </OwnerOnly>
        <span className="flex-1" />
        {(putAway > 0 || away) && (
          <button type="button" className="act" onClick={() => setAway(!away)}>
            {away ? 'Back to the builds in work' : `Archive: ${putAway}`}
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
      {inWork.length > FEW && (
        <div className="mb-3 flex flex-wrap items-center gap-3">
          <SearchField
            label="Find a build"
            hint="Find: name, or a few of its words"
            value={find}
            onChange={setFind}
          />
          <Tabs
            label="Order of the builds"
            value={order}
            choices={[
              { value: 'name', label: 'By name' },
              { value: 'changed', label: 'Last changed first' },
            ]}
            onChoose={setOrder}
          />
          <span className="text-[13px] text-second">
            {shown.length === inWork.length
              ? `${inWork.length} builds`
              : `${shown.length} of ${inWork.length} builds`}
          </span>
        </div>
      )}
      <BuildLines builds={shown} names={names} />
      {builds.data && shown.length === 0 && (
        <p className="px-2 py-3">
          {inWork.length > 0
            ? 'No build has these words in it.'
            : away
              ? 'The archive is empty.'
              : 'No builds yet. Start one, import one from a file, or reset the demo builds in the settings.'}
        </p>
      )}
      <footer className="mt-10 text-[13px] text-second">{generalNotice}</footer>
    </Page>
  );
}
