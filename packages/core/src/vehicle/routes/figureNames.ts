import { figureNames } from '../../results/index.ts';

/** Figures of lines on the vehicle and of what is near them. */
export const routeFigure = figureNames({
  'line.length': 'line.{line}.length',
  'line.bends': 'line.{line}.bends',
  'line.bendAngle': 'line.{line}.bendAngle',
  'line.bendLoss': 'line.{line}.bendLoss',
  'line.tightestBend': 'line.{line}.tightestBend',
  'line.minClearance': 'line.{line}.minClearance',
  'line.clearanceMargin': 'line.{line}.clearanceMargin',
  'line.heatMargin': 'line.{line}.heatMargin',
  'line.highPoint': 'line.{line}.highPoint',
  'line.lowPoint': 'line.{line}.lowPoint',
  'line.clampCount': 'line.{line}.clampCount',
  'line.clampGap': 'line.{line}.clampGap',
  'line.startTurn': 'line.{line}.startTurn',
  'line.endTurn': 'line.{line}.endTurn',
  'line.uncertainty': 'line.{line}.uncertainty',
  'map.lowestPoint': 'map.lowestPoint',
  'map.groundMargin': 'map.groundMargin',
});
