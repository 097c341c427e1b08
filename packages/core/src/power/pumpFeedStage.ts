import type {
  BuildDocument,
  Catalogue,
  FuseItem,
  Placement,
  PumpElement,
  PumpFeed,
  PumpItem,
  WireItem,
} from '../build/index.ts';
import { lookUp, newestOf } from '../build/index.ts';
import { NotFound } from '../quantities/index.ts';
import { bestLength } from '../chassis/index.ts';
import { highestPumpCurrent } from '../pumps/index.ts';
import { derive, given, type Result } from '../results/index.ts';
import { type FuseJudgement, type FuseLoad, chooseFuse, judgeFuse } from './chooseFuse.ts';
import { contactResistance, crimpResistance, fuseResistance } from './contacts.ts';
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
  readonly results: readonly Result[];
}

function placementOf(document: BuildDocument, id: string): Placement {
  const placement = document.placements.find((p) => p.id === id);
  if (!placement) throw new NotFound(`there is no place "${id}" on the vehicle`, id);
  return placement;
}

/** Where a wire runs: its ends, their zones, and the ambient of the hotter one. */
function surroundingsOf(document: BuildDocument, wire: DerivedWire) {
  const ends = [wire.from, wire.to].map((end) => placementOf(document, end.placementId));
  const hot = document.brief.ambientHot.value;
  const zones = ends.map((end) => end.zone);
  return { ends, zones, ambient: Math.max(...zones.map((zone) => zoneTemperature(zone, hot))) };
}

function wireResults(key: string, sized: SizedWire): Result[] {
  const heated = {
    outsideDiameter: given(sized.size.outsideDiameter, `catalogue:${sized.size.id}`),
    resistancePerMetre: given(sized.size.resistancePerMetre, `catalogue:${sized.size.id}`),
    ambient: given(sized.task.ambient, 'document:placements'),
    loadedTogether: given(sized.task.loadedTogether, 'document:power.pumpFeeds'),
  };
  return [
    derive({
      key: `${key}.ampacity`,
      label: `${sized.wire.name}, permissible current`,
      formula: f.ampacity,
      inputs: { ...heated, limit: given(conductorLimit(sized.size), `catalogue:${sized.size.id}`) },
    }),
    derive({
      key: `${key}.temperature`,
      label: `${sized.wire.name}, conductor temperature`,
      formula: f.wireTemperature,
      inputs: { ...heated, current: given(sized.task.load, 'catalogue:pump') },
    }),
  ];
}

function groupDrop(key: string, label: string, wires: readonly SizedWire[]): Result {
  return derive({
    key,
    label,
    formula: f.wireDrop,
    inputs: {
      currents: given(
        wires.map((w) => w.task.load),
        'catalogue:pump',
      ),
      resistancesPerMetre: given(
        wires.map((w) => w.size.resistancePerMetre),
        'catalogue:wire',
      ),
      temperatures: given(
        wires.map((w) => w.temperature),
        'result:wire temperatures',
      ),
      lengths: given(
        wires.map((w) => w.task.length),
        'result:wire lengths',
      ),
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

function loadOf(document: BuildDocument, catalogue: Catalogue, feed: PumpFeed): FeedLoad {
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
function createWireBook(document: BuildDocument, catalogue: Catalogue) {
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
    task: { load: number; source: number; protection: FuseItem; loadedTogether: number },
  ): WireJob => {
    const { ends, ambient, zones } = surroundingsOf(document, wire);
    const length = bestLength({
      key: wireKey(wire),
      label: wire.name,
      length: wire.decision?.length ?? { typed: null, measured: null },
      from: ends[0]!,
      to: ends[1]!,
      path: `power.wireDecisions.${wire.id}`,
    });
    length.results.forEach(say);
    return {
      wire,
      override: wire.decision?.size
        ? lookUp(catalogue, 'wire', wire.decision.size, `power.wireDecisions.${wire.id}`)
        : null,
      task: {
        load: task.load,
        protection: task.protection,
        length: length.value,
        ambient,
        zones,
        loadedTogether: task.loadedTogether,
        areaMin: Math.max(wire.from.areaMin, wire.to.areaMin),
        areaMax: Math.min(wire.from.areaMax, wire.to.areaMax),
        sourceVoltage: battery.openCircuitVoltage,
        sourceResistance: task.source,
      },
    };
  };
  return { job, say, results };
}
type WireBook = ReturnType<typeof createWireBook>;

const wireKey = (wire: DerivedWire): string => `wire.${wire.id}`;

/** Resistances of crimps and lugs Ω at both ends of wires; a pump's plug counts as a connector. */
function contactsOf(wires: readonly SizedWire[], elementId: string): number[] {
  return wires.flatMap((w) =>
    [w.wire.from, w.wire.to].map(
      (end) =>
        crimpResistance(w.size.area) +
        (end.joint === 'lug'
          ? contactResistance.boltedLug
          : end.terminal.startsWith(elementId)
            ? contactResistance.connector
            : 0),
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
  document: BuildDocument;
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
  const group = sizeGroup({
    jobs: mainWires({ power, catalogue }).map((wire) =>
      book.job(wire, {
        load: current,
        source: battery.internalResistance,
        protection: fuse,
        loadedTogether: Math.max(...loads.map((l) => l.feed.loadedTogether)),
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
  document: BuildDocument;
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
  document: BuildDocument;
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
  const group = (name: DerivedWire['group'], current: number, by: FuseItem, limit: number) =>
    sizeGroup({
      jobs: wires
        .filter((w) => w.group === name)
        .map((w) =>
          book.job(w, {
            load: current,
            source: shared.behind,
            protection: by,
            loadedTogether: feed.loadedTogether,
          }),
        ),
      sizes,
      dropLimit: limit,
    });
  const branch = group('main', highest, shared.fuse, BRANCH_DROP * limits.voltageLow.value);
  const pumpGroup = group('pumpFeed', highest, fuse.fuse, limits.pumpFeedDrop.value);
  const trigger = group('trigger', coilCurrent, keyedFuse.fuse, 0.03 * limits.voltageLow.value);

  const own = [...branch.wires, ...pumpGroup.wires];
  const carrying = [...shared.group.wires, ...own];
  const forAll = shared.current / highest;
  const suffix = input.index > 0 ? `.${feed.id}` : '';
  const series = derive({
    key: `wire.pumpFeed${suffix}.seriesResistance`,
    label: 'Battery to pump and back',
    formula: f.seriesResistance,
    inputs: {
      wires: given(
        [...shared.group.wires.map((w) => forAll * w.resistance), ...own.map((w) => w.resistance)],
        'result:wire lengths',
      ),
      fuses: given(
        [forAll * fuseResistance(shared.fuse.rating), fuseResistance(fuse.fuse.rating)],
        'default: 0.1 V over rating',
      ),
      relay: given(relay.contactResistance, `catalogue:${relay.id}`),
      contacts: given(
        [
          ...contactsOf(shared.group.wires, feed.elementId).map((r) => forAll * r),
          ...contactsOf(own, feed.elementId),
        ],
        'default',
      ),
    },
  });
  const smallest = pumpGroup.wires.reduce((a, b) => (b.size.area < a.size.area ? b : a));
  const results: Result[] = [
    derive({
      key: `wire.pumpFeed${suffix}.area`,
      label: 'Pump feed, conductor area',
      formula: f.wireArea,
      inputs: { area: given(smallest.size.area, `catalogue:${smallest.size.id}`) },
    }),
    groupDrop(
      `wire.pumpFeed${suffix}.drop`,
      'Pump feed, drop in wire out and back',
      pumpGroup.wires,
    ),
    groupDrop(`wire.mainFeed${suffix}.drop`, 'Main feed, drop in wire', [
      ...shared.group.wires,
      ...branch.wires,
    ]),
    series,
    derive({
      key: `fuse.pumpFeed${suffix}.rating`,
      label: 'Pump fuse',
      formula: f.catalogueRating,
      inputs: { rating: given(fuse.fuse.rating, `catalogue:${fuse.fuse.id}`) },
    }),
    derive({
      key: `fuse.pumpFeed${suffix}.whenHot`,
      label: 'Pump fuse when hot',
      formula: f.fuseWhenHot,
      inputs: {
        rating: given(fuse.fuse.rating, `catalogue:${fuse.fuse.id}`),
        ambient: given(load.ambient, 'document:placements'),
      },
    }),
    derive({
      key: `relay.pumpFeed${suffix}.coilCurrent`,
      label: 'Pump relay, coil current',
      formula: f.coilCurrent,
      inputs: {
        voltage: given(limits.voltageRunning.value, 'document:limits.voltageRunning'),
        coilResistance: given(relay.coilResistance, `catalogue:${relay.id}`),
      },
    }),
    ...[...carrying, ...trigger.wires].flatMap((w) => wireResults(wireKey(w.wire), w)),
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
  };
}

/** Every wire of the pump feeds once, in the order of their groups. */
export function wiresOf(feeds: readonly SizedPumpFeed[]): SizedWire[] {
  const byId = new Map<string, SizedWire>();
  for (const feed of feeds) {
    for (const wire of groupsOf(feed).flatMap((g) => g.wires)) {
      if (!byId.has(wire.wire.id)) byId.set(wire.wire.id, wire);
    }
  }
  return [...byId.values()];
}

/** The groups of a feed from battery to trigger. */
export const groupsOf = (feed: SizedPumpFeed): SizedGroup[] => [
  feed.main,
  feed.branch,
  feed.pumpGroup,
  feed.trigger,
];
