import type { CoverItem } from '../../catalogue/index.ts';
import type { Bundle } from './bundle.ts';

/** So much of a cover, m, for which segment, and where the build says so. */
export interface CoverPart {
  readonly item: CoverItem;
  readonly quantity: number;
  readonly name: string;
  readonly path: readonly string[];
}

/** What lies round the wires of a harness, segment by segment. */
export const coverParts = (bundles: readonly Bundle[]): readonly CoverPart[] =>
  bundles.flatMap(({ segmentId, name, length, coverItem, heatSleeve }) =>
    [coverItem, heatSleeve].flatMap((item) =>
      item ? [{ item, quantity: length, name, path: ['harness', 'segments', segmentId] }] : [],
    ),
  );
