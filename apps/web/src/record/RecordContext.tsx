import { createContext, useContext } from 'react';
import type { OpenRecord } from './useRecord.ts';

export const RecordContext = createContext<OpenRecord | undefined>(undefined);

/** The record of the open build; only at the vehicle. */
export function useOpenRecord(): OpenRecord {
  const record = useContext(RecordContext);
  if (!record) throw new Error('no record is open here');
  return record;
}
