import type { LedHarness } from '../lengths/ledHarness.ts';

/** A piece that is spliced into a wire since it was too short. */
export interface SplicedPiece {
  readonly wireId: string;
  /** what the wire got longer by, m */
  readonly longer: number;
}

/** A piece overlaps the wire that it is spliced to on both sides, m. */
const OVERLAP = 0.06;

/** How long a piece is cut that makes a wire so much longer, m. */
export const pieceFor = (longer: number): number => longer + OVERLAP;

/** What is spliced into wires: of legs of looms that are made longer, and of wires that were cut too short. */
export const splicedPieces = ({
  wires,
  cut,
}: Pick<LedHarness, 'wires' | 'cut'>): readonly SplicedPiece[] =>
  [
    ...cut.map(({ wireId, spliced }) => ({ wireId, longer: spliced.value })),
    ...wires.flatMap(({ wireId, leg, cut: isCut }) =>
      leg && !isCut ? [{ wireId, longer: leg.length.value - leg.bought }] : [],
    ),
  ].filter(({ longer }) => longer > 1e-6);
