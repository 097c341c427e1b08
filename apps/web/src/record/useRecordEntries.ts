import type { RecordEntry } from '@brookrain/core';
import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client.ts';

const none: readonly RecordEntry[] = [];

/** Where the record of a build is kept among what was asked. */
export const recordKey = (buildId: string): readonly string[] => ['record', buildId];

/** What the server has of the record of a build; the window follows what others add. */
export function useRecordEntries(buildId: string): readonly RecordEntry[] {
  const { data } = useQuery({ queryKey: recordKey(buildId), queryFn: () => api.record(buildId) });
  return data?.entries ?? none;
}
