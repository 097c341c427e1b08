import { type Catalogue, lookUp } from '../../catalogue/index.ts';
import { memoByValue } from '../../numerics/index.ts';
import type { Sourced } from '../../results/index.ts';
import type { BestLength } from '../../vehicle/index.ts';
import { buildNetlist } from '../netlist/buildNetlist.ts';
import { type Netlist, nodeOf } from '../netlist/netlist.ts';
import { sharedPartIds } from '../netlist/sharedPartIds.ts';
import { fuseResistance } from '../power/contacts.ts';
import { type SizedGroup, type SizedWire, sizeGroup } from '../power/sizeWires.ts';
import { outlivesFuse } from '../power/wireCriteria.ts';
import type { SizedFuse } from './fuseChoices.ts';
import type { LoadAt } from './liveLoads.ts';
import { NetworkLengths } from './networkLengths.ts';
import { type NetworkPlan, networkPlan } from './networkPlan.ts';
import type { Protection } from './protection.ts';
import type { ContactCurrents } from './ratedCurrents.ts';
import type { WireRun } from './runs.ts';
import { upstreamResistances } from './upstream.ts';
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
  readonly lengths: NetworkLengths;
}

/** How long a wire of a run is, and the Ω before it. */
interface WayBefore {
  readonly length: BestLength;
  readonly before: number;
}

/** Sizes the wires of a run; one whose lengths, and what is before it, are as they were keeps its sizes. */
const sizing = () =>
  memoByValue((run: WireRun, plan: NetworkPlan, ways: readonly WayBefore[]): SizedRun => ({
    kind: run.kind,
    group: sizeGroup({
      jobs: run.wires.flatMap((wire, i) => {
        const way = ways[i];
        return way ? [plan.job(wire, way.length.value, way.before)] : [];
      }),
      sizes: plan.sizes,
      dropLimit: plan.dropLimit(run),
      showLarger: plan.shows(run),
    }),
  }));
/** Runs as they are sized at first, and anew by all that lies before them. */
const sizedAtFirst = sizing();
const sizedBehind = sizing();

/**
 * Says what each wire and fuse carries with all loads at their rated currents, chooses the fuses and
 * sizes the wires. Never looks at what the pumps draw where they work. Throws NotFound where an item
 * or a place is not there.
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
  const { power } = document;
  const netlist = input.netlist ?? buildNetlist({ document, catalogue });
  const { placements, ...unplaced } = document;
  const zoned = placements.map(({ id, zone }) => ({ id, zone }));
  const plan = networkPlan(netlist, { ...unplaced, placements: zoned }, catalogue);
  const lengths = new NetworkLengths(placements, input.led ?? {});
  const sizeRun = (
    sized: typeof sizedAtFirst,
    run: WireRun,
    before: (wireId: string) => number,
  ): SizedRun =>
    sized(
      run,
      plan,
      run.wires.map((wire) => ({ length: lengths.of(wire), before: before(wire.id) })),
    );
  const { internalResistance } = plan.battery;
  const mainNode = nodeOf(sharedPartIds.mainFuse, 'in');
  const isMain = (run: WireRun): boolean => run.wires.some(({ to }) => to.node === mainNode);
  const main = plan.runs
    .filter(isMain)
    .map((run) => sizeRun(sizedAtFirst, run, () => internalResistance));
  const behind =
    internalResistance +
    main.flatMap(({ group }) => group.wires).reduce((sum, { resistance }) => sum + resistance, 0) +
    fuseResistance(lookUp(catalogue, 'fuse', power.mainFuse, 'power.mainFuse').rating);
  let ofMain = 0;
  const sized = plan.runs.map((run) => {
    const known = isMain(run) ? main[ofMain++] : undefined;
    return known ?? sizeRun(sizedAtFirst, run, () => behind);
  });
  // What lies before a wire holds a short circuit down: where its fuse then takes too long, anew.
  const upstream = upstreamResistances(
    netlist,
    sized.flatMap(({ group }) => group.wires),
    (id) => plan.fuseOf(id)?.rating,
  );
  const before = (wireId: string): number => upstream.get(wireId) ?? behind;
  const settled = sized.map((known, i) => {
    const run = plan.runs[i];
    const outlives = known.group.wires.some((wire) => outlivesFuse(wire, before(wire.wire.id)));
    return run && outlives ? sizeRun(sizedBehind, run, before) : known;
  });
  const byId = new Map(
    settled.flatMap(({ group }) => group.wires.map((wire) => [wire.wire.id, wire] as const)),
  );
  return {
    netlist,
    loads: plan.loads,
    fuses: plan.fuses,
    contacts: plan.contacts(),
    protections: plan.protections,
    runs: settled,
    wires: netlist.wires.flatMap(({ id }) => byId.get(id) ?? []),
    lengths,
  };
}
