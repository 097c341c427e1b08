/** What an alternator or stator gives, A: rated at full speed and cold, × its share at idle, × its share hot. */
export const alternatorOutput = (input: {
  /** A, of everything that charges */
  readonly rated: readonly number[];
  /** shares that hold at once: at idle, hot */
  readonly shares: readonly number[];
}): number =>
  input.rated.reduce((sum, amps) => sum + amps, 0) * input.shares.reduce((a, b) => a * b, 1);

/** How much more is given than is taken, as a share of what is taken. */
export const supplyMargin = ({ available, load }: { available: number; load: number }): number =>
  available / load - 1;

/** How long s a battery makes up for what is short: usable charge C over A. */
export const coveredFor = (input: {
  readonly capacity: number;
  readonly usable: number;
  readonly load: number;
  readonly available: number;
}): number => (input.capacity * input.usable) / (input.load - input.available);

const SECONDS_A_DAY = 86_400;

/** Days until a battery of C that is left alone no longer cranks, at a drain of A. */
export const daysUntilFlat = (input: {
  readonly capacity: number;
  readonly usable: number;
  readonly drain: number;
}): number => (input.capacity * input.usable) / input.drain / SECONDS_A_DAY;
