import type { RecordEntryMessage, RecordReply } from '@brookrain/contract';
import type { RecordEntry, RecordKind, RecordSaid } from '@brookrain/core';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { api } from '../api/client.ts';
import { newId } from '../build/keptQueue.ts';
import { useAuthor } from '../ui/preferences.ts';
import { RecordQueue } from './recordQueue.ts';
import { recordShelf } from './recordShelf.ts';
import { recordKey, useRecordEntries } from './useRecordEntries.ts';

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
  const served = useRecordEntries(buildId);
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
        answered: (reply: RecordReply) => queries.setQueryData(recordKey(buildId), reply),
        refused: (error) =>
          toast.error(error instanceof Error ? error.message : 'An entry was not stored.'),
      },
    );
    queue.current = own;
    void own.send();
    return () => own.end();
  }, [buildId, queries]);
  const entries = useMemo((): readonly RecordEntry[] => {
    const known = new Set(served.map(({ id }) => id));
    const own = waiting.entries
      .filter(({ id }) => !known.has(id))
      .map((entry) => ({ ...entry, corrects: entry.corrects ?? null, author: entry.author ?? '' }));
    return [...served, ...own];
  }, [served, waiting.entries]);
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
