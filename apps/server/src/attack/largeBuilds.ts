import {
  type BuildDocument,
  type SegmentEnd,
  kittiwake,
  quantity,
  sampleCatalogue,
  toBuildFile,
} from '@brookrain/core';

/** Most that the limits of a harness accept. */
const SEGMENTS = 600;
export const CORNERS = { most: 40, kept: 18 };
const BREAKOUTS = 300;

const millimetres = (value: number) => quantity(value, 'length', 'mm');

/**
 * A sound build with as many segments as the limits accept, and so many corners in each: with `kept` it
 * is just within the size of a build, with `most` twice as large.
 */
export function largestHarness(corners = CORNERS.kept): BuildDocument {
  const [breakout] = Object.values(kittiwake.harness.breakouts);
  const [segment] = Object.values(kittiwake.harness.segments);
  if (!breakout || !segment) throw new Error('the demo has no harness');
  const ends = Array.from({ length: BREAKOUTS }, (_, i) => `b${i}`);
  const end = (i: number): SegmentEnd => ({ at: 'breakout', breakoutId: ends[i % BREAKOUTS]! });
  const corner = (segmentNumber: number, i: number) => ({
    order: (i + 1) * 1000,
    x: millimetres(-500 + (segmentNumber % 60) * 10 + i * 5),
    y: millimetres(-300 + (segmentNumber % 30) * 20),
    z: millimetres(150 + i * 9),
    radius: millimetres(15),
  });
  return {
    ...kittiwake,
    name: 'Largest harness',
    harness: {
      ...kittiwake.harness,
      breakouts: Object.fromEntries(ends.map((id, i) => [id, { ...breakout, name: `B ${i}` }])),
      segments: Object.fromEntries(
        Array.from({ length: SEGMENTS }, (_, n) => [
          `s${n}`,
          {
            ...segment,
            name: `Segment ${n}`,
            order: (n + 1) * 1000,
            from: end(n),
            to: end(n + 1 + Math.floor(n / BREAKOUTS)),
            points: Object.fromEntries(
              Array.from({ length: corners }, (_each, i) => [`p${i}`, corner(n, i)]),
            ),
          },
        ]),
      ),
      splices: {},
      colours: {},
      cut: {},
    },
  };
}

/** The file of the largest build. */
export const largestFile = (corners = CORNERS.kept): string =>
  JSON.stringify(toBuildFile(largestHarness(corners), sampleCatalogue));
