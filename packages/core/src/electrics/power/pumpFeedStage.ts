import { entryAt, firstOf } from '../../numerics/index.ts';
import type { Build, Limits, Placement, PumpElement, PumpFeed } from '../../model/index.ts';
import { NotFound } from '../../quantities/index.ts';
import { bestLength } from '../../vehicle/index.ts';
import {
  type Catalogue,
  type FuseItem,
  type PumpItem,
  type WireItem,
  highestPumpCurrent,
  lookUp,
  newestOf,
} from '../../catalogue/index.ts';
import {
  type FigureRef,
  type Origin,
  type Result,
  type Sourced,
  byDefault,
  derive,
  entered,
  following,
  fromFigure,
  fromItem,
  given,
  together,
} from '../../results/index.ts';
import { electricsFigure, feedScope } from '../figureNames.ts';
import { type FuseJudgement, type FuseLoad, chooseFuse, judgeFuse } from './chooseFuse.ts';
import { crimpResistance, fuseResistance, jointResistance } from './contacts.ts';
import * as f from './formulas.ts';
import { type DerivedWire, mainWires, pumpFeedWires } from './pumpFeedWires.ts';
import { type SizedGroup, type SizedWire, type WireJob, sizeGroup } from './sizeWires.ts';
import { conductorLimit } from './wireCriteria.ts';
import { zoneTemperature } from './zoneTemperature.ts';

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
  readonly coilCurrent: number;
  /** battery to pump and back, Ω */
  readonly seriesResistance: number;
  /** the figure behind it */
  readonly seriesFigure: FigureRef;
  readonly results: readonly Result[];
}

/** What of a build decides the wiring of its pumps. */
export interface WiringBuild {
  readonly power: Build['power'];
  readonly limits: Pick<Limits, 'voltageRunning' | 'voltageLow' | 'pumpFeedDrop'>;
  readonly brief: Pick<Build['brief'], 'ambientHot'>;
  readonly placements: readonly Placement[];
  readonly fuelCircuits: Build['fuelCircuits'];
}

function placementOf(document: WiringBuild, id: string): Placement {
  const placement = document.placements.find((p) => p.id === id);
  if (!placement) throw new NotFound(`there is no place "${id}" on the vehicle`, id);
  return placement;
}

/** Where a wire runs: its ends, their zones, and the ambient of the hotter one. */
function surroundingsOf(document: WiringBuild, wire: DerivedWire) {
  const ends = [wire.from, wire.to].map((end) => placementOf(document, end.placementId));
  const hot = document.brief.ambientHot.value;
  const zones = ends.map((end) => end.zone);
  const ambients = zones.map((zone) => zoneTemperature(zone, hot));
  const ambient = Math.max(...ambients);
  return { ends, zones, ambient, hottestPlaceId: entryAt(ends, ambients.indexOf(ambient)).id };
}

function wireResults(sized: SizedWire): Result[] {
  const of = { wire: sized.wire.id };
  const heated = {
    outsideDiameter: fromItem(sized.size.outsideDiameter, sized.size),
    resistancePerMetre: fromItem(sized.size.resistancePerMetre, sized.size),
    ambient: following(sized.task.ambient, ['placements', sized.origins.hottestPlaceId]),
    loadedTogether: entered(sized.task.loadedTogether, [
      'power',
      'pumpFeeds',
      sized.origins.bundledInFeedId,
      'loadedTogether',
    ]),
  };
  const temperature = derive({
    figure: electricsFigure('wire.temperature', of),
    label: `${sized.wire.name}, conductor temperature`,
    formula: f.wireTemperature,
    inputs: { ...heated, current: sized.origins.load },
  });
  return [
    derive({
      figure: electricsFigure('wire.ampacity', of),
      label: `${sized.wire.name}, permissible current`,
      formula: f.ampacity,
      inputs: { ...heated, limit: fromItem(conductorLimit(sized.size), sized.size) },
    }),
    temperature,
    derive({
      figure: electricsFigure('wire.resistance', of),
      label: `${sized.wire.name}, resistance at its temperature`,
      formula: f.wireResistance,
      inputs: {
        resistancePerMetre: heated.resistancePerMetre,
        temperature,
        length: given(sized.task.length, fromFigure(electricsFigure('wire.length', of))),
      },
    }),
  ];
}

function groupDrop(figure: FigureRef, label: string, wires: readonly SizedWire[]): Result {
  return derive({
    figure,
    label,
    formula: f.wireDrop,
    inputs: {
      currents: together(wires.map((w) => w.origins.load)),
      resistancesPerMetre: together(wires.map((w) => fromItem(w.size.resistancePerMetre, w.size))),
      temperatures: together(
        wires.map((w) => given(w.temperature, wireOrigin('wire.temperature', w))),
      ),
      lengths: together(wires.map((w) => given(w.task.length, wireOrigin('wire.length', w)))),
    },
  });
}

/** What one feed and the wires before it are sized for. */
interface FeedLoad {
  readonly feed: PumpFeed;
  readonly pump: PumpItem;
  readonly highest: number;
  readonly load: FuseLoad;
  readonly fuse: FuseJudgement;
}

function loadOf(document: WiringBuild, catalogue: Catalogue, feed: PumpFeed): FeedLoad {
  const circuit = document.fuelCircuits.find((c) => c.id === feed.circuitId);
  const element = circuit?.elements.find(
    (e): e is PumpElement => e.kind === 'pump' && e.id === feed.elementId,
  );
  if (!element) throw new NotFound(`there is no pump "${feed.elementId}"`, `power.${feed.id}`);
  const pump = lookUp(catalogue, 'pump', element.item, `power.${feed.id}`);
  const highest = highestPumpCurrent(pump);
  const load: FuseLoad = {
    running: highest,
    inrushFactor: pump.inrushFactor,
    inrushTime: pump.inrushTime,
    ambient: zoneTemperature(
      placementOf(document, feed.fusePlacementId).zone,
      document.brief.ambientHot.value,
    ),
  };
  const fuse = feed.fuse
    ? judgeFuse(lookUp(catalogue, 'fuse', feed.fuse, 'power.pumpFeeds.fuse'), load)
    : chooseFuse(bladeFuses(catalogue), load);
  return { feed, pump, highest, load, fuse };
}

const bladeFuses = (catalogue: Catalogue): FuseItem[] =>
  newestOf(catalogue, 'fuse').filter((i) => i.style === 'blade');

/** Shares of the lowest voltage that may be lost before the stud, and from there to a fuse. */
const MAIN_DROP = 0.02;
const BRANCH_DROP = 0.01;

/** Writes each length and each wire's figures once, whichever feed asks for the wire. */
function createWireBook(document: WiringBuild, catalogue: Catalogue) {
  const { power } = document;
  const battery = lookUp(catalogue, 'battery', power.battery, 'power.battery');
  const seen = new Set<string>();
  const results: Result[] = [];
  const say = (result: Result): void => {
    if (!seen.has(result.key)) results.push(result);
    seen.add(result.key);
  };
  const job = (
    wire: DerivedWire,
    task: { load: Sourced<number>; source: number; protection: FuseItem; bundle: PumpFeed },
  ): WireJob => {
    const { ends, ambient, zones, hottestPlaceId } = surroundingsOf(document, wire);
    const length = bestLength({
      figures: {
        length: electricsFigure('wire.length', { wire: wire.id }),
        mapLength: electricsFigure('wire.mapLength', { wire: wire.id }),
      },
      label: wire.name,
      length: wire.decision?.length ?? { typed: null, measured: null },
      from: firstOf(ends),
      to: entryAt(ends, 1),
      path: ['power', 'wireDecisions', wire.id, 'length'],
    });
    length.results.forEach(say);
    return {
      wire,
      override: wire.decision?.size
        ? lookUp(catalogue, 'wire', wire.decision.size, `power.wireDecisions.${wire.id}`)
        : null,
      task: {
        load: task.load.value,
        protection: task.protection,
        length: length.value,
        ambient,
        zones,
        loadedTogether: task.bundle.loadedTogether,
        areaMin: Math.max(wire.from.areaMin, wire.to.areaMin),
        areaMax: Math.min(wire.from.areaMax, wire.to.areaMax),
        sourceVoltage: battery.openCircuitVoltage,
        sourceResistance: task.source,
      },
      origins: { load: task.load, hottestPlaceId, bundledInFeedId: task.bundle.id },
    };
  };
  return { job, say, results };
}
type WireBook = ReturnType<typeof createWireBook>;

/** A figure of a wire as an origin. */
const wireOrigin = (
  figure: 'wire.length' | 'wire.temperature' | 'wire.resistance',
  sized: SizedWire,
): Origin => fromFigure(electricsFigure(figure, { wire: sized.wire.id }));

/** Resistances Ω of the crimp and the joint at both ends of wires. */
function contactsOf(wires: readonly SizedWire[]): number[] {
  return wires.flatMap((w) =>
    [w.wire.from, w.wire.to].map(
      (end) => crimpResistance(w.size.area) + jointResistance[end.joint],
    ),
  );
}

/** The wires before the stud: they carry every pump at once and are sized once. */
interface MainFeed {
  readonly group: SizedGroup;
  readonly current: number;
  /** Ω from battery through the main fuse to the stud */
  readonly behind: number;
  readonly fuse: FuseItem;
}

function mainFeedOf(input: {
  document: WiringBuild;
  catalogue: Catalogue;
  loads: readonly FeedLoad[];
  sizes: readonly WireItem[];
  book: WireBook;
}): MainFeed {
  const { document, catalogue, loads, book } = input;
  const { power, limits } = document;
  const battery = lookUp(catalogue, 'battery', power.battery, 'power.battery');
  const fuse = lookUp(catalogue, 'fuse', power.mainFuse, 'power.mainFuse');
  const current = loads.reduce((sum, l) => sum + l.highest, 0);
  const load =
    loads.length === 1
      ? fromItem(current, firstOf(loads).pump)
      : following(current, ['power', 'pumpFeeds']);
  const bundle = loads
    .map((l) => l.feed)
    .reduce((most, feed) => (feed.loadedTogether > most.loadedTogether ? feed : most));
  const group = sizeGroup({
    jobs: mainWires({ power, catalogue }).map((wire) =>
      book.job(wire, {
        load,
        source: battery.internalResistance,
        protection: fuse,
        bundle,
      }),
    ),
    sizes: input.sizes,
    dropLimit: MAIN_DROP * limits.voltageLow.value,
  });
  const wires = group.wires.reduce((sum, w) => sum + w.resistance, 0);
  return {
    group,
    current,
    fuse,
    behind: battery.internalResistance + wires + fuseResistance(fuse.rating),
  };
}

/**
 * Sizes fuses and wires of every pump feed; never looks at the solved pump currents. What several
 * pumps share before the stud carries them all: its resistance counts for each in the measure of
 * what the others draw beside it.
 */
export function pumpFeedStage(input: {
  document: WiringBuild;
  catalogue: Catalogue;
}): SizedPumpFeed[] {
  const { document, catalogue } = input;
  const feeds = document.power.pumpFeeds;
  if (feeds.length === 0) return [];
  const sizes = newestOf(catalogue, 'wire').filter((w) => w.system === document.power.wireSystem);
  const loads = feeds.map((feed) => loadOf(document, catalogue, feed));
  const book = createWireBook(document, catalogue);
  const main = mainFeedOf({ document, catalogue, loads, sizes, book });
  return loads.map((load, index) => {
    const from = book.results.length;
    const sized = sizeFeed({ document, catalogue, load, sizes, book, main, index });
    return { ...sized, results: book.results.slice(index === 0 ? 0 : from) };
  });
}

function sizeFeed(input: {
  document: WiringBuild;
  catalogue: Catalogue;
  load: FeedLoad;
  sizes: readonly WireItem[];
  book: WireBook;
  main: MainFeed;
  index: number;
}): Omit<SizedPumpFeed, 'results'> {
  const { document, catalogue, book, sizes, main: shared } = input;
  const { power, limits } = document;
  const { feed, pump, highest, load, fuse } = input.load;
  const relay = lookUp(catalogue, 'relay', feed.relay, 'power.pumpFeeds.relay');
  const wires = pumpFeedWires({ power, feed, pump, fuse: fuse.fuse, catalogue });
  const coilCurrent = limits.voltageRunning.value / relay.coilResistance;
  const keyedFuse = chooseFuse(bladeFuses(catalogue), {
    ...load,
    running: 4,
    inrushFactor: 1,
    inrushTime: 1e-3,
  });
  const group = (
    name: DerivedWire['group'],
    current: Sourced<number>,
    by: FuseItem,
    limit: number,
  ) =>
    sizeGroup({
      jobs: wires
        .filter((w) => w.group === name)
        .map((w) =>
          book.job(w, {
            load: current,
            source: shared.behind,
            protection: by,
            bundle: feed,
          }),
        ),
      sizes,
      dropLimit: limit,
    });
  const of = feedScope(input.index, feed.id);
  const coil = electricsFigure('relay.coilCurrent', of);
  const ofPump = fromItem(highest, pump);
  const branch = group('main', ofPump, shared.fuse, BRANCH_DROP * limits.voltageLow.value);
  const pumpGroup = group('pumpFeed', ofPump, fuse.fuse, limits.pumpFeedDrop.value);
  const trigger = group(
    'trigger',
    given(coilCurrent, fromFigure(coil)),
    keyedFuse.fuse,
    0.03 * limits.voltageLow.value,
  );

  const own = [...branch.wires, ...pumpGroup.wires];
  const carrying = [...shared.group.wires, ...own];
  const forAll = shared.current / highest;
  const resistanceOf = (w: SizedWire) => given(w.resistance, wireOrigin('wire.resistance', w));
  // What is shared counts for each pump in the measure of what the others draw beside it.
  const shareOf = (w: SizedWire) =>
    forAll === 1 ? resistanceOf(w) : following(forAll * w.resistance, ['power', 'pumpFeeds']);
  const series = derive({
    figure: electricsFigure('feed.seriesResistance', of),
    label: 'Battery to pump and back',
    formula: f.seriesResistance,
    inputs: {
      wires: together([...shared.group.wires.map(shareOf), ...own.map(resistanceOf)]),
      fuses: byDefault(
        [forAll * fuseResistance(shared.fuse.rating), fuseResistance(fuse.fuse.rating)],
        '0.1 V over rating',
      ),
      relay: fromItem(relay.contactResistance, relay),
      contacts: byDefault(
        [...contactsOf(shared.group.wires).map((r) => forAll * r), ...contactsOf(own)],
        'crimp 1/A mΩ, plug 5 mΩ, lug 0.1 mΩ',
      ),
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
    groupDrop(electricsFigure('mainFeed.drop', of), 'Main feed, drop in wire', [
      ...shared.group.wires,
      ...branch.wires,
    ]),
    series,
    derive({
      figure: electricsFigure('fuse.rating', of),
      label: 'Pump fuse',
      formula: f.catalogueRating,
      inputs: { rating: fromItem(fuse.fuse.rating, fuse.fuse) },
    }),
    derive({
      figure: electricsFigure('fuse.whenHot', of),
      label: 'Pump fuse when hot',
      formula: f.fuseWhenHot,
      inputs: {
        rating: fromItem(fuse.fuse.rating, fuse.fuse),
        ambient: following(load.ambient, ['placements', feed.fusePlacementId]),
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
    ...[...carrying, ...trigger.wires].flatMap(wireResults),
  ];
  results.forEach(book.say);
  return {
    feed,
    pump,
    fuse,
    fuseChosenByHand: feed.fuse !== null,
    mainFuse: shared.fuse,
    main: shared.group,
    branch,
    pumpGroup,
    trigger,
    coilCurrent,
    seriesResistance: series.value,
    seriesFigure: electricsFigure('feed.seriesResistance', of),
  };
}

/** The groups of wires that a feed has. */
type GroupName = 'main' | 'branch' | 'pumpGroup' | 'trigger';

/** Every wire of the pump feeds once, in the order of their groups. */
export function wiresOf(feeds: readonly Pick<SizedPumpFeed, GroupName>[]): SizedWire[] {
  const byId = new Map<string, SizedWire>();
  for (const feed of feeds) {
    for (const wire of groupsOf(feed).flatMap((g) => g.wires)) {
      if (!byId.has(wire.wire.id)) byId.set(wire.wire.id, wire);
    }
  }
  return [...byId.values()];
}

/** The groups of a feed from battery to trigger. */
export const groupsOf = (feed: Pick<SizedPumpFeed, GroupName>): SizedGroup[] => [
  feed.main,
  feed.branch,
  feed.pumpGroup,
  feed.trigger,
];
