/** Injection token of the open database. */
export const DATABASE = Symbol('database');
