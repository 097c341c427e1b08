/** Lets messages in: a cancel, or the next evaluation. */
const breath = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

/** A run that goes on until another of its sort begins. */
export interface LongRun {
  /** lets messages in; false where it was cancelled, or asked for anew */
  readonly goesOn: () => Promise<boolean>;
}

/** Runs of one sort, of which only the newest goes on. */
export interface LongRuns {
  /** Begins a run; the one before it is left. */
  begin(): LongRun;
  /** Leaves the run that goes on. */
  leave(): void;
  /** Steps through a search, telling how far it has come; undefined when it was left. */
  through<Progress, Found>(
    search: Generator<Progress, Found>,
    onProgress?: (progress: Progress) => void,
  ): Promise<Found | undefined>;
}

/** A sort of runs that leave each other, and no other. */
export function longRuns(): LongRuns {
  let newest = 0;
  const begin = (): LongRun => {
    newest += 1;
    const own = newest;
    return {
      async goesOn() {
        await breath();
        return own === newest;
      },
    };
  };
  return {
    begin,
    leave() {
      newest += 1;
    },
    async through(search, onProgress) {
      const run = begin();
      for (let step = search.next(); ; step = search.next()) {
        if (step.done) return step.value;
        onProgress?.(step.value);
        if (!(await run.goesOn())) return undefined;
      }
    },
  };
}

/** What somebody waits for at a bar: draws, and searches. */
export const started = longRuns();
