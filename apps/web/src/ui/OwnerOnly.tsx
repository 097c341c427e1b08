import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { api } from '../api/client.ts';

/** Whether this device may do everything: it is the computer that the program runs on. */
export function useIsOwner(): boolean {
  const { data } = useQuery({
    queryKey: ['this-device'],
    queryFn: api.thisDevice,
    staleTime: Infinity,
    retry: false,
  });
  return data?.isOwner ?? true;
}

/** Controls of the computer that the program runs on; a paired device reads where they are. */
export function OwnerOnly({ note, children }: { note?: string; children: ReactNode }) {
  if (useIsOwner()) return children;
  return note === undefined ? null : <p className="mt-1 text-[13px] text-second">{note}</p>;
}
