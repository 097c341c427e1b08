import type { Catalogue, PlugPartItem } from '../../catalogue/index.ts';
import type { Netlist, SizedWire, WireEnd } from '../../electrics/index.ts';
import { addTo } from '../../numerics/index.ts';
import { packedDiameter } from '../bundles/packedBundle.ts';
import type { HarnessSchool } from '../model.ts';
import type { HarnessConnector } from './connectorsOf.ts';
import { HOLDER_FAMILY, PlugShelf } from './plugShelf.ts';

/** So many of a part that wires end in, for what, and where the build says so. */
export interface PlugPart {
  readonly item: PlugPartItem;
  readonly quantity: number;
  /** the part of the netlist that it belongs to, or the wire that a piece is spliced into with it */
  readonly partId?: string;
  readonly wireId?: string;
  readonly name: string;
  readonly path: readonly string[];
  /** a wire that is led through the harness ends in it */
  readonly inHarness: boolean;
}

/** What the catalogue has nothing for. */
export interface MissingPlugPart {
  readonly words: string;
  readonly count: number;
  readonly usedFor: string;
}

/** A wire as far as its ends ask. */
type EndedWire = Pick<SizedWire, 'wire' | 'size'>;

interface Read {
  readonly connectors: readonly HarnessConnector[];
  readonly netlist: Pick<Netlist, 'parts'>;
  /** wires that are made here */
  readonly wires: readonly EndedWire[];
  /** wires that a piece is spliced into, those of looms too */
  readonly spliced: readonly EndedWire[];
  /** wires that are led through the harness, by id */
  readonly led: readonly string[];
  readonly school: HarnessSchool;
  /** parts that stay with what they have */
  readonly kept: readonly string[];
  readonly catalogue: Catalogue;
}

/** What a part is used for, and the wires that end in it. */
type Use = Pick<PlugPart, 'partId' | 'wireId' | 'name' | 'path'> & {
  readonly of: readonly EndedWire[];
};

const inMm2 = (area: number): string => `${Math.round(area * 1e8) / 100} mm²`;
const inMm = (length: number): string => `${Math.round(length * 1e4) / 10} mm`;

/** The boot of a catalogue that closes round a bundle. */
export const bootFor = (catalogue: Catalogue, bundle: number): PlugPartItem | undefined =>
  new PlugShelf(catalogue).round('boot', bundle);

/** Everything that wires end in: housings, contacts, seals, plugs of unused cavities, boots, lugs, splices. */
export function plugParts(read: Read): {
  readonly parts: readonly PlugPart[];
  readonly missing: readonly MissingPlugPart[];
} {
  const { connectors, netlist, spliced, school, catalogue } = read;
  const [led, kept] = [new Set(read.led), new Set(read.kept)];
  const shelf = new PlugShelf(catalogue);
  const parts: PlugPart[] = [];
  const missing: MissingPlugPart[] = [];
  const ends = new Map<string, EndedWire[]>();
  for (const wire of read.wires) {
    for (const { node } of [wire.wire.from, wire.wire.to]) {
      addTo(ends, node, wire);
    }
  }
  const put = (
    item: PlugPartItem | undefined,
    words: string,
    { of, ...use }: Use,
    quantity = 1,
  ): void => {
    if (quantity <= 0) return;
    const inHarness = of.some(({ wire }) => led.has(wire.id));
    if (item) parts.push({ item, quantity, ...use, inHarness });
    else missing.push({ words, count: quantity, usedFor: use.name });
  };
  const inPlug = new Set<string>();
  for (const { partId, name, family, cavities, used } of connectors) {
    for (const { node } of cavities) inPlug.add(node);
    if (kept.has(partId)) continue;
    const isUsed = new Set(used);
    const wires = cavities.flatMap(({ pin, node }) =>
      isUsed.has(pin) ? (ends.get(node) ?? []) : [],
    );
    // All of it comes with a loom that is bought.
    if (wires.length === 0) continue;
    const use = { partId, name, path: ['power'], of: wires };
    const housing = shelf.housing(family, cavities.length);
    put(housing, `housing ${family}, ${cavities.length} ways`, use);
    const sealed = shelf.has('seal', family);
    for (const sized of wires) {
      const { size } = sized;
      const ended = { ...use, of: [sized] };
      const contact = shelf.forArea('contact', size.area, family);
      put(contact, `contact ${family} for ${inMm2(size.area)}`, ended);
      if (!sealed) continue;
      const seal = shelf.round('seal', size.outsideDiameter, family);
      put(seal, `seal ${family} for ${inMm(size.outsideDiameter)}`, ended);
    }
    const plug = shelf.any('cavity plug', family);
    if (plug) put(plug, '', use, (housing?.ways ?? cavities.length) - used.length);
    const hasBackshell = shelf.has('backshell', family);
    if (!hasBackshell && school !== 'sealed') continue;
    const bundle = packedDiameter(wires.map(({ size }) => size.outsideDiameter));
    if (hasBackshell) {
      const backshell = shelf.round('backshell', bundle, family);
      put(backshell, `backshell ${family} for a bundle of ${inMm(bundle)}`, use);
    } else {
      put(bootFor(catalogue, bundle), `boot for a bundle of ${inMm(bundle)}`, use);
    }
  }
  const partOf = new Map(
    netlist.parts.flatMap((part) => part.pins.map(({ node }) => [node, part] as const)),
  );
  const single = (end: WireEnd, sized: EndedWire): void => {
    const { size } = sized;
    const part = partOf.get(end.node);
    if (inPlug.has(end.node) || !part || kept.has(part.id) || part.sort === 'signal') return;
    const isLug = end.joint === 'lug' || part.role === 'connector';
    const words = inMm2(size.area);
    const use = { partId: part.id, name: part.name, path: ['power'], of: [sized] };
    if (isLug) put(shelf.forArea('lug', size.area), `ring terminal for ${words}`, use);
    else if (end.joint === 'holder') {
      const contact = shelf.forArea('contact', size.area, HOLDER_FAMILY);
      put(contact, `contact ${HOLDER_FAMILY} for ${words}`, use);
    }
  };
  for (const wire of read.wires) {
    single(wire.wire.from, wire);
    single(wire.wire.to, wire);
  }
  const splice = (area: number, use: Use): void =>
    put(shelf.forArea('splice', area), `splice for ${inMm2(area)} together`, use);
  for (const sized of spliced) {
    splice(2 * sized.size.area, {
      wireId: sized.wire.id,
      name: sized.wire.name,
      path: ['harness'],
      of: [sized],
    });
  }
  for (const { id, sort, name, pins } of netlist.parts) {
    if (sort !== 'splice') continue;
    const of = pins.flatMap(({ node }) => ends.get(node) ?? []);
    splice(
      of.reduce((sum, { size }) => sum + size.area, 0),
      { partId: id, name, path: ['power'], of },
    );
  }
  return { parts, missing };
}
