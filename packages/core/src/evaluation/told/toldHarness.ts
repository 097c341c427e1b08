import { type LegDirection, colourText } from '../../harness/index.ts';
import type { Evaluation } from '../evaluate.ts';

/** A segment as screens show it; its figures stand under its id. */
export interface ToldBundle {
  readonly segmentId: string;
  readonly count: number;
  /** what lies round it, in words of the catalogue; null: nothing */
  readonly cover: string | null;
  readonly heatSleeve: string | null;
  /** splices that sit in it */
  readonly splices: readonly string[];
}

/** A plug of the harness as screens show it. */
export interface ToldConnector {
  readonly id: string;
  readonly name: string;
  readonly partId: string;
  readonly family: string;
  readonly ways: number;
  readonly used: readonly string[];
  /** its cavities with the wire that ends there, by its place in the list of wires; null: none */
  readonly cavities: readonly { readonly pin: string; readonly wire: number | null }[];
}

/** A hole that bundles go through. */
export interface ToldHole {
  readonly id: string;
  readonly name: string;
  readonly sheet: string;
  readonly bore: number;
  readonly segments: readonly string[];
  /** where it is crossed, as a share of the first of its segments */
  readonly share: number;
  /** the connector that is set into it, by its device; null: a grommet */
  readonly connectorId: string | null;
  readonly largestPlug: string | null;
  /** wires that go through: as many contacts as a bulkhead connector would have */
  readonly contacts: number;
}

/** A connector that parts the harness: its free ways, and what comes past it. */
export interface ToldInline {
  readonly partId: string;
  readonly free: readonly string[];
  /** ways with the wires that they join, by their places in the list of wires */
  readonly taken: readonly { readonly pin: string; readonly wires: readonly number[] }[];
  /** wires past it, by their places in the list of wires, and which way round they lead */
  readonly past: readonly { readonly wire: number; readonly fromHere: boolean }[];
}

/** A leg of a bought loom. */
export interface ToldLeg {
  readonly loomId: string;
  readonly legId: string;
  /** which way it turns off its trunk on the map; null: with it to the end, or not led */
  readonly turns: LegDirection | null;
  readonly isLed: boolean;
}

/** What of the harness screens show. */
export interface ToldHarness {
  readonly bundles: readonly ToldBundle[];
  readonly connectors: readonly ToldConnector[];
  readonly holes: readonly ToldHole[];
  readonly inline: readonly ToldInline[];
  /** the segments that every wire runs through in their order, by their place in the bundles */
  readonly ways: readonly (readonly number[])[];
  /** how well the length of every wire is known, ± m, in their order; 0 where nothing is said */
  readonly uncertainty: readonly number[];
  /** whether every wire is cut, or comes with a bought loom, in their order */
  readonly made: readonly ('to cut' | 'cut' | 'bought')[];
  /** colour of every wire, in the order of the list of wires */
  readonly colours: readonly string[];
  /** legs of bought looms; their figures stand under loom and leg */
  readonly legs: readonly ToldLeg[];
  /** wires that the harness does not lead though it should, by id */
  readonly unled: readonly string[];
  /** splices of the netlist that sit nowhere yet: id and name */
  readonly splices: readonly { readonly id: string; readonly name: string }[];
}

/** What of the harness screens show. */
export function toldHarness({ led, harness, electrics }: Evaluation): ToldHarness {
  const at = new Map(harness.bundles.map(({ segmentId }, i) => [segmentId, i]));
  const ways = new Map(
    led.wires.map(({ wireId, parts }) => [
      wireId,
      parts.flatMap(({ segmentId }) => at.get(segmentId) ?? []),
    ]),
  );
  const knownTo = new Map(led.wires.map(({ wireId, uncertainty }) => [wireId, uncertainty.value]));
  const endsAt = new Map(
    electrics.wires.flatMap(({ wire }, i) => [
      [wire.from.node, i] as const,
      [wire.to.node, i] as const,
    ]),
  );
  const numberOf = new Map(electrics.wires.map(({ wire }, i) => [wire.id, i]));
  const lengthOf = new Map(led.segments.map(({ id, path }) => [id, path?.length ?? 1]));
  const madeOf = new Map<string, ToldHarness['made'][number]>([
    ...led.cut.map(({ wireId }) => [wireId, 'cut'] as const),
    ...led.wires.flatMap(({ wireId, leg }) => (leg ? [[wireId, 'bought'] as const] : [])),
  ]);
  const colours = new Map(harness.colours.map((each) => [each.wireId, colourText(each)]));
  return {
    bundles: harness.bundles.map(({ segmentId, wires, coverItem, heatSleeve, splices }) => ({
      segmentId,
      count: wires.length,
      cover: coverItem?.designation ?? null,
      heatSleeve: heatSleeve?.designation ?? null,
      splices,
    })),
    connectors: harness.connectors.map(({ id, name, partId, family, cavities, used }) => ({
      id,
      name,
      partId,
      family,
      ways: cavities.length,
      used,
      cavities: cavities.map(({ pin, node }) => ({ pin, wire: endsAt.get(node) ?? null })),
    })),
    inline: harness.inline.map(({ part, free, taken, without, beside }) => ({
      partId: part.id,
      free,
      taken: taken.map(({ pin, wires }) => ({
        pin,
        wires: wires.flatMap((id) => numberOf.get(id) ?? []),
      })),
      past: [...without, ...beside].flatMap(({ wire, fromFirst }) => {
        const number = numberOf.get(wire.id);
        return number === undefined ? [] : [{ wire: number, fromHere: fromFirst }];
      }),
    })),
    holes: harness.holes.map(({ largestPlug, results: _, s, connectorId, ...hole }) => ({
      ...hole,
      share: s / (lengthOf.get(hole.segments[0] ?? '') ?? 1),
      connectorId: connectorId ?? null,
      largestPlug: largestPlug?.name ?? null,
      contacts: new Set(
        harness.bundles
          .filter(({ segmentId }) => hole.segments.includes(segmentId))
          .flatMap(({ wires }) => wires.map(({ wireId }) => wireId)),
      ).size,
    })),
    ways: electrics.wires.map(({ wire }) => ways.get(wire.id) ?? []),
    uncertainty: electrics.wires.map(({ wire }) => knownTo.get(wire.id) ?? 0),
    colours: electrics.wires.map(({ wire }) => colours.get(wire.id) ?? ''),
    made: electrics.wires.map(({ wire }) => madeOf.get(wire.id) ?? 'to cut'),
    legs: led.legs.map(({ loomId, legId, turns, way }) => ({
      loomId,
      legId,
      turns: turns ?? null,
      isLed: way !== undefined,
    })),
    unled: led.unled,
    splices: electrics.netlist.parts.flatMap(({ sort, id, name }) =>
      sort === 'splice' ? [{ id, name }] : [],
    ),
  };
}
