import { mkdtempSync, readdirSync, rmSync, truncateSync, utimesSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  createEvaluator,
  evaluate,
  hashOf,
  sampleCatalogue,
  sandpiper,
  withValueAt,
} from '@brookrain/core';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { AnswerShelf } from './answerShelf.ts';
import { KnownEvaluators } from './knownEvaluators.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'brookrain-answers-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const answersOf = () => {
  const evaluator = createEvaluator();
  evaluator.evaluate(sandpiper, sampleCatalogue);
  return evaluator.keep();
};

describe('the shelf of answers', () => {
  test('gives another process what was worked out: nothing but what holds functions runs', () => {
    new AnswerShelf(folder, 'one').put('a', answersOf());
    const evaluator = createEvaluator(new AnswerShelf(folder, 'one').take('a'));
    const evaluation = evaluator.evaluate(sandpiper, sampleCatalogue);
    expect([...evaluator.ran].sort()).toEqual(['candidates', 'checked']);
    expect(hashOf(evaluation)).toBe(hashOf(evaluate(sandpiper, sampleCatalogue)));
  });

  test('gives nothing of another program, of another build, or of a damaged file', () => {
    const shelf = new AnswerShelf(folder, 'one');
    expect(shelf.take('a')).toBeUndefined();
    shelf.put('a', new Map([['slice brief', 1]]));
    expect(shelf.take('a')).toEqual(new Map([['slice brief', 1]]));
    expect(shelf.take('b')).toBeUndefined();
    expect(new AnswerShelf(folder, 'other').take('a')).toBeUndefined();
    const [file = ''] = readdirSync(folder);
    truncateSync(join(folder, file), 9);
    expect(shelf.take('a')).toBeUndefined();
  });

  test('keeps eight builds: the oldest goes', () => {
    const shelf = new AnswerShelf(folder, 'one');
    for (let n = 0; n < 8; n++) {
      shelf.put(`${n}`, new Map([['n', n]]));
      for (const name of readdirSync(folder)) utimesSync(join(folder, name), 1, 1);
    }
    shelf.put('8', new Map([['n', 8]]));
    expect(readdirSync(folder)).toHaveLength(8);
    expect(shelf.take('8')).toEqual(new Map([['n', 8]]));
  });

  test('does without what cannot be written', () => {
    const shelf = new AnswerShelf('/dev/null/answers', 'one');
    shelf.put('a', new Map());
    expect(shelf.take('a')).toBeUndefined();
  });
});

describe('evaluators that know builds', () => {
  test('know each build for itself, and begin with what the shelf has of it', () => {
    const shelf = new AnswerShelf(folder, 'one');
    const first = new KnownEvaluators(shelf);
    first.of('a').evaluate(sandpiper, sampleCatalogue);
    first.evaluated('a');
    expect(first.of('b')).not.toBe(first.of('a'));
    first.putAll();
    const evaluator = new KnownEvaluators(shelf).of('a');
    const changed = withValueAt(sandpiper, 'description', 'another');
    evaluator.evaluate(changed, sampleCatalogue);
    expect([...evaluator.ran].sort()).toEqual(['candidates', 'checked']);
  });

  test('put a build that is crowded out on the shelf', () => {
    const shelf = new AnswerShelf(folder, 'one');
    const known = new KnownEvaluators(shelf);
    const evaluator = known.of('a');
    evaluator.evaluate(sandpiper, sampleCatalogue);
    known.evaluated('a');
    for (const id of ['b', 'c', 'd']) known.of(id);
    expect(shelf.take('a')?.size).toBeGreaterThan(20);
    expect(known.of('a')).not.toBe(evaluator);
  });

  test('write nothing of a build of which nothing was worked out', () => {
    const known = new KnownEvaluators(new AnswerShelf(folder, 'one'));
    const evaluator = known.of('a');
    evaluator.evaluate(sandpiper, sampleCatalogue);
    evaluator.evaluate(sandpiper, sampleCatalogue);
    known.evaluated('a');
    known.putAll();
    expect(readdirSync(folder)).toEqual([]);
  });

  test('go without a shelf', () => {
    const known = new KnownEvaluators(undefined);
    known.of('a').evaluate(sandpiper, sampleCatalogue);
    known.evaluated('a');
    known.putAll();
    expect(known.of('a').ran).not.toEqual([]);
  });
});
