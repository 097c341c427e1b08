import {
  type Result,
  byDefault,
  defineFormula,
  derive,
  fromFigure,
  given,
  together,
} from '../../results/index.ts';
import type { HarnessConnector } from '../connectors/connectorsOf.ts';
import { plugDiameter } from '../connectors/plugSize.ts';
import { harnessFigure } from '../figureNames.ts';
import type { InlineLoad } from '../connectors/inlineLoads.ts';
import type { LedHarness } from '../lengths/ledHarness.ts';
import type { LedSegment } from '../lengths/ledSegment.ts';
import { placeNode } from '../topology/harnessNode.ts';
import { sidesOf } from '../topology/sidesOf.ts';
import type { Bundle } from './bundle.ts';
import { GROMMET } from './grommet.ts';
import { packedDiameter } from './packedBundle.ts';

/** Hole saws as they are sold, mm. */
export const holeSaws = [
  14, 16, 17, 19, 20, 21, 22, 24, 25, 27, 29, 30, 32, 35, 37, 38, 40, 41, 43, 44, 46, 48, 51, 54,
  57, 59, 60, 64, 67, 70, 73, 76, 79, 83, 86, 89, 92, 95, 98, 102, 105, 108, 111, 114, 121, 127,
  140, 152,
] as const;

/** Room around a plug to get it through, m. */
const AROUND_PLUG = 0.002;

export const passThroughBore = defineFormula({
  name: 'bore of a pass-through',
  notation: 'd = max(looms packed + 2 · 4 mm, largest plug + 2 · 2 mm)',
  kind: 'length',
  inputKinds: { looms: 'length', plug: 'length' },
  source: 'the looms in their grommet, and the largest plug that has to be put through',
  compute: (i: { looms: readonly number[]; plug: number }) =>
    Math.max(packedDiameter(i.looms) + 2 * GROMMET, i.plug > 0 ? i.plug + 2 * AROUND_PLUG : 0),
});

export const holeSawFor = defineFormula({
  name: 'hole saw of a pass-through',
  notation: 'the next size that is sold, else the bore in whole millimetres',
  kind: 'length',
  inputKinds: { bore: 'length' },
  source: 'hole saws of 14 to 152 mm; what is wider is cut out to size',
  compute: (i) =>
    (holeSaws.find((size) => size / 1e3 >= i.bore - 1e-9) ?? Math.ceil(i.bore * 1e3)) / 1e3,
});

export const connectorBore = defineFormula({
  name: 'bore for a bulkhead connector',
  notation: 'd = shell of the connector',
  kind: 'length',
  inputKinds: { shell: 'length' },
  source: 'the shell fills its hole; what is too thick for its contacts passes beside',
  compute: (i) => i.shell,
});

export const passThroughFormulas = [passThroughBore, connectorBore, holeSawFor];

/** A hole that bundles go through. */
export interface LoomHole {
  readonly id: string;
  readonly name: string;
  readonly sheet: string;
  readonly bore: number;
  readonly segments: readonly string[];
  /** m from the beginning of the first of them */
  readonly s: number;
  /** the connector that is set into it */
  readonly connectorId: string | undefined;
  /** the largest plug on the side with fewer of them: that side is put through */
  readonly largestPlug: HarnessConnector | undefined;
  readonly results: readonly Result[];
}

/** Plugs on the side of a segment that has fewer of them. */
function behind(
  segmentId: string,
  led: LedHarness,
  connectors: readonly HarnessConnector[],
): readonly HarnessConnector[] {
  const [one, other] = sidesOf(segmentId, led.segments).map((nodes) =>
    connectors.filter(({ placementId }) => nodes.has(placeNode(placementId))),
  );
  return (one?.length ?? 0) <= (other?.length ?? 0) ? (one ?? []) : (other ?? []);
}

/** How far a connector stands from the sheet that it is set into, m. */
const SET_INTO = 0.06;

/** The connector that ends a segment where it crosses a sheet. */
function connectorAt(
  segment: LedSegment | undefined,
  s: number,
  inline: readonly InlineLoad[],
  connectors: readonly HarnessConnector[],
): InlineLoad | undefined {
  if (!segment) return undefined;
  const near = s <= SET_INTO ? segment.from : segment.to;
  const far = s <= SET_INTO ? 0 : (segment.path?.length ?? 0) - s;
  return far <= SET_INTO
    ? inline.find(
        ({ part }) =>
          placeNode(part.placementId) === near &&
          connectors.some(({ partId }) => partId === part.id),
      )
    : undefined;
}

interface Crossed {
  readonly name: string;
  readonly sheet: string;
  readonly bore: number;
  readonly s: number;
  readonly bundles: Bundle[];
  readonly connector: InlineLoad | undefined;
}

/** Every hole that bundles go through, with what it has to be. */
export function loomHoles({
  led,
  bundles,
  connectors,
  inline,
}: {
  readonly led: LedHarness;
  readonly bundles: readonly Bundle[];
  readonly connectors: readonly HarnessConnector[];
  readonly inline: readonly InlineLoad[];
}): readonly LoomHole[] {
  const holes = new Map<string, Crossed>();
  for (const bundle of bundles) {
    const segment = led.segments.find(({ id }) => id === bundle.segmentId);
    for (const { hole, sheet, s } of bundle.check?.crossings ?? []) {
      if (!hole) continue;
      const known = holes.get(hole.id) ?? {
        name: hole.name,
        sheet: sheet.name,
        bore: hole.bore,
        s,
        bundles: [],
        connector: connectorAt(segment, s, inline, connectors),
      };
      holes.set(hole.id, known);
      if (!known.bundles.includes(bundle)) known.bundles.push(bundle);
    }
  }
  return [...holes].map(([id, crossed]): LoomHole => {
    const { name, sheet, bore, bundles: through, connector } = crossed;
    if (connector) return connectorHole(id, crossed, connector, connectors);
    const plugs = through.flatMap(({ segmentId }) => behind(segmentId, led, connectors));
    const largestPlug = plugs.reduce<HarnessConnector | undefined>(
      (most, plug) => (most && plugDiameter(most) >= plugDiameter(plug) ? most : plug),
      undefined,
    );
    const needed = derive({
      figure: harnessFigure('passThrough.bore', { passThrough: id }),
      label: `${name}, bore for its looms`,
      formula: passThroughBore,
      inputs: {
        looms: together(
          through.map(({ segmentId, diameter }) =>
            given(diameter, fromFigure(harnessFigure('segment.diameter', { segment: segmentId }))),
          ),
        ),
        plug: largestPlug
          ? byDefault(plugDiameter(largestPlug), `plug of ${largestPlug.name.toLowerCase()}`)
          : byDefault(0, 'no plug behind it'),
      },
    });
    const saw = derive({
      figure: harnessFigure('passThrough.holeSaw', { passThrough: id }),
      label: `${name}, hole saw`,
      formula: holeSawFor,
      inputs: { bore: needed },
    });
    return {
      id,
      name,
      sheet,
      bore,
      segments: through.map(({ segmentId }) => segmentId),
      s: crossed.s,
      connectorId: undefined,
      largestPlug,
      results: [needed, saw],
    };
  });
}

/** A hole that a connector is set into: its shell fills it, thick wires pass beside. */
function connectorHole(
  id: string,
  { name, sheet, bore, bundles, s }: Crossed,
  { part }: InlineLoad,
  connectors: readonly HarnessConnector[],
): LoomHole {
  const half = connectors.find(({ partId }) => partId === part.id);
  const needed = derive({
    figure: harnessFigure('passThrough.bore', { passThrough: id }),
    label: `${name}, bore for its connector`,
    formula: connectorBore,
    inputs: {
      shell: byDefault(half ? plugDiameter(half) : 0, `shell of ${part.name.toLowerCase()}`),
    },
  });
  return {
    id,
    name,
    sheet,
    bore,
    segments: bundles.map(({ segmentId }) => segmentId),
    s,
    connectorId: part.id,
    largestPlug: undefined,
    results: [
      needed,
      derive({
        figure: harnessFigure('passThrough.holeSaw', { passThrough: id }),
        label: `${name}, hole saw`,
        formula: holeSawFor,
        inputs: { bore: needed },
      }),
    ],
  };
}
