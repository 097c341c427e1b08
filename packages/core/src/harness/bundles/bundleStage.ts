import type { Catalogue } from '../../catalogue/index.ts';
import type { ElectricDesign } from '../../electrics/index.ts';
import type { Harness } from '../../model/index.ts';
import { memo, memoByValue } from '../../numerics/index.ts';
import { type Result, derive, following } from '../../results/index.ts';
import type { VehicleAround } from '../../vehicle/index.ts';
import { madeWires } from '../bought/madeWires.ts';
import { type ColouredWire, colouredWires } from '../colours/colouredWires.ts';
import { connectorFigures } from '../connectors/connectorFigures.ts';
import {
  type ConnectorInput,
  type HarnessConnector,
  connectorsOf,
} from '../connectors/connectorsOf.ts';
import { inlineFigures } from '../connectors/inlineFigures.ts';
import { type InlineLoad, inlineLoads } from '../connectors/inlineLoads.ts';
import { plugParts } from '../connectors/plugParts.ts';
import { harnessFigure } from '../figureNames.ts';
import type { LedHarness } from '../lengths/ledHarness.ts';
import { keptParts } from '../rules/keptParts.ts';
import { type Bundle, type WireInBundle, bundleOf } from './bundle.ts';
import { coverOfSchool } from './coverOf.ts';
import * as f from './formulas.ts';
import { harnessTotals } from './harnessTotals.ts';
import { type LoomHole, loomHoles } from './passThroughs.ts';

/** The harness with its bundles, and what it comes to. */
export interface HarnessDesign {
  readonly bundles: readonly Bundle[];
  readonly holes: readonly LoomHole[];
  readonly connectors: readonly HarnessConnector[];
  /** connectors that part it, with what leads through them */
  readonly inline: readonly InlineLoad[];
  /** what its wires end in, and what of that the catalogue does not have */
  readonly ends: ReturnType<typeof plugParts>;
  readonly colours: readonly ColouredWire[];
  readonly results: readonly Result[];
}

/** What lengths leave as it is: plugs by what is joined, their figures, colours, and what wires end in. */
const plugsOf = memoByValue(
  (netlist: ConnectorInput['netlist'], read: Omit<ConnectorInput, 'netlist'>) =>
    connectorsOf({ netlist, ...read }),
);
const figuresOfPlugs = memo(connectorFigures);
const coloursAt = memoByValue(
  (
    connectors: readonly HarnessConnector[],
    read: Omit<Parameters<typeof colouredWires>[0], 'connectors'>,
  ) => colouredWires({ connectors, ...read }),
);
const endsAt = memoByValue(
  (
    connectors: readonly HarnessConnector[],
    read: Omit<Parameters<typeof plugParts>[0], 'connectors'>,
  ) => plugParts({ connectors, ...read }),
);

/** Bundles of a harness that is led, and its figures. Nothing is chosen here that stands in the build. */
export function bundleStage(input: {
  readonly led: LedHarness;
  readonly harness: Harness;
  readonly electrics: Pick<ElectricDesign, 'wires' | 'netlist'>;
  readonly around: VehicleAround;
  readonly electric: Pick<ConnectorInput, 'devices' | 'controllers'> & {
    readonly vehicleSignals: Parameters<typeof colouredWires>[0]['signals'];
  };
  readonly power: ConnectorInput['power'];
  /** of the hot day, K */
  readonly ambientHot: number;
  readonly catalogue: Catalogue;
}): HarnessDesign {
  const { led, harness, electrics, around, catalogue } = input;
  const sized = new Map(electrics.wires.map((wire) => [wire.wire.id, wire]));
  const told = new Map(harness.segments.map((segment) => [segment.id, segment]));
  const within = new Map<string, WireInBundle[]>();
  for (const { wireId, parts } of led.wires) {
    const wire = sized.get(wireId);
    if (!wire) continue;
    const { size, origins, task } = wire;
    const isBrief = task.forSeconds !== undefined;
    const inBundle: WireInBundle = { wireId, size, load: origins.load, isBrief };
    for (const { segmentId } of parts) {
      const list = within.get(segmentId) ?? [];
      within.set(segmentId, list);
      list.push(inBundle);
    }
  }
  const made = led.segments.map((segment) => {
    const decided = told.get(segment.id);
    return bundleOf(segment, {
      name: decided?.name ?? segment.id,
      cover: decided?.cover ?? coverOfSchool[harness.school],
      heatSleeve: decided?.heatSleeve ?? false,
      layers: harness.school === 'sealed',
      wires: within.get(segment.id) ?? [],
      splices: harness.splices.flatMap(({ segmentId, spliceId }) =>
        segmentId === segment.id ? [spliceId] : [],
      ),
      around,
      ambientHot: input.ambientHot,
      catalogue,
    });
  });
  const { netlist } = electrics;
  const { devices, controllers, vehicleSignals: signals } = input.electric;
  const connectors = plugsOf(netlist, { devices, controllers, power: input.power, catalogue });
  const bundles = made.map(({ bundle }) => bundle);
  const areas = new Map(electrics.wires.map(({ wire, size }) => [wire.id, size.area]));
  const inline = inlineLoads({ led, netlist, areas });
  const ends = endsAt(connectors, {
    netlist,
    wires: sizesOf(madeWires(electrics, led).wires),
    spliced: sizesOf(electrics.wires.filter(({ wire }) => wire.isSpliced)),
    led: led.wires.map(({ wireId }) => wireId),
    school: harness.school,
    kept: keptParts(input.electric),
    catalogue,
  });
  const holes = loomHoles({ led, bundles, connectors, inline });
  return {
    bundles,
    holes,
    connectors,
    inline,
    ends,
    colours: coloursAt(connectors, { netlist, colours: harness.colours, signals }),
    results: [
      ...made.flatMap(({ results }) => results),
      ...holes.flatMap(({ results }) => results),
      ...figuresOfPlugs(connectors),
      ...inlineFigures(inline, sized),
      ...spliceFigures(input),
      ...harnessTotals(input, made, sized, ends.parts),
    ],
  };
}

/** Wires as far as their ends ask. */
const sizesOf = (wires: ElectricDesign['wires']) => wires.map(({ wire, size }) => ({ wire, size }));

/** In which segment each splice sits, by the segment's place in their list. */
const spliceFigures = ({ harness, electrics }: Parameters<typeof bundleStage>[0]): Result[] =>
  harness.splices.flatMap(({ spliceId, segmentId }) => {
    const part = electrics.netlist.parts.find(({ id }) => id === spliceId);
    const at = harness.segments.findIndex(({ id }) => id === segmentId);
    const segment = harness.segments[at];
    if (!part || !segment) return [];
    return [
      derive({
        figure: harnessFigure('splice.segment', { splice: spliceId }),
        label: `${part.name}, in segment “${segment.name}”`,
        formula: f.spliceSegment,
        inputs: { number: following(at + 1, ['harness', 'splices', spliceId, 'segmentId']) },
      }),
    ];
  });
