import { type KeptAnswers, demoBuilds, sampleCatalogue, withValueAt } from '@brookrain/core';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { AnswerShelf } from './answerShelf.ts';
import { openedEvaluator } from './openedEvaluator.ts';

const [first, second] = demoBuilds.map(({ document }) => document);
const lantern = first!;
const sandpiper = second!;

/** A shelf in memory that copies what it is given, as a browser's database does. */
class CopyingShelf implements AnswerShelf {
  readonly kept = new Map<string, KeptAnswers>();
  puts = 0;

  put(build: string, answers: KeptAnswers): Promise<void> {
    this.puts += 1;
    this.kept.set(build, structuredClone(answers));
    return Promise.resolve();
  }

  of(build: string): Promise<KeptAnswers | undefined> {
    return Promise.resolve(structuredClone(this.kept.get(build)));
  }
}

const failing: AnswerShelf = {
  put: () => Promise.reject(new Error('no room')),
  of: () => Promise.reject(new Error('no database')),
};

const described = (words: string): typeof lantern => ({ ...lantern, description: words });
const weaker = withValueAt(lantern, 'brief.power', { value: 90_000, unit: 'kW' });

describe('the evaluator of the build that is open', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  /** A session in which builds are worked at, one after the other, until all is quiet. */
  const session = async (shelf: AnswerShelf, ...worked: (readonly [string, typeof lantern])[]) => {
    const opened = openedEvaluator(shelf);
    const ran: (readonly string[])[] = [];
    for (const [build, document] of worked) {
      await opened.open(build);
      opened.now.evaluate(document, sampleCatalogue);
      ran.push(opened.now.ran);
      opened.keepSoon();
    }
    await vi.runAllTimersAsync();
    return ran;
  };

  test('begins with what the last session kept', async () => {
    const shelf = new CopyingShelf();
    const [fromNothing] = await session(shelf, ['a', lantern]);
    expect(fromNothing).toContain('demand');
    const [again] = await session(shelf, ['a', lantern]);
    expect(again).not.toContain('demand');
    expect(again!.length).toBeLessThan(fromNothing!.length / 4);
  });

  test('works out what was edited elsewhere since', async () => {
    const shelf = new CopyingShelf();
    await session(shelf, ['a', lantern]);
    const [again] = await session(shelf, ['a', weaker]);
    expect(again).toContain('demand');
    expect(again).not.toContain('components');
  });

  test('keeps once edits have stopped, and only what is new', async () => {
    const shelf = new CopyingShelf();
    await session(shelf, ['a', lantern], ['a', weaker], ['a', lantern]);
    expect(shelf.puts).toBe(1);
    await session(shelf, ['a', lantern], ['a', described('in other words')]);
    expect(shelf.puts).toBe(1);
    await session(shelf, ['a', weaker]);
    expect(shelf.puts).toBe(2);
  });

  test('keeps what was not kept yet before another build is opened', async () => {
    const shelf = new CopyingShelf();
    await session(shelf, ['a', lantern], ['b', sandpiper]);
    expect([...shelf.kept.keys()]).toEqual(['a', 'b']);
    const [ofA, ofB] = await session(shelf, ['a', lantern], ['b', sandpiper]);
    expect([ofA, ofB].map((ran) => ran!.includes('demand'))).toEqual([false, false]);
  });

  test('one build is not answered with what was kept of another', async () => {
    const shelf = new CopyingShelf();
    await session(shelf, ['a', lantern]);
    const opened = openedEvaluator(shelf);
    const late = opened.open('a');
    await opened.open('b');
    await late;
    opened.now.evaluate(lantern, sampleCatalogue);
    expect(opened.now.ran).toContain('demand');
  });

  test('is asked for once by all who wait for it', () => {
    const opened = openedEvaluator(new CopyingShelf());
    expect(opened.open('a')).toBe(opened.open('a'));
  });

  test('works everything out where nothing can be kept', async () => {
    const [ran] = await session(failing, ['a', lantern]);
    expect(ran).toContain('demand');
    const opened = openedEvaluator(undefined);
    await opened.open('a');
    opened.keepSoon();
    expect(vi.getTimerCount()).toBe(0);
    expect(opened.now.evaluate(lantern, sampleCatalogue).results.length).toBeGreaterThan(100);
  });
});
