import { firstOf } from '../../numerics/index.ts';
import { costOf } from './allocationCost.ts';
import {
  type AllocationProblem,
  type Assignment,
  type OutputNeed,
  type PinOffer,
  outputsOf,
} from './allocationProblem.ts';
import { pinsFor } from './allocationProgram.ts';
import { inSequence } from './inSequence.ts';
import { assignmentFaults } from './assignmentFaults.ts';

/** Steps back that are tried before a program is asked. */
const MOST_TRIES = 20_000;

/** Outputs that are placed in one step: one, or the two of a pair. */
interface Placing {
  readonly outputs: readonly OutputNeed[];
  readonly ways: readonly { readonly pins: readonly PinOffer[]; readonly cost: number }[];
}

/** A wish for pins with every way to fulfil it, the cheapest first. */
function placingsOf(problem: AllocationProblem): Placing[] {
  const outputs = outputsOf(problem);
  const outputOf = new Map(outputs.flatMap((o) => o.signals.map(({ id }) => [id, o] as const)));
  const done = new Set<OutputNeed>();
  return outputs.flatMap((output): Placing[] => {
    if (done.has(output)) return [];
    done.add(output);
    const mates = output.signals.flatMap(({ pairedWith }) =>
      pairedWith === undefined ? [] : (outputOf.get(pairedWith) ?? []),
    );
    const mate = mates.find((other) => other !== output);
    const alone = pinsFor(problem, output);
    if (!mate) {
      const ways = alone.map((pin) => ({ pins: [pin], cost: costOf(pin, output) }));
      return [{ outputs: [output], ways: ways.sort((a, b) => a.cost - b.cost) }];
    }
    done.add(mate);
    const others = pinsFor(problem, mate);
    const ways = alone.flatMap((pin) =>
      others
        .filter(({ id }) => id === pin.pairedWith)
        .map((second) => ({
          pins: [pin, second],
          cost: costOf(pin, output) + costOf(second, mate),
        })),
    );
    return [{ outputs: [output, mate], ways: ways.sort((a, b) => a.cost - b.cost) }];
  });
}

/** What is on pins so far, and whether something more still goes with it. */
class Board {
  readonly assigned = new Map<string, string>();
  private readonly taken = new Set<string>();
  private readonly rates = new Map<string, Map<number, number>>();
  private readonly sums: number[];

  constructor(private readonly totals: AllocationProblem['totals']) {
    this.sums = totals.map(() => 0);
  }

  takes(output: OutputNeed, pin: PinOffer): boolean {
    if (this.taken.has(pin.id)) return false;
    const rates = pin.timer === undefined ? undefined : this.rates.get(pin.timer);
    if (rates && output.frequency > 0 && rates.size > 0 && !rates.has(output.frequency)) {
      return false;
    }
    return this.totals.every(
      ({ pins, current }, t) =>
        !pins.includes(pin.id) || (this.sums[t] ?? 0) + output.current <= current + 1e-9,
    );
  }

  /** Puts an output on a pin, or takes it off again. */
  put(output: OutputNeed, pin: PinOffer, on: boolean): void {
    const count = on ? 1 : -1;
    if (on) this.taken.add(pin.id);
    else this.taken.delete(pin.id);
    for (const { id } of output.signals) {
      if (on) this.assigned.set(id, pin.id);
      else this.assigned.delete(id);
    }
    this.totals.forEach(({ pins }, t) => {
      if (pins.includes(pin.id)) this.sums[t] = (this.sums[t] ?? 0) + count * output.current;
    });
    if (pin.timer === undefined || output.frequency === 0) return;
    const rates = this.rates.get(pin.timer) ?? new Map<number, number>();
    const left = (rates.get(output.frequency) ?? 0) + count;
    if (left > 0) rates.set(output.frequency, left);
    else rates.delete(output.frequency);
    this.rates.set(pin.timer, rates);
  }
}

/**
 * A good allocation at once: what has the fewest ways goes first, each the cheapest way that is
 * left, stepping back where nothing is. Undefined where none was found soon: there may be one.
 */
export function firstAllocation(problem: AllocationProblem): Assignment | undefined {
  const placings = placingsOf(problem).sort((a, b) => a.ways.length - b.ways.length);
  const board = new Board(problem.totals);
  let tries = 0;
  const place = (k: number): boolean => {
    const placing = placings[k];
    if (!placing) return assignmentFaults(problem, board.assigned).length === 0;
    for (const { pins } of placing.ways) {
      const put: [OutputNeed, PinOffer][] = [];
      for (const [i, output] of placing.outputs.entries()) {
        const pin = pins[i] ?? firstOf(pins);
        if (!board.takes(output, pin)) break;
        board.put(output, pin, true);
        put.push([output, pin]);
      }
      if (++tries > MOST_TRIES) return false;
      if (put.length === placing.outputs.length && place(k + 1)) return true;
      for (const [output, pin] of put) board.put(output, pin, false);
    }
    return false;
  };
  return place(0) ? inSequence(problem, board.assigned) : undefined;
}
