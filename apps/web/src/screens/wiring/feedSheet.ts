import {
  type SizedWire,
  type ToldFeed,
  type WireEnd,
  nodeOf,
  sharedPartIds,
} from '@brookrain/core';

/** Height of the sheet, units of its drawing. */
export const H = 440;

/** How wide the sheet is, and where across it the pump stands. */
export interface FeedWidth {
  readonly width: number;
  readonly pumpX: number;
}
const NARROW: FeedWidth = { width: 764, pumpX: 716 };
/** With room for a connector between relay and pump. */
const WIDE: FeedWidth = { width: 900, pumpX: 850 };
const CONNECTOR_X = 766;

export type Point = readonly [number, number];

/** What is drawn at an end of a wire. */
export type MarkKind =
  'battery' | 'fuse' | 'stud' | 'switch' | 'ground' | 'controller' | 'splice' | 'pin' | 'other';

/** An end of a wire as it stands on the sheet. */
export interface Mark {
  readonly node: string;
  readonly at: Point;
  readonly kind: MarkKind;
  /** what stands under it; '' for what the sheet names otherwise */
  readonly name: string;
}

const mark = (kind: MarkKind, at: Point, name = ''): Omit<Mark, 'node'> => ({ kind, at, name });

/** The pins of a feed that have places of their own. */
function knownMarks({ feed }: ToldFeed, pumpX: number): Map<string, Omit<Mark, 'node'>> {
  const { battery, mainFuse, stud, keyedFeed } = sharedPartIds;
  const isLow = feed.trigger !== 'high-side';
  const known = new Map<string, Omit<Mark, 'node'>>();
  const put = (partId: string | undefined, pins: readonly string[], as: Omit<Mark, 'node'>) => {
    for (const pin of pins) if (partId !== undefined) known.set(nodeOf(partId, pin), as);
  };
  put(battery, ['+'], mark('battery', [70, 90], 'Battery +'));
  put(mainFuse, ['in', 'out'], mark('fuse', [190, 90], 'Main fuse'));
  put(stud, ['stud'], mark('stud', [310, 90], 'Stud'));
  put(feed.fuseId, ['in', 'out'], mark('fuse', [418, 90], 'Pump fuse'));
  put(keyedFeed, ['wire'], mark('other', [130, 270], 'Keyed feed'));
  put(
    feed.cutOffId,
    ['in', 'out'],
    mark('switch', isLow ? [310, 270] : [560, 350], 'Inertia switch'),
  );
  put(feed.relayId, ['30'], mark('pin', [620, 90]));
  put(feed.relayId, ['87'], mark('pin', [620, 150]));
  put(feed.relayId, ['86'], mark('pin', [580, 270]));
  put(feed.relayId, ['85'], mark('pin', [660, 270]));
  put(feed.id, ['+'], mark('pin', [pumpX, 150]));
  put(feed.id, ['−'], mark('pin', [pumpX, 235]));
  return known;
}

const shortName = ({ terminal }: WireEnd): string =>
  terminal.of === 'part' ? terminal.name : terminal.of;

/** Half way along the right-angled way between two points: on its level part. */
const between = (a: Point, b: Point): Point => [(a[0] + b[0]) / 2, b[1]];

/** Wires between relay and pump that end at a connector of the harness: at no pin that has a place. */
function throughConnector(feed: ToldFeed, known: ReadonlyMap<string, unknown>) {
  const ends = feed.pumpGroup.wires
    .filter(({ wire }) => wire.role === 'supply')
    .flatMap(({ wire }) => [wire.from, wire.to])
    .filter(({ node, joint }) => joint !== 'splice' && !known.has(node));
  return new Set(ends.map(({ node }) => node));
}

/** How wide the sheet of a feed has to be. */
export const feedWidth = (feed: ToldFeed): FeedWidth =>
  throughConnector(feed, knownMarks(feed, 0)).size > 0 ? WIDE : NARROW;

/** Where every end of a feed's wires stands on the sheet. */
export function feedMarks(
  feed: ToldFeed,
  wires: readonly SizedWire[],
  ecuName: string,
): ReadonlyMap<string, Mark> {
  const { pumpX } = feedWidth(feed);
  const known = knownMarks(feed, pumpX);
  const connector = throughConnector(feed, known);
  const isLow = feed.feed.trigger !== 'high-side';
  const coil = new Set(feed.coil.flatMap((group) => group.wires.map(({ wire }) => wire.id)));
  const marks = new Map<string, Mark>();
  const ends = wires.flatMap(({ wire }) => [
    { end: wire.from, wire },
    { end: wire.to, wire },
  ]);
  const place = (end: WireEnd, role: string, wireId: string): Omit<Mark, 'node'> => {
    const present = known.get(end.node);
    if (present) return present;
    if (connector.has(end.node)) return mark('other', [CONNECTOR_X, 150], shortName(end));
    if (end.terminal.of === 'ecu') {
      const { pin } = end.terminal;
      return mark('controller', isLow ? [450, 345] : [310, 270], `${ecuName}, ${pin}`);
    }
    if (role === 'ground') {
      return mark('ground', coil.has(wireId) ? [450, 350] : [pumpX, 410], 'Ground');
    }
    return mark('other', coil.has(wireId) ? [130, 270] : [190, 345], shortName(end));
  };
  for (const { end, wire } of ends) {
    if (end.joint === 'splice' || marks.has(end.node)) continue;
    marks.set(end.node, { node: end.node, ...place(end, wire.role, wire.id) });
  }
  // A splice lies on the way between the first two things that are wired to it.
  for (const { end } of ends) {
    if (end.joint !== 'splice' || marks.has(end.node)) continue;
    const neighbours = wires.flatMap(({ wire }) => {
      const other =
        wire.from.node === end.node ? wire.to : wire.to.node === end.node ? wire.from : undefined;
      const at = other && marks.get(other.node)?.at;
      return at ? [at] : [];
    });
    const [a, b] = neighbours;
    const at: Point = a && b ? between(a, b) : a ? [a[0] + 60, a[1]] : [380, 345];
    marks.set(end.node, { node: end.node, ...mark('splice', at) });
  }
  return marks;
}

/** Right-angled path between two points. */
export function pathOf(from: Point, to: Point): { d: string; middle: Point } {
  if (from[1] === to[1] || from[0] === to[0]) {
    return {
      d: `M${from[0]} ${from[1]}L${to[0]} ${to[1]}`,
      middle: [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2],
    };
  }
  return {
    d: `M${from[0]} ${from[1]}V${to[1]}H${to[0]}`,
    middle: [(from[0] + to[0]) / 2, to[1]],
  };
}

/** The relay's box: labels stand beside it, not across its edge. */
export const relayBox = { left: 556, right: 682 } as const;

/** Where the words of a wire stand, clear of the relay's box. */
export function labelAt(
  from: Point,
  to: Point,
  { width, pumpX }: FeedWidth,
): { x: number; y: number; textAnchor: 'middle' | 'end' } {
  const { middle } = pathOf(from, to);
  if (from[0] === to[0]) return { x: to[0] - 14, y: to[1] - 34, textAnchor: 'end' };
  if (to[0] > relayBox.right && pumpX === WIDE.pumpX) {
    const x = (Math.max(relayBox.right, from[0]) + to[0]) / 2;
    return { x, y: to[1] - 14, textAnchor: 'middle' };
  }
  if (to[0] > relayBox.right) return { x: width - 4, y: to[1] - 14, textAnchor: 'end' };
  if (to[0] > relayBox.left && from[0] < relayBox.left && to[1] <= 270) {
    return { x: (from[0] + relayBox.left) / 2, y: middle[1] - 14, textAnchor: 'middle' };
  }
  return { x: middle[0], y: middle[1] - 14, textAnchor: 'middle' };
}
