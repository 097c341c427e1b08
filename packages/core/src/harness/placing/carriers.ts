import type { MountingLine, Solid } from '../../model/index.ts';
import {
  type Box,
  type OrientedBox,
  type Parallelogram,
  type Vector,
  type VehicleAround,
  boundsOfOriented,
  boxToBox,
  cross,
  dot,
  segmentToOriented,
  subtract,
  vectorOf,
} from '../../vehicle/index.ts';

/** What a part can be fastened to, and how far it is from there, m. */
export interface Carrier {
  readonly name: string;
  readonly bracket: number;
}

/** A bracket reaches so far, m. */
export const BRACKET = 0.1;

/** Room m between a body and a sheet that its middle stands over; undefined where it does not. */
function toSheet(body: OrientedBox, { corner, next, other }: Parallelogram): number | undefined {
  const [u, v] = [subtract(next, corner), subtract(other, corner)];
  const normal = cross(u, v);
  const size = Math.hypot(...normal);
  if (size === 0) return undefined;
  const away = subtract(body.middle, corner);
  // Shares of the middle along both sides, for sides that need not be square to one another.
  const share = (side: Vector): number => dot(cross(away, side), normal) / size ** 2;
  const [alongU, alongV] = [share(v), -share(u)];
  if (alongU < 0 || alongU > 1 || alongV < 0 || alongV > 1) return undefined;
  const support = body.axes.reduce(
    (sum, axis, k) => sum + Math.abs(dot(axis, normal) / size) * (body.half[k] ?? 0),
    0,
  );
  return Math.abs(dot(away, normal) / size) - support;
}

/** Everything on a vehicle that something can be fastened to. */
export class Carriers {
  private readonly solids: readonly { readonly name: string; readonly box: Box }[];

  constructor(
    private readonly lines: readonly MountingLine[],
    private readonly around: Pick<VehicleAround, 'sheets'>,
    solids: readonly Solid[],
  ) {
    this.solids = solids
      .filter(({ carriesMounts, movesWithEngine }) => carriesMounts && !movesWithEngine)
      .map(({ name, low, high }) => ({ name, box: { low: vectorOf(low), high: vectorOf(high) } }));
  }

  /** The nearest that a bracket reaches from a body; undefined where none is. */
  for(body: OrientedBox): Carrier | undefined {
    let best: Carrier | undefined;
    const offer = (name: string, bracket: number | undefined): void => {
      if (bracket === undefined || bracket > BRACKET || bracket < -1e-3) return;
      if (!best || bracket < best.bracket) best = { name, bracket: Math.max(0, bracket) };
    };
    for (const line of this.lines) {
      const rail = { from: vectorOf(line.from), to: vectorOf(line.to) };
      offer(line.name, segmentToOriented(rail, body).distance);
    }
    for (const { name, plane } of this.around.sheets) offer(name, toSheet(body, plane));
    const bounds = boundsOfOriented(body);
    for (const { name, box } of this.solids) offer(name, boxToBox(bounds, box));
    return best;
  }
}
