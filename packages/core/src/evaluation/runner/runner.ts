import { type Memory, createMemory, sameValue, withMemory } from '../../numerics/index.ts';
import type { RunnerInput, Source } from './source.ts';

interface Known {
  readonly value: unknown;
  /** what a stage read when it ran last, in the order in which it declares it */
  readonly inputs: readonly unknown[];
}

/** Answers of each source that are kept: the last, and those before it that an undo goes back to. */
const MEMORY = 3;

/**
 * What sources gave in a pass, by kind and name: plain data that may be stored, and that another
 * runner of the same program starts from. What two of them share they share when it is copied as one.
 */
export type KeptAnswers = ReadonlyMap<string, unknown>;

const keyOf = ({ type, name }: Source<unknown>): string => `${type} ${name}`;

/** What is known of a source from answers that were kept; of a stage, only with all that it read. */
function knownFrom(answers: KeptAnswers, source: Source<unknown>): readonly Known[] {
  const reads = source.type === 'slice' ? [] : Object.values(source.reads);
  if (![source, ...reads].every((each) => answers.has(keyOf(each)))) return [];
  // The build that a slice was read from is not kept: what is read anew is compared by value.
  const inputs = source.type === 'slice' ? [undefined] : reads.map((r) => answers.get(keyOf(r)));
  return [{ value: answers.get(keyOf(source)), inputs }];
}

/** Runs stages when what they read has changed by value; keeps old objects where nothing did. */
export interface Runner {
  /** Starts a pass over a build; what was worked out for the last ones is reused. */
  begin(input: RunnerInput): void;
  /** The value of a source in this pass. */
  get<Value>(source: Source<Value>): Value;
  /** What was asked for in this pass, but for what holds functions; before any, what it was given. */
  keep(): KeptAnswers;
  /** Names of the stages that ran in this pass, in their order. */
  readonly ran: readonly string[];
  /** whether something was worked out in this pass that can be kept */
  readonly learned: boolean;
  /** what functions of the stages remember: nothing at first, and no longer than the runner */
  readonly memory: Memory;
}

/**
 * A runner with a memory of the last passes. Answers that were kept serve its first pass: what
 * would be worked out from the same values is taken from them. A runner that works beside another
 * may share its memory.
 */
export function createRunner(kept?: KeptAnswers, memory = createMemory()): Runner {
  let before = kept;
  /** what is known of each source, the newest first */
  const known = new Map<Source<unknown>, readonly Known[]>();
  const present = new Map<Source<unknown>, unknown>();
  let input: RunnerInput | undefined;
  let ran: string[] = [];
  let learned = false;

  const inputsOf = (source: Source<unknown>): readonly unknown[] =>
    source.type === 'slice' ? [input] : Object.values(source.reads).map(get);

  const compute = (source: Source<unknown>, inputs: readonly unknown[]): unknown => {
    if (source.type === 'slice') return source.read(inputs[0] as RunnerInput);
    ran.push(source.name);
    learned ||= !source.holdsFunctions;
    const names = Object.keys(source.reads);
    return source.run(Object.fromEntries(names.map((name, i) => [name, inputs[i]])) as never);
  };

  function answer(source: Source<unknown>): unknown {
    const inputs = inputsOf(source);
    const last = known.get(source) ?? (before ? knownFrom(before, source) : []);
    const again = last.find((each) => inputs.every((value, i) => value === each.inputs[i]));
    const fresh = again ? again.value : compute(source, inputs);
    // What follows sees an old object where the new one says the same. A slice that an undo brings
    // back is found among older ones too, and with it what its stages made of it.
    const older = source.type === 'slice' ? last : last.slice(0, 1);
    const alike = again ?? older.find(({ value }) => sameValue(value, fresh));
    const value = alike ? alike.value : fresh;
    const others = last.filter((each) => each !== alike).slice(0, MEMORY - 1);
    known.set(source, [{ value, inputs }, ...others]);
    return value;
  }

  function get<Value>(source: Source<Value>): Value {
    if (!present.has(source))
      present.set(
        source,
        withMemory(memory, () => answer(source)),
      );
    return present.get(source) as Value;
  }

  return {
    begin(next) {
      if (input) before = undefined;
      input = next;
      present.clear();
      ran = [];
      learned = false;
    },
    get,
    keep: () =>
      input
        ? new Map(
            [...present]
              .filter(([source]) => source.type === 'slice' || !source.holdsFunctions)
              .map(([source, value]) => [keyOf(source), value]),
          )
        : (before ?? new Map()),
    get ran() {
      return ran;
    },
    get learned() {
      return learned;
    },
    memory,
  };
}
