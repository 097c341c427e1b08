import { describe, expect, test } from 'vitest';
import { demoBuilds, kittiwake, lantern, sampleCatalogue, sandpiper } from '../exchange/index.ts';
import { type BuildDocument, withValueAt } from '../model/index.ts';
import { createEvaluator } from './evaluate.ts';
import { type Rung, limitLadder } from './ladder.ts';

const evaluator = createEvaluator();
const rungsOf = (document: BuildDocument): readonly Rung[] =>
  limitLadder(evaluator.check(document, sampleCatalogue)).rungs;
const rung = (document: BuildDocument, label: string): Rung =>
  rungsOf(document).find((each) => each.label === label)!;
const powerOf = ({ power }: Rung): number => power ?? Infinity;

describe('the electric rungs of the ladder', () => {
  test('every demo has one for alternator, main fuse, main cable, and each pump’s wire, fuse and relay', () => {
    for (const { document } of demoBuilds) {
      const rungs = rungsOf(document);
      const pumps = Object.values(document.devices).filter(
        ({ part }) => part.kind === 'pump',
      ).length;
      const count = (test: (each: Rung) => boolean): number => rungs.filter(test).length;
      expect(count(({ check }) => check === 'alternator')).toBe(1);
      expect(count(({ label }) => label === 'Main fuse')).toBe(1);
      expect(count(({ label }) => label === 'Main cable')).toBe(1);
      expect(count(({ label }) => label.startsWith('Pump fuse'))).toBe(pumps);
      expect(count(({ label }) => label.startsWith('Pump relay'))).toBe(pumps);
      expect(count(({ label }) => label.startsWith('Pump feed wire'))).toBe(pumps);
    }
  });

  test('an injectors’ fuse gives out where the injectors stay open long enough', () => {
    const own = rung(lantern, 'Fuse, injectors');
    expect(own.check).toBe('fuse');
    // Four saturated injectors open all the time take more than a 5 A fuse carries hot, and duty rises with power.
    expect(powerOf(own)).toBeGreaterThan(lantern.brief.power.value);
    const larger = withValueAt(lantern, ['devices', 'fuse-injectors', 'part', 'item'], {
      id: 'FB10',
      revision: 1,
    });
    expect(powerOf(rung(larger, 'Fuse, injectors'))).toBe(Infinity);
  });

  test('an alternator that gives less gives out earlier, or at once', () => {
    const at = (share: number) =>
      powerOf(
        rung(
          withValueAt(sandpiper, ['limits', 'alternatorHot'], { value: share, unit: '%' }),
          'Alternator',
        ),
      );
    expect(at(0.85)).toBe(Infinity);
    expect(at(0.3)).toBe(0);
    const powers = [0.85, 0.8, 0.75, 0.7, 0.65].map(at);
    expect([...powers].sort((a, b) => b - a)).toEqual(powers);
  });

  test('in a competition the battery makes up for the alternator during a run', () => {
    expect(powerOf(rung(kittiwake, 'Alternator'))).toBe(Infinity);
    const road = withValueAt(kittiwake, ['brief', 'use'], 'road');
    expect(powerOf(rung(road, 'Alternator'))).toBe(0);
  });
});
