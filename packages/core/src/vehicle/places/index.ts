export * from './bestLength.ts';
export * from './mapLength.ts';
