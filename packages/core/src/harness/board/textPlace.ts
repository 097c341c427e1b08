import type { DrawnPlace } from '../../vehicle/index.ts';
import type { Along } from './along.ts';
import { comesInto } from './planeSegments.ts';

/** A text on the board: its middle, how wide and how high it is, mm. */
export interface TextBox {
  readonly at: DrawnPlace;
  readonly wide: number;
  readonly high: number;
}

/** The bundles of a board, and where it is told already what they are. */
export interface Laid {
  readonly ways: readonly Along[];
  readonly texts: TextBox[];
}

/** Where along a bundle it may be told what it is, and how much further off than close to it, mm. */
const TEXT_AT = [0.5, 0.35, 0.65, 0.2, 0.8] as const;
const FURTHER_OFF = [0, 12, 24] as const;

const overlap = (a: TextBox, b: TextBox): boolean =>
  Math.abs(a.at[0] - b.at[0]) < (a.wide + b.wide) / 2 &&
  Math.abs(a.at[1] - b.at[1]) < (a.high + b.high) / 2;

/** Where a text beside a bundle meets least of the other bundles and of what is told of them. */
export function textPlace(
  way: Along,
  board: Laid,
  { wide, high, off }: { readonly wide: number; readonly high: number; readonly off: number },
): TextBox {
  const places = FURTHER_OFF.flatMap((further) =>
    ([1, -1] as const).flatMap((side) =>
      TEXT_AT.map((share): TextBox => ({
        at: way.boxBeside(share, side, wide, high, off + further),
        wide,
        high,
      })),
    ),
  );
  const met = ({ at }: TextBox): number =>
    board.ways.filter(({ from, to }) => comesInto([from, to], at, wide, high)).length +
    board.texts.filter((text) => overlap(text, { at, wide, high })).length;
  return (
    places.find((place) => met(place) === 0) ?? places.reduce((a, b) => (met(b) < met(a) ? b : a))
  );
}
