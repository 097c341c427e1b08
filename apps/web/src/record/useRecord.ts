import type { RecordEntryMessage, RecordReply } from '@brookrain/contract';
import type { RecordEntry, RecordKind, RecordSaid } from '@brookrain/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { api } from '../api/client.ts';
import { newId } from '../build/keptQueue.ts';
import { useLiveEvents } from '../live/liveConnection.ts';
import { useAuthor } from '../ui/preferences.ts';
import { RecordQueue } from './recordQueue.ts';
import { recordShelf } from './recordShelf.ts';

/** Something that is said at the vehicle. */
export interface Said {
  readonly kind: RecordKind;
  readonly subject: string;
  readonly said: RecordSaid;
  readonly corrects?: string;
}

/** What happened to a build, what of that waits on this device, and how more is said. */
export interface OpenRecord {
  readonly entries: readonly RecordEntry[];
  readonly waiting: number;
  readonly unreachable: boolean;
  say(said: Said): void;
}

const whenBack = (milliseconds: number, again: () => void): void => {
  const go = (): void => {
    window.clearTimeout(timer);
    window.removeEventListener('online', go);
    again();
  };
  const timer = window.setTimeout(go, milliseconds);
  window.addEventListener('online', go);
};

/** The record of a build, with what this device has not sent yet. */
export function useRecord(buildId: string, revision: number): OpenRecord {
  const queries = useQueryClient();
  const [author] = useAuthor();
  const key = useMemo(() => ['record', buildId], [buildId]);
  const { data } = useQuery({ queryKey: key, queryFn: () => api.record(buildId) });
  const [waiting, setWaiting] = useState<{
    readonly entries: readonly RecordEntryMessage[];
    readonly unreachable: boolean;
  }>({ entries: [], unreachable: false });
  const queue = useRef<RecordQueue>(undefined);
  useEffect(() => {
    const own = new RecordQueue(
      buildId,
      { shelf: recordShelf, send: api.addToRecord, later: whenBack },
      {
        changed: (entries, unreachable) => setWaiting({ entries, unreachable }),
        answered: (reply: RecordReply) => queries.setQueryData(key, reply),
        refused: (error) =>
          toast.error(error instanceof Error ? error.message : 'An entry was not kept.'),
      },
    );
    queue.current = own;
    void own.send();
    return () => own.end();
  }, [buildId, key, queries]);
  useLiveEvents(
    useCallback(
      (event) => {
        if (event.type === 'record' && event.id === buildId) {
          void queries.invalidateQueries({ queryKey: key });
        }
      },
      [buildId, key, queries],
    ),
  );
  const entries = useMemo((): readonly RecordEntry[] => {
    const served = data?.entries ?? [];
    const known = new Set(served.map(({ id }) => id));
    const own = waiting.entries
      .filter(({ id }) => !known.has(id))
      .map((entry) => ({ ...entry, corrects: entry.corrects ?? null, author: entry.author ?? '' }));
    return [...served, ...own];
  }, [data, waiting.entries]);
  return {
    entries,
    waiting: waiting.entries.length,
    unreachable: waiting.unreachable,
    say: ({ kind, subject, said, corrects }) =>
      void queue.current?.add({
        id: newId(),
        kind,
        subject,
        said,
        corrects: corrects ?? null,
        revision,
        time: new Date().toISOString(),
        ...(author === '' ? {} : { author }),
      }),
  };
}
