import type { Catalogue } from '../../catalogue/index.ts';
import type { ElectricDesign } from '../../electrics/index.ts';
import {
  type HarnessDesign,
  type LedHarness,
  colourText,
  cutTo,
  splicedPieces,
} from '../../harness/index.ts';
import { WireEnds, type WireEndWork } from './wireEnds.ts';

/** A wire as it is made at the bench: m. */
export interface MadeWire {
  readonly id: string;
  /** its number on the lists and the labels */
  readonly number: number;
  readonly name: string;
  readonly size: string;
  readonly area: number;
  readonly colour: string;
  readonly length: number;
  readonly isCut: boolean;
  /** it comes with a loom that is bought */
  readonly isBought: boolean;
  readonly ends: readonly [WireEndWork, WireEndWork];
}

/** A cavity of a plug with the wire that sits in it. */
export interface MadeCavity {
  readonly pin: string;
  readonly node: string;
  /** number of the wire; undefined: it gets a plug */
  readonly wire: number | undefined;
  readonly wireId: string | undefined;
}

/** A plug as it is pinned. */
export interface MadePlug {
  readonly id: string;
  readonly name: string;
  readonly family: string;
  readonly placementId: string;
  readonly cavities: readonly MadeCavity[];
}

/** What is made at the bench and at the vehicle: wires in the order in which they are cut, plugs. */
export interface MakingSheet {
  readonly wires: readonly MadeWire[];
  readonly plugs: readonly MadePlug[];
}

/** Everything that wires and plugs are made from, as the design stands. */
export function makingSheet(input: {
  readonly led: LedHarness;
  readonly harness: HarnessDesign;
  readonly electrics: Pick<ElectricDesign, 'wires' | 'netlist'>;
  readonly catalogue: Catalogue;
}): MakingSheet {
  const { led, harness, electrics, catalogue } = input;
  const sleeves = new Map(
    harness.ends.parts.flatMap(({ partId, item }) =>
      item.form === 'splice' ? [[partId, item] as const] : [],
    ),
  );
  const names = new Map(
    electrics.netlist.parts.flatMap(({ id, name, pins }) =>
      pins.map(({ node, pin }) => [node, { name, pin, sleeve: sleeves.get(id) }] as const),
    ),
  );
  const ends = new WireEnds(catalogue, harness.connectors, names);
  const colours = new Map(harness.colours.map((each) => [each.wireId, colourText(each)]));
  const cut = new Set(led.cut.map(({ wireId }) => wireId));
  const bought = new Set(led.wires.flatMap(({ wireId, leg }) => (leg ? [wireId] : [])));
  const longer = new Map(splicedPieces(led).map((piece) => [piece.wireId, piece.longer]));
  const wires = electrics.wires.map((sized, i): MadeWire => {
    const { wire, size, task } = sized;
    return {
      id: wire.id,
      number: i + 1,
      name: wire.name,
      size: size.size,
      area: size.area,
      colour: colours.get(wire.id) ?? '',
      length: cutTo(task.length - (longer.get(wire.id) ?? 0)),
      isCut: cut.has(wire.id),
      isBought: bought.has(wire.id) && !cut.has(wire.id),
      ends: [ends.at(wire.from, sized), ends.at(wire.to, sized)],
    };
  });
  const wireAt = new Map(
    wires.flatMap((wire) => wire.ends.map(({ node }) => [node, wire] as const)),
  );
  return {
    // Those of one reel after another, the longest first: a short one is cut of what is left.
    wires: [...wires].sort(
      (a, b) =>
        a.area - b.area ||
        (a.colour < b.colour ? -1 : a.colour > b.colour ? 1 : 0) ||
        b.length - a.length ||
        a.number - b.number,
    ),
    plugs: harness.connectors.map(({ id, name, family, placementId, cavities }) => ({
      id,
      name,
      family,
      placementId,
      cavities: cavities.map(({ pin, node }) => ({
        pin,
        node,
        wire: wireAt.get(node)?.number,
        wireId: wireAt.get(node)?.id,
      })),
    })),
  };
}
