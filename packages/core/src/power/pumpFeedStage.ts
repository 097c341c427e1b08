import type {
  BuildDocument,
  Catalogue,
  FuseItem,
  Placement,
  PumpElement,
  PumpFeed,
  PumpItem,
} from '../build/index.ts';
import { lookUp, newestOf } from '../build/index.ts';
import { NotFound } from '../quantities/index.ts';
import { bestLength } from '../chassis/index.ts';
import { highestPumpCurrent } from '../pumps/index.ts';
import { derive, given, type Result } from '../results/index.ts';
import { type FuseJudgement, type FuseLoad, chooseFuse, judgeFuse } from './chooseFuse.ts';
import { contactResistance, crimpResistance, fuseResistance } from './contacts.ts';
import * as f from './formulas.ts';
import { type DerivedWire, pumpFeedWires } from './pumpFeedWires.ts';
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
  readonly main: SizedGroup;
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

function groupDrop(key: string, label: string, group: SizedGroup): Result {
  return derive({
    key,
    label,
    formula: f.wireDrop,
    inputs: {
      current: given(group.wires[0]!.task.load, 'catalogue:pump'),
      resistancesPerMetre: given(
        group.wires.map((w) => w.size.resistancePerMetre),
        'catalogue:wire',
      ),
      temperatures: given(
        group.wires.map((w) => w.temperature),
        'result:wire temperatures',
      ),
      lengths: given(
        group.wires.map((w) => w.task.length),
        'result:wire lengths',
      ),
    },
  });
}

/** Sizes fuse and wires of one pump feed; never looks at the solved pump current. */
export function pumpFeedStage(input: {
  document: BuildDocument;
  catalogue: Catalogue;
  feed: PumpFeed;
  prefixed: boolean;
}): SizedPumpFeed {
  const { document, catalogue, feed } = input;
  const { power, limits } = document;
  const circuit = document.fuelCircuits.find((c) => c.id === feed.circuitId);
  const element = circuit?.elements.find(
    (e): e is PumpElement => e.kind === 'pump' && e.id === feed.elementId,
  );
  if (!element) throw new NotFound(`there is no pump "${feed.elementId}"`, `power.${feed.id}`);
  const pump = lookUp(catalogue, 'pump', element.item, `power.${feed.id}`);
  const battery = lookUp(catalogue, 'battery', power.battery, 'power.battery');
  const mainFuse = lookUp(catalogue, 'fuse', power.mainFuse, 'power.mainFuse');
  const relay = lookUp(catalogue, 'relay', feed.relay, 'power.pumpFeeds.relay');
  const sizes = newestOf(catalogue, 'wire').filter((w) => w.system === power.wireSystem);
  const blades = newestOf(catalogue, 'fuse').filter((i) => i.style === 'blade');

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
    : chooseFuse(blades, load);
  const wires = pumpFeedWires({ power, feed, pump, fuse: fuse.fuse, catalogue });

  const results: Result[] = [];
  const wireKey = (wire: DerivedWire): string =>
    `wire.${input.prefixed ? `${feed.id}.` : ''}${wire.id}`;
  const coilCurrent = limits.voltageRunning.value / relay.coilResistance;
  const keyedFuse = chooseFuse(blades, { ...load, running: 4, inrushFactor: 1, inrushTime: 1e-3 });
  const jobOf = (
    wire: DerivedWire,
    current: number,
    source: number,
    protection: FuseItem,
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
    results.push(...length.results);
    return {
      wire,
      override: wire.decision?.size
        ? lookUp(catalogue, 'wire', wire.decision.size, `power.wireDecisions.${wire.id}`)
        : null,
      task: {
        load: current,
        protection,
        length: length.value,
        ambient,
        zones,
        loadedTogether: feed.loadedTogether,
        areaMin: Math.max(wire.from.areaMin, wire.to.areaMin),
        areaMax: Math.min(wire.from.areaMax, wire.to.areaMax),
        sourceVoltage: battery.openCircuitVoltage,
        sourceResistance: source,
      },
    };
  };
  const jobs = (group: DerivedWire['group'], current: number, source: number, by: FuseItem) =>
    wires.filter((w) => w.group === group).map((w) => jobOf(w, current, source, by));

  const main = sizeGroup({
    jobs: jobs('main', highest, battery.internalResistance, mainFuse),
    sizes,
    dropLimit: 0.03 * limits.voltageLow.value,
  });
  const mainResistance = main.wires.reduce((sum, w) => sum + w.resistance, 0);
  const behind = battery.internalResistance + mainResistance + fuseResistance(mainFuse.rating);
  const pumpGroup = sizeGroup({
    jobs: jobs('pumpFeed', highest, behind, fuse.fuse),
    sizes,
    dropLimit: limits.pumpFeedDrop.value,
  });
  const trigger = sizeGroup({
    jobs: jobs('trigger', coilCurrent, behind, keyedFuse.fuse),
    sizes,
    dropLimit: 0.03 * limits.voltageLow.value,
  });

  const carrying = [...main.wires, ...pumpGroup.wires];
  const contacts = carrying.flatMap((w) =>
    [w.wire.from, w.wire.to].map(
      (end) =>
        crimpResistance(w.size.area) +
        (end.joint === 'lug'
          ? contactResistance.boltedLug
          : end.terminal.startsWith(feed.elementId)
            ? contactResistance.connector
            : 0),
    ),
  );
  const prefix = input.prefixed ? `.${feed.id}` : '';
  const series = derive({
    key: `wire.pumpFeed${prefix}.seriesResistance`,
    label: 'Battery to pump and back',
    formula: f.seriesResistance,
    inputs: {
      wires: given(
        carrying.map((w) => w.resistance),
        'result:wire lengths',
      ),
      fuses: given(
        [fuseResistance(mainFuse.rating), fuseResistance(fuse.fuse.rating)],
        'default: 0.1 V over rating',
      ),
      relay: given(relay.contactResistance, `catalogue:${relay.id}`),
      contacts: given(contacts, 'default'),
    },
  });
  const smallest = pumpGroup.wires.reduce((a, b) => (b.size.area < a.size.area ? b : a));
  results.push(
    derive({
      key: `wire.pumpFeed${prefix}.area`,
      label: 'Pump feed, conductor area',
      formula: f.wireArea,
      inputs: { area: given(smallest.size.area, `catalogue:${smallest.size.id}`) },
    }),
    groupDrop(`wire.pumpFeed${prefix}.drop`, 'Pump feed, drop in wire out and back', pumpGroup),
    groupDrop(`wire.mainFeed${prefix}.drop`, 'Main feed, drop in wire', main),
    series,
    derive({
      key: `fuse.pumpFeed${prefix}.rating`,
      label: 'Pump fuse',
      formula: f.catalogueRating,
      inputs: { rating: given(fuse.fuse.rating, `catalogue:${fuse.fuse.id}`) },
    }),
    derive({
      key: `fuse.pumpFeed${prefix}.whenHot`,
      label: 'Pump fuse when hot',
      formula: f.fuseWhenHot,
      inputs: {
        rating: given(fuse.fuse.rating, `catalogue:${fuse.fuse.id}`),
        ambient: given(load.ambient, 'document:placements'),
      },
    }),
    derive({
      key: `relay.pumpFeed${prefix}.coilCurrent`,
      label: 'Pump relay, coil current',
      formula: f.coilCurrent,
      inputs: {
        voltage: given(limits.voltageRunning.value, 'document:limits.voltageRunning'),
        coilResistance: given(relay.coilResistance, `catalogue:${relay.id}`),
      },
    }),
    ...[...carrying, ...trigger.wires].flatMap((w) => wireResults(wireKey(w.wire), w)),
  );
  return {
    feed,
    pump,
    fuse,
    fuseChosenByHand: feed.fuse !== null,
    mainFuse,
    main,
    pumpGroup,
    trigger,
    coilCurrent,
    seriesResistance: series.value,
    results,
  };
}
