/** Where functions remember their answers. Each runner of an evaluation owns one. */
export interface Memory {
  /** What was begun here with a function, which begins it at the first question. */
  of<Remembered>(begin: () => Remembered): Remembered;
}

/** A memory of nothing. */
export function createMemory(): Memory {
  const begun = new WeakMap<() => unknown, unknown>();
  return {
    of<Remembered>(begin: () => Remembered): Remembered {
      const before = begun.get(begin);
      if (before !== undefined) return before as Remembered;
      const now = begin();
      begun.set(begin, now);
      return now;
    },
  };
}

/** Outside any evaluation (a proposal, a screen) functions remember for as long as the process runs. */
let present = createMemory();

/** The memory that functions use now. */
export const presentMemory = (): Memory => present;

/** Does some work with a memory of its own; the work must not be asynchronous. */
export function withMemory<Answer>(memory: Memory, work: () => Answer): Answer {
  const before = present;
  present = memory;
  try {
    return work();
  } finally {
    present = before;
  }
}

/** Work that is asked for later and shall remember where it was made. */
export function inPresentMemory<Asked extends readonly unknown[], Answer>(
  work: (...asked: Asked) => Answer,
): (...asked: Asked) => Answer {
  const memory = present;
  return (...asked) => withMemory(memory, () => work(...asked));
}
