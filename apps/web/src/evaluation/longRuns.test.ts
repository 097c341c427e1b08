import { describe, expect, test } from 'vitest';
import { longRuns } from './longRuns.ts';

/** A search of so many steps, each noted as it is taken. */
function* counted(steps: number, noted: number[] = []): Generator<number, string> {
  for (let step = 1; step <= steps; step++) {
    noted.push(step);
    yield step;
  }
  return 'found';
}
/** Messages that waited are let in. */
const breath = () => new Promise((resolve) => setTimeout(resolve, 0));

describe('long runs', () => {
  test('step to the end, and tell how far they have come', async () => {
    const told: number[] = [];
    expect(await longRuns().through(counted(3), (step) => told.push(step))).toBe('found');
    expect(told).toEqual([1, 2, 3]);
  });

  test('let messages in between their steps', async () => {
    const noted: number[] = [];
    const run = longRuns().through(counted(4, noted));
    let seenBetween = 0;
    setTimeout(() => (seenBetween = noted.length), 0);
    await run;
    expect(noted).toHaveLength(4);
    expect(seenBetween).toBeGreaterThan(0);
    expect(seenBetween).toBeLessThan(4);
  });

  test('of one sort: the newest goes on, those before it are left where they are', async () => {
    const runs = longRuns();
    const noted: number[] = [];
    const first = runs.through(counted(100, noted));
    await breath();
    const second = runs.through(counted(2));
    expect(await first).toBeUndefined();
    expect(noted.length).toBeLessThan(100);
    expect(await second).toBe('found');
  });

  test('of two sorts do not leave each other', async () => {
    const [one, other] = [longRuns(), longRuns()];
    expect(await Promise.all([one.through(counted(3)), other.through(counted(5))])).toEqual([
      'found',
      'found',
    ]);
  });

  test('are left on a word, and the next one is not', async () => {
    const runs = longRuns();
    const run = runs.through(counted(100));
    runs.leave();
    expect(await run).toBeUndefined();
    expect(await runs.through(counted(2))).toBe('found');
  });

  test('that are walked by hand know whether they go on', async () => {
    const runs = longRuns();
    const run = runs.begin();
    expect(await run.goesOn()).toBe(true);
    runs.begin();
    expect(await run.goesOn()).toBe(false);
  });
});
