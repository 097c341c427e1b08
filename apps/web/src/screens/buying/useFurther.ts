import type { CuttingPlan } from '@brookrain/core';
import { useEffect, useRef, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { cancelRun, lookFurther } from '../../evaluation/useEvaluation.ts';

/** A plan that is looked for further: the best so far, and whether it is still looked for. */
export interface Further {
  readonly plan: CuttingPlan | undefined;
  readonly looked: number;
  readonly looking: boolean;
  look(): void;
  stop(): void;
}

/** The further search for the plan of a hose, which ends when the build is another. */
export function useFurther(hoseId: string): Further {
  const { stored, catalogue } = useBuild();
  const [plan, setPlan] = useState<CuttingPlan>();
  const [looked, setLooked] = useState(0);
  const [looking, setLooking] = useState(false);
  const wanted = useRef(0);
  useEffect(() => {
    setPlan(undefined);
    setLooking(false);
    return () => {
      wanted.current += 1;
    };
  }, [stored, hoseId]);
  return {
    plan,
    looked,
    looking,
    look: () => {
      const own = ++wanted.current;
      const mine = (found: CuttingPlan | undefined, count: number, more: boolean): void => {
        if (own !== wanted.current) return;
        if (found) setPlan(found);
        setLooked(count);
        setLooking(more);
      };
      let count = 0;
      mine(undefined, 0, true);
      lookFurther(stored, catalogue, hoseId, (found, done) => {
        count = done;
        mine(found, done, true);
      }).then(
        (found) => mine(found, count, false),
        () => mine(undefined, count, false),
      );
    },
    stop: () => void cancelRun(),
  };
}
