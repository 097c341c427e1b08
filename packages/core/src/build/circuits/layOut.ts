import { quantity as q } from '../../quantities/index.ts';
import { newestOf, refOf } from '../catalogue.ts';
import type { Catalogue } from '../catalogue.ts';
import type { CatalogueItem } from '../catalogueItem.ts';
import { withPrefix } from '../circuitEdits.ts';
import { beforePump, pumpDuties, pumpsOf, railsOf, tankOf } from '../circuitRun.ts';
import type { BuildCommand } from '../command.ts';
import type {
  Architecture,
  BuildDocument,
  Fuel,
  FuelCircuit,
  ItemRef,
  LineElement,
  LineRole,
  Placement,
  PumpFeed,
} from '../document.ts';
import { architectureNotes } from './architectureNotes.ts';
import type { CircuitPartChoices } from './circuitDraft.ts';
import { type LineChoice, unknownLength } from './circuitParts.ts';
import { returnAfterRail } from './returnAfterRail.ts';
import { returnAtTank } from './returnAtTank.ts';
import { returnBeforeRail } from './returnBeforeRail.ts';
import { returnless } from './returnless.ts';
import { surgeTankCircuit } from './surgeTankCircuit.ts';
import { throttleBody } from './throttleBody.ts';
import { twinPumps } from './twinPumps.ts';

const layouts: Readonly<Record<Architecture, (parts: CircuitPartChoices) => FuelCircuit>> = {
  'return-after-rail': returnAfterRail,
  'return-before-rail': returnBeforeRail,
  'return-at-tank': (parts) => returnAtTank({ ...parts, pump: parts.inTankPump }),
  returnless,
  'surge-tank': surgeTankCircuit,
  'twin-pumps': twinPumps,
  'throttle-body': throttleBody,
};

const alcoholShare = (fuel: Fuel | undefined): number =>
  fuel?.kind === 'methanol' ? 1 : (fuel?.ethanol.value ?? 0);

/** The best of some items by a figure, lowest first; the reference of what is there goes before. */
function pick<Item extends CatalogueItem>(
  items: readonly Item[],
  fits: (item: Item) => boolean,
  figure: (item: Item) => number,
): ItemRef | undefined {
  const best = items.filter(fits).sort((a, b) => figure(a) - figure(b) || a.price - b.price)[0];
  return best && refOf(best);
}

function need(ref: ItemRef | undefined, what: string): ItemRef {
  if (!ref) throw new RangeError(`the catalogue has no ${what}`);
  return ref;
}

/** Parts of a circuit: those it has, and for the rest the usual ones of the catalogue. */
function partsOf(input: {
  document: BuildDocument;
  circuit: FuelCircuit;
  catalogue: Catalogue;
}): CircuitPartChoices {
  const { document, circuit, catalogue } = input;
  const fuel = document.fuels.find((f) => f.id === circuit.fuelId);
  const alcohol = alcoholShare(fuel);
  const tank = tankOf(circuit);
  const { main } = pumpDuties(circuit);
  const pump = main[0];
  const lines = circuit.elements.filter((e): e is LineElement => e.kind === 'line');
  const filters = circuit.elements.filter((e) => e.kind === 'filter');
  const hoses = newestOf(catalogue, 'hose').filter(
    (h) =>
      (h.service ?? 'fuel') === 'fuel' && h.ethanolLimit >= alcohol && h.pressureRating >= 0.9e6,
  );
  const immersed = newestOf(catalogue, 'hose').filter((h) => h.service === 'immersed');
  const fittings = newestOf(catalogue, 'fitting');
  const regulators = newestOf(catalogue, 'regulator');
  const pumps = newestOf(catalogue, 'pump');
  const regulator = circuit.elements.find((e) => e.kind === 'regulator');
  const atTank = circuit.elements.find((e) => e.kind === 'filter-regulator');
  const outlet = circuit.elements.find(
    (e) => e.kind === 'fitting' && (e.from === tank?.outlet || e.name === 'Tank outlet'),
  );
  const choiceOf = (line: LineElement | undefined, bore: number): LineChoice =>
    line
      ? { item: line.item, length: line.length, fittings: line.fittings }
      : {
          item: need(
            pick(
              hoses,
              (h) => h.family.includes(alcohol > 0.3 ? 'PTFE' : 'rubber'),
              (h) => Math.abs(Math.log(h.bore / bore)),
            ) ??
              pick(
                hoses,
                () => true,
                (h) => Math.abs(Math.log(h.bore / bore)),
              ),
            'fuel hose',
          ),
          length: unknownLength,
          fittings: [],
        };
  const ofRole = (role: LineRole, at: 'first' | 'last' = 'first'): LineElement | undefined => {
    const found = lines.filter((l) => l.role === role);
    return at === 'first' ? found[0] : found[found.length - 1];
  };
  const q025 = { typed: q(0.25, 'length', 'm'), measured: null };
  const short = (choice: LineChoice): LineChoice => ({
    ...choice,
    length: q025,
  });
  const named = (id: string): LineElement | undefined =>
    lines.find((l) => l.id.endsWith(id)) ?? undefined;
  const feed = choiceOf(named('feed') ?? ofRole('feed', 'last'), 8.7e-3);
  const suction = choiceOf(ofRole('suction'), 14e-3);
  const fits = (item: { ethanolLimit: number }): boolean => item.ethanolLimit >= alcohol;
  const setPressure =
    (regulator?.kind === 'regulator' && regulator.setPressure) ||
    (pump?.control?.kind === 'pressure' && pump.control.target) ||
    q(300, 'pressure', 'kPa');
  const high = setPressure.value >= 200e3 ? setPressure : q(300, 'pressure', 'kPa');
  const bore = (ref: ItemRef): number => hoses.find((h) => h.id === ref.id)?.bore ?? 8.7e-3;
  const coarse = filters.find((f) => beforePump(circuit, f.to));
  const fine = filters.find((f) => !beforePump(circuit, f.to));
  const filterItems = newestOf(catalogue, 'filter');
  const filterAt = (ref: ItemRef) => filterItems.find((f) => f.id === ref.id);
  const filterFits = (ref: ItemRef): boolean => fits(filterAt(ref) ?? { ethanolLimit: 0 });
  const isStrainer = (ref: ItemRef): boolean =>
    filterAt(ref)?.designation.includes('sock') ?? false;
  const pumpOf = (mounting: 'in-tank' | 'external', duty: 'main' | 'lift'): ItemRef | undefined =>
    pick(
      pumps,
      (p) => p.mounting === mounting && p.duty === duty,
      (p) => p.price,
    );
  const external = pumps.find((p) => p.id === pump?.item.id)?.mounting !== 'in-tank';
  const perRail = document.brief.cylinders >= 6 ? 2 : 1;
  return {
    id: circuit.id,
    name: circuit.name,
    fuelId: circuit.fuelId,
    rowId: railsOf(circuit)[0]?.rowId ?? '',
    tank: tank ?? {
      name: 'Tank',
      pressure: q(0, 'pressure', 'kPa'),
      fuelLevel: q(80, 'length', 'mm'),
      usableVolume: q(50, 'volume', 'L'),
    },
    outlet:
      outlet?.kind === 'fitting' && external
        ? outlet.item
        : need(
            pick(
              fittings,
              (f) => f.family === 'tank outlet',
              (f) => -f.bore,
            ),
            'tank outlet',
          ),
    coarseFilter:
      coarse?.kind === 'filter' && !isStrainer(coarse.item) && filterFits(coarse.item)
        ? coarse.item
        : need(
            pick(
              filterItems,
              (f) => f.fineness >= 100e-6 && !f.designation.includes('sock'),
              (f) => f.price,
            ),
            'coarse filter',
          ),
    strainer: need(
      pick(
        filterItems,
        (f) => f.fineness >= 100e-6 && f.designation.includes('sock'),
        (f) => f.price,
      ) ??
        pick(
          filterItems,
          (f) => f.fineness >= 100e-6,
          (f) => f.price,
        ),
      'strainer',
    ),
    hanger: need(
      pick(
        fittings,
        (f) => f.designation.includes('hanger'),
        (f) => f.price,
      ) ??
        pick(
          fittings,
          (f) => f.family === 'tank outlet',
          (f) => f.price,
        ),
      'in-tank hanger',
    ),
    pump: external && pump ? pump.item : need(pumpOf('external', 'main'), 'external pump'),
    inTankPump: !external && pump ? pump.item : need(pumpOf('in-tank', 'main'), 'in-tank pump'),
    liftPump: need(pumpOf('external', 'lift') ?? pumpOf('external', 'main'), 'lift pump'),
    mounting: 'external',
    wear: pump?.wear ?? q(10, 'ratio', '%'),
    fineFilter:
      fine?.kind === 'filter' && filterFits(fine.item)
        ? fine.item
        : need(
            pick(
              filterItems,
              (f) => f.fineness <= 40e-6 && fits(f),
              (f) => f.price,
            ),
            'fine filter',
          ),
    filterRegulator:
      atTank?.kind === 'filter-regulator'
        ? atTank.item
        : need(
            pick(newestOf(catalogue, 'filter-regulator'), fits, (f) =>
              Math.abs(f.setPressure - high.value),
            ) ??
              pick(
                newestOf(catalogue, 'filter-regulator'),
                () => true,
                (f) => Math.abs(f.setPressure - high.value),
              ),
            'filter-regulator',
          ),
    regulator:
      regulator?.kind === 'regulator' && setPressure === high
        ? regulator.item
        : need(
            pick(
              regulators,
              (r) => r.setMin <= high.value && r.setMax >= high.value,
              (r) => Math.abs(Math.log(r.bypassMax / (400e-3 / 3600))),
            ),
            'return regulator',
          ),
    lowRegulator: need(
      pick(
        regulators,
        () => true,
        (r) => r.setMin,
      ),
      'return regulator',
    ),
    setPressure: high,
    lowPressure: q(
      Math.max(100, (regulators.map((r) => r.setMin).sort((a, b) => a - b)[0] ?? 0) / 1e3),
      'pressure',
      'kPa',
    ),
    manifoldRatio:
      regulator?.kind === 'regulator' && setPressure === high
        ? regulator.manifoldRatio
        : q(1, 'ratio', ''),
    surgeVolume: q(2, 'volume', 'L'),
    leastShare: q(35, 'ratio', '%'),
    yBlock: need(
      pick(
        fittings,
        (f) => f.family === 'Y-block',
        (f) => Math.abs(f.bore - 0.9 * bore(feed.item)),
      ),
      'Y-block',
    ),
    suction,
    pumpInlet: named('pump-inlet') ? choiceOf(named('pump-inlet'), 14e-3) : short(suction),
    pumpOutlet: named('pump-outlet') ? choiceOf(named('pump-outlet'), 8.7e-3) : short(feed),
    pumpHose: {
      item:
        pick(
          immersed,
          (h) => h.ethanolLimit >= alcohol && h.pressureRating >= 0.7e6,
          (h) => Math.abs(Math.log(h.bore / 8e-3)),
        ) ?? choiceOf(undefined, 8e-3).item,
      length: q025,
      fittings: [],
    },
    feed,
    branch: short({ ...feed, fittings: [] }),
    rail: choiceOf(named('rail') ?? named('rail-1') ?? ofRole('other'), 11.1e-3),
    back: choiceOf(ofRole('return'), bore(feed.item)),
    rails: perRail,
  };
}

/** Where a place lies that a layout needs and the build does not have: beside one it has. */
const beside: Readonly<
  Record<string, readonly [near: string, name: string, mm: readonly [number, number, number]]>
> = {
  'tank-outlet': ['tank-pump', 'Tank outlet', [0, 0, 0]],
  'tank-return': ['tank-outlet', 'Tank return', [0, 150, 200]],
  'tank-pump': ['tank-outlet', 'Pump in the tank', [0, 0, 0]],
  'tank-top': ['tank-outlet', 'Tank top', [0, 100, 250]],
  'coarse-filter': ['tank-outlet', 'Coarse filter', [150, 0, -40]],
  pump: ['tank-outlet', 'Fuel pump', [300, 0, -60]],
  'pump-2': ['pump', 'Second pump', [0, 120, 0]],
  'lift-pump': ['coarse-filter', 'Lift pump', [80, 0, -20]],
  'surge-tank': ['pump', 'Surge tank, bottom', [-60, 120, 20]],
  'surge-tank-top': ['pump', 'Surge tank, top', [-60, 120, 260]],
  'fine-filter': ['pump', 'Fine filter', [200, 0, 60]],
  'filter-regulator': ['tank-outlet', 'Filter-regulator', [200, 0, 100]],
  rail: ['regulator', 'Fuel rail', [0, 100, 0]],
  'rail-2': ['rail', 'Fuel rail, other bank', [0, -300, 0]],
  regulator: ['rail', 'Regulator', [80, 0, 0]],
  'y-block': ['rail', 'Y-block', [-200, -150, 0]],
};

/** Makes the places a circuit needs, under a prefix of their own where the circuit has one. */
function placesFor(document: BuildDocument, circuit: FuelCircuit, prefix: string): Placement[] {
  const made = new Map<string, Placement>();
  const known = (id: string): Placement | undefined =>
    made.get(id) ?? document.placements.find((p) => p.id === id);
  const place = (id: string, trail: readonly string[] = []): Placement | undefined => {
    const there = known(id);
    if (there || trail.includes(id)) return there;
    const bare = prefix !== '' && id.startsWith(prefix) ? id.slice(prefix.length) : id;
    // A further circuit lies beside the first one's places.
    const shared = bare === id ? undefined : known(bare);
    const rule = beside[bare];
    const near = shared ?? (rule && place((bare === id ? '' : prefix) + rule[0], [...trail, id]));
    if (!near) return undefined;
    const [dx, dy, dz] = shared ? [0, 180, 0] : rule![2];
    const moved: Placement = {
      ...near,
      id,
      name: shared ? `${shared.name}, ${circuit.name}` : rule![1],
      x: { value: near.x.value + dx / 1e3, unit: 'mm' },
      y: { value: near.y.value + dy / 1e3, unit: 'mm' },
      z: { value: near.z.value + dz / 1e3, unit: 'mm' },
    };
    made.set(id, moved);
    return moved;
  };
  for (const node of circuit.nodes) {
    if (!place(node.placementId)) {
      // Nothing near is known: at the first place of the build, to be moved by hand.
      const first = document.placements[0]!;
      made.set(node.placementId, { ...first, id: node.placementId, name: node.placementId });
    }
  }
  return [...made.values()];
}

/** Feeds for the pumps of a circuit that have none, after the pattern of the build's first feed. */
function feedsFor(document: BuildDocument, circuit: FuelCircuit): PumpFeed[] {
  const pattern = document.power.pumpFeeds[0];
  if (!pattern) return [];
  return pumpsOf(circuit).map((pump) => {
    const own = document.power.pumpFeeds.find(
      (f) => f.circuitId === circuit.id && f.elementId === pump.id,
    );
    const pumpPlacementId = circuit.nodes.find((n) => n.id === pump.from)!.placementId;
    return own
      ? { ...own, pumpPlacementId }
      : {
          ...pattern,
          id: `${pump.id}-feed`,
          circuitId: circuit.id,
          elementId: pump.id,
          pumpPlacementId,
          fuse: null,
        };
  });
}

/** The prefix under which the elements of a circuit stand; none in the first circuit. */
const prefixOf = (document: BuildDocument, circuitId: string): string =>
  document.fuelCircuits[0]?.id === circuitId ? '' : `${circuitId}-`;

/** A layout with ids and places of its own, where a build has several circuits. */
function laidOut(
  parts: CircuitPartChoices,
  architecture: Architecture,
  prefix: string,
): FuelCircuit {
  const bare = layouts[architecture](parts);
  if (prefix === '') return bare;
  const circuit = withPrefix(bare, prefix);
  return {
    ...circuit,
    nodes: circuit.nodes.map((n) => ({ ...n, placementId: prefix + n.placementId })),
  };
}

type LayOut = Extract<BuildCommand, { name: 'lay-out-circuit' }>;

/** The edit that lays a circuit out anew, with the parts it has. */
export function layOutAs(input: {
  document: BuildDocument;
  circuitId: string;
  architecture: Architecture;
  catalogue: Catalogue;
}): LayOut {
  const { document, circuitId, architecture, catalogue } = input;
  const old = document.fuelCircuits.find((c) => c.id === circuitId);
  if (!old) throw new RangeError(`there is no fuel circuit "${circuitId}"`);
  const prefix = prefixOf(document, circuitId);
  const parts = partsOf({ document, circuit: old, catalogue });
  const circuit = laidOut(parts, architecture, prefix);
  return {
    name: 'lay-out-circuit',
    label: `Lay ${old.name} out: ${architectureNotes[architecture].name.toLowerCase()}`,
    circuit,
    placements: placesFor(document, circuit, prefix),
    pumpFeeds: feedsFor(document, circuit),
    fuels: [],
    injectorRows: [],
  };
}

/**
 * The edit that adds a circuit for a second fuel with a staged row of its own: the eighth
 * architecture. The row takes `airShare` of the air; the others give it up in proportion.
 */
export function addCircuit(input: {
  document: BuildDocument;
  catalogue: Catalogue;
  fuel: Fuel;
  architecture: Architecture;
}): LayOut {
  const { document, catalogue, architecture } = input;
  const taken = new Set(document.fuelCircuits.map((c) => c.id));
  let id = 'second';
  for (let n = 3; taken.has(id); n++) id = `circuit-${n}`;
  const fuel = { ...input.fuel, id: `${id}-fuel` };
  const first = document.fuelCircuits[0]!;
  const row = document.injectorRows[0]!;
  const SECOND_SHARE = 0.4;
  const prefix = `${id}-`;
  const parts = partsOf({
    document: { ...document, fuels: [...document.fuels, fuel] },
    circuit: { ...first, fuelId: fuel.id },
    catalogue,
  });
  const alcohol = alcoholShare(fuel);
  const resistant = <Ref extends LineChoice>(choice: Ref): Ref => {
    const hoses = newestOf(catalogue, 'hose');
    const present = hoses.find((h) => h.id === choice.item.id);
    if (!present || present.ethanolLimit >= alcohol) return choice;
    const fit = pick(
      hoses,
      (h) => h.ethanolLimit >= alcohol && (h.service ?? 'fuel') === 'fuel',
      (h) => Math.abs(Math.log(h.bore / present.bore)),
    );
    return fit ? { ...choice, item: fit } : choice;
  };
  const circuit = laidOut(
    {
      ...parts,
      id,
      name: `${fuel.name} circuit`,
      fuelId: fuel.id,
      rowId: `${id}-row`,
      tank: { ...parts.tank, name: `Tank for ${fuel.name}` },
      suction: resistant(parts.suction),
      pumpInlet: resistant(parts.pumpInlet),
      pumpOutlet: resistant(parts.pumpOutlet),
      feed: resistant(parts.feed),
      branch: resistant(parts.branch),
      rail: resistant(parts.rail),
      back: resistant(parts.back),
    },
    architecture,
    prefix,
  );
  return {
    name: 'lay-out-circuit',
    label: `Add a circuit for ${fuel.name}`,
    circuit,
    placements: placesFor(document, circuit, prefix),
    pumpFeeds: feedsFor(document, circuit),
    fuels: [fuel],
    injectorRows: [
      ...document.injectorRows.map((r) => ({
        ...r,
        airShare: { ...r.airShare, value: r.airShare.value * (1 - SECOND_SHARE) },
      })),
      {
        ...row,
        id: `${id}-row`,
        name: `Second row, ${fuel.name}`,
        circuitId: id,
        airShare: q(100 * SECOND_SHARE, 'ratio', '%'),
        staging: { aboveDuty: q(60, 'ratio', '%'), blend: q(10, 'ratio', '%') },
        measuredFlows: [],
      },
    ],
  };
}
