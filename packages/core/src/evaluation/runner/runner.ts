import { sameValue } from '../../numerics/index.ts';
import type { RunnerInput, Source } from './source.ts';

interface Known {
  readonly value: unknown;
  /** what a stage read when it ran last, in the order in which it declares it */
  readonly inputs: readonly unknown[];
  /** the pass in which this was asked for last */
  readonly pass: number;
}

/** Runs stages when what they read has changed by value; keeps old objects where nothing did. */
export interface Runner {
  /** Starts a pass over a build; what was worked out for the last one is reused. */
  begin(input: RunnerInput): void;
  /** The value of a source in this pass. */
  get<Value>(source: Source<Value>): Value;
  /** Names of the stages that ran in this pass, in their order. */
  readonly ran: readonly string[];
}

/** A runner with a memory of the last pass. */
export function createRunner(): Runner {
  const known = new Map<Source<unknown>, Known>();
  let input: RunnerInput | undefined;
  let pass = 0;
  let ran: string[] = [];

  const inputsOf = (source: Source<unknown>): readonly unknown[] =>
    source.type === 'slice' ? [input] : Object.values(source.reads).map(get);

  const compute = (source: Source<unknown>, inputs: readonly unknown[]): unknown => {
    if (source.type === 'slice') return source.read(inputs[0] as RunnerInput);
    ran.push(source.name);
    const names = Object.keys(source.reads);
    return source.run(Object.fromEntries(names.map((name, i) => [name, inputs[i]])) as never);
  };

  function get<Value>(source: Source<Value>): Value {
    const last = known.get(source);
    if (last?.pass === pass) return last.value as Value;
    const inputs = inputsOf(source);
    const unchanged =
      last !== undefined && inputs.every((value, i) => Object.is(value, last.inputs[i]));
    const fresh = unchanged ? last.value : compute(source, inputs);
    // What follows sees the old object where the new one says the same.
    const value = last && sameValue(last.value, fresh) ? last.value : fresh;
    known.set(source, { value, inputs, pass });
    return value as Value;
  }

  return {
    begin(next) {
      input = next;
      pass += 1;
      ran = [];
    },
    get,
    get ran() {
      return ran;
    },
  };
}
