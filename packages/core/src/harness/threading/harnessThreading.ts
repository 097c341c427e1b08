import type { Catalogue } from '../../catalogue/index.ts';
import { groupBy } from '../../numerics/index.ts';
import type { BoughtHarness } from '../../model/index.ts';
import type { Bundle } from '../bundles/bundle.ts';
import type { HarnessDesign } from '../bundles/bundleStage.ts';
import { bootFor } from '../connectors/plugParts.ts';
import { plugDiameter } from '../connectors/plugSize.ts';
import type { LedHarness } from '../lengths/ledHarness.ts';
import { placeNode } from '../topology/harnessNode.ts';
import { type Opening, type ThreadingOrder, threadingOrder } from './threadingOrder.ts';

/** Covers that are slid on from an end; tape and conduit go round what lies there. */
const slidOn = ({ coverItem, heatSleeve }: Bundle) =>
  [coverItem, heatSleeve].flatMap((item) =>
    item && item.form !== 'tape' && item.form !== 'conduit' ? [item] : [],
  );

/** Everything that parts of a harness are put through. */
export const openingsOf = ({
  bundles,
  holes,
}: Pick<HarnessDesign, 'bundles' | 'holes'>): readonly Opening[] => [
  ...bundles.flatMap((bundle) =>
    bundle.wires.length === 0
      ? []
      : slidOn(bundle).map((item): Opening => ({
          id: `${bundle.segmentId} ${item.id}`,
          kind: 'sleeve',
          thingId: item.id,
          name: `${item.designation} over “${bundle.name}”`,
          segmentId: bundle.segmentId,
          size: item.bundleMax,
        })),
  ),
  ...holes.flatMap(({ id, name, bore, segments, connectorId }) =>
    connectorId === undefined
      ? segments.map((segmentId): Opening => ({
          id: `${id} ${segmentId}`,
          kind: 'hole',
          thingId: id,
          name: `“${name}”`,
          segmentId,
          size: bore,
        }))
      : [],
  ),
];

/** Boots over the plugs of a sealed harness, each on the segment that ends at its plug. */
function bootsOf(
  { connectors, bundles }: Pick<HarnessDesign, 'connectors' | 'bundles'>,
  segments: LedHarness['segments'],
  catalogue: Catalogue,
): readonly Opening[] {
  const bundleOf = new Map(bundles.map((bundle) => [bundle.segmentId, bundle]));
  const plugsAt = groupBy(connectors, ({ placementId }) => placementId);
  const ends = segments.flatMap(({ id, from, to }) => [
    { id, node: from },
    { id, node: to },
  ]);
  const endingAt = groupBy(ends, ({ node }) => node);
  return connectors.flatMap((plug): Opening[] => {
    const ending = endingAt.get(placeNode(plug.placementId)) ?? [];
    const [only] = ending;
    // Where several segments or plugs meet at one place nobody knows which of them is booted.
    const alone = plugsAt.get(plug.placementId)?.length === 1;
    const bundle = only && bundleOf.get(only.id);
    if (ending.length !== 1 || !alone || !only || !bundle?.layers) return [];
    const boot = plug.family === 'round bulkhead' ? undefined : bootFor(catalogue, bundle.bundle);
    if (!boot) return [];
    return [
      {
        id: `${plug.id} ${boot.id}`,
        kind: 'boot',
        thingId: boot.id,
        name: `${boot.designation} at ${plug.name}`,
        segmentId: only.id,
        size: boot.holdsMax,
      },
    ];
  });
}

/** In which order a harness is threaded and its ends are fitted. */
export function harnessThreading(input: {
  readonly led: Pick<LedHarness, 'segments'>;
  readonly harness: HarnessDesign;
  /** looms that come with their plugs on */
  readonly bought: readonly BoughtHarness[];
  readonly rootPlacementId: string;
  readonly catalogue: Catalogue;
}): ThreadingOrder {
  const { led, harness, bought, rootPlacementId, catalogue } = input;
  const fixed = new Set(
    bought.flatMap(({ placementId, legs }) => [placementId, ...legs.map((leg) => leg.placementId)]),
  );
  return threadingOrder({
    segments: led.segments.map(({ id, from, to, length }) => ({
      id,
      from,
      to,
      length: length.value,
    })),
    openings: [...openingsOf(harness), ...bootsOf(harness, led.segments, catalogue)],
    plugs: harness.connectors.map((plug) => ({
      id: plug.id,
      name: plug.name,
      placementId: plug.placementId,
      diameter: plugDiameter(plug),
      fixed: fixed.has(plug.placementId),
    })),
    rootPlacementId,
  });
}
