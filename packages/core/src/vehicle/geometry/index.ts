export * from './bounds.ts';
export * from './distances.ts';
export * from './heights.ts';
export * from './inside.ts';
export * from './path.ts';
export * from './polyline.ts';
export * from './sheet.ts';
export * from './stretch.ts';
export type { Vector } from './vector.ts';
