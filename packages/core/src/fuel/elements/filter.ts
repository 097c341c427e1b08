import { lookUp } from '../../catalogue/index.ts';
import type { FilterElement, FilterRegulatorElement } from '../../model/index.ts';
import type { BranchModel } from '../hydraulics/branchModel.ts';
import { filterBranch, filterLaw } from '../hydraulics/filterBranch.ts';
import {
  type ElementKindEntry,
  type ElementSurroundings,
  FEED_GUESS,
  riseBetween,
} from './elementKind.ts';

/** The filtering part of an element, clean or loaded. */
export function filterPart(
  element: FilterElement | FilterRegulatorElement,
  { heights, fluid, catalogue }: ElementSurroundings,
): BranchModel {
  const item = lookUp(catalogue, element.kind, element.item, element.id);
  return filterBranch({
    rise: riseBetween(heights, element.from, element.to),
    fluid,
    initialFlow: FEED_GUESS,
    loadedFactor: element.state === 'loaded' ? item.loadedFactor : 1,
    law: filterLaw(item),
  });
}

/** A filter. */
export const filter: ElementKindEntry<FilterElement> = {
  category: 'filter',
  ports: ['from', 'to'],
  ways: [['from', 'to']],
  law: filterPart,
};
