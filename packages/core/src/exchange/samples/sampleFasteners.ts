import type { FastenerForm, FastenerItem } from '../../catalogue/index.ts';
import { boltData, boltLengths } from '../../vehicle/index.ts';

const fastener = (
  id: string,
  designation: string,
  form: FastenerForm,
  [thread, length]: readonly [thread: number, length: number],
  [mass, price]: readonly [mass: number, price: number],
): FastenerItem => ({
  category: 'fastener',
  id,
  revision: 1,
  designation,
  family: form,
  mass: Number(mass.toFixed(4)),
  price: Number(price.toFixed(2)),
  interchange: id,
  form,
  thread,
  length,
});

/** Bolts come as long as this of each thread, mm. */
const longest: Readonly<Record<keyof typeof boltData, number>> = {
  M5: 40,
  M6: 60,
  M8: 80,
  M10: 80,
};
const STEEL = 7850;

const threaded: readonly FastenerItem[] = Object.entries(boltData).flatMap(
  ([size, { thread, washer, nut }]) => {
    const most = longest[size as keyof typeof boltData] / 1e3;
    const round = (Math.PI / 4) * thread ** 2 * STEEL;
    const each = thread * 100;
    return [
      ...boltLengths
        .filter((length) => length <= most)
        .map((length) => {
          const mm = Math.round(length * 1e3);
          return fastener(
            `HB${size}x${mm}`,
            `Bolt ISO 4017 ${size} × ${mm}, 8.8`,
            'bolt',
            [thread, length],
            [round * (length + 2.4 * thread), 0.12 + each * 0.3 + length * 2],
          );
        }),
      fastener(
        `WA${size}`,
        `Washer ISO 7089 ${size}`,
        'washer',
        [thread, washer],
        [round * 3 * washer, 0.06],
      ),
      fastener(
        `LN${size}`,
        `Locking nut ISO 7040 ${size}`,
        'locking nut',
        [thread, nut],
        [round * 2 * nut, 0.15 + each * 0.1],
      ),
      fastener(
        `RM${size}`,
        `Rubber mount ${size}, 20 mm high`,
        'rubber mount',
        [thread, 0.02],
        [0.03, 2.4 + each],
      ),
      ...[5, 10, 20, 30].map((mm) =>
        fastener(
          `SP${size}x${mm}`,
          `Spacer ${mm} mm for ${size}`,
          'spacer',
          [thread, mm / 1e3],
          [round * 2 * (mm / 1e3), 0.4 + mm / 40],
        ),
      ),
    ];
  },
);

export const sampleFasteners: readonly FastenerItem[] = [
  ...threaded,
  ...[30, 40, 50, 56, 60, 70, 80].map((mm) =>
    fastener(
      `LC${mm}`,
      `Lined clamp ${mm} mm`,
      'lined clamp',
      [6e-3, mm / 1e3],
      [0.02 + mm / 4000, 1.2 + mm / 50],
    ),
  ),
  ...[0.6, 0.9, 1.2, 1.6].map((metres) =>
    fastener(
      `ST${metres * 1000}`,
      `Strap ${metres * 1000} mm with buckle`,
      'strap',
      [6e-3, metres],
      [0.1 * metres, 4 + 3 * metres],
    ),
  ),
];
