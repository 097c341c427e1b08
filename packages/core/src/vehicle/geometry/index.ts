export * from './distances.ts';
export * from './heights.ts';
export * from './path.ts';
export * from './polyline.ts';
export type { Vector } from './vector.ts';
