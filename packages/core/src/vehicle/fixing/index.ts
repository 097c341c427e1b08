export * from './boltData.ts';
export * from './carrier.ts';
export * from './fixingDesign.ts';
export * from './fixingDrawing.ts';
export * from './fixingParts.ts';
export * from './formulas.ts';
export * from './heldComponents.ts';
export * from './usualFixing.ts';
