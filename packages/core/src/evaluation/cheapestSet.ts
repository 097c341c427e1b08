import { entryAt, valueUnder, firstOf } from '../numerics/index.ts';
import { rules } from './checks/rules.ts';
import {
  type CatalogueItem,
  type HoseItem,
  alikeHoses,
  itemAt,
  lookUp,
  newestOf,
  refOf,
} from '../catalogue/index.ts';
import { boughtOf, endsOfAssembly } from '../plumbing/index.ts';
import { applyCommand } from './commands/applyCommand.ts';
import { withEndsAlong } from './commands/withEndsAlong.ts';
import { NotFound } from '../quantities/index.ts';
import {
  type BuildCommand,
  type BuildDocument,
  type BuildFinding,
  type Change,
  type ItemRef,
  type LineElement,
  readBuild,
  valueAt,
} from '../model/index.ts';
import type { Checked } from './checked.ts';
import { createEvaluator } from './evaluate.ts';
import {
  type CircuitDesign,
  type RowDesign,
  SAG_GOOD,
  assumedDifference,
  beforePump,
  byFindingId,
  deliverable,
  isWorse,
  namedCases,
  pumpDuties,
  pumpsTogether,
  quickFluid,
  quickTroubles,
  rowDifference,
} from '../fuel/index.ts';

/** Where parts may come from. */
export type PartSource = 'catalogue' | 'shelf';

/** What is asked of a set of parts. */
export interface SetWish {
  readonly circuitId: string;
  /** least pump margin at peak, share */
  readonly pumpMargin: number;
  readonly source: PartSource;
}

/** One part that may take a place. */
interface Choice {
  readonly item: CatalogueItem;
  /** price for the whole place */
  readonly price: number;
  readonly changes: readonly Change[];
}

/** A place in the circuit for which a part is looked for. */
interface Place {
  readonly label: string;
  readonly choices: readonly Choice[];
}

/** One part of the answer. */
export interface ChosenPart {
  readonly place: string;
  readonly designation: string;
  readonly price: number;
  readonly changed: boolean;
}

/** The cheapest set that holds, or why there is none. */
export type SetAnswer =
  | {
      readonly state: 'found';
      readonly parts: readonly ChosenPart[];
      readonly price: number;
      readonly priceNow: number;
      readonly pumpMargin: number;
      readonly tried: number;
      readonly command: BuildCommand;
      /** warnings in the wiring that come with it */
      readonly brings: readonly string[];
    }
  | { readonly state: 'none'; readonly reason: string; readonly tried: number };

/** A search that is walked step by step, so that it can show progress and be left. */
export interface SetSearch {
  /** combinations there are after what cannot work was left out */
  readonly combinations: number;
  readonly tried: number;
  readonly answer: SetAnswer | undefined;
  /** tries so many further combinations */
  step(count: number): void;
}

function placesOf(checked: Checked, wish: SetWish): Place[] {
  const { document, catalogue } = checked;
  const index = document.fuelCircuits.findIndex((c) => c.id === wish.circuitId);
  const circuit = entryAt(document.fuelCircuits, index);
  const fluid = entryAt(checked.fluids, index);
  const shelf = new Set(Object.keys(checked.stored.shelf));
  const offered = (id: string, present: string): boolean =>
    id === present || wish.source === 'catalogue' || shelf.has(id);
  const path = (id: string) => ['fuelCircuits', circuit.id, 'elements', id, 'item'];
  // A part that lies on the shelf, or is in the build from there, costs nothing.
  const cost = (item: CatalogueItem): number =>
    wish.source === 'shelf' && shelf.has(item.id) ? 0 : item.price;
  const alcohol =
    fluid.design.fuel.fuel.kind === 'methanol' ? 1 : fluid.design.fuel.fuel.ethanol.value;
  // A part that is only just right would bring a warning that is not there now.
  const presentFits = (row: RowDesign): boolean =>
    checked.candidates.injectors()[row.row.id]?.find((c) => c.item.id === row.injector.id)
      ?.verdict === 'fits';
  const places: Place[] = fluid.design.rows.map((row) => ({
    label: row.row.name,
    choices: (checked.candidates.injectors()[row.row.id] ?? [])
      .filter((c) => c.verdict !== 'does not fit' && offered(c.item.id, row.injector.id))
      .filter((c) => c.verdict === 'fits' || c.item.id === row.injector.id || !presentFits(row))
      .map((c) => ({
        item: c.item,
        price: row.row.count * cost(c.item),
        changes: [
          {
            path: ['injectorRows', row.row.id, 'item'],
            value: refOf(c.item),
          },
        ],
      })),
  }));
  const { main } = pumpDuties(circuit);
  const seen = new Set<string>();
  for (const pump of main) {
    if (seen.has(pump.id)) continue;
    const together = pumpsTogether(circuit, pump.id);
    together.forEach((id) => seen.add(id));
    places.push({
      label: pump.name,
      choices: newestOf(catalogue, 'pump')
        .filter((item) => item.mounting === pump.mounting && item.duty === 'main')
        .filter((item) => offered(item.id, pump.item.id))
        .map((item) => ({
          item,
          price: together.length * cost(item),
          changes: together.map((id) => ({ path: path(id), value: refOf(item) })),
        })),
    });
  }
  const lines = circuit.elements.filter(
    (e): e is LineElement => e.kind === 'line' && (e.role === 'feed' || e.role === 'return'),
  );
  for (const line of longest(lines, fluid.design.lengths)) {
    const present = lookUp(catalogue, 'hose', line.item, line.id);
    places.push({
      label: line.name,
      choices: alikeHoses(catalogue, present)
        .filter((h) => h.ethanolLimit >= alcohol && offered(h.id, present.id))
        .map((h) => ({
          item: h,
          price: lineCost(checked, cost, path(line.id), h, {
            id: line.id,
            length: valueUnder(fluid.design.lengths, line.id),
          }),
          changes: [{ path: path(line.id), value: refOf(h) }],
        })),
    });
  }
  const fine = circuit.elements.find((e) => e.kind === 'filter' && !beforePump(circuit, e.to));
  if (fine?.kind === 'filter') {
    const present = lookUp(catalogue, 'filter', fine.item, fine.id);
    places.push({
      label: fine.name,
      choices: newestOf(catalogue, 'filter')
        .filter(
          (f) => f.fineness <= 40e-6 && f.ethanolLimit >= alcohol && offered(f.id, present.id),
        )
        .map((f) => ({
          item: f,
          price: cost(f),
          changes: [{ path: path(fine.id), value: refOf(f) }],
        })),
    });
  }
  const regulator = circuit.elements.find((e) => e.kind === 'regulator');
  if (regulator?.kind === 'regulator') {
    const set = regulator.setPressure.value;
    places.push({
      label: regulator.name,
      choices: newestOf(catalogue, 'regulator')
        .filter((r) => r.setMin <= set && r.setMax >= set && offered(r.id, regulator.item.id))
        .map((r) => ({
          item: r,
          price: cost(r),
          changes: [{ path: path(regulator.id), value: refOf(r) }],
        })),
    });
  }
  return places.map((place) => ({
    ...place,
    choices: [...place.choices].sort((a, b) => a.price - b.price),
  }));
}

/** What a line costs with a hose: the hose as it is sold, with the ends and adapters it takes along. */
function lineCost(
  { stored, catalogue }: Checked,
  cost: (item: CatalogueItem) => number,
  path: readonly string[],
  hose: HoseItem,
  line: { readonly id: string; readonly length: number },
): number {
  const command = withEndsAlong(stored, { name: 'set', path, value: refOf(hose) }, catalogue);
  const { assemblies } = readBuild(applyCommand(stored, command).document);
  const ends = assemblies
    .filter(({ of }) => of.kind === 'line' && of.elementId === line.id)
    .flatMap((assembly) => endsOfAssembly(assembly))
    .flatMap(({ item }) => itemAt(catalogue, item) ?? []);
  const pieces = [{ ...line, name: line.id, from: 'default' }];
  return boughtOf(hose, pieces) * cost(hose) + ends.reduce((sum, end) => sum + cost(end), 0);
}

/** The longest feed and the longest return: short pieces follow by hand. */
function longest(lines: readonly LineElement[], lengths: Readonly<Record<string, number>>) {
  return (['feed', 'return'] as const).flatMap((role) =>
    lines
      .filter((l) => l.role === role)
      .sort((a, b) => valueUnder(lengths, b.id) - valueUnder(lengths, a.id))
      .slice(0, 1),
  );
}

const itemIdAt = (document: BuildDocument, change: Change): string =>
  (valueAt(document, change.path) as ItemRef).id;

/** Every combination by price, cheapest first: one position in each place's list. */
function byPrice(places: readonly Place[]): { positions: Uint8Array; price: number }[] {
  let all = [{ positions: new Uint8Array(places.length), price: 0 }];
  places.forEach((place, i) => {
    all = all.flatMap(({ positions, price }) =>
      place.choices.map((choice, at) => {
        const next = positions.slice();
        next[i] = at;
        return { positions: next, price: price + choice.price };
      }),
    );
  });
  return all.sort((a, b) => a.price - b.price);
}

/** Rules that the parts looked for decide: while one of them stops, the search goes on. */
const ofTheseParts = new Set(rules.filter((rule) => rule.partsDecide).map((rule) => rule.id));

/** Whether the fluid checks find something in a circuit that is not among what is known. */
function spoilsFluid(
  checked: Checked,
  circuit: CircuitDesign,
  wish: SetWish,
  known: ReadonlyMap<string, BuildFinding>,
): boolean {
  const fluid = quickFluid(checked, circuit);
  if (!fluid.peak || fluid.peak.margin < wish.pumpMargin) return true;
  const peak = fluid.cases.peakPower.solution;
  if (peak.state === 'failed') return true;
  const assumed = assumedDifference(checked.design, circuit, fluid.cases.peakPower.point);
  if (circuit.rows.some((row) => 1 - rowDifference(circuit, row, peak) / assumed > SAG_GOOD)) {
    return true;
  }
  return quickTroubles(checked, fluid).some(
    (f) => isWorse(f, known.get(f.id)) || (f.severity === 'stop' && ofTheseParts.has(f.rule)),
  );
}

/** The circuit with the items of some changes; its row designs with theirs. */
function withChoices(
  checked: Checked,
  circuit: CircuitDesign,
  choices: readonly Choice[],
): CircuitDesign {
  let { circuit: changed, rows } = circuit;
  for (const { path, value } of choices.flatMap((c) => c.changes)) {
    const item = value as ItemRef;
    const [collection, , , elementId] = path;
    if (collection === 'fuelCircuits') {
      changed = {
        ...changed,
        elements: changed.elements.map((e) => (e.id === elementId ? { ...e, item } : e)),
      };
    } else {
      const rowId = entryAt(path, 1);
      const injector = lookUp(checked.catalogue, 'injector', item, rowId);
      rows = rows.map((row) => (row.row.id === rowId ? { ...row, injector } : row));
    }
  }
  return { ...circuit, circuit: changed, rows };
}

/**
 * Looks for the cheapest set of injectors, pumps, longest feed and return, fine filter and
 * regulator with which a circuit meets its target: no new stop, no new warning but in
 * the wiring, sag within 3 %, pump margin as wished. Combinations are tried in order of price, so the first that holds is the
 * cheapest there is; parts from the shelf cost nothing. Walked in steps.
 */
export function startCheapestSet(checked: Checked, wish: SetWish): SetSearch {
  const { stored, document: build, catalogue } = checked;
  const circuit = checked.design.circuits.find((c) => c.circuit.id === wish.circuitId);
  if (!circuit) throw new NotFound(`there is no fuel circuit "${wish.circuitId}"`, wish.circuitId);
  const places = placesOf(checked, wish);
  const lacking = places.find((p) => p.choices.length === 0);
  const combinations = lacking ? [] : byPrice(places);
  const evaluator = createEvaluator();
  const troublesOf = (changed: BuildDocument): BuildFinding[] =>
    evaluator.evaluate(changed, catalogue).findings.filter((f) => f.severity !== 'note');
  const before = byFindingId(troublesOf(stored));
  let tried = 0;
  let answer: SetAnswer | undefined = lacking
    ? { state: 'none', tried: 0, reason: `no part for ${lacking.label} may be taken` }
    : undefined;
  const wiring = new Map<string, boolean>();
  /** Whether a pump brings a stop to fuses and wires, whatever stands beside it; asked once. */
  const spoilsWiring = (choice: Choice): boolean => {
    if (choice.item.category !== 'pump') return false;
    let spoilt = wiring.get(choice.item.id);
    if (spoilt === undefined) {
      const command = { name: 'set-several', label: 'pump', changes: choice.changes } as const;
      const whole = withEndsAlong(stored, command, catalogue);
      spoilt = troublesOf(applyCommand(stored, whole).document).some(
        (f) => f.severity === 'stop' && f.where.stage === 'wiring' && !before.has(f.id),
      );
      wiring.set(choice.item.id, spoilt);
    }
    return spoilt;
  };
  const judge = (positions: Uint8Array, price: number): SetAnswer | undefined => {
    const choices = places.map((place, i) => entryAt(place.choices, entryAt(positions, i)));
    const trial = withChoices(checked, circuit, choices);
    if (choices.some(spoilsWiring)) return undefined;
    if (spoilsFluid(checked, trial, wish, before)) return undefined;
    const changes = choices.flatMap((c) => c.changes);
    const changed = changes.filter((c) => itemIdAt(stored, c) !== (c.value as ItemRef).id);
    const bare: BuildCommand = {
      name: 'set-several',
      label: 'Take the cheapest set that holds',
      changes: changed,
    };
    const command = changed.length > 0 ? withEndsAlong(stored, bare, catalogue) : bare;
    const next = changed.length > 0 ? applyCommand(stored, command).document : stored;
    const troubles = troublesOf(next);
    const brings = troubles.filter((f) => !before.has(f.id));
    // A warning in the wiring is followed up there; anything else was not there before.
    if (brings.some((f) => f.severity === 'stop' || f.where.stage !== 'wiring')) return undefined;
    if (troubles.some((f) => f.severity === 'stop' && ofTheseParts.has(f.rule))) return undefined;
    const now = places.reduce((sum, place) => {
      const present = place.choices.find((c) => itemIdAt(stored, firstOf(c.changes)) === c.item.id);
      return sum + (present?.price ?? 0);
    }, 0);
    return {
      state: 'found',
      price,
      priceNow: now,
      pumpMargin: deliverable(
        checked.design,
        trial,
        namedCases(build, checked.design.demand).peakPower,
      )!.margin,
      tried: tried + 1,
      command,
      brings: brings.map((f) => f.title),
      parts: choices.map((choice, i) => ({
        place: entryAt(places, i).label,
        designation: choice.item.designation,
        price: choice.price,
        changed: itemIdAt(stored, firstOf(choice.changes)) !== choice.item.id,
      })),
    };
  };
  return {
    combinations: combinations.length,
    get tried() {
      return tried;
    },
    get answer() {
      return answer;
    },
    step(count) {
      const until = tried + count;
      while (!answer && tried < until) {
        const next = combinations[tried];
        if (!next) {
          answer = {
            state: 'none',
            tried,
            reason: 'no combination of these parts holds the target',
          };
          break;
        }
        answer = judge(next.positions, next.price);
        tried += 1;
      }
    },
  };
}
