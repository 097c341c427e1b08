import type { HarnessConnector } from './connectorsOf.ts';

/** Which side of a plug one looks at: where the wires go in, or where it meets its part. */
export const faceSides = ['wire', 'mating'] as const;
export type FaceSide = (typeof faceSides)[number];

/** A cavity on the face of a plug, in pitches from its middle; x to the right, y down. */
export interface FaceCavity {
  readonly pin: string;
  readonly x: number;
  readonly y: number;
}

/** Rows of a plug by its ways. */
const rowsFor = (ways: number): number => (ways <= 4 ? 1 : ways <= 26 ? 2 : ways <= 40 ? 3 : 4);

/** Places in rows, from the upper left, each row as long as the others. */
function inRows(ways: number): readonly (readonly [number, number])[] {
  const rows = rowsFor(ways);
  const columns = Math.ceil(ways / rows);
  return Array.from({ length: ways }, (_, i) => [
    (i % columns) - (columns - 1) / 2,
    Math.floor(i / columns) - (rows - 1) / 2,
  ]);
}

/** Places on rings round the middle, six more on each: as round plugs have them. */
function onRings(ways: number): readonly (readonly [number, number])[] {
  const rings: number[] = [];
  let left = ways;
  for (let ring = 0; left > 0; ring += 1) {
    const count = Math.min(left, ring === 0 ? 1 : 6 * ring);
    rings.push(count);
    left -= count;
  }
  // Way 1 is on the outermost ring, at the key above; the numbers go inward.
  return rings
    .map((count, ring) =>
      Array.from({ length: count }, (_, i): readonly [number, number] => {
        const angle = (2 * Math.PI * i) / count - Math.PI / 2;
        return [ring * Math.cos(angle), ring * Math.sin(angle)];
      }),
    )
    .reverse()
    .flat();
}

/**
 * The face of a plug by its count of ways: rows, or rings of a round one. Looked at from the other
 * side, left and right are exchanged. The maker's drawing of the housing has the last word.
 */
export function cavityFace(
  {
    family,
    cavities,
  }: Pick<HarnessConnector, 'family'> & {
    readonly cavities: readonly { readonly pin: string }[];
  },
  side: FaceSide,
): readonly FaceCavity[] {
  const places = family === 'round bulkhead' ? onRings(cavities.length) : inRows(cavities.length);
  const turn = side === 'mating' ? 1 : -1;
  return cavities.map(({ pin }, i) => {
    const [x, y] = places[i] ?? [0, 0];
    return { pin, x: turn * x, y };
  });
}
