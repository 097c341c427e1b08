import type { LiveEvent } from '@brookrain/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { useLiveEvents } from '../live/liveConnection.ts';
import { recordKey } from '../record/useRecordEntries.ts';

/** Keeps lists, records and catalogue as other windows make them. */
export function FollowLists() {
  const queries = useQueryClient();
  useLiveEvents(
    useCallback(
      (event: LiveEvent) => {
        if (event.type === 'builds' || event.type === 'build') {
          void queries.invalidateQueries({ queryKey: ['builds'] });
        }
        if (event.type === 'build') {
          void queries.invalidateQueries({ queryKey: ['revisions', event.id] });
        }
        if (event.type === 'record') {
          void queries.invalidateQueries({ queryKey: recordKey(event.id) });
        }
        if (event.type === 'catalogue') {
          void queries.invalidateQueries({ queryKey: ['catalogue'] });
        }
      },
      [queries],
    ),
  );
  return null;
}
