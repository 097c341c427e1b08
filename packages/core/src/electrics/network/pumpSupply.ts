import {
  type Catalogue,
  type FuseItem,
  type PumpItem,
  type RelayItem,
  lookUp,
} from '../../catalogue/index.ts';
import type { PumpElement } from '../../model/index.ts';
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
import { sharedPartIds } from '../netlist/sharedPartIds.ts';
import { type PumpFeed, pumpFeedsOf } from '../feeds/pumpFeed.ts';
import type { DerivedWire } from '../netlist/derivedWire.ts';
import type { NetPart } from '../netlist/netlist.ts';
import { WirePaths } from './wirePaths.ts';
import type { FuseJudgement } from '../power/chooseFuse.ts';
import * as f from '../power/formulas.ts';
import type { SizedGroup, SizedWire } from '../power/sizeWires.ts';
import type { SolvableNetwork } from './caseVoltages.ts';
import type { SizedFuse } from './fuseChoices.ts';
import type { SizedNetwork } from './sizeNetwork.ts';
import type { WiringBuild } from './wiringBuild.ts';

/** One pump feed with everything sized. */
export interface SizedPumpFeed {
  readonly feed: PumpFeed;
  readonly pump: PumpItem;
  /** undefined where it has no fuse of its own */
  readonly fuse: FuseJudgement | undefined;
  readonly fuseChosenByHand: boolean;
  readonly mainFuse: FuseItem;
  readonly relay: RelayItem | undefined;
  /** battery to stud, shared by every feed */
  readonly main: SizedGroup;
  /** between the stud and the run that the pump is on */
  readonly branch: readonly SizedGroup[];
  /** the run that the pump is on, out and back */
  readonly pumpGroup: SizedGroup;
  /** the rest of the way back */
  readonly back: readonly SizedGroup[];
  /** from what feeds the relay's coil to what draws it */
  readonly coil: readonly SizedGroup[];
  /** A that the relay's coil takes; 0 without one */
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
  if (!element) throw new NotFound(`there is no pump "${feed.elementId}"`, `devices.${feed.id}`);
  return lookUp(catalogue, 'pump', element.item, `devices.${feed.id}`);
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

/** What a pump's fuse is rated, and what is left of it when hot. */
function fuseFigures(
  { judged, load, partId }: SizedFuse,
  of: { readonly feed?: string },
): Result[] {
  return [
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
        ambient: following(load.ambient, ['devices', partId, 'placementId']),
      },
    }),
  ];
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
  const runOf = new Map(
    network.runs.flatMap(({ group }) => group.wires.map((w) => [w.wire.id, group] as const)),
  );
  const groups = (wires: readonly DerivedWire[] | undefined): SizedGroup[] => [
    ...new Set((wires ?? []).flatMap(({ id }) => runOf.get(id) ?? [])),
  ];
  const paths = new WirePaths(network.netlist);
  const isBattery = ({ sort }: NetPart): boolean => sort === 'battery';
  const isGround = ({ sort }: NetPart): boolean => sort === 'ground' || sort === 'battery';
  // A pump without a way from the battery and back is not fed, whatever its pins say.
  const fed = pumpFeedsOf(document).flatMap((feed) => {
    const [plus, minus] = [nodeOf(feed.id, '+'), nodeOf(feed.id, '−')];
    const supply = groups(paths.wiresTo(plus, isBattery)?.toReversed());
    const back = groups(paths.wiresTo(minus, isGround));
    const pumpGroup = runOf.get(
      network.wires.find(({ wire }) => wire.to.node === plus)?.wire.id ?? '',
    );
    return supply.length === 0 || back.length === 0 || !pumpGroup
      ? []
      : [{ feed, plus, minus, supply, back, pumpGroup }];
  });
  const [first] = fed;
  if (!first) return [];
  const { compiled, circuits } = solvable;
  compiled.solve(circuits.bare);
  const seen = compiled.portResistances(fed);
  const currents = fed.map(
    ({ feed }) => network.loads.find(({ partId }) => partId === feed.id)?.load.current ?? 0,
  );
  const mainNode = nodeOf(sharedPartIds.mainFuse, 'in');
  const main =
    runOf.get(network.wires.find(({ wire }) => wire.to.node === mainNode)?.wire.id ?? '') ??
    firstOf(first.supply);
  const mainFuse = lookUp(catalogue, 'fuse', power.mainFuse, 'power.mainFuse');
  /** What a coil hangs on: not the coils of other relays beside it. */
  const isCoilEnd = ({ sort, inside }: NetPart, node: string): boolean =>
    sort === 'relay'
      ? inside.some((each) => each.kind === 'contact' && each.to === node)
      : sort !== 'splice' && sort !== 'switch' && sort !== 'device';
  return fed.map(({ feed, supply, back, pumpGroup }, index): SizedPumpFeed => {
    const of = feedScope(index, feed.id);
    const fuse = network.fuses.get(feed.fuseId ?? '');
    const relayDevice = document.devices.find(({ id }) => id === feed.relayId);
    const relay =
      relayDevice?.part.kind === 'relay'
        ? lookUp(catalogue, 'relay', relayDevice.part.item, `devices.${relayDevice.id}`)
        : undefined;
    const pump = pumpOf(document, catalogue, feed);
    const coilWay = (pin: string): readonly DerivedWire[] =>
      (relayDevice && paths.wiresTo(nodeOf(relayDevice.id, pin), isCoilEnd)) ?? [];
    const coil = groups([...coilWay('86').toReversed(), ...coilWay('85')]);
    const branch = supply.filter((group) => group !== main && group !== pumpGroup);
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
        others: following(others, ['devices']),
        current: fromItem(current, pump),
      },
    });
    const smallest = pumpGroup.wires.reduce((a, b) => (b.size.area < a.size.area ? b : a));
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
      groupDrop(
        electricsFigure('mainFeed.drop', of),
        'Main feed, drop in wire',
        [main, ...branch].flatMap(({ wires }) => wires),
      ),
      series,
      ...(fuse ? fuseFigures(fuse, of) : []),
      ...(relay
        ? [
            derive({
              figure: electricsFigure('relay.coilCurrent', of),
              label: 'Pump relay, coil current',
              formula: f.coilCurrent,
              inputs: {
                voltage: entered(limits.voltageRunning, ['limits', 'voltageRunning']),
                coilResistance: fromItem(relay.coilResistance, relay),
              },
            }),
          ]
        : []),
    ];
    return {
      feed,
      pump,
      fuse: fuse?.judged,
      fuseChosenByHand: fuse?.chosenByHand ?? false,
      mainFuse,
      relay,
      main,
      branch,
      pumpGroup,
      back: back.filter((group) => group !== pumpGroup),
      coil,
      coilCurrent: relay ? limits.voltageRunning.value / relay.coilResistance : 0,
      seriesResistance: series.value,
      seriesFigure: electricsFigure('feed.seriesResistance', of),
      results,
    };
  });
}

/** The groups of wires that a feed has. */
type Groups = Pick<SizedPumpFeed, 'main' | 'branch' | 'pumpGroup' | 'back' | 'coil'>;

/** The groups of a feed from battery to pump and back, then those of the relay's coil. */
export const groupsOf = (feed: Groups): SizedGroup[] => [
  feed.main,
  ...feed.branch,
  feed.pumpGroup,
  ...feed.back,
  ...feed.coil,
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
