import {
  type BatteryItem,
  type Catalogue,
  type FuseItem,
  type WireItem,
  lookUp,
  newestOf,
} from '../../catalogue/index.ts';
import { memoByValue } from '../../numerics/index.ts';
import { type Sourced, solvedIn } from '../../results/index.ts';
import { pumpFeedsOf } from '../feeds/pumpFeed.ts';
import type { DerivedWire } from '../netlist/derivedWire.ts';
import type { Netlist } from '../netlist/netlist.ts';
import { sharedPartIds } from '../netlist/sharedPartIds.ts';
import { chooseFuse } from '../power/chooseFuse.ts';
import type { WireJob } from '../power/sizeWires.ts';
import { type SizedFuse, fuseChoices } from './fuseChoices.ts';
import type { LoadAt } from './liveLoads.ts';
import { loadsOfNetlist } from './loadsOfNetlist.ts';
import type { Protection } from './protection.ts';
import type { ContactCurrents, RatedCurrents } from './ratedCurrents.ts';
import type { WireRun } from './runs.ts';
import { WireBook } from './wireBook.ts';
import type { PlannedBuild } from './wiringBuild.ts';

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
function feedParts(document: PlannedBuild): ReadonlySet<string> {
  const ids = pumpFeedsOf(document).flatMap((feed) => [
    feed.id,
    feed.fuseId,
    feed.relayId,
    feed.cutOffId,
  ]);
  return new Set([sharedPartIds.mainFuse, ...ids.flatMap((id) => id ?? [])]);
}

function dropLimitOf(kind: WireRun['kind'], limits: PlannedBuild['limits']): number {
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

/** The blade that stands for the fuse of a wire found on the vehicle; `blades` by rising rating. */
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

/** Everything of a network that the lengths of its wires leave as it is. */
export class NetworkPlan {
  readonly loads: readonly LoadAt[];
  readonly fuses: ReadonlyMap<string, SizedFuse>;
  readonly protections: ReadonlyMap<string, Protection>;
  readonly runs: readonly WireRun[];
  /** wires of the system in use, smallest first */
  readonly sizes: readonly WireItem[];
  readonly battery: BatteryItem;
  private readonly book: WireBook;
  private readonly rated: { readonly worst: RatedCurrents; readonly cranking: RatedCurrents };
  private readonly generated: ReadonlyMap<string, number>;
  /** what stands for the fuses of wires found on the vehicle */
  private readonly found: ReadonlyMap<string, FuseItem>;
  private readonly fuseAt: ReadonlyMap<string, string>;
  private readonly shown: ReadonlySet<string>;

  constructor(
    netlist: Netlist,
    private readonly document: PlannedBuild,
    catalogue: Catalogue,
  ) {
    const { power, limits } = document;
    this.book = new WireBook(document, catalogue, netlist.parts);
    const of = loadsOfNetlist(netlist, limits.voltageLow.value);
    this.loads = of.loads;
    this.rated = of.rated;
    this.generated = of.generated;
    this.protections = of.protectedBy;
    this.runs = of.runs;
    const { worst, cranking } = of.rated;
    const wireTo = new Map(
      netlist.wires.flatMap(({ id, from, to }) => [
        [from.node, id],
        [to.node, id],
      ]),
    );
    this.fuses = fuseChoices({
      netlist,
      catalogue,
      loads: of.loads,
      loadProtection: ({ load }) => of.protectedBy.get(wireTo.get(load.from) ?? ''),
      currents: new Map(
        [...worst.fuses].map(([id, current]) => [
          id,
          Math.max(current, of.generated.get(id) ?? 0, cranking.fuses.get(id) ?? 0),
        ]),
      ),
      ambientAt: (placementId) => this.book.ambientAt(placementId),
    });
    const blades = newestOf(catalogue, 'fuse')
      .filter(({ style }) => style === 'blade')
      .sort((a, b) => a.rating - b.rating);
    this.found = new Map(
      netlist.sources.map(({ id, fuseRating }) => [
        id,
        foundFuse(blades, fuseRating, this.book.ambientAt(power.keyedFeedPlacementId)),
      ]),
    );
    this.sizes = newestOf(catalogue, 'wire')
      .filter((wire) => wire.system === power.wireSystem)
      .sort((a, b) => a.area - b.area);
    this.battery = lookUp(catalogue, 'battery', power.battery, 'power.battery');
    this.fuseAt = new Map(
      netlist.parts.flatMap(({ id, sort, pins }) =>
        sort === 'fuse' && pins[0] ? [[pins[0].node, id] as const] : [],
      ),
    );
    const ofFeeds = feedParts(document);
    this.shown = new Set(
      netlist.parts.flatMap(({ id, pins }) =>
        ofFeeds.has(id) ? pins.map(({ node }) => node) : [],
      ),
    );
  }

  /** The fuse that a part is. */
  fuseOf(partId: string): FuseItem | undefined {
    return this.fuses.get(partId)?.judged.fuse;
  }

  /** V that the wires of a run may lose, out and back. */
  dropLimit(run: WireRun): number {
    return dropLimitOf(run.kind, this.document.limits);
  }

  /** Whether every size is shown beside the one of a run. */
  shows(run: WireRun): boolean {
    return run.wires.some(({ from, to }) => this.shown.has(from.node) || this.shown.has(to.node));
  }

  /** What the contact of each relay carries at most. */
  contacts(): ReadonlyMap<string, ContactCurrents> {
    const { worst, cranking } = this.rated;
    return new Map(
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
    );
  }

  /** What a wire of a length m, with so many Ω before it, is sized for. */
  job(wire: DerivedWire, length: number, sourceResistance: number): WireJob {
    const { worst, cranking } = this.rated;
    const protection = this.protections.get(wire.id);
    const usual = worst.wires.get(wire.id) ?? 0;
    const starting = cranking.wires.get(wire.id) ?? 0;
    // A starter's cable carries its load for the time of a start, and no fuse with it.
    const brief = starting > 1.5 * usual && starting > 10;
    const load: Sourced<number> = brief
      ? solvedIn(starting, 'cranking')
      : solvedIn(Math.max(usual, this.generated.get(wire.id) ?? 0), 'worst');
    return this.book.job(wire, {
      load,
      length,
      protection: nearer(this.ownFuse(wire, length), this.before(protection)),
      limitedTo: protection?.by === 'limited' ? protection.current : undefined,
      forSeconds: brief ? CRANKING : undefined,
      steadily: brief ? usual : undefined,
      sourceResistance,
    });
  }

  /** The fuse at the far end of a wire so short that it counts as being at its source. */
  private ownFuse(wire: DerivedWire, length: number): FuseItem | undefined {
    const at = this.fuseAt.get(wire.to.node);
    return at === undefined || length > AT_SOURCE ? undefined : this.fuseOf(at);
  }

  /** The fuse before a wire. */
  private before(protection: Protection | undefined): FuseItem | undefined {
    switch (protection?.by) {
      case 'fuse':
        return this.fuseOf(protection.partId);
      case 'source':
        return this.found.get(protection.sourceId);
      default:
        return undefined;
    }
  }
}

/** The plan of a netlist, as before while the build says the same. Throws NotFound. */
export const networkPlan = memoByValue(
  (netlist: Netlist, document: PlannedBuild, catalogue: Catalogue) =>
    new NetworkPlan(netlist, document, catalogue),
);
