import type { BuildCommand, Cure } from '@brookrain/core';
import { useEffect, useState } from 'react';
import { useBuild } from '../build/BuildContext.ts';
import { askWorker } from './useEvaluation.ts';

const NONE: readonly Cure<BuildCommand>[] = [];

/** What would put a finding right, asked for where it is read; none until it is there. */
export function useCures(findingId: string): readonly Cure<BuildCommand>[] {
  const { catalogue, evaluation } = useBuild();
  const [cures, setCures] = useState(NONE);
  useEffect(() => {
    let wanted = true;
    askWorker(catalogue)
      .then((worker) => worker.cures(findingId))
      .then(
        (found) => wanted && setCures(found),
        () => undefined,
      );
    return () => {
      wanted = false;
    };
  }, [catalogue, evaluation, findingId]);
  return cures;
}
