import type { CuttingPlan, CuttingProof } from '@brookrain/core';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { useBuild } from '../../build/BuildContext.ts';
import { type ProgramRun, runProgram } from '../../evaluation/programRun.ts';
import { withProgress } from '../../evaluation/withProgress.ts';
import { askWorker } from '../../evaluation/useEvaluation.ts';

/** A plan whose proof is looked for: how far it is, and the best so far. */
export interface Proof {
  readonly plan: CuttingPlan | undefined;
  readonly progress: CuttingProof | undefined;
  readonly looking: boolean;
  look(from: CuttingPlan): void;
  stop(): void;
}

/** The proof of the plan of a hose, which is left when the build is another. */
export function useProof(hoseId: string): Proof {
  const { stored, catalogue } = useBuild();
  const [plan, setPlan] = useState<CuttingPlan>();
  const [progress, setProgress] = useState<CuttingProof>();
  const [looking, setLooking] = useState(false);
  const run = useRef<ProgramRun<CuttingPlan> | undefined>(undefined);
  useEffect(() => {
    setPlan(undefined);
    setProgress(undefined);
    setLooking(false);
    return () => run.current?.leave();
  }, [stored, hoseId]);
  const look = async (from: CuttingPlan): Promise<void> => {
    const problem = await (await askWorker(catalogue)).cutting(stored, hoseId);
    if (!problem) return;
    const own = runProgram((work) =>
      withProgress(
        (told: CuttingProof) => {
          if (run.current !== own) return;
          setProgress(told);
          setPlan(told.plan);
        },
        (onProgress) => work.cutting(problem, from, onProgress),
      ),
    );
    run.current = own;
    const found = await own.answer;
    if (found && run.current === own) setPlan(found);
  };
  return {
    plan,
    progress,
    looking,
    look: (from) => {
      setLooking(true);
      look(from)
        .catch((error: unknown) =>
          toast.error(error instanceof Error ? error.message : String(error)),
        )
        .finally(() => setLooking(false));
    },
    stop: () => run.current?.leave(),
  };
}
