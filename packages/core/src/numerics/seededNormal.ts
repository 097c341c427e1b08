/** A source of standard normal numbers; the same seed gives the same numbers. */
export type NormalSource = () => number;

/** Uniform numbers in (0, 1): a 32-bit counter mixed by multiplication and shifts. */
export function seededUniform(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return (((mixed ^ (mixed >>> 14)) >>> 0) + 0.5) / 2 ** 32;
  };
}

/** Standard normal numbers from a whole-number seed, two at a time (Box and Muller 1958). */
export function seededNormal(seed: number): NormalSource {
  const uniform = seededUniform(seed);
  let spare: number | undefined;
  return () => {
    if (spare !== undefined) {
      const value = spare;
      spare = undefined;
      return value;
    }
    const radius = Math.sqrt(-2 * Math.log(uniform()));
    const angle = 2 * Math.PI * uniform();
    spare = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
}
