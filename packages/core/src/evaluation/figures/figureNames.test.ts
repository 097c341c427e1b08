import { describe, expect, test } from 'vitest';
import { asCut } from '../../tests/asCut.ts';
import { electricsFigure } from '../../electrics/index.ts';
import { engineFigure } from '../../engine/index.ts';
import { demoBuilds, lantern, sampleCatalogue } from '../../exchange/index.ts';
import { withValueAt } from '../../model/index.ts';
import { fuelFigure } from '../../fuel/index.ts';
import { laidOutAs } from '../../tests/trippedSystems.ts';
import { evaluate } from '../evaluate.ts';
import { componentFigure, routeFigure, thingFigure } from '../../vehicle/index.ts';
import { harnessFigure } from '../../harness/index.ts';
import { plumbingFigure } from '../../plumbing/index.ts';
import { documentedFigures } from './documentedFigures.ts';

const patterns: Readonly<Record<string, string>> = {
  ...engineFigure.patterns,
  ...electricsFigure.patterns,
  ...fuelFigure.patterns,
  ...routeFigure.patterns,
  ...thingFigure.patterns,
  ...componentFigure.patterns,
  ...plumbingFigure.patterns,
  ...harnessFigure.patterns,
};
/** The key that a pattern makes: `{.x}` may be missing, `{x}` is anything. */
const matching = (pattern: string): RegExp => {
  const escaped = pattern
    .split(/(\{\.?\w+\})/)
    .map((part) => {
      if (/^\{\./.test(part)) return '(\\.[^.]+)?';
      return part.startsWith('{') ? '[^.]+' : part.replaceAll('.', '\\.');
    })
    .join('');
  return new RegExp(`^${escaped}$`);
};

describe('the names of figures', () => {
  test('are each declared in one room', () => {
    const rooms = [
      engineFigure,
      electricsFigure,
      fuelFigure,
      routeFigure,
      thingFigure,
      componentFigure,
      plumbingFigure,
      harnessFigure,
    ].map((r) => Object.keys(r.patterns));
    expect(new Set(rooms.flat()).size).toBe(rooms.flat().length);
  });

  test('make keys that no other name makes', () => {
    const made = Object.values(patterns);
    expect(new Set(made).size).toBe(made.length);
  });

  test.each(documentedFigures.filter((f) => !f.key.startsWith('ladder.')).map((f) => f.key))(
    'the documented %s is one of them',
    (key) => {
      expect(Object.values(patterns).filter((p) => matching(p).test(key))).not.toEqual([]);
    },
  );

  test('every figure of the demos has the key of its own pattern, once', () => {
    const builds = [...demoBuilds.map((d) => d.document), laidOutAs('surge-tank')];
    for (const build of builds) {
      const { results } = evaluate(build, sampleCatalogue);
      expect(new Set(results.map((r) => r.key)).size).toBe(results.length);
      for (const { figure, key } of results) {
        expect(key, figure).toMatch(matching(patterns[figure]!));
      }
    }
  });

  test('every declared figure is made by some build', () => {
    const cut = withValueAt(lantern, 'assemblies.feed.asMade', asCut('feed', 3370));
    const builds = [...demoBuilds.map((d) => d.document), laidOutAs('surge-tank'), cut];
    const made = new Set(
      builds.flatMap((build) => evaluate(build, sampleCatalogue).results.map((r) => r.figure)),
    );
    expect(Object.keys(patterns).filter((name) => !made.has(name))).toEqual([]);
  });
});
