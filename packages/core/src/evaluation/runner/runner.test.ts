import { describe, expect, test } from 'vitest';
import { lantern, sampleCatalogue } from '../../exchange/index.ts';
import { readBuild } from '../../model/index.ts';
import { createRunner } from './runner.ts';
import { slice, stage } from './source.ts';

const build = readBuild(lantern);
const input = { build, catalogue: sampleCatalogue };
const named = (name: string) => ({ ...input, build: { ...build, name } });

describe('a runner', () => {
  const length = slice('length', (i) => i.build.name.length);
  const even = stage({
    name: 'even',
    gives: 'whether it is even',
    reads: { length },
    run: (reads) => ({ even: reads.length % 2 === 0 }),
  });
  const words = stage({
    name: 'words',
    gives: 'the word for it',
    reads: { even },
    run: (reads) => (reads.even.even ? 'even' : 'odd'),
  });

  test('runs a stage again only when a slice that it reads has changed by value', () => {
    const runner = createRunner();
    runner.begin(named('four'));
    expect(runner.get(words)).toBe('even');
    expect(runner.ran).toEqual(['even', 'words']);
    runner.begin(named('also'));
    expect(runner.get(words)).toBe('even');
    expect(runner.ran).toEqual([]);
  });

  test('keeps the old object when the new output says the same: what follows does not run', () => {
    const runner = createRunner();
    runner.begin(named('four'));
    const before = runner.get(even);
    runner.get(words);
    runner.begin(named('longer'));
    expect(runner.get(words)).toBe('even');
    expect(runner.get(even)).toBe(before);
    expect(runner.ran).toEqual(['even']);
    runner.begin(named('odd'));
    expect(runner.get(words)).toBe('odd');
    expect(runner.ran).toEqual(['even', 'words']);
  });

  test('asks each stage once in a pass, however many read it', () => {
    let runs = 0;
    const counted = stage({
      name: 'counted',
      gives: 'a count',
      reads: { length },
      run: () => ++runs,
    });
    const both = stage({
      name: 'both',
      gives: 'both',
      reads: { counted, even },
      run: (reads) => [reads.counted, reads.even],
    });
    const runner = createRunner();
    runner.begin(input);
    runner.get(both);
    runner.get(counted);
    expect(runs).toBe(1);
  });

  describe('that starts from what was kept of a session', () => {
    const asked = stage({
      name: 'asked',
      gives: 'an answer when asked',
      reads: { words },
      run: (reads) => ({ later: () => reads.words }),
      holdsFunctions: true,
    });
    const told = stage({
      name: 'told',
      gives: 'what was asked',
      reads: { asked, even },
      run: (reads) => [reads.asked.later(), reads.even.even],
    });
    /** What a session leaves after it was asked for one thing, read back from a store. */
    const left = (name: string, ...sources: (typeof even | typeof words | typeof asked)[]) => {
      const runner = createRunner();
      runner.begin(named(name));
      for (const source of sources) runner.get<unknown>(source);
      return structuredClone(runner.keep());
    };

    test('takes its answers where what they were made of is as it was', () => {
      const runner = createRunner(left('four', words));
      runner.begin(named('also'));
      expect(runner.get(words)).toBe('even');
      expect(runner.ran).toEqual([]);
    });

    test('works out what has changed, and nothing after an answer that says the same', () => {
      const runner = createRunner(left('four', words));
      runner.begin(named('longer'));
      expect(runner.get(words)).toBe('even');
      expect(runner.ran).toEqual(['even']);
      runner.begin(named('odd'));
      expect(runner.get(words)).toBe('odd');
      expect(runner.ran).toEqual(['even', 'words']);
    });

    test('works out anew what holds functions, and what reads it', () => {
      const kept = left('four', asked);
      expect([...kept.keys()]).toEqual(['slice length', 'stage even', 'stage words']);
      const runner = createRunner(kept);
      runner.begin(named('four'));
      expect(runner.get(told)).toEqual(['even', true]);
      expect(runner.ran).toEqual(['asked', 'told']);
    });

    test('works out what was not asked for then', () => {
      const runner = createRunner(left('four', even));
      runner.begin(named('four'));
      expect(runner.get(words)).toBe('even');
      expect(runner.ran).toEqual(['words']);
    });

    test('does not take an answer of which something that it read is missing', () => {
      const kept = new Map(left('four', words));
      kept.delete('stage even');
      const runner = createRunner(kept);
      runner.begin(named('four'));
      runner.get(words);
      expect(runner.ran).toEqual(['even', 'words']);
    });

    test('keeps only what its last pass asked for', () => {
      const runner = createRunner();
      runner.begin(named('four'));
      runner.get(words);
      runner.begin(named('odd'));
      runner.get(even);
      expect([...runner.keep()]).toEqual([
        ['slice length', 3],
        ['stage even', { even: false }],
      ]);
    });
  });
});
