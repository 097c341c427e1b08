/** Room around a loom for its grommet, m. */
export const GROMMET = 0.004;
