import type { DerivedWire, NetPart, Netlist } from '../../electrics/index.ts';
import type { LedHarness, LedWire } from '../lengths/ledHarness.ts';
import type { LedSegment } from '../lengths/ledSegment.ts';
import { placeNode } from '../topology/harnessNode.ts';

/** A wire that comes past a connector in the harness. */
export interface PassingWire {
  readonly wire: DerivedWire;
  readonly area: number;
  /** whether its beginning is on the side of the connector’s first pins */
  readonly fromFirst: boolean;
}

/** What leads through a connector, and what comes past it without a contact. */
export interface InlineLoad {
  readonly part: NetPart;
  /** pins that name a way and have no wire */
  readonly free: readonly string[];
  /** ways with a wire: the pin that names each, and the two wires that it joins */
  readonly taken: readonly { readonly pin: string; readonly wires: readonly string[] }[];
  /**
   * wires past it that its contacts would take and no smaller ones of another beside it, and those
   * too thick for any
   */
  readonly without: readonly PassingWire[];
  readonly beside: readonly PassingWire[];
}

interface Read {
  readonly led: Pick<LedHarness, 'wires' | 'segments'>;
  readonly netlist: Pick<Netlist, 'parts' | 'wires'>;
  /** conductor areas m² by wire */
  readonly areas: ReadonlyMap<string, number>;
}

type Segments = ReadonlyMap<string, LedSegment>;

/** The ways of a part: pins with a contact to another side, both sides by their nodes. */
const waysOf = ({ pins, inside }: NetPart) =>
  pins.flatMap(({ pin, node }) => {
    const contact = inside.find(({ kind, from }) => kind === 'contact' && from === node);
    return contact ? [{ pin, here: contact.from, there: contact.to }] : [];
  });

/** The largest conductor m² that the contacts of a part take. */
const takes = ({ pins }: NetPart): number => Math.max(0, ...pins.map(({ areaMax }) => areaMax));

/** Every connector that lies in the harness, with what leads through it and past it. */
export function inlineLoads({ led, netlist, areas }: Read): readonly InlineLoad[] {
  const connectors = netlist.parts.filter(({ role }) => role === 'connector');
  if (connectors.length === 0) return [];
  const wires = new Map(netlist.wires.map((wire) => [wire.id, wire]));
  const segments: Segments = new Map(led.segments.map((segment) => [segment.id, segment]));
  const ending = new Map<string, string>();
  for (const { id, from, to } of netlist.wires) {
    ending.set(from.node, id);
    ending.set(to.node, id);
  }
  return connectors.map((part): InlineLoad => {
    const node = placeNode(part.placementId);
    const ways = waysOf(part);
    const taken = ways.flatMap(({ pin, here, there }) => {
      const ends = [here, there].flatMap((each) => ending.get(each) ?? []);
      return ends.length > 0 ? [{ pin, wires: ends }] : [];
    });
    const first = firstSide(part, led, segments, taken, ways, ending);
    const used = new Set(taken.map(({ pin }) => pin));
    const passing = led.wires.flatMap((each): PassingWire[] => {
      const wire = wires.get(each.wireId);
      if (!wire || !each.through.includes(node)) return [];
      const before = segmentBefore(each, segments, node);
      return [{ wire, area: areas.get(wire.id) ?? 0, fromFirst: before === first }];
    });
    const most = takes(part);
    const sameWall = connectors.filter(({ placementId }) => placementId === part.placementId);
    const narrower = Math.max(0, ...sameWall.map(takes).filter((area) => area < most));
    const isWidest = sameWall.every((each) => takes(each) <= most);
    return {
      part,
      free: ways.flatMap(({ pin }) => (used.has(pin) ? [] : [pin])),
      taken,
      without: passing.filter(({ area }) => area <= most && area > narrower),
      beside: isWidest ? passing.filter(({ area }) => area > most) : [],
    };
  });
}

/** The segment by which a wire comes to a node that it passes. */
function segmentBefore(wire: LedWire, segments: Segments, node: string): string | undefined {
  const meeting = wire.parts.find(({ segmentId, from, to }) => {
    const segment = segments.get(segmentId);
    if (!segment) return false;
    return to > from ? to === 1 && segment.to === node : to === 0 && segment.from === node;
  });
  return meeting?.segmentId;
}

/** The segment on the side of the pins that name the ways: by what ends there, else the first of the two. */
function firstSide(
  part: NetPart,
  led: Read['led'],
  segments: Segments,
  taken: InlineLoad['taken'],
  ways: ReturnType<typeof waysOf>,
  ending: ReadonlyMap<string, string>,
): string | undefined {
  const node = placeNode(part.placementId);
  const way = ways.find(({ pin }) => pin === taken[0]?.pin);
  const wireId = way && ending.get(way.here);
  const wire = led.wires.find((each) => each.wireId === wireId);
  const own = [wire?.parts[0], wire?.parts.at(-1)].find((stretch) => {
    const segment = stretch && segments.get(stretch.segmentId);
    return segment !== undefined && (segment.from === node || segment.to === node);
  });
  return own?.segmentId ?? led.segments.find(({ from, to }) => from === node || to === node)?.id;
}
