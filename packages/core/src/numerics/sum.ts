/** The sum of some values; 0 of none. */
export const sum = (values: readonly number[]): number =>
  values.reduce((total, each) => total + each, 0);
