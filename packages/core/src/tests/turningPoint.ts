import { expect } from 'vitest';
import type { Catalogue } from '../catalogue/index.ts';
import { createEvaluator } from '../evaluation/index.ts';
import { sampleCatalogue } from '../exchange/index.ts';
import type { BuildDocument, BuildFinding } from '../model/index.ts';

/** What a check says of a build: nothing, or how bad it is. */
export type Verdict = BuildFinding['severity'] | 'nothing';

/** Where a check changes its mind while one value of a build, or of a part in it, is turned. */
export interface Turn {
  readonly finding: string;
  readonly build: (value: number) => BuildDocument;
  /** where a part is turned: the catalogue with it */
  readonly catalogue?: (value: number) => Catalogue;
  /** a value at which it says the first, and one at which it says the second */
  readonly between: readonly [number, number];
  readonly says: readonly [Verdict, Verdict];
  /** what is measured there; `limit`: as much as its limit, which turns with it */
  readonly at: number | 'limit';
  /** the value at which it turns, where a person can reckon it */
  readonly value?: number;
}

/** So often what is between is halved: to 4e-6 of it. */
const HALVINGS = 18;
/** What is reckoned and what is found differ by less than this share. */
const CLOSE = 1e-4;

const evaluator = createEvaluator();
const findingIn = (turn: Turn, value: number): BuildFinding | undefined =>
  evaluator
    .evaluate(turn.build(value), turn.catalogue?.(value) ?? sampleCatalogue)
    .findings.find(({ id }) => id === turn.finding);

/** The last value with the first verdict and the first with the second, by bisection. */
function turningPoint(turn: Turn): readonly [number, number] {
  const { between, says } = turn;
  let [before, after] = between;
  const verdict = (value: number): Verdict => findingIn(turn, value)?.severity ?? 'nothing';
  expect([verdict(before), verdict(after)]).toEqual(says);
  for (let k = 0; k < HALVINGS; k++) {
    const middle = (before + after) / 2;
    if (verdict(middle) === says[0]) before = middle;
    else after = middle;
  }
  expect(verdict(after)).toBe(says[1]);
  return [before, after];
}

/** Holds that a check changes its mind where its limit is, and says so with its numbers. */
export function expectTurn(turn: Turn): void {
  const [before, after] = turningPoint(turn);
  const width = Math.abs(turn.between[1] - turn.between[0]);
  expect(Math.abs(before - after)).toBeLessThan(CLOSE * width);
  const { measured, limit } = findingIn(turn, turn.says[1] === 'nothing' ? before : after)!;
  const at = turn.at === 'limit' ? limit!.value : turn.at;
  const size = Math.max(Math.abs(at), Math.abs(limit?.value ?? 0), 5e-3);
  expect(Math.abs(measured!.value - at) / size).toBeLessThan(CLOSE);
  if (turn.value !== undefined) expect(Math.abs(after - turn.value)).toBeLessThan(CLOSE * width);
}
