import { type Catalogue, type CoverItem, newestOf } from '../../catalogue/index.ts';
import type { BundleCover, HarnessSchool } from '../model.ts';

/** What a school lays round its wires where nothing else is said. */
export const coverOfSchool: Readonly<Record<HarnessSchool, BundleCover>> = {
  taped: 'tape',
  conduit: 'conduit',
  braided: 'braid',
  sealed: 'heat-shrink',
};

/** The smallest cover of a form that takes a bundle of a diameter m and grips it. */
export function coverFor(
  catalogue: Catalogue,
  form: CoverItem['form'],
  bundle: number,
): CoverItem | undefined {
  const takes = newestOf(catalogue, 'cover')
    .filter((item) => item.form === form && item.bundleMax >= bundle)
    .sort((a, b) => a.nominal - b.nominal || a.price - b.price || (a.id < b.id ? -1 : 1));
  return takes.find(({ bundleMin }) => bundleMin <= bundle) ?? takes[0];
}
