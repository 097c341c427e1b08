import type { BuildFinding } from '../../model/index.ts';
import { memo } from '../../numerics/index.ts';
import type { Bundle } from '../bundles/bundle.ts';
import type { HarnessChecked, HarnessRule } from '../checked.ts';
import type { LedSegment } from '../lengths/ledSegment.ts';

/** A segment with its bundle. */
export interface LaidBundle extends Bundle {
  readonly led: LedSegment;
}

export const inSegment = (segmentId: string): BuildFinding['where'] => ({
  stage: 'harness',
  segment: segmentId,
});

const laidIn = memo(
  (bundles: readonly Bundle[], ledSegments: readonly LedSegment[]): readonly LaidBundle[] => {
    const segments = new Map(ledSegments.map((segment) => [segment.id, segment]));
    return bundles.flatMap((bundle) => {
      const segment = segments.get(bundle.segmentId);
      return segment && bundle.wires.length > 0 ? [{ ...bundle, led: segment }] : [];
    });
  },
);

/** Every segment that wires run through, with its bundle. */
export const laidBundles = ({ led, harness }: HarnessChecked): readonly LaidBundle[] =>
  laidIn(harness.bundles, led.segments);

/** Runs a check on every segment that wires run through. */
export const onBundles =
  (check: (bundle: LaidBundle, checked: HarnessChecked) => BuildFinding[]): HarnessRule['check'] =>
  (checked) =>
    laidBundles(checked).flatMap((bundle) => check(bundle, checked));
