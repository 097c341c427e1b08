import type { ElectricDesign } from '../../electrics/index.ts';
import { colourText } from '../colours/colouredWires.ts';
import type { HarnessDesign } from './bundleStage.ts';
import { type Layer, concentricLayers, laidCircles } from './concentricLayers.ts';
import { packedBundle } from './packedBundle.ts';

/** A wire in the cross-section of a segment, m from its middle. */
export interface DrawnWire {
  readonly id: string;
  readonly name: string;
  readonly colour: string;
  readonly size: string;
  readonly outsideDiameter: number;
  readonly x: number;
  readonly y: number;
}

/** A segment cut through, to scale: wires as they lie, what is round them, m. */
export interface SegmentSheet {
  readonly segmentId: string;
  readonly wires: readonly DrawnWire[];
  /** fillers that complete its layers */
  readonly fillers: readonly Pick<DrawnWire, 'outsideDiameter' | 'x' | 'y'>[];
  /** from the middle outwards, where it is laid in layers */
  readonly layers: readonly Layer[];
  readonly bundle: number;
  readonly diameter: number;
}

/** The cross-section of a segment; undefined where there is none. */
export function segmentSheet(
  { bundles, colours }: HarnessDesign,
  { wires }: Pick<ElectricDesign, 'wires'>,
  segmentId: string,
): SegmentSheet | undefined {
  const bundle = bundles.find((each) => each.segmentId === segmentId);
  if (!bundle) return undefined;
  const diameters = bundle.wires.map(({ outsideDiameter }) => outsideDiameter);
  const laid = bundle.layers ? laidCircles(diameters) : [];
  const centres = new Map(
    bundle.layers
      ? laid.flatMap(({ wire, x, y }) => (wire === undefined ? [] : [[wire, [x, y]] as const]))
      : packedBundle(diameters).centres.map((at, i) => [i, at] as const),
  );
  const coloured = new Map(colours.map((each) => [each.wireId, colourText(each)]));
  const sized = new Map(wires.map((each) => [each.wire.id, each]));
  return {
    segmentId,
    bundle: bundle.bundle,
    diameter: bundle.diameter,
    fillers: laid.flatMap(({ wire, diameter, x, y }) =>
      wire === undefined ? [{ outsideDiameter: diameter, x, y }] : [],
    ),
    layers: bundle.layers ? concentricLayers(diameters).layers : [],
    wires: bundle.wires.map(({ wireId, outsideDiameter }, i) => ({
      id: wireId,
      name: sized.get(wireId)?.wire.name ?? wireId,
      colour: coloured.get(wireId) ?? '',
      size: sized.get(wireId)?.size.size ?? '',
      outsideDiameter,
      x: centres.get(i)?.[0] ?? 0,
      y: centres.get(i)?.[1] ?? 0,
    })),
  };
}
