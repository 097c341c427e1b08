import { figureNames } from '../../results/index.ts';

/** Figures of lines as they are made, and of what is bought for them. */
export const plumbingFigure = figureNames({
  'line.cutLength': 'line.{line}.cutLength',
  'line.shortening': 'line.{line}.shortening',
  'line.clocking': 'line.{line}.clocking',
  'line.reach': 'line.{line}.reach',
  'parts.count': 'parts.{designation}.count',
  'hose.total': 'hose.{type}.total',
  'hose.bought': 'hose.{type}.bought',
  'hose.waste': 'hose.{type}.waste',
});
