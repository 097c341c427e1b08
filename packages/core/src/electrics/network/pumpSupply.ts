import { type Catalogue, type FuseItem, type PumpItem, lookUp } from '../../catalogue/index.ts';
import type { PumpElement, PumpFeed } from '../../model/index.ts';
import { NotFound } from '../../quantities/index.ts';
import {
  type FigureRef,
  type Result,
  derive,
  entered,
  following,
  fromItem,
  given,
  fromFigure,
  solvedIn,
  together,
} from '../../results/index.ts';
import { firstOf } from '../../numerics/index.ts';
import { electricsFigure, feedScope } from '../figureNames.ts';
import { nodeOf } from '../netlist/netlist.ts';
import { feedPartIds, sharedPartIds } from '../netlist/pumpFeedParts.ts';
import type { FuseJudgement } from '../power/chooseFuse.ts';
import * as f from '../power/formulas.ts';
import type { SizedGroup, SizedWire } from '../power/sizeWires.ts';
import type { SolvableNetwork } from './caseVoltages.ts';
import type { SizedNetwork } from './sizeNetwork.ts';
import type { WiringBuild } from './wiringBuild.ts';

/** One pump feed with everything sized. */
export interface SizedPumpFeed {
  readonly feed: PumpFeed;
  readonly pump: PumpItem;
  readonly fuse: FuseJudgement;
  readonly fuseChosenByHand: boolean;
  readonly mainFuse: FuseItem;
  /** battery to stud, shared by every feed */
  readonly main: SizedGroup;
  /** stud to this feed's fuse */
  readonly branch: SizedGroup;
  readonly pumpGroup: SizedGroup;
  readonly trigger: SizedGroup;
  /** keyed feed to the inertia switch, where it is no run with the trigger */
  readonly coilFeed: SizedGroup | undefined;
  readonly coilCurrent: number;
  /** battery to pump and back, Ω */
  readonly seriesResistance: number;
  /** the figure behind it */
  readonly seriesFigure: FigureRef;
  readonly results: readonly Result[];
}

function pumpOf(document: WiringBuild, catalogue: Catalogue, feed: PumpFeed): PumpItem {
  const circuit = document.fuelCircuits.find((c) => c.id === feed.circuitId);
  const element = circuit?.elements.find(
    (e): e is PumpElement => e.kind === 'pump' && e.id === feed.elementId,
  );
  if (!element) throw new NotFound(`there is no pump "${feed.elementId}"`, `power.${feed.id}`);
  return lookUp(catalogue, 'pump', element.item, `power.${feed.id}`);
}

/** Sum of what is lost along wires at their sizing currents, as a figure. */
function groupDrop(figure: FigureRef, label: string, wires: readonly SizedWire[]): Result {
  const at = (name: 'wire.temperature' | 'wire.length', w: SizedWire) =>
    fromFigure(electricsFigure(name, { wire: w.wire.id }));
  return derive({
    figure,
    label,
    formula: f.wireDrop,
    inputs: {
      currents: together(wires.map((w) => w.origins.load)),
      resistancesPerMetre: together(wires.map((w) => fromItem(w.size.resistancePerMetre, w.size))),
      temperatures: together(wires.map((w) => given(w.temperature, at('wire.temperature', w)))),
      lengths: together(wires.map((w) => given(w.task.length, at('wire.length', w)))),
    },
  });
}

/**
 * What each pump gets of its supply: the runs of its feed, and the resistance that it sees. What
 * several pumps share counts for each in the measure of what the others draw beside it.
 */
export function pumpSupply(input: {
  readonly network: SizedNetwork;
  readonly solvable: SolvableNetwork;
  readonly document: WiringBuild;
  readonly catalogue: Catalogue;
}): SizedPumpFeed[] {
  const { network, solvable, document, catalogue } = input;
  const { power, limits } = document;
  if (power.pumpFeeds.length === 0) return [];
  const ports = power.pumpFeeds.map((feed) => {
    const { pump } = feedPartIds(feed);
    return { plus: nodeOf(pump, '+'), minus: nodeOf(pump, '−') };
  });
  const { compiled, circuits } = solvable;
  compiled.solve(circuits.bare);
  const seen = compiled.portResistances(ports);
  const currents = power.pumpFeeds.map(
    (feed) =>
      network.loads.find(({ partId }) => partId === feedPartIds(feed).pump)?.load.current ?? 0,
  );
  const runOf = new Map(
    network.runs.flatMap(({ group }) => group.wires.map((w) => [w.wire.id, group] as const)),
  );
  const runTo = (node: string): SizedGroup => {
    const wire = network.wires.find(
      ({ wire: { from, to } }) => from.node === node || to.node === node,
    );
    const run = wire && runOf.get(wire.wire.id);
    if (!run) throw new NotFound(`nothing is wired to ${node}`, node);
    return run;
  };
  const main = runTo(nodeOf(sharedPartIds.mainFuse, 'in'));
  const mainFuse = lookUp(catalogue, 'fuse', power.mainFuse, 'power.mainFuse');
  return power.pumpFeeds.map((feed, index): SizedPumpFeed => {
    const ids = feedPartIds(feed);
    const of = feedScope(index, feed.id);
    const fuse = network.fuses.get(ids.fuse);
    if (!fuse) throw new NotFound(`there is no fuse of ${feed.id}`, feed.id);
    const relay = lookUp(catalogue, 'relay', feed.relay, 'power.pumpFeeds.relay');
    const pump = pumpOf(document, catalogue, feed);
    const branch = runTo(nodeOf(ids.fuse, 'in'));
    const pumpGroup = runTo(nodeOf(ids.pump, '+'));
    const trigger = runTo(nodeOf(ids.relay, '85'));
    const before = feed.inertiaSwitch
      ? runTo(nodeOf(sharedPartIds.inertiaSwitch, 'in'))
      : undefined;
    const current = currents[index] ?? 0;
    const others = currents.filter((_, i) => i !== index);
    const row = seen[index] ?? [];
    const series = derive({
      figure: electricsFigure('feed.seriesResistance', of),
      label: 'Battery to pump and back',
      formula: f.seriesResistance,
      inputs: {
        own: solvedIn(row[index] ?? 0, 'worst'),
        shared: solvedIn(
          row.filter((_, i) => i !== index),
          'worst',
        ),
        others: following(others, ['power', 'pumpFeeds']),
        current: fromItem(current, pump),
      },
    });
    const smallest = pumpGroup.wires.reduce((a, b) => (b.size.area < a.size.area ? b : a));
    const { judged } = fuse;
    const coil = electricsFigure('relay.coilCurrent', of);
    const results: Result[] = [
      derive({
        figure: electricsFigure('feed.area', of),
        label: 'Pump feed, conductor area',
        formula: f.wireArea,
        inputs: { area: fromItem(smallest.size.area, smallest.size) },
      }),
      groupDrop(
        electricsFigure('feed.drop', of),
        'Pump feed, drop in wire out and back',
        pumpGroup.wires,
      ),
      groupDrop(electricsFigure('mainFeed.drop', of), 'Main feed, drop in wire', [
        ...main.wires,
        ...branch.wires,
      ]),
      series,
      derive({
        figure: electricsFigure('fuse.rating', of),
        label: 'Pump fuse',
        formula: f.catalogueRating,
        inputs: { rating: fromItem(judged.fuse.rating, judged.fuse) },
      }),
      derive({
        figure: electricsFigure('fuse.whenHot', of),
        label: 'Pump fuse when hot',
        formula: f.fuseWhenHot,
        inputs: {
          rating: fromItem(judged.fuse.rating, judged.fuse),
          ambient: following(fuse.load.ambient, ['placements', feed.fusePlacementId]),
        },
      }),
      derive({
        figure: coil,
        label: 'Pump relay, coil current',
        formula: f.coilCurrent,
        inputs: {
          voltage: entered(limits.voltageRunning, ['limits', 'voltageRunning']),
          coilResistance: fromItem(relay.coilResistance, relay),
        },
      }),
    ];
    return {
      feed,
      pump,
      fuse: judged,
      fuseChosenByHand: fuse.chosenByHand,
      mainFuse,
      main,
      branch,
      pumpGroup,
      trigger,
      coilFeed: before === trigger ? undefined : before,
      coilCurrent: limits.voltageRunning.value / relay.coilResistance,
      seriesResistance: series.value,
      seriesFigure: electricsFigure('feed.seriesResistance', of),
      results,
    };
  });
}

/** The groups of wires that a feed has. */
type Groups = Pick<SizedPumpFeed, 'main' | 'branch' | 'pumpGroup' | 'trigger' | 'coilFeed'>;

/** The groups of a feed from battery to trigger. */
export const groupsOf = (feed: Groups): SizedGroup[] => [
  feed.main,
  feed.branch,
  feed.pumpGroup,
  ...(feed.coilFeed ? [feed.coilFeed] : []),
  feed.trigger,
];

/** Every wire of the pump feeds once, in the order of their groups. */
export function wiresOf(feeds: readonly Groups[]): SizedWire[] {
  const byId = new Map<string, SizedWire>();
  for (const wire of feeds.flatMap(groupsOf).flatMap(({ wires }) => wires)) {
    if (!byId.has(wire.wire.id)) byId.set(wire.wire.id, wire);
  }
  return [...byId.values()];
}

/** The first wire of a group, the one that says what it carries. */
export const loadOf = (group: SizedGroup): number => firstOf(group.wires).task.load;
