import { describe, expect, test } from 'vitest';
import { demoBuilds } from '../exchange/index.ts';
import { harnessSchools } from '../model/index.ts';
import { finished } from '../numerics/index.ts';
import { evaluated, knownBuild } from '../tests/evaluated.ts';
import { compareHarnessSchools } from './compareHarnessSchools.ts';

describe('schools of harness beside each other', () => {
  // The one with a bought loom, and one without.
  const tried = demoBuilds.filter(
    ({ document: { harness } }) =>
      harness.school === 'braided' || Object.keys(harness.bought).length > 0,
  );
  test.each(tried.map(({ document }) => [document.name, document] as const))(
    'of %s: each is what the build would be in it',
    (_name, demo) => {
      const rows = finished(compareHarnessSchools(knownBuild(demo)));
      expect(rows.filter(({ chosen }) => chosen)).toHaveLength(1);
      const isBought = Object.keys(demo.harness.bought).length > 0;
      expect(rows.map(({ school }) => school)).toEqual([
        ...(isBought ? ['bought'] : []),
        ...harnessSchools,
      ]);
      for (const { school, mass, price, hours } of rows.filter((_, i) => i % 2 === 0)) {
        const harness =
          school === 'bought' ? demo.harness : { ...demo.harness, school, bought: {} };
        const { results } = evaluated({ ...demo, harness });
        const figure = (key: string) => results.find((result) => result.key === key)?.value;
        expect([mass, price, hours]).toEqual(
          ['harness.weight', 'harness.cost', 'harness.hours'].map(figure),
        );
      }
      // Sealed it takes the longest, taped the least.
      const of = (wanted: string) => rows.find(({ school }) => school === wanted)!;
      expect(of('sealed').hours).toBeGreaterThan(of('taped').hours);
    },
  );
});
