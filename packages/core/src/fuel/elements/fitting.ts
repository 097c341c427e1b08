import { lookUp } from '../../catalogue/index.ts';
import type { FittingElement } from '../../model/index.ts';
import { fittingBranch } from '../hydraulics/fittingBranch.ts';
import { type ElementKindEntry, FEED_GUESS, riseBetween } from './elementKind.ts';

/** A fitting or check valve of its own. */
export const fitting: ElementKindEntry<FittingElement> = {
  category: 'fitting',
  ports: ['from', 'to'],
  ways: [['from', 'to']],
  law: (element, { heights, fluid, catalogue }) => {
    const item = lookUp(catalogue, 'fitting', element.item, element.id);
    return fittingBranch({
      rise: riseBetween(heights, element.from, element.to),
      fluid,
      initialFlow: FEED_GUESS,
      loss: { lossCoefficient: item.lossCoefficient, bore: item.bore, count: 1 },
    });
  },
  bore: (element, catalogue) => lookUp(catalogue, 'fitting', element.item, element.id).bore,
};
