import { type Catalogue, type FuseItem, lookUp, newestOf } from '../../catalogue/index.ts';
import { type Sourced, solvedIn } from '../../results/index.ts';
import { buildNetlist } from '../netlist/buildNetlist.ts';
import type { DerivedWire } from '../netlist/derivedWire.ts';
import { type Netlist, nodeOf } from '../netlist/netlist.ts';
import { pumpFeedsOf } from '../feeds/pumpFeed.ts';
import { sharedPartIds } from '../netlist/sharedPartIds.ts';
import { chooseFuse } from '../power/chooseFuse.ts';
import { fuseResistance } from '../power/contacts.ts';
import { type SizedGroup, type SizedWire, sizeGroup } from '../power/sizeWires.ts';
import { outlivesFuse } from '../power/wireCriteria.ts';
import { type SizedFuse, fuseChoices } from './fuseChoices.ts';
import type { LoadAt } from './liveLoads.ts';
import { loadsOfNetlist } from './loadsOfNetlist.ts';
import type { Protection } from './protection.ts';
import type { ContactCurrents } from './ratedCurrents.ts';
import type { WireRun } from './runs.ts';
import { upstreamResistances } from './upstream.ts';
import { WireBook } from './wireBook.ts';
import type { WiringBuild } from './wiringBuild.ts';

/** A run of wires that was sized together. */
export interface SizedRun {
  readonly kind: WireRun['kind'];
  readonly group: SizedGroup;
}

/** Everything electric of a build, sized. */
export interface SizedNetwork {
  readonly netlist: Netlist;
  readonly loads: readonly LoadAt[];
  readonly fuses: ReadonlyMap<string, SizedFuse>;
  /** what the contact of each relay carries at most */
  readonly contacts: ReadonlyMap<string, ContactCurrents>;
  readonly protections: ReadonlyMap<string, Protection>;
  readonly runs: readonly SizedRun[];
  /** every wire in the order of the netlist */
  readonly wires: readonly SizedWire[];
  readonly book: WireBook;
}

/** Shares of the lowest voltage that may be lost: before the stud, to a fuse, to a load and back. */
const TRUNK_DROP = 0.02;
const BRANCH_DROP = 0.01;
const LOAD_DROP = 0.03;
/** V that a controller's supply, a sensor's ground and a starter's circuit may lose. */
const CONTROLLER_DROP = 0.1;
const SENSOR_GROUND_DROP = 0.05;
const STARTER_DROP = 0.5;
/** A fuse within so much wire is at the source of it, m. */
const AT_SOURCE = 0.18;
/** How long a starter is worked, s. */
const CRANKING = 30;
/** What a wire found on the vehicle is taken to feed where its fuse is not known, A. */
const FOUND_LOAD = 4;

/** The parts of the pumps' feeds: of the wires at them every size is shown beside the chosen one. */
function feedParts(document: WiringBuild): ReadonlySet<string> {
  const ids = pumpFeedsOf(document).flatMap((feed) => [
    feed.id,
    feed.fuseId,
    feed.relayId,
    feed.cutOffId,
  ]);
  return new Set([sharedPartIds.mainFuse, ...ids.flatMap((id) => id ?? [])]);
}

function dropLimit(kind: WireRun['kind'], limits: WiringBuild['limits']): number {
  const low = limits.voltageLow.value;
  switch (kind) {
    case 'pump':
      return limits.pumpFeedDrop.value;
    case 'starter':
      return STARTER_DROP;
    case 'controller':
      return CONTROLLER_DROP;
    case 'sensor ground':
      return SENSOR_GROUND_DROP;
    case 'trunk':
      return TRUNK_DROP * low;
    case 'branch':
      return BRANCH_DROP * low;
    case 'load':
    case 'trigger':
    case 'signal':
      return LOAD_DROP * low;
  }
}

/** The smaller of two fuses, where there are two. */
function nearer(own: FuseItem | undefined, before: FuseItem | undefined): FuseItem | undefined {
  if (!own || !before) return own ?? before;
  return own.rating < before.rating ? own : before;
}

/** The blade that stands for the fuse of a wire found on the vehicle. */
function foundFuse(
  blades: readonly FuseItem[],
  rating: number | undefined,
  ambient: number,
): FuseItem {
  const known = blades.find((fuse) => rating !== undefined && fuse.rating >= rating);
  if (known) return known;
  return chooseFuse(blades, { running: FOUND_LOAD, inrushFactor: 1, inrushTime: 1e-3, ambient })
    .fuse;
}

/**
 * Derives the netlist, says what each wire and fuse carries with all loads at their rated currents,
 * chooses the fuses and sizes the wires. Never looks at what the pumps draw where they work. Throws
 * NotFound where an item or a place is not there.
 */
export function sizeNetwork(input: {
  readonly document: WiringBuild;
  readonly catalogue: Catalogue;
  /** as it was derived from the build */
  readonly netlist?: Netlist;
  /** lengths of wires that are led through the harness, by wire */
  readonly led?: Readonly<Record<string, Sourced<number>>>;
}): SizedNetwork {
  const { document, catalogue } = input;
  const { power, limits } = document;
  const netlist = input.netlist ?? buildNetlist({ document, catalogue });
  const book = new WireBook(document, catalogue, netlist.parts, input.led ?? {});
  const { loads, rated, protectedBy, generated, runs } = loadsOfNetlist(
    netlist,
    limits.voltageLow.value,
  );
  const { worst, cranking } = rated;
  const wireTo = new Map(
    netlist.wires.flatMap(({ id, from, to }) => [
      [from.node, id],
      [to.node, id],
    ]),
  );
  const fuses = fuseChoices({
    netlist,
    catalogue,
    loads,
    loadProtection: ({ load }) => protectedBy.get(wireTo.get(load.from) ?? ''),
    currents: new Map(
      [...worst.fuses].map(([id, current]) => [
        id,
        Math.max(current, generated.get(id) ?? 0, cranking.fuses.get(id) ?? 0),
      ]),
    ),
    ambientAt: (placementId) => book.ambientAt(placementId),
  });
  const blades = newestOf(catalogue, 'fuse').filter(({ style }) => style === 'blade');
  const found = new Map(
    netlist.sources.map(({ id, fuseRating }) => [
      id,
      foundFuse(blades, fuseRating, book.ambientAt(power.keyedFeedPlacementId)),
    ]),
  );
  const sizes = newestOf(catalogue, 'wire')
    .filter((wire) => wire.system === power.wireSystem)
    .sort((a, b) => a.area - b.area);
  const battery = lookUp(catalogue, 'battery', power.battery, 'power.battery');

  const fuseAt = new Map(
    netlist.parts.flatMap(({ id, sort, pins }) =>
      sort === 'fuse' && pins[0] ? [[pins[0].node, id] as const] : [],
    ),
  );
  /** The fuse at the far end of a wire so short that it counts as being at its source. */
  const ownFuse = (wire: DerivedWire): FuseItem | undefined => {
    const at = fuseAt.get(wire.to.node);
    if (at === undefined || book.lengthOf(wire) > AT_SOURCE) return undefined;
    return fuses.get(at)?.judged.fuse;
  };

  const ofFeeds = feedParts(document);
  const shown = new Set(
    netlist.parts.flatMap(({ id, pins }) => (ofFeeds.has(id) ? pins.map(({ node }) => node) : [])),
  );
  const sizeRun = (run: WireRun, resistanceBefore: (wireId: string) => number): SizedRun => {
    const jobs = run.wires.map((wire) => {
      const protection = protectedBy.get(wire.id);
      const usual = worst.wires.get(wire.id) ?? 0;
      const starting = cranking.wires.get(wire.id) ?? 0;
      // A starter's cable carries its load for the time of a start, and no fuse with it.
      const brief = starting > 1.5 * usual && starting > 10;
      const load: Sourced<number> = brief
        ? solvedIn(starting, 'cranking')
        : solvedIn(Math.max(usual, generated.get(wire.id) ?? 0), 'worst');
      return book.job(wire, {
        load,
        protection: nearer(
          ownFuse(wire),
          protection?.by === 'fuse'
            ? fuses.get(protection.partId)?.judged.fuse
            : protection?.by === 'source'
              ? found.get(protection.sourceId)
              : undefined,
        ),
        limitedTo: protection?.by === 'limited' ? protection.current : undefined,
        forSeconds: brief ? CRANKING : undefined,
        steadily: brief ? usual : undefined,
        sourceResistance: resistanceBefore(wire.id),
      });
    });
    const group = sizeGroup({
      jobs,
      sizes,
      dropLimit: dropLimit(run.kind, limits),
      showLarger: run.wires.some(({ from, to }) => shown.has(from.node) || shown.has(to.node)),
    });
    return { kind: run.kind, group };
  };

  const mainNode = nodeOf(sharedPartIds.mainFuse, 'in');
  const isMain = (run: WireRun): boolean => run.wires.some(({ to }) => to.node === mainNode);
  const main = runs.filter(isMain).map((run) => sizeRun(run, () => battery.internalResistance));
  const behind =
    battery.internalResistance +
    main.flatMap(({ group }) => group.wires).reduce((sum, { resistance }) => sum + resistance, 0) +
    fuseResistance(lookUp(catalogue, 'fuse', power.mainFuse, 'power.mainFuse').rating);
  let ofMain = 0;
  const sized = runs.map((run) => {
    const known = isMain(run) ? main[ofMain++] : undefined;
    return known ?? sizeRun(run, () => behind);
  });
  // What lies before a wire holds a short circuit down: where its fuse then takes too long, anew.
  const upstream = upstreamResistances(
    netlist,
    sized.flatMap(({ group }) => group.wires),
    (id) => fuses.get(id)?.judged.fuse.rating,
  );
  const before = (wireId: string): number => upstream.get(wireId) ?? behind;
  const settled = sized.map((known, i) => {
    const run = runs[i];
    const outlives = known.group.wires.some((wire) => outlivesFuse(wire, before(wire.wire.id)));
    return run && outlives ? sizeRun(run, before) : known;
  });
  const byId = new Map(
    settled.flatMap(({ group }) => group.wires.map((wire) => [wire.wire.id, wire] as const)),
  );
  return {
    netlist,
    loads,
    fuses,
    contacts: new Map(
      [...worst.contacts].map(([id, steady]) => {
        const starting = cranking.contacts.get(id);
        return [
          id,
          {
            total: Math.max(steady.total, starting?.total ?? 0),
            motors: Math.max(steady.motors, starting?.motors ?? 0),
          },
        ];
      }),
    ),
    protections: protectedBy,
    runs: settled,
    wires: netlist.wires.flatMap(({ id }) => byId.get(id) ?? []),
    book,
  };
}
