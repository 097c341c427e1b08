import {
  type Catalogue,
  type CatalogueItem,
  type HoseItem,
  type SmallPartForm,
  type WireItem,
  itemAt,
  lookUp,
  newestOf,
  refKey,
} from '../../catalogue/index.ts';
import {
  type ElectricDesign,
  type SeatWork,
  type ToolNeed,
  seatTools,
  seatWorks,
} from '../../electrics/index.ts';
import { type ElectricPart, type PresentParts, electricParts } from './electricParts.ts';
import { type FluidResult, circuitScope, fuelFigure } from '../../fuel/index.ts';
import type {
  CircuitElement,
  FuelCircuit,
  InjectorRow,
  ItemRef,
  Path,
  PowerDesign,
  Sheet,
} from '../../model/index.ts';
import { valueUnder } from '../../numerics/index.ts';
import { type Origin, fromFigure } from '../../results/index.ts';
import { NotFound } from '../../quantities/index.ts';
import { type HeldComponent, fixingParts } from '../../vehicle/index.ts';
import type { PieceOfWire } from './reels.ts';
import type { MadeLine } from '../assemblies/madeLine.ts';
import { isRail } from '../assemblies/plumbingStage.ts';
import { seatParts } from './seatParts.ts';
import { hasTaper, partsOfLine, smallPartFor } from './partsOfLine.ts';

/** Everything that parts are counted from. */
export interface NeededInput {
  readonly fluids: readonly Pick<FluidResult, 'design'>[];
  readonly circuits: readonly FuelCircuit[];
  readonly electrics: Pick<ElectricDesign, 'fuses'>;
  /** every piece of wire that is cut, and where the build says so */
  readonly wires: readonly (PieceOfWire & { readonly name: string; readonly path: Path })[];
  readonly present: PresentParts;
  readonly rows: readonly InjectorRow[];
  readonly power: Pick<PowerDesign, 'battery' | 'ecu'>;
  readonly held: readonly HeldComponent[];
  readonly made: readonly MadeLine[];
  /** sheets of metal with the holes that lines go through */
  readonly sheets: readonly Sheet[];
  /** what lies round the wires of the harness, by the metre, and what they end in */
  readonly harness: readonly ElectricPart[];
  readonly missingOfHarness: readonly MissingPart[];
  readonly catalogue: Catalogue;
}

/** A piece that is cut, m, and for what. */
export interface NeededPiece {
  readonly id: string;
  readonly name: string;
  readonly length: number;
  /** the figure that says how long */
  readonly from: Origin;
  /** of wire: a colour is a length of its own */
  readonly colour?: string;
}

/** What so many of a part are for, and where the build says so. */
export interface PartUse {
  readonly name: string;
  readonly quantity: number;
  readonly from: Origin;
}

/** So many of a part, or so many metres of it, and for what. */
export interface PartNeed {
  readonly item: CatalogueItem;
  readonly unit: 'piece' | 'm';
  /** pieces, or m before anything is rounded */
  readonly quantity: number;
  readonly uses: readonly PartUse[];
  /** names of what it is for, each once */
  readonly usedFor: readonly string[];
  /** of hose, tube and wire, the pieces that are cut */
  readonly pieces: readonly NeededPiece[];
}

/** A part while it is counted. */
interface Counted {
  readonly item: CatalogueItem;
  readonly uses: PartUse[];
  readonly usedFor: Set<string>;
  readonly pieces: NeededPiece[];
}

/** Categories that are sold by the metre. */
const byTheMetre: ReadonlySet<CatalogueItem['category']> = new Set(['hose', 'wire', 'cover']);

const countedPart = ({ item, uses, usedFor, pieces }: Counted): PartNeed => ({
  item,
  unit: byTheMetre.has(item.category) ? 'm' : 'piece',
  quantity: uses.reduce((sum, { quantity }) => sum + quantity, 0),
  uses,
  usedFor: [...usedFor],
  pieces,
});

/** What a build needs that the catalogue does not have. */
export interface MissingPart {
  readonly words: string;
  readonly count: number;
  readonly usedFor: string;
}

/** Fittings of several ways: their ways are elements of their own, the part is one. */
const hasWays = (item: CatalogueItem): boolean =>
  item.category === 'fitting' && (item.form === 'Y-block' || item.form === 'T');

/** Whether an element is a further way of a fitting of several ways that an earlier one stands for. */
export function isFurtherWay(
  circuit: FuelCircuit,
  element: CircuitElement,
  item: CatalogueItem,
): boolean {
  if (element.kind !== 'fitting' || !hasWays(item)) return false;
  const before = circuit.elements.slice(0, circuit.elements.indexOf(element));
  return before.some(
    (other) =>
      other.kind === 'fitting' &&
      refKey(other.item) === refKey(element.item) &&
      (other.from === element.from || other.to === element.to),
  );
}

const by = (path: Path): Origin => `by:${path.join('.')}`;

/** The figure that says how long a line of a circuit is. */
const lengthOrigin = (index: number, circuitId: string, element: string): Origin =>
  fromFigure(fuelFigure('element.length', { ...circuitScope(index, circuitId), element }));

/** What making lines uses up: one of each does for a whole build. */
function consumables(
  made: readonly MadeLine[],
  seats: readonly SeatWork[],
): {
  readonly form: SmallPartForm;
  readonly name: string;
  readonly from: Origin;
}[] {
  const first = (wanted: (line: MadeLine) => boolean): string | undefined =>
    made.find((line) => line.assembly && wanted(line))?.assembly?.id;
  const held = (line: MadeLine): boolean => line.ends.some(({ item }) => item !== undefined);
  const line = (id: string | undefined) => id && ['assemblies', id];
  const sensor = seats.find(({ seal }) => seal === 'sealant')?.device.id;
  const uses: readonly (readonly [SmallPartForm, string, Path | '' | undefined])[] = [
    ['oil', 'Nipples, nuts and O-rings of all lines', line(first(held))],
    ['cap', 'Caps for lines that lie ready', line(first(held))],
    ['sealant', 'Taper threads', line(first(hasTaper)) ?? (sensor && ['devices', sensor])],
  ];
  return uses.flatMap(([form, name, path]) => (path ? [{ form, name, from: by(path) }] : []));
}

/** Everything that a build is made of, by part. */
export function partsNeeded(input: NeededInput): {
  readonly parts: readonly PartNeed[];
  readonly missing: readonly MissingPart[];
  readonly tools: readonly ToolNeed[];
} {
  const { catalogue, made } = input;
  const needs = new Map<string, Counted>();
  const missing: MissingPart[] = [];
  const put = (item: CatalogueItem, use: PartUse, piece?: NeededPiece): void => {
    const key = refKey(item);
    const need = needs.get(key) ?? { item, uses: [], usedFor: new Set(), pieces: [] };
    needs.set(key, need);
    need.uses.push(use);
    need.usedFor.add(use.name);
    if (piece) need.pieces.push(piece);
  };
  const add = (ref: ItemRef, quantity: number, name: string, path: Path): void => {
    const item = itemAt(catalogue, ref);
    if (!item) throw new NotFound(`no item "${refKey(ref)}" in the catalogue`, refKey(ref));
    put(item, { name, quantity, from: by(path) });
  };
  const cut = (item: HoseItem | WireItem, piece: NeededPiece): void =>
    put(item, { name: piece.name, quantity: piece.length, from: piece.from }, piece);
  input.circuits.forEach((circuit, i) => {
    const lengths = input.fluids[i]?.design.lengths ?? {};
    circuit.elements.forEach((element) => {
      if (!('item' in element)) return;
      const path = ['fuelCircuits', circuit.id, 'elements', element.id];
      if (element.kind === 'line') {
        const hose = lookUp(catalogue, 'hose', element.item, element.id);
        for (const use of element.fittings) {
          add(use.item, use.count, element.name, [...path, 'fittings', use.item.id]);
        }
        // Lines that get ends are counted as they are made, below.
        if (isRail(element, hose)) {
          cut(hose, {
            id: element.id,
            name: element.name,
            length: valueUnder(lengths, element.id),
            from: lengthOrigin(i, circuit.id, element.id),
          });
        }
        return;
      }
      const item = itemAt(catalogue, element.item);
      if (!item || !isFurtherWay(circuit, element, item)) add(element.item, 1, element.name, path);
    });
  });
  for (const line of made) {
    const length = line.cut?.value ?? line.length;
    if (line.hose && length !== undefined && length > 0) {
      cut(line.hose, {
        id: line.lineId,
        name: line.name,
        length,
        from: line.cut ? fromFigure(line.cut) : line.lengthFrom,
      });
    }
    const from = line.assembly
      ? by(['assemblies', line.assembly.id])
      : by(['routes', line.routeId ?? '']);
    for (const { item, words, count } of partsOfLine(line, catalogue)) {
      if (item) put(item, { name: line.name, quantity: count, from });
      else missing.push({ words, count, usedFor: line.name });
    }
  }
  for (const { id, name, passThroughs } of input.sheets) {
    for (const hole of passThroughs) {
      if (hole.fitted !== 'grommet') continue;
      const item = smallPartFor(catalogue, 'grommet', hole.bore.value);
      const usedFor = `${hole.name}, ${name.toLowerCase()}`;
      const from = by(['sheets', id, 'passThroughs', hole.id]);
      if (item) put(item, { name: usedFor, quantity: 1, from });
      else {
        const mm = Math.round(hole.bore.value * 1e3);
        missing.push({ words: `grommet for a hole of ${mm} mm`, count: 1, usedFor });
      }
    }
  }
  const seats = seatWorks(input.present.devices, catalogue);
  for (const { item, words, name, path } of seatParts(seats, catalogue)) {
    if (item) put(item, { name, quantity: 1, from: by(path) });
    else missing.push({ words, count: 1, usedFor: name });
  }
  for (const { form, name, from } of consumables(made, seats)) {
    const [item] = newestOf(catalogue, 'small-part')
      .filter((each) => each.form === form)
      .sort((a, b) => a.price - b.price);
    if (item) put(item, { name, quantity: 1, from });
    else missing.push({ words: form, count: 1, usedFor: name });
  }
  electricParts(input.electrics, input.present, catalogue).forEach(
    ({ item, quantity, name, path }) => add(item, quantity, name, path),
  );
  for (const { item, path, ...piece } of input.wires) cut(item, { ...piece, from: by(path) });
  missing.push(...input.missingOfHarness);
  input.harness.forEach(({ item, quantity, name, path }) => add(item, quantity, name, path));
  for (const row of input.rows) add(row.item, row.count, row.name, ['injectorRows', row.id]);
  add(input.power.battery, 1, 'Battery', ['power', 'battery']);
  add(input.power.ecu, 1, 'ECU', ['power', 'ecu']);
  for (const { component, wanted, made: fixing } of input.held) {
    if (!fixing.ok) continue;
    const usedFor = `Holds the ${component.name.toLowerCase()}`;
    for (const { item, words, count } of fixingParts(wanted, fixing.design, catalogue)) {
      if (item) add(item, count, usedFor, ['placements', component.placement.id]);
      else missing.push({ words, count, usedFor });
    }
  }
  return { parts: [...needs.values()].map(countedPart), missing, tools: seatTools(seats) };
}
