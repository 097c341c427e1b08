import type { FigureDescription } from '../../results/index.ts';

/** Figures of lines as they are made that readers of files may rely on. */
export const documentedPlumbingFigures: readonly FigureDescription[] = [
  {
    key: 'line.feed.cutLength',
    kind: 'length',
    meaning:
      'What a line is cut to, rounded up to 5 mm: its length less adapters, with its slack, less what its ends take: `line.<line>.cutLength`.',
    onlyWith: 'lines with their ends',
  },
  {
    key: 'line.return.clocking',
    kind: 'angle',
    meaning:
      'Angle between the two angled ends of a line, seen along it from its beginning, clockwise, from the nose of the first to that of the second: `line.<line>.clocking`. None where an end is straight.',
    onlyWith: 'lines with their ends',
  },
  {
    key: 'line.feed.shortening',
    kind: 'ratio',
    meaning:
      'Share of its length by which a hose shortens at the highest pressure of its circuit: `line.<line>.shortening`.',
    onlyWith: 'lines with their ends',
  },
  {
    key: 'line.feed.reach',
    kind: 'length',
    meaning:
      'Of a hose that is cut, what is left over between its seats; below 0 it no longer reaches: `line.<line>.reach`.',
    onlyWith: 'a hose that is cut',
  },
  {
    key: 'parts.E6-90.count',
    kind: 'count',
    meaning: 'How many of a part the build is made with, by its id: `parts.<part>.count`.',
    onlyWith: 'lines with their ends',
  },
  {
    key: 'hose.HBR-6.total',
    kind: 'length',
    meaning: 'All that is cut of a hose or tube: `hose.<hose>.total`.',
    onlyWith: 'lines with their ends',
  },
  {
    key: 'hose.HBR-6.bought',
    kind: 'length',
    meaning:
      'What has to be bought of it by the cutting plan, from the lengths it is sold in: `hose.<hose>.bought`.',
    onlyWith: 'lines with their ends',
  },
  {
    key: 'hose.HBR-6.waste',
    kind: 'length',
    meaning: 'What of the lengths bought and offcuts touched is no piece: `hose.<hose>.waste`.',
    onlyWith: 'lines with their ends',
  },
];
