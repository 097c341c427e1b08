export * from './asked.ts';
export * from './nearestObstacles.ts';
export * from './obstacle.ts';
export * from './obstaclesOf.ts';
export * from './around.ts';
