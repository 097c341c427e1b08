/** Counts the runs asked for; one that is not the newest any more is left. */
let newest = 0;

/** Lets messages in: a cancel, or the next evaluation. */
const breath = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

/** A run that goes on until another begins. */
export interface LongRun {
  /** lets messages in; false where it was cancelled, or asked for anew */
  readonly goesOn: () => Promise<boolean>;
}

/** Begins a run; the one before it is left. */
export function beginRun(): LongRun {
  newest += 1;
  const own = newest;
  return {
    async goesOn() {
      await breath();
      return own === newest;
    },
  };
}

/** Leaves the run that goes on. */
export const leaveRun = (): void => {
  newest += 1;
};

/** Steps through a search, telling how far it has come; undefined when it was cancelled or asked for anew. */
export async function stepThrough<Progress, Found>(
  search: Generator<Progress, Found>,
  onProgress: (progress: Progress) => void,
): Promise<Found | undefined> {
  const run = beginRun();
  for (let step = search.next(); ; step = search.next()) {
    if (step.done) return step.value;
    onProgress(step.value);
    if (!(await run.goesOn())) return undefined;
  }
}
