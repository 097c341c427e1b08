import type { RecordEntry } from '@brookrain/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { api } from '../api/client.ts';
import { useLiveEvents } from '../live/liveConnection.ts';

const none: readonly RecordEntry[] = [];

/** Where the record of a build is kept among what was asked. */
export const recordKey = (buildId: string): readonly string[] => ['record', buildId];

/** What the server has of the record of a build; follows what others add. */
export function useRecordEntries(buildId: string): readonly RecordEntry[] {
  const queries = useQueryClient();
  const { data } = useQuery({
    queryKey: recordKey(buildId),
    queryFn: () => api.record(buildId),
  });
  useLiveEvents(
    useCallback(
      (event) => {
        if (event.type === 'record' && event.id === buildId) {
          void queries.invalidateQueries({ queryKey: recordKey(buildId) });
        }
      },
      [buildId, queries],
    ),
  );
  return data?.entries ?? none;
}
