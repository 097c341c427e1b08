import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import { coverFor } from '../bundles/coverOf.ts';
import type { HarnessChecked, HarnessRule } from '../checked.ts';
import { type BundleCover, bundleCovers } from '../model.ts';
import { type LaidBundle, inSegment, onBundles } from './onBundles.ts';

const coverPath = (segmentId: string) => ['harness', 'segments', segmentId, 'cover'];

/** Covers of the catalogue that take a bundle and stand what is around it. */
const otherCovers = (bundle: LaidBundle, { catalogue }: HarnessChecked): Cure<BuildCommand>[] =>
  bundleCovers.flatMap((cover: BundleCover) => {
    if (cover === 'none' || cover === bundle.cover) return [];
    const item = coverFor(catalogue, cover, bundle.bundle);
    if (!item || item.temperatureLimit < bundle.ambient) return [];
    return [
      {
        text: `Cover it with ${item.designation.toLowerCase()}`,
        command: { name: 'set' as const, path: coverPath(bundle.segmentId), value: cover },
      },
    ];
  });

/** A bundle that nothing in the catalogue can be drawn over. */
export const segmentCover: HarnessRule = {
  id: 'segment.cover',
  source: 'a sleeve fits the bundle snugly',
  check: onBundles((bundle, checked) => {
    if (bundle.cover === 'none' || bundle.coverItem) return [];
    const finding: BuildFinding = {
      id: `segment.cover:${bundle.segmentId}`,
      rule: 'segment.cover',
      severity: 'warn',
      where: inSegment(bundle.segmentId),
      title: 'No cover fits this bundle',
      because: `${bundle.name}: {bundle} of wires, and no ${bundle.cover} in the catalogue fits`,
      numbers: { bundle: { value: bundle.bundle, kind: 'length' } },
      measured: { value: bundle.bundle, kind: 'length' },
      worse: 'higher',
      cures: () => {
        const others = otherCovers(bundle, checked);
        return others.length > 0 ? others : [{ text: 'Split the bundle' }];
      },
    };
    return [finding];
  }),
};

/** A bundle that is only laced where there is weather, oil or rubbing. */
export const segmentLaced: HarnessRule = {
  id: 'segment.laced',
  source: 'bundles are laced only inside the cabin; elsewhere they are covered',
  check: onBundles((bundle, checked) => {
    const outside = bundle.led.zones.some((zone) => zone !== 'cabin');
    if (bundle.cover !== 'none' || !outside) return [];
    const path = coverPath(bundle.segmentId);
    const finding: BuildFinding = {
      id: `segment.laced:${bundle.segmentId}`,
      rule: 'segment.laced',
      severity: 'warn',
      where: inSegment(bundle.segmentId),
      title: 'Bundle is only laced outside the cabin',
      because: `${bundle.name} has no cover, and one of its ends is not in the cabin`,
      numbers: {},
      cures: () => [
        { text: 'Use the harness cover', command: { name: 'set', path, value: null } },
        ...otherCovers(bundle, checked),
      ],
    };
    return [finding];
  }),
};

/** A cover that does not stand where it lies. */
export const segmentCoverHeat: HarnessRule = {
  id: 'segment.cover-heat',
  source: 'a cover withstands the air of the zones that its segment runs between, on a hot day',
  check: onBundles((bundle, checked) => {
    const { coverItem } = bundle;
    if (!coverItem || coverItem.temperatureLimit >= bundle.ambient) return [];
    const finding: BuildFinding = {
      id: `segment.cover-heat:${bundle.segmentId}`,
      rule: 'segment.cover-heat',
      severity: 'warn',
      where: inSegment(bundle.segmentId),
      title: 'Cover is not rated for the heat',
      because: `${bundle.name}: {ambient} around it; ${coverItem.designation.toLowerCase()} withstands {limit}`,
      numbers: {
        ambient: { value: bundle.ambient, kind: 'temperature' },
        limit: { value: coverItem.temperatureLimit, kind: 'temperature' },
      },
      measured: { value: bundle.ambient, kind: 'temperature' },
      limit: { value: coverItem.temperatureLimit, kind: 'temperature' },
      worse: 'higher',
      cures: () => {
        const others = otherCovers(bundle, checked);
        return others.length > 0 ? others : [{ text: 'Re-route it away from the heat' }];
      },
    };
    return [finding];
  }),
};

/** A bundle that its own wires make too hot inside. */
export const segmentHot: HarnessRule = {
  id: 'segment.hot',
  source: 'hottest place inside a bundle with everything on, against the insulation of its wires',
  check: onBundles((bundle) => {
    if (bundle.temperature <= bundle.coldest) return [];
    const finding: BuildFinding = {
      id: `segment.hot:${bundle.segmentId}`,
      rule: 'segment.hot',
      severity: 'warn',
      where: inSegment(bundle.segmentId),
      title: 'Bundle is too hot inside',
      because: `${bundle.name}: {inside} at its centre with everything on; its weakest wire withstands {limit}`,
      numbers: {
        inside: { value: bundle.temperature, kind: 'temperature' },
        limit: { value: bundle.coldest, kind: 'temperature' },
      },
      measured: { value: bundle.temperature, kind: 'temperature' },
      limit: { value: bundle.coldest, kind: 'temperature' },
      worse: 'higher',
      cures: () => [{ text: 'Route its heavy feeds separately, or fit thicker wires for them' }],
    };
    return [finding];
  }),
};
