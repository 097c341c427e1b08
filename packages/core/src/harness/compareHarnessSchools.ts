import type { Catalogue } from '../catalogue/index.ts';
import type { Harness } from '../model/index.ts';
import type { Bundle } from './bundles/bundle.ts';
import { type HarnessDesign, bundleStage } from './bundles/bundleStage.ts';
import { type LedInput, ledHarness } from './lengths/ledHarness.ts';
import { harnessFigure } from './figureNames.ts';
import { type HarnessSchool, harnessSchools } from './model.ts';

/** How well a harness can be changed afterwards. */
export type Serviceability = 'any wire' | 'at its covers' | 'only anew';

const serviceabilities: Readonly<Record<HarnessSchool, Serviceability>> = {
  taped: 'any wire',
  conduit: 'any wire',
  braided: 'at its covers',
  sealed: 'only anew',
};

/** One school on a build: SI, price in the currency of the catalogue. */
export interface ComparedSchool {
  /** bought: the looms that the build has, adapted, and the rest made as it is decided */
  readonly school: HarnessSchool | 'bought';
  readonly chosen: boolean;
  readonly copperLength: number;
  readonly mass: number;
  readonly price: number;
  readonly hours: number;
  /** outside diameter of the thickest segment, m */
  readonly thickest: number;
  /** segments that no cover of it takes */
  readonly uncovered: number;
  readonly serviceability: Serviceability;
}

/** The same harness built in each school: what it weighs, costs and takes, and how thick it gets. */
export function compareHarnessSchools(
  input: LedInput &
    Omit<Parameters<typeof bundleStage>[0], 'led' | 'harness'> & { readonly catalogue: Catalogue },
): readonly ComparedSchool[] {
  const isBought = input.harness.bought.length > 0;
  const schools: readonly ComparedSchool['school'][] = isBought
    ? ['bought', ...harnessSchools]
    : harnessSchools;
  return schools.map((school): ComparedSchool => {
    const harness: Harness =
      school === 'bought' ? input.harness : { ...input.harness, school, bought: [] };
    const led = ledHarness({ ...input, harness });
    const design: HarnessDesign = bundleStage({ ...input, harness, led });
    const value = (key: string): number =>
      design.results.find((result) => result.key === key)?.value ?? 0;
    const laid = design.bundles.filter(({ wires }) => wires.length > 0);
    return {
      school,
      chosen: school === (isBought ? 'bought' : input.harness.school),
      copperLength: value(harnessFigure('harness.copperLength').key),
      mass: value(harnessFigure('harness.weight').key),
      price: value(harnessFigure('harness.cost').key),
      hours: value(harnessFigure('harness.hours').key),
      thickest: Math.max(0, ...laid.map(({ diameter }: Bundle) => diameter)),
      uncovered: laid.filter(({ cover, coverItem }) => cover !== 'none' && !coverItem).length,
      serviceability: serviceabilities[harness.school],
    };
  });
}
