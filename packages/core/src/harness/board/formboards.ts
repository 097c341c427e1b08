import type { SizedWire } from '../../electrics/index.ts';
import type { Harness } from '../../model/index.ts';
import { type BoardDrawing, type BoardSegment, boardDrawing } from './boardDrawing.ts';
import { type BoardInput, type BoardPiece, boardPieces } from './boardPieces.ts';

/** A loom with its board. */
export interface Formboard {
  readonly piece: BoardPiece;
  readonly drawing: BoardDrawing;
}

/** What boards are drawn from. */
export interface FormboardInput extends BoardInput {
  readonly buildName: string;
  readonly decided: Harness;
  readonly electrics: BoardInput['electrics'] & { readonly wires: readonly SizedWire[] };
}

/** What is written at the segments of a harness. */
function boardSegments({
  harness,
  decided,
  electrics,
}: FormboardInput): ReadonlyMap<string, BoardSegment> {
  const told = new Map(decided.segments.map((segment) => [segment.id, segment]));
  const parts = new Map(electrics.netlist.parts.map((part) => [part.id, part]));
  return new Map(
    harness.bundles.map(({ segmentId, name, diameter, wires, coverItem, heatSleeve }) => [
      segmentId,
      {
        id: segmentId,
        name,
        diameter,
        wires: wires.length,
        cover: [coverItem, heatSleeve].flatMap((item) => item?.designation ?? []).join(' + '),
        loop: told.get(segmentId)?.loop.value ?? 0,
        splices: decided.splices.flatMap((site) =>
          site.segmentId === segmentId
            ? [{ name: parts.get(site.spliceId)?.name ?? '', share: site.share.value }]
            : [],
        ),
      },
    ]),
  );
}

/** Numbers of wires by the nodes that they end at; numbers are those of the list of wires. */
const wireNumbers = ({ electrics }: FormboardInput): ReadonlyMap<string, number> =>
  new Map(
    electrics.wires.flatMap(({ wire }, i) => [
      [wire.from.node, i + 1] as const,
      [wire.to.node, i + 1] as const,
    ]),
  );

/** The boards of a harness, one for each loom that connectors part it into, the largest first. */
export function formboards(input: FormboardInput): readonly Formboard[] {
  const [segments, wireAt] = [boardSegments(input), wireNumbers(input)];
  return boardPieces(input).map((piece) => ({
    piece,
    drawing: boardDrawing({
      title: `${input.buildName}: ${piece.name}`,
      piece,
      segments,
      wireAt,
    }),
  }));
}
