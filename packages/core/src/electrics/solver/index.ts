export type * from './circuit.ts';
export * from './compiledCircuit.ts';
