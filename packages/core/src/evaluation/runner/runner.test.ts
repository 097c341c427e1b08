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
    reads: { length },
    run: (reads) => ({ even: reads.length % 2 === 0 }),
  });
  const words = stage({
    name: 'words',
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
    const counted = stage({ name: 'counted', reads: { length }, run: () => ++runs });
    const both = stage({
      name: 'both',
      reads: { counted, even },
      run: (reads) => [reads.counted, reads.even],
    });
    const runner = createRunner();
    runner.begin(input);
    runner.get(both);
    runner.get(counted);
    expect(runs).toBe(1);
  });
});
