export * from './places/index.ts';
