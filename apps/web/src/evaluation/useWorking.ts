import type { Result } from '@brookrain/core';
import { useEffect, useState } from 'react';
import { useBuild } from '../build/BuildContext.ts';
import { askWorker } from './useEvaluation.ts';

/** A figure with its working, asked for when it is looked at; undefined until it is there. */
export function useWorking(key: string): Result | undefined {
  const { catalogue, evaluation } = useBuild();
  const [working, setWorking] = useState<Result>();
  useEffect(() => {
    let wanted = true;
    askWorker(catalogue)
      .then((worker) => worker.working(key))
      .then(
        (result) => wanted && setWorking(result),
        () => undefined,
      );
    return () => {
      wanted = false;
    };
  }, [catalogue, evaluation, key]);
  return working?.key === key ? working : undefined;
}
