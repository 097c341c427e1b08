/** Injection token of the open database. */
export const DATABASE = Symbol('database');
/** Injection token of the generation of the open data. */
export const GENERATION = Symbol('generation');
