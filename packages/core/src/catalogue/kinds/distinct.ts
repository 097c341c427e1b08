/** The different ones of some numbers, rising. */
export const distinct = (values: readonly number[]): number[] =>
  [...new Set(values)].sort((a, b) => a - b);
