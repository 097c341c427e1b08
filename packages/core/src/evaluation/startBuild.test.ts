import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { referenceProblems } from './references.ts';
import { sampleCatalogue } from '../exchange/index.ts';
import { NotFound, quantity as q } from '../quantities/index.ts';
import { jointState } from '../plumbing/index.ts';
import { startBuild } from './startBuild.ts';
import type { StartAnswers } from './startSpec.ts';
import { evaluated } from '../tests/evaluated.ts';

const answers: StartAnswers = {
  name: 'Own van',
  vehicle: '',
  engine: '',
  use: 'road',
  displacement: q(2, 'volume', 'L'),
  cylinders: 4,
  aspiration: 'turbo',
  boost: q(0.7, 'pressure', 'bar'),
  power: q(150, 'power', 'kW'),
  powerSpeed: q(5800, 'rotation', 'rpm'),
  limiterSpeed: q(6500, 'rotation', 'rpm'),
  fuelKind: 'petrol-ethanol',
  ethanol: q(10, 'ratio', '%'),
  pumpMounting: 'external',
  runLength: q(3.5, 'length', 'm'),
};
const stops = (build: StartAnswers): string[] =>
  evaluated(startBuild(build, sampleCatalogue).document)
    .findings.filter((f) => f.severity === 'stop')
    .map((f) => f.id);

describe('the guided start', () => {
  test('proposes a design that stands, and says what it proposed', () => {
    const { document, proposed } = startBuild(answers, sampleCatalogue);
    expect(stops(answers)).toEqual([]);
    // With the fuel sent past the hot rail a quarter tank would boil at the pump.
    expect(document.fuelCircuits['main']!.architecture).toBe('return-before-rail');
    expect(proposed[0]).toContain('before the rail');
    expect(proposed.join(' ')).toContain(document.injectorRows['primary']!.item.id);
    expect(document.brief.power).toEqual(answers.power);
  });

  test('gives every hose its two ends: each holds its hose and fits its seat', () => {
    const { document, proposed } = startBuild(answers, sampleCatalogue);
    const { made, findings } = evaluated(document);
    expect(proposed.join(' ')).toContain('Ends and adapters');
    expect(made.length).toBeGreaterThan(0);
    for (const line of made) {
      expect(line.assembly, line.lineId).toBeDefined();
      for (const end of line.ends) expect(jointState(end, line.hose), line.lineId).not.toBe('open');
    }
    const unfit = findings.filter(({ rule }) => rule.startsWith('joint.'));
    expect(unfit.map(({ id }) => id)).toEqual([]);
  });

  test('returns after the rail where the fuel can stand the heat', () => {
    const cool = startBuild({ ...answers, fuelKind: 'methanol' }, sampleCatalogue);
    expect(cool.document.fuelCircuits['main']!.architecture).toBe('return-after-rail');
    expect(cool.proposed[0]).toContain('after the rail');
  });

  test('keeps an in-tank pump of a natural engine regulated at the tank', () => {
    const natural: StartAnswers = {
      ...answers,
      aspiration: 'natural',
      power: q(100, 'power', 'kW'),
      pumpMounting: 'in-tank',
    };
    const { document } = startBuild(natural, sampleCatalogue);
    expect(document.fuelCircuits['main']!.architecture).toBe('return-at-tank');
    // Boost typed for a natural engine is of no account.
    expect(document.brief.boost.value).toBe(0);
    expect(stops(natural)).toEqual([]);
  });

  test('takes hose and filters that are rated for the alcohol', () => {
    const e85: StartAnswers = { ...answers, ethanol: q(85, 'ratio', '%') };
    expect(stops(e85).filter((id) => id.startsWith('hose') || id.startsWith('filter'))).toEqual([]);
  });

  test('whatever is answered, the document holds and can be judged', () => {
    fc.assert(
      fc.property(
        fc.record({
          litres: fc.double({ min: 0.1, max: 7, noNaN: true }),
          cylinders: fc.integer({ min: 1, max: 12 }),
          aspiration: fc.constantFrom('natural', 'supercharged', 'turbo' as const),
          bar: fc.double({ min: 0, max: 2, noNaN: true }),
          kW: fc.double({ min: 5, max: 700, noNaN: true }),
          rpm: fc.integer({ min: 3000, max: 11_000 }),
          ethanol: fc.double({ min: 0, max: 1, noNaN: true }),
          methanol: fc.boolean(),
          inTank: fc.boolean(),
          run: fc.double({ min: 0.2, max: 12, noNaN: true }),
        }),
        (a) => {
          const started = startBuild(
            {
              ...answers,
              displacement: q(a.litres, 'volume', 'L'),
              cylinders: a.cylinders,
              aspiration: a.aspiration as StartAnswers['aspiration'],
              boost: q(a.bar, 'pressure', 'bar'),
              power: q(a.kW, 'power', 'kW'),
              powerSpeed: q(a.rpm, 'rotation', 'rpm'),
              limiterSpeed: q(1.1 * a.rpm, 'rotation', 'rpm'),
              fuelKind: a.methanol ? 'methanol' : 'petrol-ethanol',
              ethanol: q(100 * a.ethanol, 'ratio', '%'),
              pumpMounting: a.inTank ? 'in-tank' : 'external',
              runLength: q(a.run, 'length', 'm'),
            },
            sampleCatalogue,
          );
          expect(referenceProblems(started.document, sampleCatalogue)).toEqual([]);
          expect(started.proposed.length).toBeGreaterThan(0);
        },
      ),
      { numRuns: 25 },
    );
  }, 120_000);

  test('says which part it misses when the catalogue has none', () => {
    const items = sampleCatalogue.items.filter((i) => i.category !== 'battery');
    expect(() => startBuild(answers, { items })).toThrow(NotFound);
  });
});
