/** Room that a line needs from a hot pipe: bare, or in a heat sleeve, m. */
const BARE = 0.1;
const SLEEVED = 0.05;
/** A surface up to this hurts no hose, K. */
export const HARMLESS = 273.15 + 60;
/** Room from what moves in its place, and from what travels or whips, m. */
const MOVES_IN_PLACE = 0.025;
const TRAVELS = 0.05;
/** Room from a sharp edge, m. */
const SHARP = 0.012;
/** Room between fuel and a battery cable, m. */
const CABLE = 0.05;

/** Room m that is needed from a hot surface. */
export const askedByHeat = (input: {
  temperature: number;
  turbine: boolean;
  sleeve: boolean;
}): number =>
  input.temperature <= HARMLESS ? 0 : (input.sleeve ? SLEEVED : BARE) * (input.turbine ? 2 : 1);

/** Room m that is needed from what moves, beyond all of its movement. */
export const askedByMovement = (input: { travel: number; whips: boolean }): number =>
  input.travel > 0 || input.whips ? TRAVELS : MOVES_IN_PLACE;

/** Room m that is needed from an edge of metal. */
export const askedByEdge = (input: { covered: boolean }): number => (input.covered ? 0 : SHARP);

/** Room m between a fuel line and a battery cable. */
export const ASKED_BY_CABLE = CABLE;
