import { harnessFigure } from '../harness/index.ts';
import { type HarnessSchool, harnessSchools, readBuild } from '../model/index.ts';
import { type KnownBuild, variantsOf } from './variants.ts';

/** How well a harness can be changed afterwards. */
export type Serviceability = 'any wire' | 'at its covers' | 'not at all';

const serviceabilities: Readonly<Record<HarnessSchool, Serviceability>> = {
  taped: 'any wire',
  conduit: 'any wire',
  braided: 'at its covers',
  sealed: 'not at all',
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

/**
 * The same harness built in each school: what it weighs, costs and takes, and how thick it gets; a
 * step for each.
 */
export function* compareHarnessSchools(
  known: KnownBuild,
): Generator<void, readonly ComparedSchool[]> {
  const { document } = known;
  const variants = variantsOf(known);
  const { bought, school: present } = readBuild(document).harness;
  const isBought = bought.length > 0;
  const schools: readonly ComparedSchool['school'][] = isBought
    ? ['bought', ...harnessSchools]
    : harnessSchools;
  const compared: ComparedSchool[] = [];
  for (const school of schools) {
    const built =
      school === 'bought'
        ? document
        : { ...document, harness: { ...document.harness, school, bought: {} } };
    // What lies round a wire says how thin it may be: sizes follow from the school too.
    const { harness } = built === document ? variants.present : variants.with(built);
    const value = (key: string): number =>
      harness.results.find((result) => result.key === key)?.value ?? 0;
    const laid = harness.bundles.filter(({ wires }) => wires.length > 0);
    compared.push({
      school,
      chosen: school === (isBought ? 'bought' : present),
      copperLength: value(harnessFigure('harness.copperLength').key),
      mass: value(harnessFigure('harness.weight').key),
      price: value(harnessFigure('harness.cost').key),
      hours: value(harnessFigure('harness.hours').key),
      thickest: Math.max(0, ...laid.map(({ diameter }) => diameter)),
      uncovered: laid.filter(({ cover, coverItem }) => cover !== 'none' && !coverItem).length,
      serviceability: serviceabilities[built.harness.school],
    });
    yield;
  }
  return compared;
}
