import { type FoundAtVehicle, type MakingSheet, foundAtVehicle } from '@brookrain/core';
import { useMemo } from 'react';
import { useBuild } from '../build/BuildContext.ts';
import { type Question, useWorkerAnswer } from '../evaluation/useWorkerAnswer.ts';
import { useRecordEntries } from './useRecordEntries.ts';

/** What is made of the build, where anything was tried that is held against it. */
const ask: Question<boolean, MakingSheet | undefined> = async (worker, document, wanted) =>
  wanted ? worker.making(document) : undefined;

const none: readonly FoundAtVehicle[] = [];

/** What was read or buzzed out on the open build and is not as planned; none until it is known. */
export function useFoundAtVehicle(): readonly FoundAtVehicle[] {
  const { id } = useBuild();
  const entries = useRecordEntries(id);
  const tried = entries.some(({ kind }) => kind === 'read' || kind === 'buzzed');
  const { answer: sheet } = useWorkerAnswer(ask, tried);
  return useMemo(() => (sheet ? foundAtVehicle(sheet, entries) : none), [sheet, entries]);
}
