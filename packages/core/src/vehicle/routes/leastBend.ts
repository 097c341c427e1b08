/** Inside radii of rubber-lined braided hose by dash size, m; other hose is taken as bad. */
const bendByDash: readonly (readonly [dash: number, radius: number])[] = [
  [4, 0.05],
  [6, 0.065],
  [8, 0.09],
  [10, 0.115],
  [12, 0.14],
  [16, 0.19],
];

/**
 * Inside radius m that a line may at least be bent to: what its maker says, else hose by its size,
 * hardline thrice its outside.
 */
export function leastBendOf(hose: {
  readonly wall: string;
  readonly dash: number;
  readonly outsideDiameter: number;
  readonly bendRadius: number;
}): number {
  if (hose.bendRadius > 0) return hose.bendRadius;
  if (hose.wall === 'rigid') return 2.5 * hose.outsideDiameter;
  const known = bendByDash.find(([dash]) => dash >= hose.dash) ?? bendByDash.at(-1);
  return hose.dash > 0 && known ? known[1] : 6 * hose.outsideDiameter;
}

/** Cables are bent to six times their outside diameter at least, to the inside of the bend. */
export const leastBendOfCable = (outsideDiameter: number): number => 6 * outsideDiameter;
