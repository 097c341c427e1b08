export * from './benchLength.ts';
export * from './convert.ts';
export * from './displayUnits.ts';
export * from './errors.ts';
export * from './formatQuantity.ts';
export * from './parseNumber.ts';
export * from './parseQuantity.ts';
export type * from './quantity.ts';
export * from './unitKinds.ts';
