import type { LinearProgram, ProgramColumn } from '../../numerics/index.ts';
import {
  type AllocationProblem,
  type OutputNeed,
  type PinOffer,
  suits,
} from './allocationProblem.ts';
import { costOf } from './allocationCost.ts';

/** A choice of a program: this output on that pin. */
interface Choice {
  readonly output: OutputNeed;
  readonly pin: PinOffer;
}

/** An integer program of an allocation, and how its answer is read. */
export interface AllocationProgram {
  readonly program: LinearProgram;
  /** pin of each signal, from the amounts of the columns */
  read(amounts: readonly number[]): Map<string, string>;
}

/** Pins that an output may go on, by itself; a lock leaves only its own. */
export const pinsFor = (
  { pins }: Pick<AllocationProblem, 'pins'>,
  output: OutputNeed,
): PinOffer[] =>
  pins.filter((pin) => output.locked.every((id) => id === pin.id) && suits(pin, output));

/** The program that puts every output on one pin at the least cost; `judged`: whether cost counts at all. */
export function allocationProgram(
  problem: AllocationProblem,
  outputs: readonly OutputNeed[],
  judged = true,
): AllocationProgram {
  const choices: Choice[] = outputs.flatMap((output) =>
    pinsFor(problem, output).map((pin) => ({ output, pin })),
  );
  const rows: { lower: number; upper: number }[] = [];
  const entries: [number, number][][] = choices.map(() => []);
  const extra: ProgramColumn[] = [];
  const row = (lower: number, upper: number): number => rows.push({ lower, upper }) - 1;
  const add = (at: number, amount: number, wanted: (choice: Choice) => boolean): void =>
    choices.forEach((choice, k) => {
      if (wanted(choice)) entries[k]?.push([at, amount]);
    });
  for (const output of outputs) add(row(1, 1), 1, (choice) => choice.output === output);
  for (const pin of problem.pins) add(row(0, 1), 1, (choice) => choice.pin === pin);
  // Both signals of a pair are on both pins of a pair.
  const outputOf = new Map(outputs.flatMap((o) => o.signals.map(({ id }) => [id, o] as const)));
  for (const output of outputs) {
    for (const { pairedWith } of output.signals) {
      const other = pairedWith === undefined ? undefined : outputOf.get(pairedWith);
      if (!other) continue;
      for (const pin of pinsFor(problem, output)) {
        const at = row(-Infinity, 0);
        add(at, 1, (choice) => choice.output === output && choice.pin === pin);
        add(at, -1, (choice) => choice.output === other && choice.pin.id === pin.pairedWith);
      }
    }
  }
  for (const timer of new Set(problem.pins.flatMap((pin) => pin.timer ?? []))) {
    const onTimer = ({ output, pin }: Choice): boolean =>
      pin.timer === timer && output.frequency > 0;
    const rates = [...new Set(choices.filter(onTimer).map(({ output }) => output.frequency))];
    if (rates.length < 2) continue;
    const one = row(0, 1);
    for (const rate of rates) {
      const runs: [number, number][] = [[one, 1]];
      choices.forEach((choice, k) => {
        if (!onTimer(choice) || choice.output.frequency !== rate) return;
        const at = row(-Infinity, 0);
        entries[k]?.push([at, 1]);
        runs.push([at, -1]);
      });
      extra.push({ cost: 0, upper: 1, entries: runs });
    }
  }
  for (const { pins, current } of problem.totals) {
    const at = row(-Infinity, current + 1e-9);
    choices.forEach(({ output, pin }, k) => {
      if (pins.includes(pin.id) && output.current > 0) entries[k]?.push([at, output.current]);
    });
  }
  return {
    program: {
      columns: [
        ...choices.map(({ output, pin }, k) => ({
          cost: judged ? costOf(pin, output) : 0,
          upper: 1,
          entries: entries[k] ?? [],
        })),
        ...extra,
      ],
      rows,
      whole: true,
    },
    read: (amounts) =>
      new Map(
        choices.flatMap(({ output, pin }, k) =>
          (amounts[k] ?? 0) > 0.5 ? output.signals.map(({ id }) => [id, pin.id] as const) : [],
        ),
      ),
  };
}
