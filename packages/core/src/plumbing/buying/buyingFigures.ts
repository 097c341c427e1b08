import type { Offcut } from '../../model/index.ts';
import {
  type Result,
  byDefault,
  derive,
  entered,
  fromItem,
  given,
  together,
} from '../../results/index.ts';
import { plumbingFigure } from '../figures/figureNames.ts';
import * as f from '../figures/formulas.ts';
import { AT_ONCE, cuttingPlan } from './cutting/index.ts';
import { cuttingOf } from './hoseCutting.ts';
import type { PartNeed } from './partsNeeded.ts';

function hoseFigures({ item, pieces }: PartNeed, offcuts: readonly Offcut[]): Result[] {
  if (item.category !== 'hose') return [];
  const of = { type: item.id };
  const inputs = {
    pieces: together(pieces.map(({ length, from }) => given(length, from))),
  };
  const total = derive({
    figure: plumbingFigure('hose.total', of),
    label: `${item.designation}, cut in all`,
    formula: f.hoseTotal,
    inputs,
  });
  const problem = cuttingOf(item, pieces, offcuts);
  if (!problem) return [total];
  const cutting = {
    ...inputs,
    stock: together(problem.stock.map((length) => fromItem(length, item))),
    offcuts: together(
      problem.offcuts.map(({ id, length }) => entered(length, ['offcuts', id, 'length'])),
    ),
    kerf: byDefault(problem.kerf, 'what a cut takes'),
  };
  const { proven } = cuttingPlan(problem, AT_ONCE);
  return [
    total,
    derive({
      figure: plumbingFigure('hose.bought', of),
      label: `${item.designation}, to buy${proven ? '' : ' (not proven to be the least)'}`,
      formula: f.hoseBought,
      inputs: cutting,
    }),
    derive({
      figure: plumbingFigure('hose.waste', of),
      label: `${item.designation}, no piece of it`,
      formula: f.hoseWaste,
      inputs: cutting,
    }),
  ];
}

/** How many of each part, and of each hose how much is cut, bought and wasted. */
export const buyingFigures = (
  parts: readonly PartNeed[],
  offcuts: readonly Offcut[],
): readonly Result[] =>
  parts.flatMap((need) =>
    need.unit === 'piece'
      ? [
          derive({
            figure: plumbingFigure('parts.count', { designation: need.item.id }),
            label: `${need.item.designation}, how many`,
            formula: f.partCount,
            inputs: {
              uses: together(need.uses.map(({ quantity, from }) => given(quantity, from))),
            },
          }),
        ]
      : hoseFigures(need, offcuts),
  );
