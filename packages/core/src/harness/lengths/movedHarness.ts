import { sum } from '../../numerics/index.ts';
import { type LedHarness, type LedInput, ledHarness } from './ledHarness.ts';

/** What a harness comes to while a place of it is being moved: lengths m; sizes stay as they are. */
export interface MovedHarness {
  readonly copperLength: number;
  /** segments that changed their length, with how long they are now */
  readonly segments: readonly { readonly id: string; readonly length: number }[];
  /** segments that cannot be laid any more */
  readonly refused: readonly string[];
  /** wires that are cut, or lie in a bought leg, and no longer reach */
  readonly short: number;
}

const SAME = 1e-9;

const tooShort = ({ wires, legs }: LedHarness): number =>
  wires.filter(({ needed, length }) => needed && needed.value - length.value > SAME).length +
  legs.filter(({ slack }) => slack && slack.value < -SAME).length;

/** Leads the wires of a harness anew, and tells what that changes. */
export function movedHarness(before: LedHarness, input: LedInput): MovedHarness {
  const now = ledHarness(input);
  const known = new Map(before.segments.map(({ id, length }) => [id, length.value]));
  return {
    copperLength: sum(now.wires.map(({ length }) => length.value)),
    segments: now.segments.flatMap(({ id, length }) =>
      Math.abs((known.get(id) ?? 0) - length.value) > SAME ? [{ id, length: length.value }] : [],
    ),
    refused: now.segments.filter(({ path }) => path === undefined).map(({ id }) => id),
    short: tooShort(now),
  };
}
