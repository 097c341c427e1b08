import { type AllocationAnswer, type PinSheet, conflictInWords } from '@brookrain/core';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { useBuild } from '../../build/BuildContext.ts';
import { type ProgramRun, runProgram } from '../../evaluation/programRun.ts';
import { withProgress } from '../../evaluation/withProgress.ts';
import type { FoundAllocation } from '../../evaluation/programWork.ts';

/** A search for the pins of all signals of a controller. */
export interface AllocationSearch {
  readonly looking: boolean;
  /** why there is no answer, or what it came to */
  readonly words: string | undefined;
  look(sheet: PinSheet): void;
  stop(): void;
}

/** How sure it is that no other way is better. */
function howGood(answer: Exclude<AllocationAnswer, { state: 'conflict' | 'unknown' }>): string {
  if (answer.state === 'first') return '.';
  if (answer.proven) return '; proven: no assignment is better.';
  const above = answer.bound > 0 ? (answer.cost / answer.bound - 1) * 100 : undefined;
  const distance =
    above === undefined ? '' : `, at most ${Math.ceil(above)} % above the least possible`;
  return `; the best found in the time there is${distance}.`;
}

/** Looks for pins, and stores what was found as one edit; left when the build is another. */
export function useAllocation(): AllocationSearch {
  const { stored, edit } = useBuild();
  const [looking, setLooking] = useState(false);
  const [words, setWords] = useState<string>();
  const run = useRef<ProgramRun<FoundAllocation> | undefined>(undefined);
  useEffect(() => () => run.current?.leave(), [stored]);
  const store = (sheet: PinSheet, answer: AllocationAnswer): void => {
    if (answer.state === 'conflict') {
      setWords(conflictInWords(answer.conflict, sheet.problem));
      return;
    }
    if (answer.state === 'unknown') {
      setWords(
        'No assignment was found in the time allowed, and none is ruled out. Lock fewer signals.',
      );
      return;
    }
    const devices: Record<string, Record<string, string>> = {};
    let moved = 0;
    for (const { id, partId, pin, assigned } of sheet.signals) {
      const to = answer.pins.get(id);
      if (to === undefined || to === assigned) continue;
      moved += 1;
      devices[partId] = { ...devices[partId], [pin]: to };
    }
    setWords(
      `${moved === 0 ? 'Every signal stays on its pin' : `${moved} of ${sheet.signals.length} signals have another pin now`}${howGood(answer)}`,
    );
    if (moved > 0) {
      edit({ name: 'assign-pins', controllerId: sheet.controllerId, devices });
    }
  };
  const look = async (sheet: PinSheet): Promise<void> => {
    const own = runProgram((work) =>
      withProgress(
        (answer: AllocationAnswer) => {
          if (run.current === own && answer.state === 'first') {
            setWords('A first assignment is found; looking for a better one.');
          }
        },
        (onProgress) => work.allocation(sheet.problem, onProgress),
      ),
    );
    run.current = own;
    const found = await own.answer;
    if (found && run.current === own) store(sheet, found.answer);
  };
  return {
    looking,
    words,
    look: (sheet) => {
      setLooking(true);
      setWords(undefined);
      look(sheet)
        .catch((error: unknown) =>
          toast.error(error instanceof Error ? error.message : String(error)),
        )
        .finally(() => setLooking(false));
    },
    stop: () => run.current?.leave(),
  };
}
