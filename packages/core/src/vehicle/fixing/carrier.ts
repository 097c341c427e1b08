import type { MountingLine, Placement, Sheet, Solid } from '../../model/index.ts';
import type { PlacedComponent } from '../components/placedComponent.ts';
import {
  type OrientedBox,
  orientedOf,
  orientedToOriented,
  segmentToOriented,
} from '../geometry/orientedBox.ts';
import { add, cross, norm, scale, subtract, unit } from '../geometry/vector.ts';
import { vectorOf } from '../places/vectorOf.ts';
import type { Carrier } from '../slices/fixings.ts';

/** Everything that parts may be bolted to. */
export interface Carriers {
  readonly mountingLines: readonly MountingLine[];
  readonly solids: readonly Solid[];
  readonly sheets: readonly Sheet[];
}

/** Something that carries a part: how far it is from its box, m, and whether it is made for it. */
export interface CarrierOf {
  readonly onto: Carrier;
  readonly name: string;
  readonly reach: number;
  readonly carriesMounts: boolean;
  readonly movesWithEngine: boolean;
  /** where in the document it stands */
  readonly path: readonly string[];
}

/** A sheet as a box without thickness; a slanted one as the rectangle on its first side. */
function flatBox(sheet: Sheet): OrientedBox {
  const [corner, next, other] = [sheet.corner, sheet.next, sheet.other].map(vectorOf) as [
    ReturnType<typeof vectorOf>,
    ReturnType<typeof vectorOf>,
    ReturnType<typeof vectorOf>,
  ];
  const [u, v] = [subtract(next, corner), subtract(other, corner)];
  const normal = unit(cross(u, v));
  const first = unit(u);
  return {
    middle: add(corner, scale(add(u, v), 0.5)),
    axes: [first, cross(normal, first), normal],
    half: [norm(u) / 2, norm(v) / 2, 0],
  };
}

const lineCarrier = (line: MountingLine, body: OrientedBox): CarrierOf => ({
  onto: { kind: 'mounting-line', mountingLineId: line.id },
  name: line.name,
  reach: segmentToOriented({ from: vectorOf(line.from), to: vectorOf(line.to) }, body).distance,
  carriesMounts: true,
  movesWithEngine: false,
  path: ['mountingLines', line.id],
});
const solidCarrier = (solid: Solid, body: OrientedBox): CarrierOf => ({
  onto: { kind: 'solid', solidId: solid.id },
  name: solid.name,
  reach: Math.max(
    0,
    orientedToOriented(body, orientedOf({ low: vectorOf(solid.low), high: vectorOf(solid.high) }))
      .distance,
  ),
  carriesMounts: solid.carriesMounts,
  movesWithEngine: solid.movesWithEngine,
  path: ['solids', solid.id],
});
const sheetCarrier = (sheet: Sheet, body: OrientedBox): CarrierOf => ({
  onto: { kind: 'sheet', sheetId: sheet.id },
  name: sheet.name,
  reach: Math.max(0, orientedToOriented(body, flatBox(sheet)).distance),
  carriesMounts: true,
  movesWithEngine: false,
  path: ['sheets', sheet.id],
});

/** What a part is bolted to; undefined where that is no longer there. */
export function carrierOf(
  onto: Carrier,
  body: OrientedBox,
  carriers: Carriers,
): CarrierOf | undefined {
  switch (onto.kind) {
    case 'mounting-line': {
      const line = carriers.mountingLines.find(({ id }) => id === onto.mountingLineId);
      return line && lineCarrier(line, body);
    }
    case 'solid': {
      const solid = carriers.solids.find(({ id }) => id === onto.solidId);
      return solid && solidCarrier(solid, body);
    }
    case 'sheet': {
      const sheet = carriers.sheets.find(({ id }) => id === onto.sheetId);
      return sheet && sheetCarrier(sheet, body);
    }
  }
}

/** A part is carried by a bracket from no further than this, m. */
export const REACH = 0.2;

/** Everything that could carry a part where it sits, the nearest first. */
export function carriersNear(
  {
    body,
    placement,
  }: Pick<PlacedComponent, 'body'> & {
    readonly placement: Pick<Placement, 'movesWithEngine'>;
  },
  { mountingLines, solids, sheets }: Carriers,
): CarrierOf[] {
  return [
    ...mountingLines.map((line) => lineCarrier(line, body)),
    ...solids.map((solid) => solidCarrier(solid, body)),
    ...sheets.map((sheet) => sheetCarrier(sheet, body)),
  ]
    .filter(
      ({ reach, carriesMounts, movesWithEngine }) =>
        reach <= REACH && carriesMounts && movesWithEngine === placement.movesWithEngine,
    )
    .sort((a, b) => a.reach - b.reach);
}
